// When surveys are due that a clock asks for.

import { CronExpressionParser } from 'cron-parser';
import cronstrue from 'cronstrue';

export interface Schedule {
  /** As crontab has it: minute, hour, day of the month, month, day of the week. */
  readonly cron: string;
  /** Whose clock, `Europe/Oslo`. */
  readonly zone: string;
}

/** What is wrong with a schedule, in words; null when nothing is. */
export function scheduleProblem({ cron, zone }: Schedule): string | null {
  const parts = cron.trim().split(/\s+/);
  if (parts.length !== 5)
    return `Five parts are needed: minute, hour, day of the month, month, day of the week. Here ${parts.length === 1 ? 'is one' : `are ${parts.length}`}.`;
  if (!isZone(zone)) return `There is no time zone ${zone}.`;
  const odd = parts.find((part) => !plainPart.test(part));
  if (odd !== undefined)
    return `${odd} is no part of a time: numbers, names of months and days, *, and ranges, lists and steps of those.`;
  try {
    const next = CronExpressionParser.parse(cron.trim(), { currentDate: someMonday, tz: 'UTC', strict: false });
    let before = next.next().getTime();
    // A week of every ten minutes is as many.
    for (let times = 0; times <= mostAWeek; times++) {
      const time = next.next().getTime();
      if (time - before < leastMs) return 'That is more often than every ten minutes, and would leave the database no rest.';
      if (time - someMonday.getTime() > weekMs) break;
      before = time;
    }
    return null;
  } catch (error) {
    return error instanceof Error ? `That is no time: ${error.message}.` : 'That is no time.';
  }
}

/** Of crontab, what every reader of it takes alike; not `H`, `L`, `W`, `#` and `?`. */
const named = 'jan|feb|mar|apr|may|jun|jul|aug|sep|oct|nov|dec|sun|mon|tue|wed|thu|fri|sat';
const item = `(\\*|(\\d{1,2}|${named})(-(\\d{1,2}|${named}))?)(/\\d{1,2})?`;
const plainPart = new RegExp(`^${item}(,${item})*$`, 'i');
const leastMs = 10 * 60_000;
const weekMs = 7 * 86_400_000;
const mostAWeek = weekMs / leastMs;
/** By a clock that is not set forward or back. */
const someMonday = new Date('2024-01-01T00:00:00Z');

/** `At 02:30, Monday through Friday`. Throws where `scheduleProblem` finds something. */
export function scheduleInWords({ cron }: Schedule): string {
  return cronstrue.toString(cron, { use24HourTimeFormat: true });
}

/** The next times after a moment; an hour that a change of the clock skips or repeats is taken once. Throws where `scheduleProblem` finds something. */
export function nextTimes({ cron, zone }: Schedule, after: Date, count: number): readonly Date[] {
  const times = CronExpressionParser.parse(cron.trim(), { currentDate: after, tz: zone, strict: false });
  return Array.from({ length: count }, () => times.next().toDate());
}

/** When the next one is due after some that failed in a row: sooner than it would be, each time later, and never past its own next time. */
export function nextAfterFailures(schedule: Schedule, now: Date, failures: number): Date {
  const [regular = now] = nextTimes(schedule, now, 1);
  if (failures > mostRetries) return regular;
  const again = new Date(now.getTime() + firstRetryMs * 2 ** (failures - 1));
  return again < regular ? again : regular;
}

const firstRetryMs = 5 * 60_000;
const mostRetries = 5;

function isZone(zone: string): boolean {
  try {
    new Intl.DateTimeFormat('en', { timeZone: zone });
    return true;
  } catch {
    return false;
  }
}
