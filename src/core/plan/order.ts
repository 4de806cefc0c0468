// The order in which operations are carried out, and what becomes two steps on an engine that can do better in two.

import type { Shape } from '../catalogue/edit';
import { getTable } from '../catalogue/lookups';
import type { Catalogue } from '../catalogue/model';
import { traitsOf } from '../engines/facts';
import type { Candidate } from '../operations/beside';
import { kindOf, type Operation } from '../operations/index';
import { referenceIn } from '../operations/reference';
import type { Retyped } from '../operations/retype';
import type { OwnPlanning } from './ownPlanning';
import { isRenaming, renamesInTurn } from './renames';

/** By rank; what one remedy does keeps its order. */
export function inTurn(candidates: readonly Candidate[], catalogue: Catalogue, own?: OwnPlanning): readonly Candidate[] {
  const done = own?.asItIsDone(candidates, catalogue) ?? candidates;
  const split = done.flatMap(({ finding, operation }) =>
    inTwo(operation, catalogue).map((part) => ({ finding, operation: part })),
  );
  const sorted = retypedOnce(split).sort((a, b) => kindOf(a.operation).rank - kindOf(b.operation).rank);
  const first = sorted.findIndex(isRenaming);
  if (first < 0) return sorted;
  const others = sorted.filter((candidate) => !isRenaming(candidate));
  return [...others.slice(0, first), ...renamesInTurn(sorted.filter(isRenaming), catalogue), ...others.slice(first)];
}

// Two remedies may want the same of a column, or want it to be as another that the docket changes as well: it becomes so once, and last
// where it follows another.
function retypedOnce(candidates: readonly Candidate[]): Candidate[] {
  const retypes = candidates.flatMap(({ operation }) => (operation.kind === 'retype' ? operation.columns : []));
  const chosen = new Map(retypes.filter(({ like }) => !like).map((one) => [placeOf(one), one.after]));
  const following = new Map(retypes.flatMap((one) => (one.like ? [[placeOf(one), one.like] as const] : [])));
  const becomes = (place: string, seen: readonly string[] = []): Shape | undefined => {
    const like = following.get(place);
    return chosen.get(place) ?? (like && !seen.includes(place) ? becomes(placeOf(like), [...seen, place]) : undefined);
  };
  const done = new Set<string>();
  const fitted = (one: Retyped): readonly Retyped[] => {
    const place = placeOf(one);
    const after = (one.like && becomes(placeOf(one.like))) ?? one.after;
    const isDone = (one.like && chosen.has(place)) || isAlike(one.before, after) || done.size === done.add(place).size;
    return isDone ? [] : [{ ...one, after }];
  };
  const isFollowing = ({ operation }: Candidate): boolean =>
    operation.kind === 'retype' && operation.columns.some(({ like }) => like !== undefined);
  const once = [...candidates.filter((one) => !isFollowing(one)), ...candidates.filter(isFollowing)].flatMap((candidate) => {
    const { operation } = candidate;
    if (operation.kind !== 'retype') return [candidate];
    const columns = operation.columns.flatMap(fitted);
    return columns.length === 0 ? [] : [{ ...candidate, operation: { ...operation, columns } }];
  });
  return once;
}

function placeOf({ table, column }: { readonly table: string; readonly column: string }): string {
  return `${table}\0${column}`;
}

function isAlike(one: Shape, other: Shape): boolean {
  return one.declaredType === other.declaredType && one.collation === other.collation;
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
