// What a measurement reads: the whole table, or parts of it that are spread over its key. There is no sampling by blocks here.

import type { Table } from '../../../catalogue/model';
import { primaryKeyOf } from '../../../catalogue/lookups';
import type { Depth } from '../../../evidence/requests';
import { expectedRows, type Extent, type ExtentOptions, sampleSizeOf, wholeUpTo } from '../../asked/extent';
import { type Asking, oneOf } from '../../questions';
import { quote, quoteList, quoteTable } from '../quote';

const ranges = 100;

/** All of a table, or ranges of its key of about the wanted rows together; the same ones each time. */
export function* extentOf(
  table: Table,
  depth: Depth,
  { wanted = sampleSizeOf(table), columns = table.columns, atOnce = false }: ExtentOptions = {},
): Asking<Extent> {
  const whole = quoteTable(table.id);
  if (depth === 'exact' || expectedRows(table) <= wholeUpTo || columns.length === 0) return { from: whole, sampled: false };
  const list = quoteList(columns.map(({ name }) => name));
  const spread = atOnce ? null : yield* rangesOf(table, list, wanted);
  // Without a key of whole numbers every row is passed, and some are taken.
  const some = `select ${list} from ${whole} where rand(1) < ${((1.1 * wanted) / expectedRows(table)).toFixed(8)}`;
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
  if (expectedRows(table) / (Number(to - from) + 1) < 0.02) return null;
  return Array.from({ length: ranges }, (_, i) => {
    const start = from + width * BigInt(i);
    const end = i === ranges - 1 ? to + 1n : start + width;
    return `(select ${list} from ${quoteTable(table.id)} where ${name} >= ${start} and ${name} < ${end} order by ${name} limit ${each})`;
  }).join(' union all ');
}
