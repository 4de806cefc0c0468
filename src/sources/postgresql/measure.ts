// How evidence requests are answered on PostgreSQL. Query shapes follow what was measured to be fast:
// one pass for all nulls and blanks with a cheap guard before the trim, repeats looked for in a block
// sample of 25,000 rows first, orphans by anti-join.

import type pg from 'pg';
import { getColumn, getTable } from '../../core/catalogue/lookups';
import type { Catalogue, Column, Table } from '../../core/catalogue/model';
import type { ColumnProfile, Fact, How, Inclusion, Profile, Repeats } from '../../core/evidence/evidence';
import type { Depth, EvidenceRequest, InclusionRequest, ProfileRequest, RepeatsRequest } from '../../core/evidence/requests';
import { quote, quoteList, quoteTable } from '../../core/dialects/postgresql/quote';
import { orphanCondition } from '../../core/dialects/postgresql/checks';
import { SourceError } from '../SourceError';
import { statementError } from './errors';

const sampleRows = 25_000;

/** Throws SourceError when the connection is lost or the work cancelled; all else becomes a fact. */
export async function measure(client: pg.Client, request: EvidenceRequest, catalogue: Catalogue, depth: Depth): Promise<Fact> {
  const at = new Date().toISOString();
  const unreadable = tablesOf(request)
    .map((id) => getTable(catalogue, id))
    .find((table) => !table.readable);
  if (unreadable)
    return { request, notMeasured: `The role may not read ${unreadable.id}. Grant SELECT on it and survey again.`, at };
  try {
    return { ...(await answer(client, request, catalogue, depth)), at };
  } catch (error) {
    const problem = statementError(error, `Measuring ${request.table}`);
    if (problem.reason === 'lost' || problem.reason === 'cancelled') throw problem;
    return { request, notMeasured: problem.message, at };
  }
}

type Answered =
  | { request: ProfileRequest; how: How; result: Profile }
  | { request: RepeatsRequest; how: How; result: Repeats }
  | { request: InclusionRequest; how: How; result: Inclusion };

async function answer(client: pg.Client, request: EvidenceRequest, catalogue: Catalogue, depth: Depth): Promise<Answered> {
  const table = getTable(catalogue, request.table);
  switch (request.kind) {
    case 'profile':
      return { request, ...(await profile(client, table, depth)) };
    case 'repeats':
      return { request, ...(await repeats(client, table, request.columns, depth)) };
    case 'inclusion':
      return { request, ...(await inclusion(client, table, request, catalogue, depth)) };
  }
}

function tablesOf(request: EvidenceRequest) {
  return request.kind === 'inclusion' ? [request.table, request.parent] : [request.table];
}

/** What to read of a table: all of it, or a block sample of about the wanted rows. */
function fromClause(table: Table, depth: Depth): { readonly from: string; readonly sampled: boolean } {
  const rows = table.estimatedRows ?? 0;
  if (depth === 'exact' || rows <= sampleRows * 1.5) return { from: quoteTable(table.id), sampled: false };
  return { from: `${quoteTable(table.id)} tablesample system (${samplePercent(rows)}) repeatable (1)`, sampled: true };
}

function samplePercent(rows: number): string {
  return Math.min(100, (100 * sampleRows * 1.1) / Math.max(rows, 1)).toFixed(6);
}

async function profile(client: pg.Client, table: Table, depth: Depth): Promise<{ how: How; result: Profile }> {
  const { from, sampled } = fromClause(table, depth);
  const counts = table.columns.map((column) => (column.nullable ? `count(${quote(column.name)})` : 'count(*)'));
  const blanks = table.columns.map((column) =>
    column.family === 'text' ? `count(*) filter (where ${blankCondition(column)})` : 'null',
  );
  const seen = await row(client, `select count(*), ${[...counts, ...blanks].join(', ')} from ${from}`);
  const rows = Number(seen[0]);
  const compared = await compareValues(client, table, rows, from);
  const total = sampled ? Math.max(table.estimatedRows ?? rows, rows) : rows;
  const scale = rows === 0 ? 1 : total / rows;
  const columns: Record<string, ColumnProfile> = {};
  table.columns.forEach((column, i) => {
    const nulls = rows - Number(seen[1 + i]);
    const blank = seen[1 + table.columns.length + i];
    const values = compared.get(column.name);
    columns[column.name] = {
      nulls: Math.ceil(nulls * scale),
      blanks: blank === null || blank === undefined ? null : Math.ceil(Number(blank) * scale),
      compared: values?.[0] ?? 0,
      distinct: values?.[1] ?? null,
    };
  });
  return { how: sampled ? { kind: 'sample', rows } : { kind: 'exact' }, result: { rows: total, columns } };
}

// Blank means empty or white space only. Few values sort before '!': the guard spares the trim of all others.
function blankCondition(column: Column): string {
  const text = `${quote(column.name)}::text`;
  return `${text} < '!' collate "C" and btrim(${text}, E' \\t\\n\\r\\x0b\\x0c') = ''`;
}

/** Filled and distinct values of each comparable column: in the whole of a small table, else in a sample. */
async function compareValues(
  client: pg.Client,
  table: Table,
  rows: number,
  from: string,
): Promise<ReadonlyMap<string, readonly [number, number]>> {
  const comparable = table.columns.filter((column) => !['json', 'binary', 'other', 'float'].includes(column.family));
  if (comparable.length === 0 || rows === 0) return new Map();
  const sample =
    rows > sampleRows * 1.5 ? `${quoteTable(table.id)} tablesample system (${samplePercent(rows)}) repeatable (1)` : from;
  const names = comparable.map((column) => quote(column.name));
  const counted = await row(
    client,
    `select ${names.map((name) => `count(${name}), count(distinct ${name})`).join(', ')} from ${sample}`,
  );
  return new Map(comparable.map((column, i) => [column.name, [Number(counted[2 * i]), Number(counted[2 * i + 1])]]));
}

async function repeats(
  client: pg.Client,
  table: Table,
  columns: readonly string[],
  depth: Depth,
): Promise<{ how: How; result: Repeats }> {
  const { from, sampled } = fromClause(table, depth);
  const filled = columns.map((c) => `${quote(c)} is not null`).join(' and ');
  const [rows, nullRows, values, repeated] = await row(
    client,
    `select counted.*, repeated.*
     from (select count(*), count(*) filter (where not (${filled})) from ${from}) as counted,
       (select count(*), coalesce(sum(times), 0)
        from (select count(*) as times from ${from} where ${filled} group by ${quoteList(columns)} having count(*) > 1) as groups) as repeated`,
  );
  return {
    how: sampled ? { kind: 'sample', rows: Number(rows) } : { kind: 'exact' },
    result: { rows: Number(rows), nullRows: Number(nullRows), repeatedValues: Number(values), repeatedRows: Number(repeated) },
  };
}

async function inclusion(
  client: pg.Client,
  table: Table,
  request: InclusionRequest,
  catalogue: Catalogue,
  depth: Depth,
): Promise<{ how: How; result: Inclusion }> {
  const { from, sampled } = fromClause(table, depth);
  request.columns.forEach((column) => getColumn(catalogue, table.id, column));
  const filled = request.columns.map((c) => `${quote(c)} is not null`).join(' and ');
  const [rows, nullRows, orphanRows, orphanValues, childValues] = await row(
    client,
    `select counted.*, orphans.*, known.*
     from (select count(*), count(*) filter (where not (${filled})) from ${from}) as counted,
       (select coalesce(sum(times), 0), count(*)
        from (select count(*) as times from ${sampled ? `(select * from ${from})` : from} as child
              where ${orphanCondition(request)} group by ${request.columns.map((c) => `child.${quote(c)}`).join(', ')}) as groups) as orphans,
       (select count(*) from (select distinct ${quoteList(request.columns)} from ${from} where ${filled}) as filled) as known`,
  );
  return {
    how: sampled ? { kind: 'sample', rows: Number(rows) } : { kind: 'exact' },
    result: {
      rows: Number(rows),
      nullRows: Number(nullRows),
      orphanRows: Number(orphanRows),
      orphanValues: Number(orphanValues),
      childValues: Number(childValues),
    },
  };
}

async function row(client: pg.Client, text: string): Promise<readonly unknown[]> {
  const { rows } = await client.query<unknown[]>({ text, rowMode: 'array' });
  const [only] = rows;
  if (!only) throw new SourceError('The server answered a count with no row.', 'other');
  return only;
}
