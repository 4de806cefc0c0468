import { openStates } from '../../core/ratchet/states';
import { severities } from '../../core/rules/finding';
import { type Db, getRow } from '../db';
import type { SourceId } from '../ids';

/** Every table by name, and every cell that has something in it: as JSON that the server wrote, a list for each column, for `readCoverage` of the core. */
export async function coverageBoard(db: Db, source: SourceId): Promise<{ readonly tables: string; readonly cells: string }> {
  const { tables, cells } = await getRow<{ tables: string; cells: string }>(
    db,
    `select
       (select json_build_object('id', json_agg(table_id), 'schema', json_agg(schema_name), 'name', json_agg(table_name),
          'rows', json_agg(row_count), 'bytes', json_agg(bytes), 'notMeasured', json_agg(not_measured))
        from surveyed_tables where source_id = $1)::text as tables,
       (select json_build_object('tableId', json_agg(table_id), 'concern', json_agg(concern), 'open', json_agg(open),
          'held', json_agg(held), 'slipped', json_agg(slipped), 'worst', json_agg(worst))
        from (
          select table_id, concern,
            count(*) filter (where state = any($2)) as open,
            count(*) filter (where state = 'Held') as held,
            count(*) filter (where state = 'Slipped') as slipped,
            ($3::text[])[min(array_position($3::text[], severity)) filter (where state = any($2))] as worst
          from findings
          where source_id = $1 and state <> 'Lapsed'
          group by table_id, concern
        ) as cell)::text as cells`,
    [source, openStates, severities],
  );
  return { tables, cells };
}
