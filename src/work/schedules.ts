// Surveys by the clock: what people settle about them, and what the clock does.

import type { ActName } from '../core/rights/acts';
import type { Depth } from '../core/evidence/requests';
import { nextAfterFailures, nextTimes, type Schedule, scheduleInWords, scheduleProblem } from '../core/ratchet/schedule';
import { inTransaction } from '../store/db';
import type { ScheduleId, SurveyId } from '../store/ids';
import {
  addSchedule,
  dropSchedule,
  findSchedule,
  keepSchedule,
  listSchedules,
  noteAsked,
  noteEnded,
  type ScheduleRow,
  switchSchedule,
  takeDue,
  takeEnded,
} from '../store/sources/schedules';
import { lockSource } from '../store/sources/sources';
import { askForSurvey, findUnfinished } from '../store/surveys/surveys';
import { nameOf, pawlItself } from './actor';
import type { Room } from './enter';
import type { Office } from './office';
import { type Act, done, type Outcome, perform, write } from './perform';

export interface Wanted extends Schedule {
  readonly depth: Depth;
}

const most = 20;

/** Adds a schedule, or keeps one otherwise than it was. */
export function settleSchedule(room: Room, id: ScheduleId | null, wanted: Wanted, now = new Date()): Promise<Outcome<null>> {
  const problem = scheduleProblem(wanted);
  if (problem !== null) return Promise.resolve({ problem });
  return perform<null>(room.office, room.actor, actOn(room, 'schedule.settle', id), async (db) => {
    const kept = { ...wanted, keptBy: nameOf(room.actor), nextAt: nextTimes(wanted, now, 1)[0] ?? now };
    if (id === null) {
      await lockSource(db, room.source.id);
      if ((await listSchedules(db, room.source.id)).length >= most) return { problem: `A source has ${most} schedules at most.` };
      await addSchedule(db, room.source.id, kept);
      return { ...done, after: wanted };
    }
    const before = await findSchedule(db, room.source.id, id);
    if (!before) return { problem: gone };
    await keepSchedule(db, id, kept);
    return { ...done, before: saidOf(before), after: wanted };
  });
}

export function switchOn(room: Room, id: ScheduleId, isOn: boolean, now = new Date()): Promise<Outcome<null>> {
  return onSchedule(room, 'schedule.switch', id, async (db, schedule) => {
    await switchSchedule(db, id, isOn, nextTimes(schedule, now, 1)[0] ?? now);
    return { ...done, before: { isOn: schedule.isOn }, after: { isOn } };
  });
}

export function removeSchedule(room: Room, id: ScheduleId): Promise<Outcome<null>> {
  return onSchedule(room, 'schedule.remove', id, async (db, schedule) => {
    await dropSchedule(db, id);
    return { ...done, before: saidOf(schedule) };
  });
}

const gone = 'The schedule was removed meanwhile.';

function onSchedule(
  room: Room,
  act: ActName,
  id: ScheduleId,
  work: (db: Parameters<typeof dropSchedule>[0], schedule: ScheduleRow) => Promise<Outcome<null>>,
): Promise<Outcome<null>> {
  return perform<null>(room.office, room.actor, actOn(room, act, id), async (db) => {
    const schedule = await findSchedule(db, room.source.id, id);
    return schedule ? work(db, schedule) : { problem: gone };
  });
}

function actOn({ source }: Room, act: ActName, id: ScheduleId | null): Act {
  return { act, right: 'keepSources', source, object: id === null ? 'a new schedule' : `schedule ${id}` };
}

function saidOf({ cron, zone, depth }: Wanted): Wanted {
  return { cron, zone, depth };
}

/** What the clock needs. */
export type Clock = Pick<Office, 'store'> & { readonly enqueue: (job: 'survey', id: number) => Promise<void> };

/**
 * Asks for the surveys that are due. One that was missed is made up for once; while a survey of the source is on its way no
 * other is asked for; two workers never ask for the same. One that the queue loses goes on when its job recovers.
 */
export async function askForWhatIsDue({ store, enqueue }: Clock, now: Date): Promise<void> {
  const asked = await inTransaction(async (db) => {
    const surveys: SurveyId[] = [];
    for (const schedule of await takeDue(db, now)) {
      const nextAt = nextTimes(schedule, now, 1)[0] ?? now;
      const source = await lockSource(db, schedule.sourceId);
      const busy = source === null || (await findUnfinished(db, schedule.sourceId)) !== null;
      const by = `schedule: ${scheduleInWords(schedule)}`;
      const survey = busy
        ? null
        : await askForSurvey(db, { source: schedule.sourceId, depth: schedule.depth, by, schedule: schedule.id });
      await noteAsked(db, schedule.id, survey, nextAt);
      if (survey === null || source === null) continue;
      surveys.push(survey);
      const act = { act: 'survey.ask' as const, source, object: `survey ${survey}` };
      await write(db, pawlItself('worker'), act, { outcome: 'done', after: { schedule: schedule.id, depth: schedule.depth } });
    }
    return surveys;
  }, store);
  for (const survey of asked) await enqueue('survey', survey);
}

/** What failed is tried again before its next time, each time later; what went well begins anew. */
export async function countWhatFailed({ store }: Pick<Clock, 'store'>, now: Date): Promise<void> {
  await inTransaction(async (db) => {
    for (const schedule of await takeEnded(db)) {
      const failures = schedule.lastState === 'failed' ? schedule.failures + 1 : 0;
      const nextAt = failures === 0 ? (nextTimes(schedule, now, 1)[0] ?? now) : nextAfterFailures(schedule, now, failures);
      await noteEnded(db, schedule.id, failures, nextAt);
    }
  }, store);
}
