// What the clock asks for, done by whichever worker is there.

import { askForWhatIsDue, type Clock, countWhatFailed } from './schedules';
import { endWaivers } from './waivers';

/** What does them, several times a minute; each can be broken off anywhere, and done by two workers at once. */
export function chores(context: Clock): (now: Date) => Promise<void> {
  // Waivers end with a day: they are looked through once a day, and again where that failed.
  let endedOn = '';
  return async (now) => {
    await countWhatFailed(context, now);
    await askForWhatIsDue(context, now);
    const today = now.toISOString().slice(0, 'yyyy-mm-dd'.length);
    if (today === endedOn) return;
    await endWaivers(context, now.toISOString());
    endedOn = today;
  };
}
