// What a sample tells in counts alone, where answers must hold no values: how many values there are, and which columns,
// alone or in pairs, never repeat. What only values show stays unknown: frequent ones, forms, sets of three and more.

import type { Column, Table } from '../../catalogue/model';
import type { Sample, SampledColumn } from '../../evidence/sample';
import { canIdentify, namesAnIdentifier } from '../../naming/meaning';
import { recordOf } from '../../records';
import { type Asking, oneOf } from '../questions';
import { type Answer, how, sampleSizeOf } from './extent';
import type { Measuring } from './measuring';
import type { Spelling } from './spelling';

/** Columns of which all pairs are counted: those that are named as identifiers are, and what stands first. */
const mostPaired = 7;
const perColumn = 6;

export function* countedSample(by: Measuring, table: Table): Asking<Pick<Answer<unknown, Sample>, 'how' | 'result'>> {
  const wanted = sampleSizeOf(table);
  const { from, sampled } = yield* by.extentOf(table, 'sampled', { wanted, only: true, atOnce: true });
  const pairs = pairsOf(table);
  const days = dayPairs(table);
  const counts = [
    'count(*)',
    ...table.columns.flatMap((column) => countsOf(by, column)),
    ...pairs.flatMap((pair) => countsOfPair(by, pair)),
    ...days.flatMap((pair) => countsOfDays(by, pair)),
  ];
  const text = `select ${counts.join(', ')} from (select * from ${from} limit ${wanted + 1}) as part`;
  const seen = (yield* oneOf({ text, columns: counts.length })).map((count) => (count === null ? null : Number(count)));
  const rows = seen[0] ?? 0;
  const columns = table.columns.map((column, i) => summaryOf(column, rows, seen.slice(1 + perColumn * i)));
  const paired = seen.slice(1 + perColumn * columns.length);
  const single = table.columns.filter((column, i) => canIdentify(column) && isUnique(columns[i], rows)).map(({ name }) => name);
  const uniquePairs = pairs.filter(
    ([a, b], i) =>
      !single.includes(a.name) && !single.includes(b.name) && paired[2 * i] === paired[2 * i + 1] && (paired[2 * i] ?? 0) > 1,
  );
  const ordered = paired.slice(2 * pairs.length);
  return {
    how: how(sampled, rows),
    result: {
      rows,
      columns: recordOf(table.columns.map((column, i) => [column.name, columns[i] as SampledColumn])),
      uniques: [...single.map((name) => [name]), ...uniquePairs.map(([a, b]) => [a.name, b.name])],
      ordered: days.flatMap(([first, second], i) => {
        const [both = 0, broken = 0] = [ordered[2 * i] ?? 0, ordered[2 * i + 1] ?? 0];
        return both === 0 ? [] : [{ first: first.name, second: second.name, both, broken }];
      }),
    },
  };
}

type Pair = readonly [Column, Column];

function countsOf(by: Spelling, column: Column): readonly string[] {
  const name = by.quote(column.name);
  const text = column.family === 'text';
  return [
    `count(${name})`,
    column.comparable ? `count(distinct ${name})` : 'null',
    text ? `count(distinct ${by.folded(column)})` : 'null',
    text ? `max(${by.length(column.name)})` : 'null',
    text ? by.countWhere(by.claims.blank(column.name)) : '0',
    ['integer', 'decimal', 'float'].includes(column.family) ? by.countWhere(`${name} < 0`) : '0',
  ];
}

function pairsOf({ columns }: Table): readonly Pair[] {
  const some = columns
    .filter((column, i) => canIdentify(column) && !column.nullable && (i === 0 || namesAnIdentifier(column.name)))
    .slice(0, mostPaired);
  return some.flatMap((first, i) => some.slice(i + 1).map((second): Pair => [first, second]));
}

// Both counted at once: rows that have both, and distinct pairs.
function countsOfPair({ quote, countWhere, countTogether }: Spelling, [a, b]: Pair): readonly string[] {
  const both = `${quote(a.name)} is not null and ${quote(b.name)} is not null`;
  return [countWhere(both), countTogether([a.name, b.name], both)];
}

function dayPairs({ columns }: Table): readonly Pair[] {
  const days = columns.filter(({ family }) => family === 'date' || family === 'timestamp').slice(0, mostPaired);
  return days.flatMap((first) =>
    days
      .filter((second) => second !== first && second.declaredType === first.declaredType)
      .map((second): Pair => [first, second]),
  );
}

function countsOfDays({ quote, countWhere }: Spelling, [a, b]: Pair): readonly string[] {
  const [first, second] = [quote(a.name), quote(b.name)];
  return [countWhere(`${first} is not null and ${second} is not null`), countWhere(`${first} > ${second}`)];
}

function isUnique(column: SampledColumn | undefined, rows: number): boolean {
  return column?.distinct !== null && column?.distinct === rows - (column?.nulls ?? 0) && rows - (column?.nulls ?? 0) > 1;
}

function summaryOf(column: Column, rows: number, seen: readonly (number | null)[]): SampledColumn {
  const [filled = 0, distinct = null, folded = null, longest = null, blanks = 0, negative = 0] = seen;
  const nulls = rows - (filled ?? 0);
  return {
    nulls,
    distinct: column.comparable ? distinct : null,
    folded,
    frequent: [],
    longest,
    forms: {},
    filled: (filled ?? 0) - (blanks ?? 0),
    negative: negative ?? 0,
    // As if all values were as frequent as each other.
    agreement: !distinct || distinct === filled ? 0 : 1 / distinct,
    rising: null,
  };
}
