// How evidence requests are answered on PostgreSQL. Query shapes follow what was measured to be fast:
// one pass for all nulls, blanks and bounds with a cheap guard before the trim; a block sample read
// once and looked at here; uniqueness by sorting 64-bit hashes, several columns in one pass; orphans
// by anti-join; parents of unknown name by looking up a few values first.

import { CatalogueError } from '../../../catalogue/CatalogueError';
import { getTable } from '../../../catalogue/lookups';
import type { Catalogue, Column, Table } from '../../../catalogue/model';
import type { ColumnProfile, How, Profile, Repeats, Violations } from '../../../evidence/evidence';
import type {
  Depth,
  EvidenceRequest,
  InclusionRequest,
  ProbeRequest,
  RepeatsRequest,
  ViolationsRequest,
} from '../../../evidence/requests';
import { summarise } from '../../../evidence/sample';
import { namesAnIdentifier } from '../../../naming/meaning';
import { recordOf } from '../../../records';
import { type Asking, type Measured, type MeasureOptions, oneOf, type Query, rowOf, rowsOf } from '../../questions';
import { blankCondition, brokenCondition, spokenOfCondition } from '../claims';
import { quote } from '../quote';
import { types } from '../types';
import { countedSample } from './counted-sample';
import { type Answer, fromClause, how, sampleSizeOf, wholeUpTo } from './extent';
import { inclusion } from './inclusion';
import { probe, probeAtOnce } from './probes';
import { foldedValue, hashOf, isLive, sampledValue } from './values';

const mostCells = 2_500_000;
/** Values are listed where few rows repeat; where many do, nobody asks how many. */
const listedUpTo = 20_000;

/** Answers requests of one kind about one table, or probes of any tables. */
export function* measure(
  requests: readonly EvidenceRequest[],
  catalogue: Catalogue,
  options: MeasureOptions,
): Asking<readonly Measured[]> {
  const { depth } = options;
  const [first] = requests;
  if (!first) return [];
  const table = getTable(catalogue, first.table);
  switch (first.kind) {
    case 'profile':
      return [{ request: first, ...(yield* profile(table, options)) }];
    case 'sample':
      return [{ request: first, ...(yield* options.values === false ? countedSample(table) : sample(table)) }];
    case 'repeats':
      return yield* repeats(table, requests as readonly RepeatsRequest[], options);
    case 'probe':
      return yield* options.atOnce
        ? probeAtOnce(requests as readonly ProbeRequest[], catalogue)
        : probe(requests as readonly ProbeRequest[], catalogue);
    case 'inclusion':
      return yield* inclusions(requests as readonly InclusionRequest[], catalogue, options);
    case 'violations':
      return yield* violations(table, requests as readonly ViolationsRequest[], depth);
  }
}

function* inclusions(
  requests: readonly InclusionRequest[],
  catalogue: Catalogue,
  options: MeasureOptions,
): Asking<readonly Measured[]> {
  const answers: Measured[] = [];
  for (const request of requests) answers.push({ request, ...(yield* inclusion(request, catalogue, options)) });
  return answers;
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

function* profile(table: Table, { depth, values = true }: MeasureOptions): Asking<{ how: How; result: Profile }> {
  const { from, sampled } = fromClause(table, depth);
  const parts = table.columns.map((column) => [
    column.nullable ? `count(${quote(column.name)})` : 'count(*)',
    column.family === 'text' ? `count(*) filter (where ${guardedBlank(column)})` : 'null',
    ...(values && isBounded(table, column)
      ? [`min(${quote(column.name)})::text`, `max(${quote(column.name)})::text`]
      : ['null', 'null']),
    mayBeTooWide(column) ? `max(${widthOf(column)})` : 'null',
  ]);
  const counts = ['count(*)', ...parts.flat()];
  const seen = yield* oneOf({ text: `select ${counts.join(', ')} from ${from}`, columns: counts.length });
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
  return family === 'binary' || (family === 'text' && (length === null || length * 4 > types.widestIndexed));
}

// Told from its header, not by reading it, where a value is stored elsewhere.
function widthOf({ name, family }: Column): string {
  return family === 'text' || family === 'binary' ? `octet_length(${quote(name)})` : `pg_column_size(${quote(name)})`;
}

// Blank means empty or white space only. Few values sort before '!': the guard spares the trim of all others.
function guardedBlank({ name }: Column): string {
  return `${quote(name)}::text < '!' collate "C" and ${blankCondition(name)}`;
}

function* sample(table: Table): Asking<Pick<Answer<unknown, ReturnType<typeof summarise>>, 'how' | 'result'>> {
  if (table.columns.length === 0) return { how: how(false, 0), result: summarise([], []) };
  const most = Math.max(500, Math.min(wholeUpTo + 1, Math.floor(mostCells / table.columns.length)));
  const { from, sampled } = fromClause(table, 'sampled', { wanted: Math.min(sampleSizeOf(table), most), only: true });
  const values = table.columns.map(sampledValue).join(', ');
  const text = `select ${values} from ${from} limit ${most}`;
  const rows = yield* rowsOf({ text, columns: table.columns.length, givesData: true });
  return {
    how: how(sampled || rows.length === most, rows.length),
    result: summarise(table.columns, rows),
  };
}

interface ColumnSet {
  readonly request: RepeatsRequest;
  readonly columns: readonly Column[];
  readonly live: string | null;
  readonly where: string;
}

/** Several column sets in one pass, each by the number of distinct hashes; exact groups only where few rows repeat. */
function* repeats(
  table: Table,
  requests: readonly RepeatsRequest[],
  { depth, atOnce = false }: MeasureOptions,
): Asking<readonly Answer<RepeatsRequest, Repeats>[]> {
  const { from, sampled } = fromClause(table, depth, { only: true });
  const sets = requests.map((request) => setOf(table, request));
  const counting: Query = { text: `select ${sets.flatMap(countsOf).join(', ')} from ${from}`, columns: 3 * sets.length };
  const grouping = sets.map((set) => groups(from, set));
  const [counted, ...grouped] = atOnce ? yield [counting, ...grouping] : yield [counting];
  const seen = rowOf(counted).map(Number);
  const answers: Answer<RepeatsRequest, Repeats>[] = [];
  for (const [i, { request }] of sets.entries()) {
    const [rows = 0, filled = 0, distinct = 0] = seen.slice(3 * i, 3 * i + 3);
    const surplus = filled - distinct;
    const listed =
      surplus > 0 && surplus <= listedUpTo ? (atOnce ? rowOf(grouped[i]) : yield* oneOf(grouping[i] as Query)).map(Number) : null;
    answers.push({ request, how: how(sampled, rows), result: repeatsOf(rows, filled, surplus, listed) });
  }
  return answers;
}

function setOf(table: Table, request: RepeatsRequest): ColumnSet {
  const columns = request.columns.map((name) => columnOf(table, name));
  const live = request.live === undefined ? null : isLive(columnOf(table, request.live));
  const filled = columns.map((column) => `${quote(column.name)} is not null`).join(' and ');
  return { request, columns, live, where: live === null ? filled : `${filled} and ${live}` };
}

function countsOf({ request, columns, live, where }: ColumnSet): readonly string[] {
  return [
    live === null ? 'count(*)' : `count(*) filter (where ${live})`,
    `count(*) filter (where ${where})`,
    `count(distinct ${hashOf(columns, request.folded === true)}) filter (where ${where})`,
  ];
}

function repeatsOf(rows: number, filled: number, surplus: number, listed: readonly number[] | null): Repeats {
  const nullRows = rows - filled;
  if (surplus === 0) return { rows, nullRows, surplus: 0, repeatedValues: 0, repeatedRows: 0 };
  const [values = null, repeated = null] = listed ?? [];
  // Two different values can share a hash, if hardly ever; the groups are of the values themselves.
  const counted = values !== null && repeated !== null ? repeated - values : surplus;
  return { rows, nullRows, surplus: counted, repeatedValues: values, repeatedRows: repeated };
}

function groups(from: string, { request, columns, where }: ColumnSet): Query {
  const by = columns.map((column) => (request.folded ? foldedValue(column) : quote(column.name))).join(', ');
  return {
    text: `select count(*), coalesce(sum(times), 0)
     from (select count(*) as times from ${from} where ${where} group by ${by} having count(*) > 1) as repeated`,
    columns: 2,
  };
}

function* violations(
  table: Table,
  requests: readonly ViolationsRequest[],
  depth: Depth,
): Asking<readonly Answer<ViolationsRequest, Violations>[]> {
  const { from, sampled } = fromClause(table, depth);
  const counts = requests.flatMap(({ claim }) => [
    `count(*) filter (where ${spokenOfCondition(claim)})`,
    `count(*) filter (where ${brokenCondition(claim)})`,
  ]);
  const text = `select count(*), ${counts.join(', ')} from ${from}`;
  const [rows = 0, ...seen] = (yield* oneOf({ text, columns: 1 + counts.length })).map(Number);
  return requests.map((request, i) => ({
    request,
    how: how(sampled, rows),
    result: { rows: seen[2 * i] ?? 0, broken: seen[2 * i + 1] ?? 0 },
  }));
}

function columnOf(table: Table, name: string): Column {
  const column = table.columns.find((c) => c.name === name);
  if (!column) throw new CatalogueError(`${table.id} has no column ${name}.`);
  return column;
}
