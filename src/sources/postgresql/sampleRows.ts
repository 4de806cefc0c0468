// The rows of a copy that is smaller than its source: small tables whole, of large ones a sample, and every parent
// that a row of the sample refers to, through all levels, so that what holds in the source holds in the copy. Rows
// are told by their place, in one snapshot.

import { pipeline } from 'node:stream/promises';
import type pg from 'pg';
import { from as copyFrom, to as copyTo } from 'pg-copy-streams';
import { quote, quoteTable } from '../../core/engines/postgresql/quote';
import type { Reference } from '../../core/catalogue/model';
import { type TableId, tableId } from '../../core/catalogue/identifiers';
import type { Sampled } from '../run/scratch';
import { SourceError } from '../SourceError';

export interface SampleOptions {
  readonly mostBytes: number;
  /** References that are not declared, but that the rows have to keep to as well. */
  readonly also: readonly (Reference & { readonly child: TableId })[];
  readonly signal?: AbortSignal | undefined;
}

interface SampledTable {
  /** `oid` as text: how rows say which table, or partition, they are in. */
  readonly oid: string;
  readonly schema: string;
  readonly name: string;
  readonly bytes: number;
  readonly rows: number;
  readonly columns: readonly string[];
}

const placesAtOnce = 5_000;
/** Tables up to here are copied whole. */
const smallBytes = 4 * 1_048_576;

/** Fills the tables of a copy, which has no constraints yet. `reader` is in a transaction that sees one snapshot. Throws SourceError when stopped. */
export async function copySample(
  reader: pg.Client,
  target: pg.Client,
  { mostBytes, also, signal }: SampleOptions,
): Promise<Sampled> {
  const tables = await tablesOf(reader);
  const whole = tables.reduce((sum, table) => sum + table.bytes, 0);
  const small = tables.filter((table) => table.bytes <= smallBytes);
  const left = Math.max(0, mostBytes / 2 - small.reduce((sum, table) => sum + table.bytes, 0));
  const share = Math.min(1, left / Math.max(1, whole - small.reduce((sum, table) => sum + table.bytes, 0)));

  const chosen = new Map<string, Set<string> | 'all'>();
  for (const table of tables) {
    refuseWhenStopped(signal);
    chosen.set(table.oid, table.bytes <= smallBytes ? 'all' : await sampleOf(reader, table, share));
  }
  const references = [...(await declared(reader)), ...also.map(({ child, ...reference }) => ({ child, ...reference }))];
  await addParents(reader, references, chosen, signal);

  let copied = 0;
  for (const table of tables) {
    refuseWhenStopped(signal);
    copied += await copyRows(reader, target, table, chosen.get(table.oid) ?? 'all');
  }
  return { rows: copied, ofRows: tables.reduce((sum, table) => sum + table.rows, 0) };
}

function refuseWhenStopped(signal: AbortSignal | undefined): void {
  if (signal?.aborted) throw new SourceError('The rehearsal was stopped.', 'cancelled');
}

async function tablesOf(reader: pg.Client): Promise<readonly SampledTable[]> {
  const { rows } = await reader.query<Omit<SampledTable, 'bytes' | 'rows'> & { bytes: string; rows: string }>(
    `select c.oid::text as oid, n.nspname as schema, c.relname as name, pg_catalog.pg_table_size(c.oid) as bytes,
       greatest(c.reltuples, 0)::bigint as rows,
       (select coalesce(array_agg(a.attname::text order by a.attnum), '{}') from pg_catalog.pg_attribute a
        where a.attrelid = c.oid and a.attnum > 0 and not a.attisdropped and a.attgenerated = '') as columns
     from pg_catalog.pg_class c
     join pg_catalog.pg_namespace n on n.oid = c.relnamespace
     where c.relkind = 'r' and c.relpersistence <> 't' and n.nspname not in ('pg_catalog', 'information_schema') and n.nspname not like 'pg\\_%'
       and pg_catalog.has_schema_privilege(n.oid, 'usage') and pg_catalog.has_table_privilege(c.oid, 'select')
     order by 2, 3`,
  );
  return rows.map((row) => ({ ...row, bytes: Number(row.bytes), rows: Number(row.rows) }));
}

async function sampleOf(reader: pg.Client, table: SampledTable, share: number): Promise<Set<string>> {
  const percent = Math.max(0.0001, Math.min(100, 100 * share)).toFixed(6);
  return new Set(
    await places(reader, `select ctid::text from ${named(table)} tablesample system (${percent}) repeatable (1)`, []),
  );
}

type Known = Reference & { readonly child: TableId };

async function declared(reader: pg.Client): Promise<readonly Known[]> {
  const { rows } = await reader.query<{
    schema: string;
    child: string;
    parent_schema: string;
    parent: string;
    columns: string[];
    parent_columns: string[];
  }>(
    `select n.nspname as schema, c.relname as child, pn.nspname as parent_schema, p.relname as parent,
       (select array_agg(a.attname::text order by k.i) from unnest(f.conkey) with ordinality as k (num, i)
        join pg_catalog.pg_attribute a on a.attrelid = f.conrelid and a.attnum = k.num) as columns,
       (select array_agg(a.attname::text order by k.i) from unnest(f.confkey) with ordinality as k (num, i)
        join pg_catalog.pg_attribute a on a.attrelid = f.confrelid and a.attnum = k.num) as parent_columns
     from pg_catalog.pg_constraint f
     join pg_catalog.pg_class c on c.oid = f.conrelid
     join pg_catalog.pg_namespace n on n.oid = c.relnamespace
     join pg_catalog.pg_class p on p.oid = f.confrelid
     join pg_catalog.pg_namespace pn on pn.oid = p.relnamespace
     where f.contype = 'f' and f.conparentid = 0
       and pg_catalog.has_schema_privilege(n.oid, 'usage') and pg_catalog.has_table_privilege(c.oid, 'select')
       and pg_catalog.has_schema_privilege(pn.oid, 'usage') and pg_catalog.has_table_privilege(p.oid, 'select')`,
  );
  return rows.map((row) => ({
    child: tableId(row.schema, row.child),
    columns: row.columns,
    parent: tableId(row.parent_schema, row.parent),
    parentColumns: row.parent_columns,
  }));
}

// Until nobody is without a parent that the source has.
async function addParents(
  reader: pg.Client,
  references: readonly Known[],
  chosen: Map<string, Set<string> | 'all'>,
  signal: AbortSignal | undefined,
): Promise<void> {
  let fresh = new Map([...chosen].flatMap(([oid, rows]) => (rows === 'all' ? [] : [[oid, rows] as const])));
  // Small tables are there whole, and so are their parents to be.
  let wholeToo = new Set([...chosen].flatMap(([oid, rows]) => (rows === 'all' ? [oid] : [])));
  while (fresh.size > 0 || wholeToo.size > 0) {
    const next = new Map<string, Set<string>>();
    for (const reference of references) {
      for (const [oid, rows] of [...[...wholeToo].map((oid) => [oid, null] as const), ...fresh]) {
        refuseWhenStopped(signal);
        const all = rows === null ? null : [...rows];
        for (let from = 0; from < (all?.length ?? 1); from += placesAtOnce) {
          const found = await parentsOf(reader, reference, oid, all?.slice(from, from + placesAtOnce) ?? null);
          for (const [table, place] of found) {
            const known = chosen.get(table);
            if (known === undefined || known === 'all' || known.has(place)) continue;
            known.add(place);
            const own = next.get(table) ?? new Set<string>();
            next.set(table, own.add(place));
          }
        }
      }
    }
    fresh = next;
    wholeToo = new Set();
  }
}

async function parentsOf(
  reader: pg.Client,
  { child, columns, parent, parentColumns }: Known,
  oid: string,
  rows: readonly string[] | null,
): Promise<readonly (readonly [string, string])[]> {
  const match = columns.map((c, i) => `parent.${quote(parentColumns[i] ?? '')} = child.${quote(c)}`).join(' and ');
  const { rows: found } = await reader.query<[string, string]>({
    text: `select distinct parent.tableoid::text, parent.ctid::text
       from ${quoteTable(child)} as child join ${quoteTable(parent)} as parent on ${match}
       where child.tableoid = $1${rows === null ? '' : ' and child.ctid = any ($2::tid[])'}`,
    values: rows === null ? [oid] : [oid, rows],
    rowMode: 'array',
  });
  return found;
}

async function places(reader: pg.Client, text: string, values: readonly unknown[]): Promise<readonly string[]> {
  const { rows } = await reader.query<[string]>({ text, values: [...values], rowMode: 'array' });
  return rows.map(([place]) => place);
}

async function copyRows(reader: pg.Client, target: pg.Client, table: SampledTable, rows: Set<string> | 'all'): Promise<number> {
  if (table.columns.length === 0) return 0;
  const list = table.columns.map(quote).join(', ');
  const all = rows === 'all' ? null : [...rows];
  let copied = 0;
  for (let from = 0; from < (all?.length ?? 1); from += placesAtOnce) {
    // Places are numbers in brackets, as the server wrote them: COPY takes no parameters.
    const some = all?.slice(from, from + placesAtOnce).map((place) => (/^\(\d+,\d+\)$/.test(place) ? `"${place}"` : ''));
    const where = some ? ` where ctid = any ('{${some.filter(Boolean).join(',')}}'::tid[])` : '';
    const into = target.query(copyFrom(`copy ${named(table)} (${list}) from stdin`));
    await pipeline(reader.query(copyTo(`copy (select ${list} from only ${named(table)}${where}) to stdout`)), into);
    copied += into.rowCount;
  }
  return copied;
}

function named({ schema, name }: SampledTable): string {
  return `${quote(schema)}.${quote(name)}`;
}
