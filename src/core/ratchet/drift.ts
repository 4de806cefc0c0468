// What is declared otherwise than at the survey before, and that no docket made.

import type { Catalogue } from '../catalogue/model';
import { CatalogueError } from '../catalogue/CatalogueError';
import { sideTablePrefix } from '../catalogue/lookups';
import { apply, type Operation } from '../operations/index';
import { type Difference, differencesBetween } from './differences';

/** `carriedOut`: what dockets may have done in between, in order. What one of them touches is its own, also when it stopped halfway. */
export function driftBetween(before: Catalogue, after: Catalogue, carriedOut: readonly Operation[]): readonly Difference[] {
  const all = differencesBetween(before, after).filter(({ table }) => !table?.includes(`.${sideTablePrefix}`));
  if (all.length === 0 || carriedOut.length === 0) return all;
  const touched = touchedBy(before, carriedOut);
  return all.filter((difference) => !partsOf(difference).some((part) => touched.has(part)));
}

function touchedBy(before: Catalogue, operations: readonly Operation[]): ReadonlySet<string> {
  const touched = new Set<string>();
  let now = before;
  for (const operation of operations) {
    try {
      const next = apply(operation, now);
      for (const difference of differencesBetween(now, next)) for (const part of partsOf(difference)) touched.add(part);
      now = next;
    } catch (error) {
      // It is in force already, or what it needs is not there: it has done nothing more.
      if (!(error instanceof CatalogueError)) throw error;
    }
  }
  return touched;
}

/** What a difference is of, under both names where it was renamed. */
function partsOf({ kind, table, name, change, was }: Difference): readonly string[] {
  if (kind === 'table' && change === 'renamed') return [`table ${table}`, `table ${was}`];
  const names = change === 'renamed' && was !== null ? [name, was] : [name];
  return names.map((one) => `${kind} ${table ?? ''} ${one}`);
}
