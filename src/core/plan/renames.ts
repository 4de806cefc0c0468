// Names that change hands: what gives a name up goes before what takes it, and where names are swapped in a circle one of
// them is parked under another name until the rest have moved on.

import { tableNames } from '../catalogue/identifiers';
import { findConstraint, findNotNull, findTable, sameColumnSet } from '../catalogue/lookups';
import type { Catalogue } from '../catalogue/model';
import { factsOf } from '../engines/facts';
import type { Candidate } from '../operations/beside';
import { isRename } from '../operations/index';
import type { Rename } from '../operations/rename';
import type { RenameIndex } from '../operations/rename-index';

type Renaming = Candidate<Rename | RenameIndex>;

export function isRenaming(candidate: Candidate): candidate is Renaming {
  return isRename(candidate.operation);
}

/** The same renames in an order in which each name is free when it is taken. */
export function renamesInTurn(renames: readonly Renaming[], catalogue: Catalogue): readonly Renaming[] {
  const holder = new Map(renames.map((candidate) => [placeOf(candidate.operation, 'from'), candidate]));
  const done = new Set<Renaming>();
  const order: Renaming[] = [];
  for (const first of renames) {
    // From one to what holds the name that it wants, and on; the last of them goes first.
    const chain: Renaming[] = [];
    let next: Renaming | undefined = first;
    while (next && !done.has(next) && !chain.includes(next)) {
      chain.push(next);
      next = holder.get(placeOf(next.operation, 'to'));
    }
    for (const candidate of chain) done.add(candidate);
    const start = next === undefined ? -1 : chain.indexOf(next);
    // Where nothing tells them apart afterwards the names are not passed on: each is refused as taken.
    if (chain.length > 1 && !canBeTold(chain, catalogue)) order.push(...chain);
    else if (start >= 0) order.push(...inCircle(chain.slice(start), catalogue), ...passedOn(chain.slice(0, start), catalogue));
    else order.push(...passedOn(chain, catalogue));
  }
  return order;
}

// Names of indexes are one set in a schema, and keys bear theirs: where it does not matter, order does no harm.
function placeOf({ table, ...names }: Rename | RenameIndex, which: 'from' | 'to'): string {
  return JSON.stringify([tableNames(table).schema, names[which]]);
}

function passedOn(chain: readonly Renaming[], catalogue: Catalogue): readonly Renaming[] {
  return chain.length < 2 ? chain : chain.toReversed().map((candidate) => told(candidate, catalogue));
}

function inCircle([first, ...rest]: readonly Renaming[], catalogue: Catalogue): readonly Renaming[] {
  if (!first) return [];
  // It has the name already.
  if (rest.length === 0) return [first];
  const parked = `${factsOf(catalogue).names.shorten(first.operation.to, parkedEnd.length)}${parkedEnd}`;
  const mine = told(first, catalogue);
  return [
    { ...mine, operation: { ...mine.operation, to: parked } },
    ...rest.toReversed().map((candidate) => told(candidate, catalogue)),
    { ...mine, operation: { ...mine.operation, from: parked } },
  ];
}

const parkedEnd = '_swapping';

// With its columns, so that it can be told from the one whose name it takes.
function told(candidate: Renaming, catalogue: Catalogue): Renaming {
  const { operation } = candidate;
  const columns = operation.kind === 'rename' ? columnsOf(operation, catalogue) : null;
  return operation.kind === 'renameIndex' || columns === null
    ? candidate
    : { ...candidate, operation: { ...operation, over: columns } };
}

function columnsOf({ table, from }: Rename, catalogue: Catalogue): readonly string[] | null {
  const owner = findTable(catalogue, table);
  if (!owner) return null;
  const column = findNotNull(owner, from);
  return findConstraint(owner, from)?.columns ?? (column && [column.name]);
}

// A script may run twice: what has been swapped has to look different from what has not. Constraints of one table are told
// apart by their columns, everything else by its table.
function canBeTold(circle: readonly Renaming[], catalogue: Catalogue): boolean {
  return circle.every(({ operation: one }, i) =>
    circle.slice(i + 1).every(({ operation: other }) => {
      if (one.table !== other.table) return true;
      if (one.kind === 'renameIndex' || other.kind === 'renameIndex') return false;
      const [mine, its] = [columnsOf(one, catalogue), columnsOf(other, catalogue)];
      return mine !== null && its !== null && !sameColumnSet(mine, its);
    }),
  );
}
