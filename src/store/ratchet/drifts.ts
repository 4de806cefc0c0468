// What was declared otherwise from survey to survey without a docket, and what people said of it.

import type { Difference } from '../../core/ratchet/differences';
import { type Db, findRow, rowsOf } from '../db';
import type { DriftId, SourceId, SurveyId } from '../ids';

export interface DriftRow extends Difference {
  readonly id: DriftId;
  readonly survey: SurveyId;
  readonly since: SurveyId | null;
  /** When the survey saw it. */
  readonly at: string;
  readonly acknowledgedBy: string | null;
  readonly acknowledgedAt: string | null;
  readonly reason: string | null;
  /** Findings of its table that the same survey opened, and ended. */
  readonly opened: number;
  readonly ended: number;
}

const shown = `select drifts.id, survey_id as survey, since_survey_id as since, coalesce(finished_at, started_at, asked_at) as at,
       kind, drifts.table_id as "table", name, change, was, is_now as "is",
       acknowledged_by as "acknowledgedBy", acknowledged_at as "acknowledgedAt", drifts.reason,
       coalesce(opened, 0) as opened, coalesce(ended, 0) as ended
     from drifts
     join surveys on surveys.id = survey_id
     left join (
       select finding_events.survey_id as of_survey, findings.table_id as of_table,
         count(*) filter (where to_state in ('Open', 'Slipped') and coalesce(from_state, '') not in ('Applied', 'Waived')) as opened,
         count(*) filter (where to_state in ('Held', 'Lapsed')) as ended
       from finding_events join findings on findings.id = finding_id
       where findings.source_id = $1 and finding_events.kind = 'state' and finding_events.survey_id is not null
       group by finding_events.survey_id, findings.table_id
     ) as events on of_survey = survey_id and of_table = drifts.table_id`;

/** More than that a person does not read one by one. */
const most = 2_000;

export async function keepDrifts(
  db: Db,
  { source, survey, since }: { readonly source: SourceId; readonly survey: SurveyId; readonly since: SurveyId },
  differences: readonly Difference[],
): Promise<void> {
  const kept = differences.slice(0, most);
  await db.query(
    `insert into drifts (source_id, survey_id, since_survey_id, kind, table_id, name, change, was, is_now)
     select $1, $2, $3, d.kind, d.table_id, d.name, d.change, d.was, d.is_now
     from unnest($4::text[], $5::text[], $6::text[], $7::text[], $8::text[], $9::text[]) as d (kind, table_id, name, change, was, is_now)`,
    [
      ...[source, survey, since],
      kept.map(({ kind }) => kind),
      kept.map(({ table }) => table),
      kept.map(({ name }) => name),
      kept.map(({ change }) => change),
      kept.map(({ was }) => was),
      kept.map(({ is }) => is),
    ],
  );
}

/** The last first. */
export function listDrifts(db: Db, source: SourceId, limit: number): Promise<readonly DriftRow[]> {
  return rowsOf(db, `${shown} where drifts.source_id = $1 order by drifts.id desc limit $2`, [source, limit]);
}

export function findDrift(db: Db, source: SourceId, id: DriftId): Promise<DriftRow | null> {
  return findRow(db, `${shown} where drifts.source_id = $1 and drifts.id = $2`, [source, id]);
}

/** Those of a source that nobody has acknowledged; the others are left as they are. The answer is how many it were. */
export async function acknowledgeDrifts(
  db: Db,
  source: SourceId,
  ids: readonly DriftId[],
  { by, reason }: { readonly by: string; readonly reason: string },
): Promise<number> {
  const { rowCount } = await db.query(
    `update drifts set acknowledged_by = $3, acknowledged_at = now(), reason = $4
     where source_id = $1 and id = any($2) and acknowledged_at is null`,
    [source, ids, by, reason],
  );
  return rowCount ?? 0;
}

export interface Ran {
  readonly docket: number;
  readonly direction: 'forward' | 'back';
}

/** What dockets of a source were run since a survey began, in order. */
export function listRunsSince(db: Db, source: SourceId, survey: SurveyId): Promise<readonly Ran[]> {
  return rowsOf(
    db,
    `select docket_id as docket, direction
     from runs join dockets on dockets.id = docket_id
     where source_id = $1 and (runs.finished_at is null or runs.finished_at >= (select coalesce(started_at, asked_at) from surveys where id = $2))
     order by runs.id`,
    [source, survey],
  );
}
