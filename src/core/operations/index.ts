// The changes that a plan is made of, a line a file: the union of operations is read off this table. Forward then back
// is identity, on the catalogue (tested with generated plans) and on real servers.

import { CatalogueError } from '../catalogue/CatalogueError';
import { Draft } from '../catalogue/draft';
import type { TableId } from '../catalogue/identifiers';
import type { Catalogue } from '../catalogue/model';
import { counted } from '../naming/words';
import { addCheck } from './add-check';
import { addForeignKey } from './add-foreign-key';
import { addParents, removeParents } from './add-parents';
import { addPrimaryKey } from './add-primary-key';
import { addUnique } from './add-unique';
import { type Check, isShown } from './check';
import { changeConstraint } from './change-constraint';
import { checkRows, uncheckRows } from './check-rows';
import { createIndex, dropIndex } from './create-index';
import { dropColumn, numberItself, numberNoMore, numberRows } from './number-rows';
import { keepBy } from './keep-by';
import { addReferring, dropLookup, fillAgain, letEmpty, lookUp, makeLookup } from './lookup';
import type { Kind } from './operation';
import { rename } from './rename';
import { renameColumn } from './rename-column';
import { renameIndex } from './rename-index';
import { renameSequence } from './rename-others';
import { renameTable } from './rename-table';
import { renameTrigger } from './rename-others';
import { declareAgain, dropConstraint, removeConstraint } from './removing';
import { buildAgain, removeIndex } from './removing';
import { replaceKey, restoreKey } from './replace-key';
import { retype } from './retype';
import { bringBack, setAside } from './set-aside';
import { setDefault } from './set-default';
import { dropNotNull, setNotNull } from './set-not-null';
import { dropKept } from './side-table';
import { switchReference } from './switching';
import { switchTrigger } from './switching';

/** What is known of each kind. */
export const kinds = {
  ...{ setAside, bringBack, dropKept },
  ...{ addParents, removeParents },
  ...{ numberRows, dropColumn, numberItself, numberNoMore },
  ...{ addPrimaryKey, addUnique, dropConstraint },
  ...{ replaceKey, restoreKey },
  ...{ createIndex, dropIndex },
  ...{ addForeignKey, addCheck },
  ...{ checkRows, uncheckRows },
  ...{ setNotNull, dropNotNull },
  ...{ rename, renameIndex, renameColumn },
  ...{ keepBy, retype, changeConstraint, setDefault, switchTrigger, switchReference },
  ...{ renameSequence, renameTrigger, renameTable },
  ...{ removeConstraint, declareAgain },
  ...{ removeIndex, buildAgain },
  ...{ makeLookup, dropLookup, addReferring, lookUp, letEmpty, fillAgain },
};

export type Operation = NonNullable<(typeof kinds)[keyof typeof kinds]['of']> & Stored;

/** What is known of the table that an operation is on, whatever it does. */
export interface Stored {
  /** True where the table's engine does nothing beside the work: each change of it is a copy. */
  readonly copies?: true;
  /**
   * Indexes that may have come by themselves with a reference: one that begins with the same columns would take the place of such a one
   * without a word, unless somebody has named it.
   */
  readonly besides?: readonly string[];
  /** Others of its table that its statement does too, where one rebuild serves them all. */
  readonly also?: readonly Operation[];
  /** True of one of those: by itself it does only what was left. */
  readonly carried?: true;
}

/** What an operation is without those that are done with it. */
export function byItself(operation: Operation): Operation {
  const { also: _also, carried: _carried, ...own } = operation;
  return own;
}

export function kindOf(operation: Operation): Kind<Operation> {
  return kinds[operation.kind];
}

export function isRename(operation: Operation): operation is Extract<Operation, { kind: 'rename' | 'renameIndex' }> {
  return operation.kind === 'rename' || operation.kind === 'renameIndex';
}

/** What undoes an operation, in order. Throws for what is only ever a way back. */
export function inverseOf(operation: Operation): readonly Operation[] {
  const inverse = kindOf(operation).inverse(operation);
  if (inverse === null)
    throw new CatalogueError(`${operation.kind} on ${operation.table} is only ever a way back and has no inverse of its own.`);
  const { copies, besides } = operation;
  return copies || besides
    ? inverse.map((back) => ({ ...back, ...(copies && { copies }), ...(besides && { besides }) }))
    : inverse;
}

/** Throws CatalogueError when the operation does not fit the catalogue: its table or constraint is not there, or a name is taken. */
export function apply(operation: Operation, catalogue: Catalogue): Catalogue {
  return applyAll([operation], catalogue);
}

export function applyAll(operations: readonly Operation[], catalogue: Catalogue): Catalogue {
  const draft = new Draft(catalogue);
  for (const operation of operations) applyTo(draft, operation);
  return draft.done();
}

/** As `apply`, on a catalogue that is being changed. */
export function applyTo(draft: Draft, operation: Operation): void {
  kindOf(operation).apply(operation, draft);
}

/** Counts nothing once an operation is in force. */
export function todoOf(operation: Operation): Check {
  return kindOf(operation).todo(operation);
}

/** True when the catalogue shows that an operation has nothing left to do. */
export function isInForce(operation: Operation, catalogue: Catalogue): boolean {
  return isShown(todoOf(operation), catalogue);
}

/** What an operation does, in words: for script comments and the docket's steps. */
export function operationInWords(operation: Operation): string {
  const own = kindOf(operation).words(operation);
  return operation.also ? `${own}; with ${counted(operation.also.length, 'other step')} in the same rebuild` : own;
}

/** What must be true before an operation, whatever other operations do. */
export function checksFor(operation: Operation): readonly Check[] {
  return kindOf(operation).before?.(operation) ?? [];
}

/** The tables that operations change. */
export function tablesTouched(operations: readonly Operation[]): ReadonlySet<TableId> {
  return new Set(operations.flatMap((o) => [o.table, ...(kindOf(o).changesAlso?.(o) ?? [])]));
}

/** Those touched, and those that operations only need. */
export function tablesNeeded(operations: readonly Operation[]): ReadonlySet<TableId> {
  return new Set([...tablesTouched(operations), ...operations.flatMap((o) => kindOf(o).reads?.(o) ?? [])]);
}
