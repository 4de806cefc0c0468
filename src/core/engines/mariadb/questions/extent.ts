// What a measurement reads: the whole table, or parts of it that are spread over its key. There is no sampling by blocks here.

import type { Column, Table } from '../../../catalogue/model';
import { primaryKeyOf } from '../../../catalogue/lookups';
import type { How } from '../../../evidence/evidence';
import type { Depth } from '../../../evidence/requests';
import { type Asking, type MeasureOptions, oneOf } from '../../questions';
import type { Variant } from '../variant';
import { quote, quoteList, quoteTable } from '../quote';

const mostSampled = 25_000;
const fewestSampled = 10_000;
/** A table that is little larger than a sample is read whole. */
export const wholeUpTo = 40_000;
const ranges = 100;

/** What an answer is made of, before it becomes a fact. */
export interface Answer<Request, Result> {
  readonly request: Request;
  readonly how: How;
  readonly result: Result;
}

/** How a measurement is asked for, and how the server is given memory for it. */
export interface Measuring extends MeasureOptions, Pick<Variant, 'withMemory'> {}

export interface Extent {
  /** What stands behind FROM. */
  readonly from: string;
  readonly sampled: boolean;
}

/** Rows by the server's estimate, else by size. */
function rowsOf(table: Table): number {
  return table.estimatedRows !== null && table.estimatedRows > 0 ? table.estimatedRows : (table.bytes ?? 0) / 120;
}

/** As many as falsify what has fewer than some ten million different values. */
export function sampleSizeOf(table: Table): number {
  return Math.round(Math.min(mostSampled, Math.max(fewestSampled, rowsOf(table) / 12)));
}

/** All of a table, or ranges of its key of about the wanted rows together; the same ones each time. */
export function* extentOf(
  table: Table,
  depth: Depth,
  {
    wanted = sampleSizeOf(table),
    columns = table.columns,
    atOnce = false,
  }: { readonly wanted?: number; readonly columns?: readonly Column[]; readonly atOnce?: boolean } = {},
): Asking<Extent> {
  const whole = quoteTable(table.id);
  if (depth === 'exact' || rowsOf(table) <= wholeUpTo || columns.length === 0) return { from: whole, sampled: false };
  const list = quoteList(columns.map(({ name }) => name));
  const spread = atOnce ? null : yield* rangesOf(table, list, wanted);
  // Without a key of whole numbers every row is passed, and some are taken.
  const some = `select ${list} from ${whole} where rand(1) < ${((1.1 * wanted) / rowsOf(table)).toFixed(8)}`;
  return { from: `(${spread ?? some}) as part`, sampled: true };
}

// Both ends are free by the index. Starts are spread over what lies between, each range ends where the next begins.
function* rangesOf(table: Table, list: string, wanted: number): Asking<string | null> {
  const [first] = primaryKeyOf(table)?.columns ?? [];
  const column = table.columns.find(({ name }) => name === first);
  if (column?.family !== 'integer' || table.splitBy !== undefined) return null;
  const name = quote(column.name);
  const [low, high] = yield* oneOf({ text: `select min(${name}), max(${name}) from ${quoteTable(table.id)}`, columns: 2 });
  if (low === null || low === undefined || high === null || high === undefined) return null;
  const [from, to] = [BigInt(low), BigInt(high)];
  const width = (to - from + 1n) / BigInt(ranges);
  if (width < 1n) return null;
  const each = Math.ceil(wanted / ranges);
  // Keys with many gaps leave ranges nearly empty: then passing every row is the honest way.
  if (rowsOf(table) / (Number(to - from) + 1) < 0.02) return null;
  return Array.from({ length: ranges }, (_, i) => {
    const start = from + width * BigInt(i);
    const end = i === ranges - 1 ? to + 1n : start + width;
    return `(select ${list} from ${quoteTable(table.id)} where ${name} >= ${start} and ${name} < ${end} order by ${name} limit ${each})`;
  }).join(' union all ');
}

export function how(sampled: boolean, rows: number): How {
  return sampled ? { kind: 'sample', rows } : { kind: 'exact' };
}
