// The order in which operations are carried out, and what becomes two steps on an engine that can do better in two.

import { getTable } from '../catalogue/lookups';
import type { Catalogue } from '../catalogue/model';
import { traitsOf } from '../engines/facts';
import type { Candidate } from '../operations/beside';
import { kindOf, type Operation } from '../operations/index';
import { referenceIn } from '../operations/reference';
import type { OwnPlanning } from './ownPlanning';
import { isRenaming, renamesInTurn } from './renames';

/** By rank; what one remedy does keeps its order. */
export function inTurn(candidates: readonly Candidate[], catalogue: Catalogue, own?: OwnPlanning): readonly Candidate[] {
  const done = own?.asItIsDone(candidates, catalogue) ?? candidates;
  const split = done.flatMap(({ finding, operation }) =>
    inTwo(operation, catalogue).map((part) => ({ finding, operation: part })),
  );
  const sorted = split.sort((a, b) => kindOf(a.operation).rank - kindOf(b.operation).rank);
  const first = sorted.findIndex(isRenaming);
  if (first < 0) return sorted;
  const others = sorted.filter((candidate) => !isRenaming(candidate));
  return [...others.slice(0, first), ...renamesInTurn(sorted.filter(isRenaming), catalogue), ...others.slice(first)];
}

// Where a constraint can be added without a look at the rows, they are looked at last, while everybody works.
function inTwo(operation: Operation, catalogue: Catalogue): readonly Operation[] {
  if ((operation.kind !== 'addForeignKey' && operation.kind !== 'addCheck') || operation.rows !== 'checked') return [operation];
  const { table, name } = operation;
  const what = operation.kind === 'addCheck' ? 'check' : 'foreign key';
  if (!traitsOf(catalogue).addedUnchecked(what, getTable(catalogue, table))) return [operation];
  const against =
    operation.kind === 'addCheck'
      ? ({ kind: 'breaking', claim: operation.claim } as const)
      : ({ kind: 'orphans', reference: referenceIn(operation), values: null } as const);
  return [
    { ...operation, rows: 'new only' },
    { kind: 'checkRows', table, name, against, before: null },
  ];
}
