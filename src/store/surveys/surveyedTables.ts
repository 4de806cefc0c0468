import { baseTables } from '../../core/catalogue/lookups';
import type { Catalogue } from '../../core/catalogue/model';
import { type Evidence, profileOf } from '../../core/evidence/evidence';
import { tableId, tableNames, type TableId } from '../../core/catalogue/identifiers';
import type { SurveyedTable } from '../../core/survey/boards';
import type { SurveyDocument } from '../../core/survey/document';
import { type Db, findRow, rowsOf } from '../db';
import type { SourceId } from '../ids';

export interface Surveyed {
  readonly catalogue: Catalogue;
  readonly evidence: Evidence;
  readonly unmeasured: SurveyDocument['notMeasured'];
  readonly scope: ReadonlySet<TableId> | null;
}

/** Keeps the tables as a survey saw them. Those outside its scope keep their row counts. */
export async function keepTables(db: Db, source: SourceId, { catalogue, evidence, unmeasured, scope }: Surveyed): Promise<void> {
  const tables = baseTables(catalogue);
  const reasons = new Map(unmeasured.map((t) => [tableId(t.schema, t.table), t.reason]));
  await db.query('delete from surveyed_tables where source_id = $1 and table_id <> all($2)', [source, tables.map((t) => t.id)]);
  await db.query(
    `insert into surveyed_tables (source_id, table_id, schema_name, table_name, row_count, bytes, column_names, not_measured)
     select $1, t.id, t.schema, t.name, t.rows, t.bytes, array(select jsonb_array_elements_text(t.columns::jsonb)), t.not_measured
     from unnest($2::text[], $3::text[], $4::text[], $5::float8[], $6::float8[], $7::text[], $8::text[])
       as t (id, schema, name, rows, bytes, columns, not_measured)
     on conflict (source_id, table_id) do update
       set row_count = coalesce(excluded.row_count, surveyed_tables.row_count), bytes = excluded.bytes, column_names = excluded.column_names,
         not_measured = case when $9::text[] is null or excluded.table_id = any($9) then excluded.not_measured else surveyed_tables.not_measured end`,
    [
      source,
      tables.map((t) => t.id),
      tables.map((t) => t.schema),
      tables.map((t) => t.name),
      tables.map((t) => profileOf(evidence, t.id)?.result.rows ?? (scope ? null : t.estimatedRows)),
      tables.map((t) => t.bytes),
      tables.map((t) => JSON.stringify(t.columns.map((c) => c.name))),
      tables.map((t) => reasons.get(t.id) ?? null),
      scope ? [...scope] : null,
    ],
  );
}

/** What is kept of tables goes on under the names that they have now. */
export async function renameTables(db: Db, source: SourceId, renamed: ReadonlyMap<TableId, TableId>): Promise<void> {
  const ids = [...renamed.values()];
  await db.query(
    `update surveyed_tables
     set table_id = now.id, schema_name = now.schema, table_name = now.name
     from unnest($2::text[], $3::text[], $4::text[], $5::text[]) as now (was, id, schema, name)
     where source_id = $1 and table_id = now.was
       and not exists (select 1 from surveyed_tables other where other.source_id = $1 and other.table_id = now.id)`,
    [source, [...renamed.keys()], ids, ids.map((id) => tableNames(id).schema), ids.map((id) => tableNames(id).table)],
  );
}

/** The columns of each table as they were last seen. */
export function listColumnNames(
  db: Db,
  source: SourceId,
): Promise<readonly { readonly id: TableId; readonly columns: readonly string[] }[]> {
  return rowsOf(db, 'select table_id as id, column_names as columns from surveyed_tables where source_id = $1', [source]);
}

export function listTables(db: Db, source: SourceId): Promise<readonly SurveyedTable[]> {
  return rowsOf(
    db,
    `select table_id as id, schema_name as schema, table_name as name, row_count as rows, bytes, not_measured as "notMeasured"
     from surveyed_tables where source_id = $1 order by schema_name, table_name`,
    [source],
  );
}

export async function countTables(db: Db, source: SourceId): Promise<number> {
  return (
    (await findRow<{ count: number }>(db, 'select count(*) as count from surveyed_tables where source_id = $1', [source]))
      ?.count ?? 0
  );
}

export interface FoundName {
  readonly id: TableId;
  readonly column: string | null;
}

/** Tables, then columns, whose name holds the text. */
export function searchNames(db: Db, source: SourceId, text: string, limit: number): Promise<readonly FoundName[]> {
  return rowsOf(
    db,
    `(select table_id as id, null as column
      from surveyed_tables
      where source_id = $1 and position(lower($2) in lower(schema_name || '.' || table_name)) > 0
      order by length(table_name), table_id
      limit $3)
     union all
     (select table_id, name
      from surveyed_tables
      cross join unnest(column_names) as name
      where source_id = $1 and $2 <> '' and position(lower($2) in lower(name)) > 0
        -- Tables that have none of them are passed over whole.
        and position(lower($2) in lower(array_to_string(column_names, ' '))) > 0
      order by length(name), table_id
      limit $3)`,
    [source, text, limit],
  );
}
