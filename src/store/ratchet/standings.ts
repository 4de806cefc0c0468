// Where a source stood at the end of each survey.

import type { Soundness } from '../../core/ratchet/soundness';
import type { Cells, Count, Happened, Standing, Turned } from '../../core/ratchet/standing';
import { type Db, findRow, rowsOf } from '../db';
import type { SourceId, SurveyId } from '../ids';

/** What the next standing is held against. */
export interface LastStanding {
  readonly survey: SurveyId;
  /** How the rules were set, as digests. */
  readonly terms: Readonly<Record<string, string>>;
  readonly lastEvent: number;
  /** Null of a survey from before this was kept. */
  readonly cells: Cells | null;
}

export function findLastStanding(db: Db, source: SourceId): Promise<LastStanding | null> {
  return findRow(
    db,
    `select survey_id as survey, terms, last_event as "lastEvent", cells from standings where source_id = $1 order by survey_id desc limit 1`,
    [source],
  );
}

/** What happened to findings of a source after an event, in order; comments are no happening. */
export function listHappened(db: Db, source: SourceId, after: number): Promise<readonly Happened[]> {
  return rowsOf(
    db,
    `select table_id as "table", concern, rule, from_state as "from", to_state as "to"
     from finding_events
     join findings on findings.id = finding_id
     where source_id = $1 and finding_events.id > $2 and kind = 'state'
     order by finding_events.id`,
    [source, after],
  );
}

export function countStates(db: Db, source: SourceId): Promise<readonly Count[]> {
  return rowsOf(
    db,
    `select concern, severity, state, count(*) as findings from findings where source_id = $1 group by concern, severity, state
     order by concern, severity, state`,
    [source],
  );
}

interface NewStanding extends Standing {
  readonly terms: Readonly<Record<string, string>>;
  readonly cells: Cells;
}

/** Once a survey; the cells of those before it are let go. */
export async function keepStanding(db: Db, source: SourceId, survey: SurveyId, standing: NewStanding): Promise<void> {
  const { counts, soundness, turned, terms, cells } = standing;
  await db.query('update standings set cells = null where source_id = $1 and cells is not null', [source]);
  await db.query(
    `insert into standings (survey_id, source_id, counts, soundness, turned, terms, last_event, cells)
     values ($1, $2, $3, $4, $5, $6, coalesce((select max(id) from finding_events), 0), $7)
     on conflict (survey_id) do nothing`,
    [survey, source, ...[counts, soundness, turned, terms].map((part) => JSON.stringify(part)), JSON.stringify(cells)],
  );
}

export interface StandingRow {
  readonly survey: SurveyId;
  readonly at: string;
  readonly depth: string;
  /** True when it looked at some tables alone. */
  readonly partial: boolean;
  /** The docket after which it was taken. */
  readonly docket: number | null;
  readonly counts: readonly Count[];
  readonly soundness: Soundness | null;
  readonly turned: readonly Turned[];
}

/** The last `most` of a source, oldest first. */
export async function listStandings(db: Db, source: SourceId, most: number): Promise<readonly StandingRow[]> {
  const rows = await rowsOf<StandingRow>(
    db,
    `select survey_id as survey, at, depth, scope is not null as partial, docket_id as docket, counts, soundness, turned
     from standings
     join surveys on surveys.id = survey_id
     where standings.source_id = $1
     order by survey_id desc
     limit $2`,
    [source, most],
  );
  return rows.toReversed();
}

/** As the last survey left it; null before there is one. */
export async function findSoundness(db: Db, source: SourceId): Promise<Soundness | null> {
  const row = await findRow<{ soundness: Soundness | null }>(
    db,
    'select soundness from standings where source_id = $1 order by survey_id desc limit 1',
    [source],
  );
  return row?.soundness ?? null;
}
