// Where one rebuild of a table serves several changes of it. Each stays a step with a question of its own: the first carries
// the others along in its statement, and those find nothing left to do.

import type { TableId } from '../../catalogue/identifiers';
import { byItself, kindOf, type Operation } from '../../operations/index';

/** Whether the rebuild that the first takes can do the second too. */
export type ServesToo = (operation: Operation, other: Operation) => boolean;

/** The same operations in the same order, each that rebuilds its table with those after it that this rebuild can do too. */
export function inOneRebuild(operations: readonly Operation[], servesToo: ServesToo): readonly Operation[] {
  const together = operations.map(byItself);
  let before = new Map<TableId, number[]>();
  for (const [at, operation] of together.entries()) {
    const { table } = operation;
    const own = before.get(table) ?? [];
    const first = own.find((each) => servesToo(together[each] as Operation, operation));
    if (first !== undefined) {
      const carrier = together[first] as Operation;
      together[first] = { ...carrier, also: [...(carrier.also ?? []), operation] };
      together[at] = { ...operation, carried: true };
      continue;
    }
    if (changesRows(operation)) before = new Map();
    else before.set(table, keepsColumns.has(operation.kind) ? [...own, at] : []);
  }
  return together;
}

/** A column may be changed before it as well as after it. */
const keepsColumns: ReadonlySet<Operation['kind']> = new Set([
  'numberRows',
  'addPrimaryKey',
  'replaceKey',
  'addUnique',
  'createIndex',
  'addForeignKey',
  'addCheck',
  'setNotNull',
  'dropNotNull',
]);

function changesRows(operation: Operation): boolean {
  return (
    kindOf(operation).mends?.(operation) !== undefined || operation.kind === 'bringBack' || operation.kind === 'removeParents'
  );
}
