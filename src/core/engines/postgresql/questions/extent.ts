// What a measurement reads: the whole table, or a sample of its blocks.

import type { Table } from '../../../catalogue/model';
import type { Depth } from '../../../evidence/requests';
import { expectedRows, type Extent, type ExtentOptions, sampleSizeOf, wholeUpTo } from '../../asked/extent';
import { quoteTable } from '../quote';

/** What to read of a table: all of it, or a block sample of about the wanted rows. */
export function fromClause(
  table: Table,
  depth: Depth,
  { wanted = sampleSizeOf(table), only = false }: ExtentOptions = {},
): Extent {
  const from = only ? ownRows(table) : quoteTable(table.id);
  if (depth === 'exact' || expectedRows(table) <= wholeUpTo) return { from, sampled: false };
  return { from: `${from} ${blockSample(table, wanted)}`, sampled: true };
}

/** A table without those that inherit from it, as keys and references see it; a partitioned one has no rows but its partitions'. */
export function ownRows(table: Table): string {
  return `${table.kind === 'partitioned' ? '' : 'only '}${quoteTable(table.id)}`;
}

// The same blocks each time, so that two surveys of an unchanged table say the same.
function blockSample(table: Table, wanted: number): string {
  const percent = Math.min(100, (100 * wanted * 1.1) / Math.max(expectedRows(table), 1)).toFixed(6);
  return `tablesample system (${percent}) repeatable (1)`;
}
