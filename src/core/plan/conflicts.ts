// What stands in the way of one operation of a plan: another remedy beside it, or what is in force when its
// turn comes. Each is refused in words before anybody sees a script.

import type { Draft } from '../catalogue/draft';
import type { Catalogue } from '../catalogue/model';
import type { Beside, Candidate } from '../operations/beside';
import { kindOf } from '../operations/index';
import { Refusal } from '../operations/refusal';

/** `catalogue` is as surveyed, `current` as it is after the operations before. */
export function conflictOf(candidate: Candidate, beside: Beside, catalogue: Catalogue, current: Draft): Refusal | null {
  const kind = kindOf(candidate.operation);
  return (
    refuseEmptied(candidate, beside, catalogue) ??
    refuseFilled(candidate, beside, catalogue) ??
    kind.refuseBeside?.(candidate, beside, catalogue) ??
    kind.refuse?.(candidate.operation, current) ??
    null
  );
}

// What one remedy empties, another cannot make mandatory.
function refuseEmptied({ operation }: Candidate, beside: Beside, catalogue: Catalogue): Refusal | null {
  const columns = kindOf(operation).fills?.(operation) ?? [];
  if (columns.length === 0) return null;
  for (const { operation: repair } of beside.on(operation.table)) {
    const empty = kindOf(repair).leavesEmpty?.(repair, catalogue) ?? [];
    const emptied = columns.find((column) => empty.includes(column));
    if (emptied !== undefined)
      return new Refusal(
        `${operation.table}.${emptied} cannot be made never empty: another remedy of this docket leaves it empty in some rows. Choose another repair there, or leave it nullable.`,
      );
  }
  return null;
}

// What one remedy writes into rows, another cannot bind: nobody has looked whether it keeps to the rule.
function refuseFilled(candidate: Candidate, beside: Beside, catalogue: Catalogue): Refusal | null {
  const { operation } = candidate;
  const bound = kindOf(operation).binds?.(operation);
  if (!bound) return null;
  for (const repair of beside.othersOn(operation.table, candidate)) {
    const written = kindOf(repair).writes?.(repair, bound, catalogue) ?? [];
    const filled = written.find((column) => bound.columns.includes(column));
    if (filled !== undefined)
      return new Refusal(
        `Another remedy of this docket writes ${filled} of ${operation.table} in some rows, and nobody has looked whether that keeps to this rule. Run that first, and survey again.`,
      );
  }
  return null;
}
