// Evidence that is still true: a table whose definition and whose counters of changed rows are as they
// were has the rows it had, and what was measured exactly then need not be measured again.

import type { TableId } from '../catalogue/identifiers';
import { findTable, hasHeirs } from '../catalogue/lookups';
import type { Catalogue, Table } from '../catalogue/model';
import type { Fact } from './evidence';
import type { EvidenceRequest } from './requests';

export interface Earlier {
  /** When it was taken, in ISO 8601. */
  readonly at: string;
  readonly catalogue: Catalogue;
  readonly facts: readonly Fact[];
}

/** The facts of an earlier exact survey that hold as they are. Facts about several tables need all of them unchanged. */
export function stillTrue(earlier: Earlier, now: Catalogue): readonly Fact[] {
  const unchanged = new Map<TableId, boolean>();
  const isUnchanged = (id: TableId): boolean => {
    let known = unchanged.get(id);
    if (known === undefined) {
      // Of a table that others inherit from, their rows are counted too.
      known = !hasHeirs(now, id) && sameRows(findTable(earlier.catalogue, id), findTable(now, id));
      unchanged.set(id, known);
    }
    return known;
  };
  return earlier.facts.filter(
    (fact) => 'result' in fact && isReusable(fact.request) && tablesOf(fact.request).every(isUnchanged),
  );
}

// A probe depends on which parents there are, and costs little.
function isReusable(request: EvidenceRequest): boolean {
  return request.kind !== 'probe';
}

function tablesOf(request: EvidenceRequest): readonly TableId[] {
  return request.kind === 'inclusion' ? [request.table, request.parent] : [request.table];
}

function sameRows(before: Table | null, now: Table | null): boolean {
  if (!before || !now || before.activity === null || before.activity !== now.activity) return false;
  return before.readable && now.readable && definition(before) === definition(now);
}

// Indexes and constraints change how a question is answered, never what the answer is.
function definition(table: Table): string {
  return JSON.stringify(
    table.columns.map(({ name, declaredType, collation, nullable }) => [name, declaredType, collation, nullable]),
  );
}
