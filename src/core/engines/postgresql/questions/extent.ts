// What a measurement reads: the whole table, or a sample of its blocks.

import type { Table } from '../../../catalogue/model';
import type { How } from '../../../evidence/evidence';
import type { Depth } from '../../../evidence/requests';
import { quoteTable } from '../quote';

const mostSampled = 25_000;
const fewestSampled = 10_000;
/** A table that is little larger than a sample is read whole. */
export const wholeUpTo = 40_000;

/** What an answer is made of, before it becomes a fact. */
export interface Answer<Request, Result> {
  readonly request: Request;
  readonly how: How;
  readonly result: Result;
}

/** Rows by the server's estimate, else by size. */
function rowsOf(table: Table): number {
  return table.estimatedRows !== null && table.estimatedRows > 0 ? table.estimatedRows : (table.bytes ?? 0) / 120;
}

/**
 * Among m rows of d distinct values about m²/2d repeats show: 25,000 rows falsify what has fewer than some
 * ten million, which a table of less than 300,000 rows cannot have.
 */
export function sampleSizeOf(table: Table): number {
  return Math.round(Math.min(mostSampled, Math.max(fewestSampled, rowsOf(table) / 12)));
}

/** What to read of a table: all of it, or a block sample of about the wanted rows. */
export function fromClause(
  table: Table,
  depth: Depth,
  { wanted = sampleSizeOf(table), only = false }: { readonly wanted?: number; readonly only?: boolean } = {},
): { readonly from: string; readonly sampled: boolean } {
  const from = only ? ownRows(table) : quoteTable(table.id);
  if (depth === 'exact' || rowsOf(table) <= wholeUpTo) return { from, sampled: false };
  return { from: `${from} ${blockSample(table, wanted)}`, sampled: true };
}

/** A table without those that inherit from it, as keys and references see it; a partitioned one has no rows but its partitions'. */
export function ownRows(table: Table): string {
  return `${table.kind === 'partitioned' ? '' : 'only '}${quoteTable(table.id)}`;
}

// The same blocks each time, so that two surveys of an unchanged table say the same.
function blockSample(table: Table, wanted: number): string {
  const percent = Math.min(100, (100 * wanted * 1.1) / Math.max(rowsOf(table), 1)).toFixed(6);
  return `tablesample system (${percent}) repeatable (1)`;
}

export function how(sampled: boolean, rows: number): How {
  return sampled ? { kind: 'sample', rows } : { kind: 'exact' };
}
