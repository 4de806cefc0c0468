// What an engine measures with: what it spells, and what it does in a way of its own.

import type { Catalogue, Column, Table } from '../../catalogue/model';
import type { How, Inclusion } from '../../evidence/evidence';
import type { Depth, InclusionRequest, RepeatsRequest } from '../../evidence/requests';
import type { Asking, MeasureOptions, Query } from '../questions';
import type { Conditions } from './conditions';
import type { Extent, ExtentOptions } from './extent';
import type { Spelling } from './spelling';

export interface Measuring extends Spelling, Conditions, Probing, Repeating {
  readonly extentOf: (table: Table, depth: Depth, options?: ExtentOptions) => Asking<Extent>;
  /** Kinds of values whose bounds are worth their cost, beside numbers that identify or refer. */
  readonly bounded: readonly Column['family'][];
  readonly bound: (which: 'min' | 'max', name: string) => string;
  /** True of blank texts, with a cheap condition before the dear one. */
  readonly guardedBlank: (name: string) => string;
  /** Bytes of a value that may be longer than an index takes; null where none can be. */
  readonly width: (column: Column) => string | null;
  /** A value as text for a sample. */
  readonly sampledValue: (column: Column) => string;
  /** What two values have in common when the server takes them for equal; null where their texts say it. */
  readonly weightOf: (column: Column) => string | null;
  readonly inclusion: (
    request: InclusionRequest,
    catalogue: Catalogue,
    options: MeasureOptions,
  ) => Asking<{ readonly how: How; readonly result: Inclusion }>;
}

export interface ColumnSet {
  readonly request: RepeatsRequest;
  readonly columns: readonly Column[];
  /** True of the rows that count; null where all do. */
  readonly live: string | null;
}

export interface Repeating {
  /** True where several sets in one pass are quicker than one after the other. */
  readonly repeatsTogether: boolean;
  /** Rows, those that have all columns, and different values of these. */
  readonly countsOf: (set: ColumnSet) => readonly [rows: string, filled: string, distinct: string];
  /** Groups of rows that repeat, and how many rows are in them. */
  readonly groupsOf: (from: string, set: ColumnSet) => string;
}

/** How an engine looks values up. */
export interface Probing {
  /** A value as people can read it. */
  readonly readable: (column: Column) => string;
  /** Columns whose values can be looked up together have this in common. */
  readonly lookedUpAs: (column: Column) => string;
  /** Those of the values that a key has, each as it is spelt here. */
  readonly findAmong: (sought: Sought) => Pick<Query, 'text' | 'values'>;
  /** Different values of a column, and for each parent how many of them it has not. */
  readonly countMissing: (counted: CountedMissing) => string;
}

export interface Sought {
  readonly parent: Table;
  readonly key: Column;
  readonly of: Column;
  readonly values: readonly string[];
}

export interface CountedMissing {
  /** What stands behind FROM, and how many rows and values of it are looked at. */
  readonly from: string;
  readonly rows: number;
  readonly most: number;
  readonly column: Column;
  readonly parents: readonly { readonly table: Table; readonly key: Column }[];
}
