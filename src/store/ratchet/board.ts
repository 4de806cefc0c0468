// What the station Ratchet asks of the record beside where the source stood.

import { type FindingState, openStates } from '../../core/ratchet/states';
import type { Difference } from '../../core/ratchet/differences';
import { severities, type Severity } from '../../core/rules/finding';
import { type Db, rowsOf } from '../db';
import type { DocketId, FindingRowId, SourceId } from '../ids';

/** A finding as a line of the station. */
export interface TrackedLine {
  readonly id: FindingRowId;
  readonly title: string;
  readonly place: string;
  readonly severity: Severity;
  readonly state: FindingState;
  readonly firstSeenAt: string;
  readonly stateAt: string;
  readonly reason: string | null;
  readonly caredBy: string | null;
  readonly due: string | null;
  readonly reference: string | null;
}

const shown = `findings.id, title, place, severity, state, first_seen_at as "firstSeenAt", state_at as "stateAt", findings.reason,
  cared_by as "caredBy", due::text, change_reference as reference`;

export interface SlippedLine extends TrackedLine {
  /** The docket that had mended it; null where none had. */
  readonly mendedBy: DocketId | null;
  /** When it was last seen to be held. */
  readonly heldAt: string | null;
  /** What the survey that heard it found to be declared otherwise in its table, likeliest first; null where nothing was. */
  readonly drift: Difference | null;
}

/** Heard last first. */
export function listSlipped(db: Db, source: SourceId, most: number): Promise<readonly SlippedLine[]> {
  return rowsOf(
    db,
    `select ${shown},
       (select docket_id from finding_events where finding_id = findings.id and docket_id is not null and to_state in ('Applied', 'Held') order by id desc limit 1) as "mendedBy",
       (select at from finding_events where finding_id = findings.id and to_state = 'Held' order by id desc limit 1) as "heldAt",
       (select json_build_object('kind', kind, 'table', table_id, 'name', name, 'change', change, 'was', was, 'is', is_now)
        from drifts
        where drifts.source_id = $1 and drifts.table_id = findings.table_id and survey_id = (
          select survey_id from finding_events where finding_id = findings.id and to_state = 'Slipped' order by id desc limit 1
        )
        order by name = any(array(select jsonb_array_elements_text(object -> 'columns'))) desc, kind = 'constraint' desc, change = 'gone' desc, drifts.id
        limit 1) as drift
     from findings
     where source_id = $1 and state = 'Slipped'
     order by state_at desc, array_position($3::text[], severity), findings.id
     limit $2`,
    [source, most, severities],
  );
}

/** Open for longest, of those of Moderate or worse. */
export function listOldest(db: Db, source: SourceId, most: number): Promise<readonly TrackedLine[]> {
  return rowsOf(
    db,
    `select ${shown}
     from findings
     where source_id = $1 and state = any($3) and severity <> 'Minor'
     order by first_seen_at, array_position($4::text[], severity), id
     limit $2`,
    [source, most, openStates, severities],
  );
}

/** Promised for a day, the next first. */
export function listPromised(db: Db, source: SourceId, most: number): Promise<readonly TrackedLine[]> {
  return rowsOf(
    db,
    `select ${shown} from findings where source_id = $1 and state = any($3) and due is not null order by due, id limit $2`,
    [source, most, openStates],
  );
}

export interface Carer {
  /** Null for those that nobody sees to. */
  readonly by: string | null;
  readonly findings: number;
  readonly overdue: number;
}

/** Who sees to how many open findings, those with most first. `today` in ISO 8601. */
export function listCarers(db: Db, source: SourceId, today: string): Promise<readonly Carer[]> {
  return rowsOf(
    db,
    `select cared_by as by, count(*) as findings, count(*) filter (where due < $3::date) as overdue
     from findings where source_id = $1 and state = any($2)
     group by cared_by order by cared_by is null, count(*) desc, cared_by
     limit 50`,
    [source, openStates, today],
  );
}
