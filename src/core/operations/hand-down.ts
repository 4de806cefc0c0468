// What a table hands down to those that inherit from it, and to its partitions: NOT NULL and checks. Keys of a
// partitioned table have parts of their own in each partition, which the server names; they are its own affair.

import type { Draft } from '../catalogue/draft';
import type { TableId } from '../catalogue/identifiers';
import { findConstraint } from '../catalogue/lookups';
import type { Table } from '../catalogue/model';
import type { Ground } from './operation';

/** NOT NULL that goes from a table to those below it. */
export interface HandedDown {
  readonly column: string;
  /** True where they cannot be spoken to one by one: of partitions, and on servers that keep NOT NULL as a constraint. */
  readonly together: boolean;
  /** Those below that allowed null until then. */
  readonly made: readonly TableId[];
  /** Those that did not. */
  readonly kept: readonly TableId[];
}

/** Null when there is nobody below. */
export function handingDown(table: Table, column: string, { current, traits }: Ground): HandedDown | null {
  const below = current.descendantsOf(table.id);
  if (below.length === 0) return null;
  const nullable = (id: TableId): boolean => current.get(id).columns.some((c) => c.name === column && c.nullable);
  return {
    column,
    together: table.kind === 'partitioned' || traits.namedNotNull,
    made: below.filter(nullable),
    kept: below.filter((id) => !nullable(id)),
  };
}

/** Changes a table, and those below it by what goes down to each. */
export function changeDown(draft: Draft, id: TableId, change: (table: Table) => Table, handDown: (heir: Table) => Table): void {
  const before = draft.get(id);
  const next = change(before);
  if (next === before) return;
  draft.put(next);
  for (const below of draft.descendantsOf(id)) {
    const heir = draft.get(below);
    const changed = handDown(heir);
    if (changed !== heir) draft.put(changed);
  }
}

/** Changes a constraint; where it is a check, the tables below have it too. */
export function changeConstraintDown(draft: Draft, id: TableId, name: string, change: (table: Table) => Table): void {
  const isCheck = findConstraint(draft.get(id), name)?.kind === 'check';
  changeDown(draft, id, change, (heir) => (isCheck && findConstraint(heir, name) !== null ? change(heir) : heir));
}
