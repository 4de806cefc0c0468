import { openStates } from '../../core/ratchet/states';
import { type Db, getRow } from '../db';

/** Every table by name, and every cell that has something in it: as JSON that the server wrote, for `readCoverage` of the core. */
export async function coverageBoard(db: Db, source: number): Promise<{ readonly tables: string; readonly cells: string }> {
  const { tables, cells } = await getRow<{ tables: string | null; cells: string | null }>(
    db,
    `select
       (select json_agg(json_build_array(table_id, schema_name, table_name, row_count, bytes, not_measured) order by schema_name, table_name)
        from surveyed_tables where source_id = $1)::text as tables,
       (select json_agg(json_build_array(table_id, concern, open, held, slipped, worst))
        from (
          select table_id, concern,
            count(*) filter (where state = any($2)) as open,
            count(*) filter (where state = 'Held') as held,
            count(*) filter (where state = 'Slipped') as slipped,
            (array['Critical', 'Serious', 'Moderate', 'Minor'])[
              min(array_position(array['Critical', 'Serious', 'Moderate', 'Minor'], severity)) filter (where state = any($2))
            ] as worst
          from findings
          where source_id = $1 and state <> 'Lapsed'
          group by table_id, concern
        ) as cell)::text as cells`,
    [source, openStates],
  );
  return { tables: tables ?? '[]', cells: cells ?? '[]' };
}
