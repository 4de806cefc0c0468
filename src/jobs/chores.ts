// What the clock asks for, done by whichever worker is there.

import { askForWhatIsDue, countWhatFailed } from '../work/schedules';
import { endWaivers } from '../work/waivers';
import type { JobContext } from './job';

/** Several times a minute; each can be broken off anywhere, and done by two workers at once. */
export async function doChores(context: Pick<JobContext, 'store' | 'enqueue'>, now: Date): Promise<void> {
  await countWhatFailed(context, now);
  await askForWhatIsDue(context, now);
  await endWaivers(context, now.toISOString());
}
