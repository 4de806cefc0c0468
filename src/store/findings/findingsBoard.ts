import type { FindingState } from '../../core/ratchet/states';
import { type Db, getRow } from '../db';

/**
 * All findings in these states, worst first, then the surest: as JSON that the server wrote, for
 * `readFindings` of the core to read. Twenty thousand objects would take the web server longer to make and to
 * write again than to hand on.
 */
export async function findingsBoard(db: Db, source: number, states: readonly FindingState[]): Promise<string> {
  const { board } = await getRow<{ board: string | null }>(
    db,
    `select json_agg(
       json_build_array(id, rule, concern, severity, confidence, state, title, measured, place, table_id)
       order by array_position(array['Critical', 'Serious', 'Moderate', 'Minor'], severity), confidence desc, table_id, id
     )::text as board
     from findings
     where source_id = $1 and state = any($2)`,
    [source, states],
  );
  return board ?? '[]';
}
