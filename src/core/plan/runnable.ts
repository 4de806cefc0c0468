// A plan as it is run: what is in force already is left out, so a run that stopped can go on, and
// going back undoes only what was done.

import { findTable, keyColumnsOf, sameColumns } from '../catalogue/lookups';
import type { Catalogue, Table } from '../catalogue/model';
import type { FindingId } from '../rules/rule';
import { type Check, checksAfter, checksBefore, checksFor, checksOfRights } from './checks';
import { type Operation, sideTableOf } from './operations';
import type { Plan } from './plan';

/** `clear`: what repairs kept is dropped, once nobody wants to go back. */
export const directions = ['forward', 'back', 'clear'] as const;
export type Direction = (typeof directions)[number];

export function operationsOf(plan: Plan, direction: Direction): readonly Operation[] {
  switch (direction) {
    case 'forward':
      return [...(plan.undo ?? []), ...plan.steps.map((step) => step.operation)];
    case 'back':
      return [...(plan.undo ?? []), ...plan.back];
    case 'clear':
      return plan.steps.flatMap(({ operation }): readonly Operation[] =>
        operation.kind === 'setAside' || operation.kind === 'addParents'
          ? [{ kind: 'dropKept', table: operation.table, sideTable: operation.sideTable }]
          : [],
      );
  }
}

/** The checks before what is still to do, given what the catalogue shows to be done. */
export function checksToStart(plan: Plan, direction: Direction, catalogue: Catalogue): readonly Check[] {
  const open = operationsOf(plan, direction).filter((operation) => !isInForce(operation, catalogue));
  return direction === 'forward' ? checksBefore(open) : checksOfRights(open);
}

/** The remedy that a step of the way forward is of; null for one that undoes. */
export function findingOf(plan: Plan, step: number): FindingId | null {
  return plan.steps[step - (plan.undo?.length ?? 0)]?.finding ?? null;
}

/** The remedy that a check before the way forward is for. */
export function findingOfCheck(plan: Plan, check: Check): FindingId | null {
  const asked = JSON.stringify(check);
  return plan.steps.find(({ operation }) => checksFor(operation).some((own) => JSON.stringify(own) === asked))?.finding ?? null;
}

export function checksToEnd(plan: Plan, direction: Direction): readonly Check[] {
  return direction === 'forward' ? checksAfter(operationsOf(plan, direction)) : [];
}

/** True when the catalogue shows that an operation has nothing left to do. */
export function isInForce(operation: Operation, catalogue: Catalogue): boolean {
  const table = findTable(catalogue, operation.table);
  if (!table) return false;
  const constraint = (name: string) => table.constraints.find((c) => c.name === name);
  const column = (name: string) => table.columns.find((c) => c.name === name);
  switch (operation.kind) {
    case 'addIdentityColumn':
      return (column(operation.column)?.identity ?? null) !== null;
    case 'dropColumn':
      return column(operation.column) === undefined;
    case 'replaceKey':
      return isKey(table, operation.columns);
    case 'restoreKey':
      return isKey(table, operation.former);
    case 'addPrimaryKey':
    case 'addUnique':
    case 'addForeignKey':
    case 'addCheck':
      return constraint(operation.name) !== undefined;
    case 'validateConstraint':
      return constraint(operation.name)?.validated === true;
    case 'forgetValidation':
      return constraint(operation.name)?.validated === false;
    case 'dropConstraint':
      return constraint(operation.name) === undefined;
    case 'createIndex':
      return table.indexes.some((index) => index.name === operation.name && index.valid);
    case 'dropIndex':
      return !table.indexes.some((index) => index.name === operation.name);
    case 'setNotNull':
      return column(operation.column)?.nullable === false;
    case 'dropNotNull':
      return column(operation.column)?.nullable === true;
    case 'renameConstraint':
      return constraint(operation.from) === undefined && constraint(operation.to) !== undefined;
    case 'setAside':
    case 'addParents':
      return findTable(catalogue, sideTableOf(operation)) !== null;
    case 'bringBack':
    case 'removeParents':
    case 'dropKept':
      return findTable(catalogue, sideTableOf(operation)) === null;
  }
}

function isKey(table: Table, columns: readonly string[]): boolean {
  return sameColumns(keyColumnsOf(table), columns);
}
