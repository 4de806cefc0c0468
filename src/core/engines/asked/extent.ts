// What a measurement reads: the whole table, or a part of it.

import type { Column, Table } from '../../catalogue/model';
import type { How } from '../../evidence/evidence';

/** What an answer is made of, before it becomes a fact. */
export interface Answer<Request, Result> {
  readonly request: Request;
  readonly how: How;
  readonly result: Result;
}

export interface Extent {
  /** What stands behind FROM. */
  readonly from: string;
  readonly sampled: boolean;
}

export interface ExtentOptions {
  /** Rows that a sample is to have. */
  readonly wanted?: number;
  /** Those that are looked at; all when left out. */
  readonly columns?: readonly Column[];
  /** True to leave out what inherits from the table, as keys and references do. */
  readonly only?: boolean;
  /** True where nothing can be asked before. */
  readonly atOnce?: boolean;
}

const mostSampled = 25_000;
const fewestSampled = 10_000;
/** A table that is little larger than a sample is read whole. */
export const wholeUpTo = 40_000;

/** Rows by the server's estimate, else by size. */
export function expectedRows(table: Table): number {
  return table.estimatedRows !== null && table.estimatedRows > 0 ? table.estimatedRows : (table.bytes ?? 0) / 120;
}

/**
 * Among m rows of d distinct values about m²/2d repeats show: 25,000 rows falsify what has fewer than some
 * ten million, which a table of less than 300,000 rows cannot have.
 */
export function sampleSizeOf(table: Table): number {
  return Math.round(Math.min(mostSampled, Math.max(fewestSampled, expectedRows(table) / 12)));
}

export function how(sampled: boolean, rows: number): How {
  return sampled ? { kind: 'sample', rows } : { kind: 'exact' };
}
