import type { FindingState } from '../../core/ratchet/states';
import type { Severity } from '../../core/rules/finding';
import { type Db, rowsOf } from '../db';
import type { FindingRowId, SourceId, SurveyId } from '../ids';

/** A finding that is in another state on one side than on the other; null where it is not known. */
export interface FindingChange {
  /** Null of another source's. */
  readonly id: FindingRowId | null;
  readonly rule: string;
  readonly severity: Severity;
  readonly place: string;
  readonly here: FindingState | null;
  readonly there: FindingState | null;
}

/** What findings were when a survey of their source had ended, and when another had, where that is not the same. */
export function listChangesBetween(db: Db, source: SourceId, here: SurveyId, there: SurveyId): Promise<readonly FindingChange[]> {
  const stateAfter = (survey: string) => `(
    select to_state from finding_events
    where finding_id = findings.id and kind = 'state' and at <= (select coalesce(finished_at, now()) from surveys where id = ${survey})
    order by id desc limit 1)`;
  return rowsOf(
    db,
    `select id, rule, severity, place, here, there
     from (
       select id, rule, severity, place, ${stateAfter('$2')} as here, ${stateAfter('$3')} as there from findings where source_id = $1
     ) as states
     where here is distinct from there
     order by array_position(array['Critical', 'Serious', 'Moderate', 'Minor'], severity), place, rule
     limit 2000`,
    [source, here, there],
  );
}
