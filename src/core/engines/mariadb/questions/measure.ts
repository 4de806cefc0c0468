// How evidence requests are answered here. Query shapes follow what was measured to be fast: one pass for nulls, blanks and
// bounds; distinct values by `count(distinct …)`, which is right in each column's own collation; groups only by sorting;
// orphans by anti-join with memory for the parent's keys.

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
import { type Asking, type Measured, type MeasureOptions, oneOf, type Query, type Row, rowOf, rowsOf } from '../../questions';
import { blankCondition, brokenCondition, spokenOfCondition } from '../claims';
import { quote } from '../quote';
import { types } from '../types';
import { countedSample } from './counted-sample';
import { type Answer, extentOf, how, type Measuring, sampleSizeOf, wholeUpTo } from './extent';
import { inclusion } from './inclusion';
import { probe, probeAtOnce } from './probes';
import { foldedValue, isLive, sampledValue, weightOf } from './values';

const mostCells = 2_500_000;
/** Values are listed where few rows repeat; where many do, nobody asks how many. */
const listedUpTo = 20_000;

/** Answers requests of one kind about one table, or probes of any tables. */
export function* measure(
  requests: readonly EvidenceRequest[],
  catalogue: Catalogue,
  options: Measuring,
): Asking<readonly Measured[]> {
  const [first] = requests;
  if (!first) return [];
  const table = getTable(catalogue, first.table);
  switch (first.kind) {
    case 'profile':
      return [{ request: first, ...(yield* profile(table, options)) }];
    case 'sample':
      return [{ request: first, ...(yield* options.values === false ? countedSample(table) : sample(table, options)) }];
    case 'repeats':
      return yield* repeats(table, requests as readonly RepeatsRequest[], options);
    case 'probe':
      return yield* options.atOnce
        ? probeAtOnce(requests as readonly ProbeRequest[], catalogue, options)
        : probe(requests as readonly ProbeRequest[], catalogue, options);
    case 'inclusion': {
      const answers: Measured[] = [];
      for (const request of requests as readonly InclusionRequest[])
        answers.push({ request, ...(yield* inclusion(request, catalogue, options)) });
      return answers;
    }
    case 'violations':
      return yield* violations(table, requests as readonly ViolationsRequest[], options.depth);
  }
}

/** Bounds are worth their cost for whole numbers that identify or refer, and for days and moments, which may be none (0000-00-00). */
function isBounded(table: Table, column: Column): boolean {
  if (column.family === 'date' || column.family === 'timestamp') return true;
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

const parts = 5;

function* profile(table: Table, { depth, values = true }: MeasureOptions): Asking<{ how: How; result: Profile }> {
  const { from, sampled } = yield* extentOf(table, depth);
  const counts = table.columns.flatMap((column) => {
    const name = quote(column.name);
    return [
      column.nullable ? `count(${name})` : 'count(*)',
      column.family === 'text' ? `count(case when ${guardedBlank(column)} then 1 end)` : 'null',
      ...(values && isBounded(table, column) ? [`min(${name})`, `max(${name})`] : ['null', 'null']),
      mayBeTooWide(column) ? `max(octet_length(${name}))` : 'null',
    ];
  });
  const seen = yield* oneOf({ text: `select ${['count(*)', ...counts].join(', ')} from ${from}`, columns: 1 + counts.length });
  const rows = Number(seen[0]);
  const total = sampled ? Math.max(table.estimatedRows ?? rows, rows) : rows;
  const scale = rows === 0 ? 1 : total / rows;
  const columns = recordOf(
    table.columns.map((column, i): [string, ColumnProfile] => {
      const [filled, blanks, min, max, widest] = seen.slice(1 + parts * i, 1 + parts * (i + 1));
      return [
        column.name,
        {
          nulls: Math.ceil((rows - Number(filled)) * scale),
          blanks: blanks === null ? null : Math.ceil(Number(blanks) * scale),
          min: min ?? null,
          max: max ?? null,
          ...(widest !== null && widest !== undefined && { widest: Number(widest) }),
        },
      ];
    }),
  );
  return { how: how(sampled, rows), result: { rows: total, columns } };
}

function mayBeTooWide({ comparable, family, length }: Column): boolean {
  if (!comparable) return false;
  return family === 'binary' || (family === 'text' && (length === null || length * 4 > types.widestIndexed));
}

// Few values sort before '!': the guard spares the pattern of all others.
function guardedBlank({ name }: Column): string {
  return `${quote(name)} < '!' and ${blankCondition(name)}`;
}

/** Rows of a sample, with values that the server takes for equal spelt alike: as the first of them is. */
function* sample(
  table: Table,
  { atOnce = false }: MeasureOptions,
): Asking<Pick<Answer<unknown, ReturnType<typeof summarise>>, 'how' | 'result'>> {
  const { columns } = table;
  if (columns.length === 0) return { how: how(false, 0), result: summarise([], []) };
  const most = Math.max(500, Math.min(wholeUpTo + 1, Math.floor(mostCells / columns.length)));
  const { from, sampled } = yield* extentOf(table, 'sampled', { wanted: Math.min(sampleSizeOf(table), most), atOnce });
  const weights = columns.flatMap((column, at) => {
    const weight = weightOf(column);
    return weight === null ? [] : [{ at, weight }];
  });
  const listed = [...columns.map(sampledValue), ...weights.map(({ weight }) => weight)];
  const found = yield* rowsOf({
    text: `select ${listed.join(', ')} from ${from} limit ${most}`,
    columns: listed.length,
    givesData: true,
  });
  const rows = speltAlike(
    found,
    columns.length,
    weights.map(({ at }) => at),
  );
  return { how: how(sampled || rows.length === most, rows.length), result: summarise(columns, rows) };
}

function speltAlike(rows: readonly Row[], width: number, weighed: readonly number[]): readonly Row[] {
  const first = weighed.map(() => new Map<string, string>());
  return rows.map((row) => {
    const values = row.slice(0, width);
    weighed.forEach((at, i) => {
      const value = values[at];
      const weight = row[width + i];
      if (value === null || value === undefined || weight === null || weight === undefined) return;
      const known = first[i]?.get(weight);
      if (known === undefined) first[i]?.set(weight, value);
      else values[at] = known;
    });
    return values;
  });
}

/** Each set by itself: several in one pass take longer than one after the other. */
function* repeats(
  table: Table,
  requests: readonly RepeatsRequest[],
  { depth, atOnce = false }: MeasureOptions,
): Asking<readonly Answer<RepeatsRequest, Repeats>[]> {
  const answers: Answer<RepeatsRequest, Repeats>[] = [];
  for (const request of requests) {
    const columns = request.columns.map((name) => columnNamed(table, name));
    const live = request.live === undefined ? null : columnNamed(table, request.live);
    const { from, sampled } = yield* extentOf(table, depth, { columns: live ? [...columns, live] : columns });
    const by = columns.map((column) => (request.folded ? foldedValue(column) : quote(column.name)));
    const where = [...by.map((value) => `${value} is not null`), ...(live ? [isLive(live)] : [])].join(' and ');
    const one = (value: string): string => `case when ${where} then ${value} end`;
    const counting: Query = {
      text: `select ${live ? `count(case when ${isLive(live)} then 1 end)` : 'count(*)'}, count(${one('1')}), count(distinct ${by.map((value) => (live ? one(value) : value)).join(', ')}) from ${from}`,
      columns: 3,
    };
    const grouping: Query = {
      text: `select count(*), coalesce(sum(times), 0) from (select sql_big_result count(*) as times from ${from} where ${where} group by ${by.join(', ')} having count(*) > 1) as repeated`,
      columns: 2,
    };
    const [counted, grouped] = atOnce ? yield [counting, grouping] : yield [counting];
    const [rows = 0, filled = 0, distinct = 0] = rowOf(counted).map(Number);
    const surplus = filled - distinct;
    const listed = surplus > 0 && surplus <= listedUpTo ? (grouped ? rowOf(grouped) : yield* oneOf(grouping)).map(Number) : null;
    answers.push({
      request,
      how: how(sampled, rows),
      result: {
        rows,
        nullRows: rows - filled,
        surplus,
        repeatedValues: surplus === 0 ? 0 : (listed?.[0] ?? null),
        repeatedRows: surplus === 0 ? 0 : (listed?.[1] ?? null),
      },
    });
  }
  return answers;
}

function* violations(
  table: Table,
  requests: readonly ViolationsRequest[],
  depth: Depth,
): Asking<readonly Answer<ViolationsRequest, Violations>[]> {
  const { from, sampled } = yield* extentOf(table, depth);
  const counts = requests.flatMap(({ claim }) => [
    `count(case when ${spokenOfCondition(claim)} then 1 end)`,
    `count(case when ${brokenCondition(claim)} then 1 end)`,
  ]);
  const text = `select count(*), ${counts.join(', ')} from ${from}`;
  const [rows = 0, ...seen] = (yield* oneOf({ text, columns: 1 + counts.length })).map(Number);
  return requests.map((request, i) => ({
    request,
    how: how(sampled, rows),
    result: { rows: seen[2 * i] ?? 0, broken: seen[2 * i + 1] ?? 0 },
  }));
}

function columnNamed(table: Table, name: string): Column {
  const column = table.columns.find((c) => c.name === name);
  if (!column) throw new CatalogueError(`${table.id} has no column ${name}.`);
  return column;
}
