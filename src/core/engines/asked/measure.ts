// How evidence requests are answered, on every engine: what is asked is put together here, of what the engine spells in its own way, and
// what is answered is read here.

import { getTable } from '../../catalogue/lookups';
import type { Catalogue, Column, Table } from '../../catalogue/model';
import type { ColumnProfile, How, Profile, Violations } from '../../evidence/evidence';
import type {
  Depth,
  EvidenceRequest,
  InclusionRequest,
  ProbeRequest,
  RepeatsRequest,
  ViolationsRequest,
} from '../../evidence/requests';
import { summarise } from '../../evidence/sample';
import { namesAnIdentifier } from '../../naming/meaning';
import { recordOf } from '../../records';
import { type Asking, type Measured, type MeasureOptions, oneOf, type Row, rowsOf } from '../questions';
import { countedSample } from './counted-sample';
import { type Answer, how, sampleSizeOf, wholeUpTo } from './extent';
import type { Measuring } from './measuring';
import { probe, probeAtOnce } from './probes';
import { repeats } from './repeats';

const mostCells = 2_500_000;

/** Answers requests of one kind about one table, or probes of any tables. */
export function* measure(
  by: Measuring,
  requests: readonly EvidenceRequest[],
  catalogue: Catalogue,
  options: MeasureOptions,
): Asking<readonly Measured[]> {
  const [first] = requests;
  if (!first) return [];
  const table = getTable(catalogue, first.table);
  switch (first.kind) {
    case 'profile':
      return [{ request: first, ...(yield* profile(by, table, options)) }];
    case 'sample':
      return [{ request: first, ...(yield* options.values === false ? countedSample(by, table) : sample(by, table, options)) }];
    case 'repeats':
      return yield* repeats(by, table, requests as readonly RepeatsRequest[], options);
    case 'probe':
      return yield* (options.atOnce ? probeAtOnce : probe)(by, requests as readonly ProbeRequest[], catalogue);
    case 'inclusion': {
      const answers: Measured[] = [];
      for (const request of requests as readonly InclusionRequest[])
        answers.push({ request, ...(yield* by.inclusion(request, catalogue, options)) });
      return answers;
    }
    case 'violations':
      return yield* violations(by, table, requests as readonly ViolationsRequest[], options.depth);
  }
}

function isBounded({ bounded }: Measuring, table: Table, column: Column): boolean {
  if (bounded.includes(column.family)) return true;
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

function* profile(by: Measuring, table: Table, { depth, values = true }: MeasureOptions): Asking<{ how: How; result: Profile }> {
  const { from, sampled } = yield* by.extentOf(table, depth);
  const counts = table.columns.flatMap((column) => {
    const width = by.width(column);
    const bounded = values && isBounded(by, table, column);
    return [
      column.nullable ? `count(${by.quote(column.name)})` : 'count(*)',
      column.family === 'text' ? by.countWhere(by.guardedBlank(column.name)) : 'null',
      ...(['min', 'max'] as const).map((which) => (bounded ? by.bound(which, column.name) : 'null')),
      width === null ? 'null' : `max(${width})`,
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

/** Whether a text or bytes can be longer than an index takes: four bytes a character are the most. */
export function mayBeTooWide({ comparable, family, length }: Column, widestIndexed: number): boolean {
  return comparable && (family === 'binary' || (family === 'text' && (length === null || length * 4 > widestIndexed)));
}

/** Rows of a sample, with values that the server takes for equal spelt alike: as the first of them is. */
function* sample(
  by: Measuring,
  table: Table,
  { atOnce = false }: MeasureOptions,
): Asking<Pick<Answer<unknown, ReturnType<typeof summarise>>, 'how' | 'result'>> {
  const { columns } = table;
  if (columns.length === 0) return { how: how(false, 0), result: summarise([], []) };
  const most = Math.max(500, Math.min(wholeUpTo + 1, Math.floor(mostCells / columns.length)));
  const wanted = Math.min(sampleSizeOf(table), most);
  const { from, sampled } = yield* by.extentOf(table, 'sampled', { wanted, only: true, atOnce });
  const weights = columns.map(by.weightOf).flatMap((weight, at) => (weight === null ? [] : [{ at, weight }]));
  const listed = [...columns.map(by.sampledValue), ...weights.map(({ weight }) => weight)];
  const text = `select ${listed.join(', ')} from ${from} limit ${most}`;
  const found = yield* rowsOf({ text, columns: listed.length, givesData: true });
  const rows = speltAlike(
    found,
    columns.length,
    weights.map(({ at }) => at),
  );
  return { how: how(sampled || rows.length === most, rows.length), result: summarise(columns, rows) };
}

function speltAlike(rows: readonly Row[], width: number, weighed: readonly number[]): readonly Row[] {
  if (weighed.length === 0) return rows;
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

function* violations(
  by: Measuring,
  table: Table,
  requests: readonly ViolationsRequest[],
  depth: Depth,
): Asking<readonly Answer<ViolationsRequest, Violations>[]> {
  const { from, sampled } = yield* by.extentOf(table, depth);
  const counts = requests.flatMap(({ claim }) => [
    by.countWhere(by.spokenOfCondition(claim)),
    by.countWhere(by.brokenCondition(claim)),
  ]);
  const text = `select count(*), ${counts.join(', ')} from ${from}`;
  const [rows = 0, ...seen] = (yield* oneOf({ text, columns: 1 + counts.length })).map(Number);
  return requests.map((request, i) => ({
    request,
    how: how(sampled, rows),
    result: { rows: seen[2 * i] ?? 0, broken: seen[2 * i + 1] ?? 0 },
  }));
}

/** Rows, and those without a value, when an exact profile has counted them already. */
export function countedBefore({ table, columns }: InclusionRequest, known: MeasureOptions['known']) {
  const profiled = known?.({ kind: 'profile', table });
  if (!profiled || !('result' in profiled) || profiled.request.kind !== 'profile' || profiled.how.kind !== 'exact') return null;
  const { rows, columns: seen } = profiled.result as Profile;
  const [only] = columns;
  return columns.length === 1 && only !== undefined ? { rows, nullRows: seen[only]?.nulls ?? 0 } : null;
}
