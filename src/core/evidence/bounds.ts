// Between which whole numbers a column's values lie, and finding one's place among others that are in order.

import type { TableId } from '../catalogue/identifiers';
import { type Evidence, profileOf } from './evidence';

export interface Bounds {
  readonly min: number;
  readonly max: number;
}

/** Null for what holds no whole numbers, or was not measured. */
export function boundsOf(evidence: Evidence, table: TableId, column: string): Bounds | null {
  const bounds = profileOf(evidence, table)?.result.columns[column];
  if (!bounds || bounds.min === null || bounds.max === null || !/^-?\d+$/.test(bounds.min) || !/^-?\d+$/.test(bounds.max))
    return null;
  return { min: Number(bounds.min), max: Number(bounds.max) };
}

/** The place of the first that is at least so large; `items` are in the order of `of`. */
export function firstAtLeast<Item>(items: readonly Item[], value: number, of: (item: Item) => number): number {
  let low = 0;
  for (let high = items.length; low < high;) {
    const middle = (low + high) >> 1;
    if (of(items[middle] as Item) < value) low = middle + 1;
    else high = middle;
  }
  return low;
}
