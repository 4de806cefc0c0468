// What a sample of rows tells: about each column, and which column sets never repeat in it. Pure, so
// that brute force can be its oracle. Values come as text, null for null; long ones may be shortened
// by the reader as long as different values stay different.

import type { Column } from '../catalogue/model';
import { type Form, formOf } from './claims';
import { canIdentify } from '../naming/meaning';
import { joined, recordOf } from '../records';
import { uniqueCombinations } from './combinations';

export interface Sample {
  /** Rows looked at. */
  readonly rows: number;
  readonly columns: Readonly<Record<string, SampledColumn>>;
  /** Minimal column sets (at most four wide) that repeat nowhere among these rows, rows with a null left out. */
  readonly uniques: readonly (readonly string[])[];
  /** For pairs of days or moments: rows that have both, and rows where the first is the later. */
  readonly ordered: readonly OrderedPair[];
}

export interface SampledColumn {
  readonly nulls: number;
  /** Distinct values; null when the type has no equality. */
  readonly distinct: number | null;
  /** Distinct values when case and outer spaces do not count; null but for text. */
  readonly folded: number | null;
  /** The most frequent values with their counts, at most twelve, those that occur once left out unless all values are few. */
  readonly frequent: readonly (readonly [string, number])[];
  /** Characters of the longest value; null but for text. */
  readonly longest: number | null;
  /** How many of the filled values of a text have each form. */
  readonly forms: Readonly<Partial<Record<Form, number>>>;
  /** Filled and not blank. */
  readonly filled: number;
  readonly negative: number;
  /** Probability that two rows taken at random have the same value here, nulls left out; 0 when none repeats. */
  readonly agreement: number;
  /** Share of neighbours, in the order of storage, that rise: near 1 for what grows with time. */
  readonly rising: number | null;
  /** Of whole numbers, the distinct values at each tenth of their order, nine in all; left out of others, of fewer, and by older surveys. */
  readonly tenths?: readonly number[];
}

export interface OrderedPair {
  readonly first: string;
  readonly second: string;
  readonly both: number;
  readonly broken: number;
}

export type SampleRow = readonly (string | null)[];

const mostFrequent = 12;
/** Characters; what is longer is a text and no key. */
const widestKey = 255;

/** `columns` in the order of each row's values. */
export function summarise(columns: readonly Column[], rows: readonly SampleRow[]): Sample {
  const summaries = columns.map((column, i) => summariseColumn(column, rows, i));
  return {
    rows: rows.length,
    columns: recordOf(columns.map((column, i) => [column.name, (summaries[i] as Summary).summary])),
    uniques: uniqueCombinations(
      columns.flatMap((column, i) => {
        const { codes, summary } = summaries[i] as Summary;
        return codes === null || !canIdentify(column) || (summary.longest ?? 0) > widestKey
          ? []
          : [{ name: column.name, codes, distinct: summary.distinct ?? 0, nulls: summary.nulls }];
      }),
      rows.length,
    ),
    ordered: orderedPairs(columns, rows),
  };
}

const fewestForTenths = 5;

function tenthsOf(values: readonly string[]): readonly number[] {
  const sorted = Float64Array.from(values, Number).sort();
  return Array.from({ length: 9 }, (_, i) => sorted[Math.floor(((i + 1) * sorted.length) / 10)] ?? 0);
}

interface Summary {
  readonly summary: SampledColumn;
  /** A number for each row, the same for the same value, -1 for null; null when the type has no equality. */
  readonly codes: Int32Array | null;
}

function summariseColumn(column: Column, rows: readonly SampleRow[], at: number): Summary {
  const { comparable } = column;
  const codes = new Int32Array(rows.length);
  const byValue = new Map<string, number>();
  const counts: number[] = [];
  let nulls = 0;
  rows.forEach((row, r) => {
    const value = row[at] ?? null;
    if (value === null) {
      nulls++;
      codes[r] = -1;
      return;
    }
    let code = byValue.get(value);
    if (code === undefined) {
      byValue.set(value, (code = counts.length));
      counts.push(0);
    }
    counts[code] = (counts[code] ?? 0) + 1;
    codes[r] = code;
  });
  const values = [...byValue.keys()];
  return {
    summary: joined(describe(column, { values, counts, nulls, rows: rows.length, comparable }), {
      rising: rising(column, rows, at),
      ...(column.family === 'integer' && values.length >= fewestForTenths && { tenths: tenthsOf(values) }),
    }),
    codes: comparable ? codes : null,
  };
}

interface Distinct {
  readonly values: readonly string[];
  /** Of each value, how often it was seen. */
  readonly counts: readonly number[];
  readonly nulls: number;
  readonly rows: number;
  readonly comparable: boolean;
}

function describe(column: Column, { values, counts, nulls, rows, comparable }: Distinct): Omit<SampledColumn, 'rising'> {
  const isText = column.family === 'text';
  const forms: Partial<Record<Form, number>> = {};
  const folds = new Set<string>();
  let longest = 0;
  let blanks = 0;
  let negative = 0;
  values.forEach((value, i) => {
    const count = counts[i] ?? 0;
    if (isText) {
      const trimmed = value.trim();
      folds.add(trimmed.toLowerCase());
      longest = Math.max(longest, value.length);
      if (trimmed === '') blanks += count;
      const form = formOf(trimmed);
      if (form) forms[form] = (forms[form] ?? 0) + count;
    } else if (value.startsWith('-') && ['integer', 'decimal', 'float'].includes(column.family)) negative += count;
  });
  return {
    nulls,
    distinct: comparable ? values.length : null,
    folded: isText ? folds.size : null,
    frequent: comparable ? frequentOf(values, counts) : [],
    longest: isText ? longest : null,
    forms,
    filled: rows - nulls - blanks,
    negative,
    agreement: agreementOf(counts),
  };
}

function agreementOf(counts: readonly number[]): number {
  const total = counts.reduce((sum, count) => sum + count, 0);
  if (total < 2) return 0;
  return counts.reduce((sum, count) => sum + count * (count - 1), 0) / (total * (total - 1));
}

function frequentOf(values: readonly string[], counts: readonly number[]): readonly (readonly [string, number])[] {
  const few = values.length <= mostFrequent;
  return values
    .map((value, i) => [value, counts[i] ?? 0] as const)
    .filter(([, count]) => few || count > 1)
    .sort((a, b) => b[1] - a[1] || (a[0] < b[0] ? -1 : 1))
    .slice(0, mostFrequent);
}

function rising(column: Column, rows: readonly SampleRow[], at: number): number | null {
  if (!['integer', 'date', 'timestamp'].includes(column.family)) return null;
  const numeric = column.family === 'integer';
  let pairs = 0;
  let up = 0;
  let before: string | null = null;
  for (const row of rows) {
    const value = row[at] ?? null;
    if (value === null) continue;
    if (before !== null) {
      pairs++;
      if (numeric ? Number(value) >= Number(before) : value >= before) up++;
    }
    before = value;
  }
  return pairs === 0 ? null : up / pairs;
}

const mostPairs = 30;

// Days and moments are compared only with their own kind, which ISO text does rightly in one time zone.
function orderedPairs(columns: readonly Column[], rows: readonly SampleRow[]): readonly OrderedPair[] {
  const moments = columns
    .map((column, at) => ({ column, at }))
    .filter(({ column }) => ['date', 'timestamp'].includes(column.family));
  const pairs = moments.flatMap((first) =>
    moments
      .filter((second) => second !== first && second.column.declaredType === first.column.declaredType)
      .map((second) => ({ first, second })),
  );
  return pairs.slice(0, mostPairs).flatMap(({ first, second }) => {
    let both = 0;
    let broken = 0;
    for (const row of rows) {
      const a = row[first.at] ?? null;
      const b = row[second.at] ?? null;
      if (a === null || b === null) continue;
      both++;
      if (a > b) broken++;
    }
    return both === 0 ? [] : [{ first: first.column.name, second: second.column.name, both, broken }];
  });
}
