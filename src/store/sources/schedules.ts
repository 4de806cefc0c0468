// Surveys that are asked for by the clock.

import type { Depth } from '../../core/evidence/requests';
import type { Schedule } from '../../core/ratchet/schedule';
import { type Db, findRow, getRow, rowsOf } from '../db';
import type { ScheduleId, SourceId, SurveyId } from '../ids';
import type { SurveyState } from '../surveys/surveys';

export interface ScheduleRow extends Schedule {
  readonly id: ScheduleId;
  readonly sourceId: SourceId;
  readonly depth: Depth;
  readonly isOn: boolean;
  readonly keptBy: string;
  readonly nextAt: string;
  /** How often it has failed in a row. */
  readonly failures: number;
  readonly lastSurvey: SurveyId | null;
  readonly lastState: SurveyState | null;
  readonly lastProblem: string | null;
  readonly lastAt: string | null;
}

const shown = `schedules.id, schedules.source_id as "sourceId", cron, zone, schedules.depth, is_on as "isOn", kept_by as "keptBy", next_at as "nextAt", failures,
  last_survey_id as "lastSurvey", surveys.state as "lastState", surveys.problem as "lastProblem", surveys.asked_at as "lastAt"`;
const all = 'schedules left join surveys on surveys.id = last_survey_id';

export function listSchedules(db: Db, source: SourceId): Promise<readonly ScheduleRow[]> {
  return rowsOf(db, `select ${shown} from ${all} where schedules.source_id = $1 order by schedules.id`, [source]);
}

export function findSchedule(db: Db, source: SourceId, id: ScheduleId): Promise<ScheduleRow | null> {
  return findRow(db, `select ${shown} from ${all} where schedules.source_id = $1 and schedules.id = $2`, [source, id]);
}

/** When the clock asks for a survey of a source next; null when it never does. */
export async function findNextDue(db: Db, source: SourceId): Promise<string | null> {
  const { next } = await getRow<{ next: string | null }>(
    db,
    'select min(next_at) as next from schedules where source_id = $1 and is_on',
    [source],
  );
  return next;
}

export interface KeptSchedule extends Schedule {
  readonly depth: Depth;
  readonly keptBy: string;
  readonly nextAt: Date;
}

export async function addSchedule(
  db: Db,
  source: SourceId,
  { cron, zone, depth, keptBy, nextAt }: KeptSchedule,
): Promise<ScheduleId> {
  const { id } = await getRow<{ id: ScheduleId }>(
    db,
    'insert into schedules (source_id, cron, zone, depth, kept_by, next_at) values ($1, $2, $3, $4, $5, $6) returning id',
    [source, cron, zone, depth, keptBy, nextAt],
  );
  return id;
}

export async function keepSchedule(db: Db, id: ScheduleId, { cron, zone, depth, keptBy, nextAt }: KeptSchedule): Promise<void> {
  await db.query(
    `update schedules set cron = $2, zone = $3, depth = $4, kept_by = $5, next_at = $6, kept_at = now(), failures = 0 where id = $1`,
    [id, cron, zone, depth, keptBy, nextAt],
  );
}

export async function switchSchedule(db: Db, id: ScheduleId, isOn: boolean, nextAt: Date): Promise<void> {
  await db.query('update schedules set is_on = $2, next_at = $3, failures = 0 where id = $1', [id, isOn, nextAt]);
}

export async function dropSchedule(db: Db, id: ScheduleId): Promise<void> {
  await db.query('delete from schedules where id = $1', [id]);
}

/** Schedules that are due, each held until the transaction ends; one that another worker holds is left to it. */
export function takeDue(db: Db, now: Date): Promise<readonly ScheduleRow[]> {
  return rowsOf(
    db,
    `select ${shown} from ${all}
     join sources on sources.id = schedules.source_id and sources.archived_at is null
     where is_on and next_at <= $1
     order by next_at
     for update of schedules skip locked`,
    [now],
  );
}

/** Those whose last survey failed, or went well after some that had, and that nobody has counted yet; held like those that are due. */
export function takeEnded(db: Db): Promise<readonly ScheduleRow[]> {
  return rowsOf(
    db,
    `select ${shown} from ${all}
     where surveys.state in ('done', 'failed') and counted_survey_id is distinct from last_survey_id
     for update of schedules skip locked`,
  );
}

/** `survey`: the one that was asked for; null where one of somebody else's was on its way. */
export async function noteAsked(db: Db, id: ScheduleId, survey: SurveyId | null, nextAt: Date): Promise<void> {
  await db.query('update schedules set last_survey_id = coalesce($2, last_survey_id), next_at = $3 where id = $1', [
    id,
    survey,
    nextAt,
  ]);
}

export async function noteEnded(db: Db, id: ScheduleId, failures: number, nextAt: Date): Promise<void> {
  await db.query('update schedules set counted_survey_id = last_survey_id, failures = $2, next_at = $3 where id = $1', [
    id,
    failures,
    nextAt,
  ]);
}
