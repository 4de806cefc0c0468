// How evidence requests are answered on PostgreSQL. Query shapes follow what was measured to be fast:
// one pass for all nulls, blanks and bounds with a cheap guard before the trim; a block sample read
// once and looked at here; uniqueness by sorting 64-bit hashes, several columns in one pass; orphans
// by anti-join; parents of unknown name by looking up a few values first.

import type pg from 'pg';
import { getColumn, getTable } from '../../core/catalogue/lookups';
import type { Catalogue, Column, Table } from '../../core/catalogue/model';
import type { ColumnProfile, Fact, How, Inclusion, Probe, Profile, Repeats, Violations } from '../../core/evidence/evidence';
import type {
  Depth,
  EvidenceRequest,
  InclusionRequest,
  ProbeRequest,
  RepeatsRequest,
  ViolationsRequest,
} from '../../core/evidence/requests';
import { summarise } from '../../core/evidence/sample';
import { orphanCondition } from '../../core/dialects/postgresql/checks';
import { namesAnIdentifier } from '../../core/naming/meaning';
import { quote, quoteTable } from '../../core/dialects/postgresql/quote';
import type { MeasureOptions } from '../source';
import { SourceError } from '../SourceError';
import { brokenCondition, spokenOfCondition } from './claims';
import { statementError } from './errors';
import { foldedValue, hashOf, isLive, sampledValue } from './values';

const sampleRows = 25_000;
/** A table that is little larger than a sample is read whole. */
const wholeUpTo = 40_000;
const mostCells = 2_500_000;
/** Values are listed where few rows repeat; where many do, nobody asks how many. */
const listedUpTo = 20_000;

/**
 * Answers requests about one table, of one kind. Throws SourceError when the connection is lost or the
 * work cancelled; all else (rights, time, locks) becomes a fact: not measured, with the reason.
 */
export async function measure(
  client: pg.Client,
  requests: readonly EvidenceRequest[],
  catalogue: Catalogue,
  options: MeasureOptions,
): Promise<readonly Fact[]> {
  const at = new Date().toISOString();
  const unreadable = requests
    .flatMap(tablesOf)
    .map((id) => getTable(catalogue, id))
    .find((table) => !table.readable);
  const nothing = (notMeasured: string) => requests.map((request): Fact => ({ request, notMeasured, at }));
  if (unreadable) return nothing(`The role may not read ${unreadable.id}. Grant SELECT on it and survey again.`);
  try {
    return (await answer(client, requests, catalogue, options)).map((fact) => ({ ...fact, at }) as Fact);
  } catch (error) {
    const problem = statementError(error, `Measuring ${requests[0]?.table}`);
    if (problem.reason === 'lost' || problem.reason === 'cancelled') throw problem;
    return nothing(problem.message);
  }
}

interface Answer<Request, Result> {
  readonly request: Request;
  readonly how: How;
  readonly result: Result;
}

async function answer(
  client: pg.Client,
  requests: readonly EvidenceRequest[],
  catalogue: Catalogue,
  options: MeasureOptions,
): Promise<readonly Answer<EvidenceRequest, unknown>[]> {
  const { depth } = options;
  const [first] = requests;
  if (!first) return [];
  const table = getTable(catalogue, first.table);
  switch (first.kind) {
    case 'profile':
      return [{ request: first, ...(await profile(client, table, depth)) }];
    case 'sample':
      return [{ request: first, ...(await sample(client, table)) }];
    case 'repeats':
      return repeats(client, table, requests as readonly RepeatsRequest[], depth);
    case 'probe':
      return [{ request: first, ...(await probe(client, table, first, catalogue)) }];
    case 'inclusion':
      return [{ request: first, ...(await inclusion(client, table, first, catalogue, options)) }];
    case 'violations':
      return violations(client, table, requests as readonly ViolationsRequest[], depth);
  }
}

function tablesOf(request: EvidenceRequest) {
  return request.kind === 'inclusion' ? [request.table, request.parent] : [request.table];
}

/** Rows by the server's estimate, else by size. */
function rowsOf(table: Table): number {
  return table.estimatedRows !== null && table.estimatedRows > 0 ? table.estimatedRows : table.bytes / 120;
}

/** What to read of a table: all of it, or a block sample of about the wanted rows. */
function fromClause(table: Table, depth: Depth, wanted = sampleRows): { readonly from: string; readonly sampled: boolean } {
  if (depth === 'exact' || rowsOf(table) <= wholeUpTo) return { from: quoteTable(table.id), sampled: false };
  return { from: blockSample(table, wanted), sampled: true };
}

// The same blocks each time, so that two surveys of an unchanged table say the same.
function blockSample(table: Table, wanted: number): string {
  const percent = Math.min(100, (100 * wanted * 1.1) / Math.max(rowsOf(table), 1)).toFixed(6);
  return `${quoteTable(table.id)} tablesample system (${percent}) repeatable (1)`;
}

function how(sampled: boolean, rows: number): How {
  return sampled ? { kind: 'sample', rows } : { kind: 'exact' };
}

/** Bounds are worth their cost for whole numbers that identify or refer, and for days. */
function isBounded(table: Table, column: Column): boolean {
  if (column.family === 'date') return true;
  const isKey = table.constraints.some((c) => c.kind !== 'check' && c.columns.includes(column.name));
  const isIndexed = table.indexes.some((index) => index.columns.includes(column.name));
  return (
    column.family === 'integer' &&
    (isKey ||
      isIndexed ||
      table.columns[0] === column ||
      namesAnIdentifier(column.name) ||
      /^(ref|fk|id)|_by$|owner|parent/i.test(column.name))
  );
}

async function profile(client: pg.Client, table: Table, depth: Depth): Promise<{ how: How; result: Profile }> {
  const { from, sampled } = fromClause(table, depth);
  const parts = table.columns.map((column) => [
    column.nullable ? `count(${quote(column.name)})` : 'count(*)',
    column.family === 'text' ? `count(*) filter (where ${blankCondition(column)})` : 'null',
    ...(isBounded(table, column) ? [`min(${quote(column.name)})::text`, `max(${quote(column.name)})::text`] : ['null', 'null']),
  ]);
  const seen = await row(client, `select ${['count(*)', ...parts.flat()].join(', ')} from ${from}`);
  const rows = Number(seen[0]);
  const total = sampled ? Math.max(table.estimatedRows ?? rows, rows) : rows;
  const scale = rows === 0 ? 1 : total / rows;
  const columns: Record<string, ColumnProfile> = {};
  table.columns.forEach((column, i) => {
    const [filled, blanks, min, max] = seen.slice(1 + 4 * i, 5 + 4 * i);
    columns[column.name] = {
      nulls: Math.ceil((rows - Number(filled)) * scale),
      blanks: blanks === null ? null : Math.ceil(Number(blanks) * scale),
      min: (min as string | null) ?? null,
      max: (max as string | null) ?? null,
    };
  });
  return { how: how(sampled, rows), result: { rows: total, columns } };
}

// Blank means empty or white space only. Few values sort before '!': the guard spares the trim of all others.
function blankCondition(column: Column): string {
  const text = `${quote(column.name)}::text`;
  return `${text} < '!' collate "C" and btrim(${text}, E' \\t\\n\\r\\x0b\\x0c') = ''`;
}

async function sample(client: pg.Client, table: Table) {
  if (table.columns.length === 0) return { how: how(false, 0), result: summarise([], []) };
  const most = Math.max(500, Math.min(wholeUpTo + 1, Math.floor(mostCells / table.columns.length)));
  const { from, sampled } = fromClause(table, 'sampled', Math.min(sampleRows, most));
  const values = table.columns.map(sampledValue).join(', ');
  const { rows } = await client.query<(string | null)[]>({
    text: `select ${values} from ${from} limit ${most}`,
    rowMode: 'array',
    types: { getTypeParser: () => (value: string) => value },
  });
  return {
    how: how(sampled || rows.length === most, rows.length),
    result: summarise(table.columns, rows),
  };
}

/** Several column sets in one pass, each by the number of distinct hashes; exact groups only where few rows repeat. */
async function repeats(
  client: pg.Client,
  table: Table,
  requests: readonly RepeatsRequest[],
  depth: Depth,
): Promise<readonly Answer<RepeatsRequest, Repeats>[]> {
  const { from, sampled } = fromClause(table, depth);
  const sets = requests.map((request) => {
    const columns = request.columns.map((name) => columnOf(table, name));
    const live = request.live === undefined ? null : isLive(columnOf(table, request.live));
    const filled = columns.map((column) => `${quote(column.name)} is not null`).join(' and ');
    return { request, columns, live, where: live === null ? filled : `${filled} and ${live}` };
  });
  const counts = sets.flatMap(({ request, columns, live, where }) => [
    live === null ? 'count(*)' : `count(*) filter (where ${live})`,
    `count(*) filter (where ${where})`,
    `count(distinct ${hashOf(columns, request.folded === true)}) filter (where ${where})`,
  ]);
  const seen = (await row(client, `select ${counts.join(', ')} from ${from}`)).map(Number);
  const answers: Answer<RepeatsRequest, Repeats>[] = [];
  for (const [i, { request, columns, where }] of sets.entries()) {
    const [rows = 0, filled = 0, distinct = 0] = seen.slice(3 * i, 3 * i + 3);
    const surplus = filled - distinct;
    const listed =
      surplus > 0 && surplus <= listedUpTo ? await groups(client, from, columns, request.folded === true, where) : null;
    const result: Repeats =
      surplus === 0
        ? { rows, nullRows: rows - filled, surplus: 0, repeatedValues: 0, repeatedRows: 0 }
        : {
            rows,
            nullRows: rows - filled,
            // Two different values can share a hash, if hardly ever; the groups are of the values themselves.
            surplus: listed ? listed.rows - listed.values : surplus,
            repeatedValues: listed?.values ?? null,
            repeatedRows: listed?.rows ?? null,
          };
    answers.push({ request, how: how(sampled, rows), result });
  }
  return answers;
}

async function groups(client: pg.Client, from: string, columns: readonly Column[], folded: boolean, where: string) {
  const by = columns.map((column) => (folded ? foldedValue(column) : quote(column.name))).join(', ');
  const [values, rows] = await row(
    client,
    `select count(*), coalesce(sum(times), 0)
     from (select count(*) as times from ${from} where ${where} group by ${by} having count(*) > 1) as repeated`,
  );
  return { values: Number(values), rows: Number(rows) };
}

const firstLook = 200;
const secondLook = 2_000;
/** Keys with gaps lack about the share of their gaps of any numbers; a true parent lacks hardly any. */
const missingTolerated = 0.005;

/** A few values first, which rules out most parents; then many, for those that are left. */
async function probe(
  client: pg.Client,
  table: Table,
  request: ProbeRequest,
  catalogue: Catalogue,
): Promise<{ how: How; result: Probe }> {
  // In a parent that may not be read nothing can be found.
  const missing = request.parents.map(() => 1);
  let tested = 0;
  let left = request.parents.flatMap((parent, i) => (getTable(catalogue, parent.table).readable ? [i] : []));
  for (const look of [firstLook, secondLook]) {
    const { from } = fromClause(table, 'sampled', sampleRows);
    const column = quote(request.column);
    const lookups = left.map((i) => {
      const parent = request.parents[i];
      if (!parent) return '0';
      const key = `parent.${quote(parent.column)}`;
      return `(select count(*) from looked where not exists (select 1 from ${quoteTable(parent.table)} as parent where ${key} = looked.value))`;
    });
    const [count, ...absent] = (
      await row(
        client,
        `with looked as materialized (
           select distinct value
           from (select ${column} as value from ${from} where ${column} is not null limit ${look * 20}) as taken
           limit ${look}
         )
         select (select count(*) from looked), ${lookups.join(', ')}`,
      )
    ).map(Number);
    tested = count ?? 0;
    left.forEach((i, at) => (missing[i] = tested === 0 ? 1 : (absent[at] ?? 0) / tested));
    left = left.filter((i) => (missing[i] ?? 1) <= missingTolerated);
    if (left.length === 0 || tested < look) break;
  }
  return { how: { kind: 'sample', rows: tested }, result: { tested, missing } };
}

async function inclusion(
  client: pg.Client,
  table: Table,
  request: InclusionRequest,
  catalogue: Catalogue,
  { depth, known }: MeasureOptions,
): Promise<{ how: How; result: Inclusion }> {
  const { from, sampled } = fromClause(table, depth);
  const columns = request.columns.map((name) => getColumn(catalogue, table.id, name));
  const value = columns.map((column) => `child.${quote(column.name)}`);
  const orphans = `
    select count(*), count(distinct ${value.length === 1 ? value[0] : `(${value.join(', ')})`})
    from ${sampled ? `(select * from ${from})` : from} as child
    where ${orphanCondition(request)}`;
  const counted = sampled ? null : countedBefore(request, known);
  const [orphanRows, orphanValues, rows, filledRows] = counted
    ? [...(await row(client, orphans)), counted.rows, counted.rows - counted.nullRows]
    : await row(
        client,
        `select orphans.*, counted.* from (${orphans}) as orphans, (select count(*), ${filledCount(columns)} from ${from}) as counted`,
      );
  return {
    how: how(sampled, Number(rows)),
    result: {
      rows: Number(rows),
      nullRows: Number(rows) - Number(filledRows),
      orphanRows: Number(orphanRows),
      orphanValues: Number(orphanValues),
    },
  };
}

/** Rows, and those without a value, when an exact profile has counted them already. */
function countedBefore({ table, columns }: InclusionRequest, known: MeasureOptions['known']) {
  const profile = known?.({ kind: 'profile', table });
  if (!profile || !('result' in profile) || profile.request.kind !== 'profile' || profile.how.kind !== 'exact') return null;
  const { rows, columns: seen } = profile.result as Profile;
  const [only] = columns;
  return columns.length === 1 && only !== undefined ? { rows, nullRows: seen[only]?.nulls ?? 0 } : null;
}

// NULLs have to be counted only where there can be any.
function filledCount(columns: readonly Column[]): string {
  if (columns.every((column) => !column.nullable)) return 'count(*)';
  return `count(*) filter (where ${columns.map((c) => `${quote(c.name)} is not null`).join(' and ')})`;
}

async function violations(
  client: pg.Client,
  table: Table,
  requests: readonly ViolationsRequest[],
  depth: Depth,
): Promise<readonly Answer<ViolationsRequest, Violations>[]> {
  const { from, sampled } = fromClause(table, depth);
  const counts = requests.flatMap(({ claim }) => [
    `count(*) filter (where ${spokenOfCondition(claim)})`,
    `count(*) filter (where ${brokenCondition(claim)})`,
  ]);
  const [rows = 0, ...seen] = (await row(client, `select count(*), ${counts.join(', ')} from ${from}`)).map(Number);
  return requests.map((request, i) => ({
    request,
    how: how(sampled, rows),
    result: { rows: seen[2 * i] ?? 0, broken: seen[2 * i + 1] ?? 0 },
  }));
}

function columnOf(table: Table, name: string): Column {
  const column = table.columns.find((c) => c.name === name);
  if (!column) throw new SourceError(`${table.id} has no column ${name}.`, 'other');
  return column;
}

async function row(client: pg.Client, text: string): Promise<readonly unknown[]> {
  const { rows } = await client.query<unknown[]>({ text, rowMode: 'array' });
  const [only] = rows;
  if (!only) throw new SourceError('The server answered a count with no row.', 'other');
  return only;
}
