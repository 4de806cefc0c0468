// What stood there before a docket's first run is not taken away by its way back. Before the first step it is written down which of
// the things that the docket would make are there already: as columns of a table of Pawl's own, one for each, whose comment says what
// it is. That the table is there says that a first run has begun; the way back passes over what it names, and drops it.

import { besideTable, type TableId } from '../catalogue/identifiers';
import { findTable, sideTablePrefix } from '../catalogue/lookups';
import type { Catalogue } from '../catalogue/model';
import type { Check } from '../operations/check';
import { byItself, inverseOf, isInForce, kindOf, type Operation, todoOf } from '../operations/index';
import type { Plan, Record } from './shape';
import { spelt } from '../spelt';

export type NotThereBefore = Extract<Check, { kind: 'notThereBefore' }>;

export interface Entry {
  /** Its column in the record. */
  readonly column: string;
  /** Counts nothing where it is there. */
  readonly todo: Check;
  readonly words: string;
}

/** The record of a plan's operations; null where nothing of it could be there before. */
export function recordFor(operations: readonly Operation[], catalogue: Catalogue, label: string): Record | null {
  const steps = operations.flatMap((operation, at) => (mayStandBefore(operation, catalogue) ? [at] : []));
  const [first] = operations;
  return first && steps.length > 0 ? { table: freeTable(first.table, label, catalogue), steps } : null;
}

// Rows that a repair changed are kept one by one. What is in force by the catalogue is so on the way to something else.
function mayStandBefore(operation: Operation, catalogue: Catalogue): boolean {
  return !('sideTable' in operation) && kindOf(operation).mends === undefined && !isInForce(operation, catalogue);
}

function freeTable(beside: TableId, label: string, catalogue: Catalogue): TableId {
  const named = (n: number): TableId => besideTable(beside, `${sideTablePrefix}${label}_found${n > 1 ? n : ''}`);
  let n = 1;
  while (findTable(catalogue, named(n))) n++;
  return named(n);
}

export function entriesOf({ record, steps }: Pick<Plan, 'record' | 'steps'>): readonly Entry[] {
  return (record?.steps ?? []).flatMap((at) => {
    const operation = steps[at]?.operation;
    return operation ? [entryOf(operation)] : [];
  });
}

function entryOf(operation: Operation): Entry {
  const words = kindOf(operation).words(operation);
  return { column: `found_${hashOf(`${operation.kind} ${operation.table} ${words}`)}`, todo: todoOf(operation), words };
}

/** Of each operation of the way back, what counts nothing where it was there before, and so stays. */
export function stayingBy(plan: Pick<Plan, 'record' | 'steps'>): (back: Operation) => NotThereBefore | null {
  const { record } = plan;
  if (!record) return () => null;
  const columns = new Map<string, string>();
  for (const at of record.steps) {
    const operation = plan.steps[at]?.operation;
    if (!operation) continue;
    for (const inverse of inverseOf(byItself(operation))) columns.set(keyOf(inverse), entryOf(operation).column);
  }
  return (back) => {
    const column = columns.get(keyOf(back));
    return column === undefined ? null : { kind: 'notThereBefore', table: record.table, column };
  };
}

function keyOf(operation: Operation): string {
  return spelt(Object.fromEntries(Object.entries(byItself(operation)).filter(([name]) => name !== 'owner')));
}

/** FNV-1a of 32 bits, in hexadecimal (draft-eastlake-fnv): names of columns, nothing else rests on it. */
function hashOf(text: string): string {
  let hash = 0x811c9dc5;
  for (let at = 0; at < text.length; at++) hash = Math.imul(hash ^ text.charCodeAt(at), 0x01000193) >>> 0;
  return hash.toString(16).padStart(8, '0');
}
