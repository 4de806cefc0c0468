// Which rows speak for a finding, as data: a source reads them live, a page at a time, when somebody asks.

import type { TableId } from '../catalogue/identifiers';
import type { Claim } from './claims';

export type RowsQuestion =
  /** Values without a parent, with the rows that carry them. */
  | {
      readonly kind: 'orphans';
      readonly table: TableId;
      readonly columns: readonly string[];
      readonly parent: TableId;
      readonly parentColumns: readonly string[];
    }
  /** Rows that carry a value another row carries too, the largest groups first; `folded` as in RepeatsRequest. */
  | { readonly kind: 'repeats'; readonly table: TableId; readonly columns: readonly string[]; readonly folded?: boolean }
  /** Every value with the rows that carry it. */
  | { readonly kind: 'values'; readonly table: TableId; readonly column: string }
  /** Rows without a value. */
  | { readonly kind: 'nulls'; readonly table: TableId; readonly column: string }
  /** Rows that are blank. */
  | { readonly kind: 'blanks'; readonly table: TableId; readonly column: string }
  /** Rows that break a claim. */
  | { readonly kind: 'breaking'; readonly table: TableId; readonly claim: Claim }
  /** Rows as they are; no columns for all of them. */
  | { readonly kind: 'rows'; readonly table: TableId; readonly columns: readonly string[] }
  /** Those rows that have these values, as text, in these columns. */
  | { readonly kind: 'having'; readonly table: TableId; readonly columns: readonly string[]; readonly values: readonly string[] }
  /** How many of those there are, counted up to `most`. */
  | {
      readonly kind: 'howMany';
      readonly table: TableId;
      readonly columns: readonly string[];
      readonly values: readonly string[];
      readonly most: number;
    };
