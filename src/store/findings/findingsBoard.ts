import type { FindingState } from '../../core/ratchet/states';
import { unscripted } from '../../core/remedies/index';
import { type Db, getRow } from '../db';
import type { SourceId } from '../ids';

/**
 * All findings in these states as JSON that the server wrote, a list for each column, for `readFindings` of
 * the core to read: twenty thousand objects would take the web server longer to make and to write again
 * than to hand on, and the database longer to write one by one.
 */
export async function findingsBoard(db: Db, source: SourceId, states: readonly FindingState[]): Promise<string> {
  const { board } = await getRow<{ board: string }>(
    db,
    `select json_build_object('id', json_agg(id), 'rule', json_agg(rule), 'concern', json_agg(concern), 'severity', json_agg(severity),
       'confidence', json_agg(confidence), 'state', json_agg(state), 'title', json_agg(title), 'measured', json_agg(measured),
       'scripted', json_agg(proposal ->> 'kind' <> all($3)),
       'place', json_agg(place), 'table', json_agg(table_id), 'carer', json_agg(cared_by), 'due', json_agg(due), 'change', json_agg(change_reference))::text as board
     from findings
     where source_id = $1 and state = any($2)`,
    [source, states, unscripted],
  );
  return board;
}
