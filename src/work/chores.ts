// What the clock asks for, done by whichever worker is there.

import { askForWhatIsDue, type Clock, countWhatFailed } from './schedules';
import { endWaivers } from './waivers';

/** Several times a minute; each can be broken off anywhere, and done by two workers at once. */
export async function doChores(context: Clock, now: Date): Promise<void> {
  await countWhatFailed(context, now);
  await askForWhatIsDue(context, now);
  await endWaivers(context, now.toISOString());
}
