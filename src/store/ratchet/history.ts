// What happened to a docket, and to a table, in order: gathered from where each of it stands on record.

import { type Difference, differenceInWords } from '../../core/ratchet/differences';
import { type Db, rowsOf } from '../db';
import type { DocketId, DriftId, FindingRowId, SourceId, SurveyId } from '../ids';

export interface DocketEvent {
  readonly at: string;
  /** What happened: `made`, `rehearsed`, `signed`, `run forward asked for`. */
  readonly what: string;
  readonly by: string | null;
  readonly note: string | null;
  readonly went: 'well' | 'wrong' | null;
}

/** The first first. */
export function listDocketEvents(db: Db, docket: DocketId): Promise<readonly DocketEvent[]> {
  return rowsOf(
    db,
    `select at, what, by, note, went from (
       select 1 as part, created_at as at, 'made' as what, null as by, null as note, null as went from dockets where id = $1
       union all
       select 2, min(at), case to_state when 'Open' then 'taken out, or open again' else lower(to_state) end, person,
         count(*) || case count(*) when 1 then ' finding' else ' findings' end,
         case when to_state in ('Applied', 'Held') then 'well' when to_state = 'Slipped' then 'wrong' end
       from finding_events where docket_id = $1 and kind = 'state' group by date_trunc('second', at), to_state, person
       union all
       select 3, asked_at, 'rehearsal asked for', asked_by, server, null from rehearsals where docket_id = $1
       union all
       select 4, finished_at, case state when 'held' then 'rehearsed: it holds' else 'rehearsed: it does not hold' end, null, problem,
         case state when 'held' then 'well' else 'wrong' end
       from rehearsals where docket_id = $1 and finished_at is not null
       union all
       select 5, said_at, 'backed up', said_by, place, null from docket_backups where docket_id = $1
       union all
       select 6, signed_at, 'signed', signed_by, signed_for, 'well' from dockets where id = $1 and signed_at is not null
       union all
       select 6, formerly_signed_at, 'signed elsewhere, or by an earlier version', formerly_signed_by, 'does not count any more', null
       from dockets where id = $1 and formerly_signed_at is not null
       union all
       select 7, asked_at, case when elsewhere then 'run elsewhere' else 'run asked for' end || ': ' || direction, asked_by, user_name, null
       from runs where docket_id = $1
       union all
       select 8, finished_at, 'run ' || direction || ': ' || state, null, problem, case state when 'done' then 'well' else 'wrong' end
       from runs where docket_id = $1 and finished_at is not null and not elsewhere
       union all
       select 9, cleared_at, 'what was kept for the way back dropped', null, null, null from dockets where id = $1 and cleared_at is not null
     ) as events
     order by at, part`,
    [docket],
  );
}

export interface FindingEvent {
  readonly at: string;
  readonly finding: string;
  readonly rule: string;
  readonly place: string;
  readonly kind: string;
  readonly from: string | null;
  readonly to: string;
  readonly by: string | null;
  readonly reason: string | null;
  readonly survey: SurveyId | null;
  readonly docket: DocketId | null;
}

export const findingEventColumns = [
  ...['at', 'finding', 'rule', 'place', 'kind', 'from', 'to', 'by', 'reason', 'survey', 'docket'],
] as const;

/** All that happened to the findings of a source, the first first. */
export function listHistory(db: Db, source: SourceId, limit: number): Promise<readonly FindingEvent[]> {
  return rowsOf(
    db,
    `select finding_events.at, identity as finding, rule, place, kind, from_state as "from", to_state as "to", person as by,
       finding_events.reason, survey_id as survey, docket_id as docket
     from findings join finding_events on finding_id = findings.id
     where source_id = $1
     order by finding_events.id
     limit $2`,
    [source, limit],
  );
}

export interface TableEvent {
  readonly at: string;
  /** A state, or `changed` of what is declared. */
  readonly what: string;
  /** What it was about. */
  readonly about: string;
  readonly by: string | null;
  readonly reason: string | null;
  readonly finding: FindingRowId | null;
  readonly drift: DriftId | null;
  readonly survey: SurveyId | null;
  readonly docket: DocketId | null;
}

/** What became of the findings of a table, and what was declared otherwise without a docket; the last first. */
export async function listTableEvents(db: Db, source: SourceId, table: string, limit: number): Promise<readonly TableEvent[]> {
  type Row = TableEvent & Pick<Difference, 'kind' | 'name' | 'change' | 'was' | 'is'>;
  const rows = await rowsOf<Row>(
    db,
    `select at, what, about, by, reason, finding, drift, survey, docket, kind, name, change, was, is_now as "is" from (
       select finding_events.at, finding_events.id as n, to_state as what, title || ': ' || place as about, person as by, finding_events.reason,
         findings.id as finding, null::bigint as drift, survey_id as survey, docket_id as docket,
         null as kind, null as name, null as change, null as was, null as is_now
       from findings join finding_events on finding_id = findings.id and finding_events.kind = 'state'
       where source_id = $1 and table_id = $2
       union all
       select coalesce(finished_at, started_at, asked_at), 0, 'changed', '', acknowledged_by, reason,
         null, drifts.id, survey_id, null, drifts.kind, name, change, was, is_now
       from drifts join surveys on surveys.id = survey_id
       where drifts.source_id = $1 and table_id = $2
     ) as events
     order by at desc, n desc
     limit $3`,
    [source, table, limit],
  );
  return rows.map(({ kind, name, change, was, is, ...event }) =>
    event.drift === null ? event : { ...event, about: differenceInWords({ kind, table: null, name, change, was, is }) },
  );
}
