// How evidence requests are answered on PostgreSQL. Query shapes follow what was measured to be fast:
// one pass for all nulls, blanks and bounds with a cheap guard before the trim; a block sample read
// once and looked at here; uniqueness by sorting 64-bit hashes, several columns in one pass; orphans
// by anti-join; parents of unknown name by looking up a few values first.

import { getTable } from '../../core/catalogue/lookups';
import { joined, recordOf } from '../../core/records';
import type { Catalogue, Column, Table } from '../../core/catalogue/model';
import type { ColumnProfile, Fact, How, Profile, Repeats, Violations } from '../../core/evidence/evidence';
import type { Depth, EvidenceRequest, ProbeRequest, RepeatsRequest, ViolationsRequest } from '../../core/evidence/requests';
import { summarise } from '../../core/evidence/sample';
import { widestIndexed } from '../../core/evidence/widths';
import { namesAnIdentifier } from '../../core/naming/meaning';
import { quote } from '../../core/engines/postgresql/quote';
import type { MeasureOptions } from '../source';
import { SourceError } from '../SourceError';
import { type Ask, one } from './ask';
import { brokenCondition, spokenOfCondition } from '../../core/engines/postgresql/claims';
import { statementError } from './errors';
import { inclusion } from './inclusion';
import { probe } from './probes';
import { type Answer, fromClause, how, sampleSizeOf, wholeUpTo } from './reading';
import { foldedValue, hashOf, isLive, sampledValue } from './values';

const mostCells = 2_500_000;
/** Values are listed where few rows repeat; where many do, nobody asks how many. */
const listedUpTo = 20_000;

/**
 * Answers requests of one kind about one table, or probes of any tables. Throws SourceError when the connection is lost or the
 * work cancelled; all else (rights, time, locks) becomes a fact: not measured, with the reason.
 */
export async function measure(
  ask: Ask,
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
    return (await answer(ask, requests, catalogue, options)).map((fact) => joined(fact, { at }) as Fact);
  } catch (error) {
    const problem = statementError(error, `Measuring ${requests[0]?.table}`);
    if (problem.reason === 'lost' || problem.reason === 'cancelled') throw problem;
    return nothing(problem.message);
  }
}

async function answer(
  ask: Ask,
  requests: readonly EvidenceRequest[],
  catalogue: Catalogue,
  options: MeasureOptions,
): Promise<readonly object[]> {
  const { depth } = options;
  const [first] = requests;
  if (!first) return [];
  const table = getTable(catalogue, first.table);
  switch (first.kind) {
    case 'profile':
      return [{ request: first, ...(await profile(ask, table, depth)) }];
    case 'sample':
      return [{ request: first, ...(await sample(ask, table)) }];
    case 'repeats':
      return repeats(ask, table, requests as readonly RepeatsRequest[], depth);
    case 'probe':
      return probe(ask, requests as readonly ProbeRequest[], catalogue);
    case 'inclusion':
      return [{ request: first, ...(await inclusion(ask, first, catalogue, options)) }];
    case 'violations':
      return violations(ask, table, requests as readonly ViolationsRequest[], depth);
  }
}

function tablesOf(request: EvidenceRequest) {
  return request.kind === 'inclusion' ? [request.table, request.parent] : [request.table];
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

async function profile(ask: Ask, table: Table, depth: Depth): Promise<{ how: How; result: Profile }> {
  const { from, sampled } = fromClause(table, depth);
  const parts = table.columns.map((column) => [
    column.nullable ? `count(${quote(column.name)})` : 'count(*)',
    column.family === 'text' ? `count(*) filter (where ${blankCondition(column)})` : 'null',
    ...(isBounded(table, column) ? [`min(${quote(column.name)})::text`, `max(${quote(column.name)})::text`] : ['null', 'null']),
    mayBeTooWide(column) ? `max(${widthOf(column)})` : 'null',
  ]);
  const seen = await one(ask, `select ${['count(*)', ...parts.flat()].join(', ')} from ${from}`);
  const rows = Number(seen[0]);
  const total = sampled ? Math.max(table.estimatedRows ?? rows, rows) : rows;
  const scale = rows === 0 ? 1 : total / rows;
  const columns = recordOf(
    table.columns.map((column, i): [string, ColumnProfile] => {
      const [filled, blanks, min, max, widest] = seen.slice(1 + 5 * i, 6 + 5 * i);
      return [
        column.name,
        {
          nulls: Math.ceil((rows - Number(filled)) * scale),
          blanks: blanks === null ? null : Math.ceil(Number(blanks) * scale),
          min: (min as string | null) ?? null,
          max: (max as string | null) ?? null,
          ...(widest !== null && widest !== undefined && { widest: Number(widest) }),
        },
      ];
    }),
  );
  return { how: how(sampled, rows), result: { rows: total, columns } };
}

/** Whether a value can be longer than an index takes: four bytes a character are the most. */
function mayBeTooWide({ comparable, family, length, declaredType }: Column): boolean {
  if (!comparable) return false;
  if (family === 'other') return !['interval', 'inet', 'cidr', 'money', 'macaddr', 'oid'].includes(declaredType);
  return family === 'binary' || (family === 'text' && (length === null || length * 4 > widestIndexed));
}

// Told from its header, not by reading it, where a value is stored elsewhere.
function widthOf({ name, family }: Column): string {
  return family === 'text' || family === 'binary' ? `octet_length(${quote(name)})` : `pg_column_size(${quote(name)})`;
}

// Blank means empty or white space only. Few values sort before '!': the guard spares the trim of all others.
function blankCondition(column: Column): string {
  const text = `${quote(column.name)}::text`;
  return `${text} < '!' collate "C" and btrim(${text}, E' \\t\\n\\r\\x0b\\x0c') = ''`;
}

async function sample(ask: Ask, table: Table) {
  if (table.columns.length === 0) return { how: how(false, 0), result: summarise([], []) };
  const most = Math.max(500, Math.min(wholeUpTo + 1, Math.floor(mostCells / table.columns.length)));
  const { from, sampled } = fromClause(table, 'sampled', { wanted: Math.min(sampleSizeOf(table), most), only: true });
  const values = table.columns.map(sampledValue).join(', ');
  const rows = await ask(`select ${values} from ${from} limit ${most}`);
  return {
    how: how(sampled || rows.length === most, rows.length),
    result: summarise(table.columns, rows),
  };
}

/** Several column sets in one pass, each by the number of distinct hashes; exact groups only where few rows repeat. */
async function repeats(
  ask: Ask,
  table: Table,
  requests: readonly RepeatsRequest[],
  depth: Depth,
): Promise<readonly Answer<RepeatsRequest, Repeats>[]> {
  const { from, sampled } = fromClause(table, depth, { only: true });
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
  const seen = (await one(ask, `select ${counts.join(', ')} from ${from}`)).map(Number);
  const answers: Answer<RepeatsRequest, Repeats>[] = [];
  for (const [i, { request, columns, where }] of sets.entries()) {
    const [rows = 0, filled = 0, distinct = 0] = seen.slice(3 * i, 3 * i + 3);
    const surplus = filled - distinct;
    const listed = surplus > 0 && surplus <= listedUpTo ? await groups(ask, from, columns, request.folded === true, where) : null;
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

async function groups(ask: Ask, from: string, columns: readonly Column[], folded: boolean, where: string) {
  const by = columns.map((column) => (folded ? foldedValue(column) : quote(column.name))).join(', ');
  const [values, rows] = await one(
    ask,
    `select count(*), coalesce(sum(times), 0)
     from (select count(*) as times from ${from} where ${where} group by ${by} having count(*) > 1) as repeated`,
  );
  return { values: Number(values), rows: Number(rows) };
}

async function violations(
  ask: Ask,
  table: Table,
  requests: readonly ViolationsRequest[],
  depth: Depth,
): Promise<readonly Answer<ViolationsRequest, Violations>[]> {
  const { from, sampled } = fromClause(table, depth);
  const counts = requests.flatMap(({ claim }) => [
    `count(*) filter (where ${spokenOfCondition(claim)})`,
    `count(*) filter (where ${brokenCondition(claim)})`,
  ]);
  const [rows = 0, ...seen] = (await one(ask, `select count(*), ${counts.join(', ')} from ${from}`)).map(Number);
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
