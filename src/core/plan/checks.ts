// What must be true before and after a whole plan.

import type { TableId } from '../catalogue/identifiers';
import { groupBy } from '../grouping';
import { type Check, isOfDefinition, type Right } from '../operations/check';
import { checksFor, isRename, kindOf, type Operation } from '../operations/index';

/** Whether whoever runs these operations is allowed to, asked before the first of them. */
export function checksOfRights(operations: readonly Operation[]): readonly Check[] {
  const own = operations.map(({ table }) => table);
  const referred = operations.flatMap((o) => kindOf(o).refersTo?.(o) ?? []);
  const made = operations.filter((o) => kindOf(o).makes).map(({ table }) => table);
  return [notAllowed('own', own), notAllowed('refer', referred), notAllowed('create', made)].flat();
}

function notAllowed(right: Right, all: readonly TableId[]): readonly Check[] {
  const tables = [...new Set(all)];
  const [table] = tables;
  return table === undefined ? [] : [{ kind: 'notAllowed', table, right, tables }];
}

/** What the operations make or mend themselves need not hold before them. */
export function checksBefore(operations: readonly Operation[]): readonly Check[] {
  const made = new Set(operations.flatMap((o) => (kindOf(o).column ? [`${o.table} ${kindOf(o).column?.(o)}`] : [])));
  const mending = groupBy(
    operations.flatMap((o) => kindOf(o).mends?.(o) ?? []),
    ({ rowsOf }) => rowsOf,
  );
  const passing = namesPassing(operations);
  const renamed = tablesRenamed(operations);
  const ofRows = operations.flatMap(checksFor).filter((check) => {
    if (isOfDefinition(check) && tablesIn(check).some((table) => renamed.has(table))) return false;
    if ('name' in check && passing.has(`${check.table} ${check.name}`)) return false;
    if (columnsIn(check).some((column) => made.has(`${check.table} ${column}`))) return false;
    return !mending.get(check.table)?.some((mends) => mends.covers(check));
  });
  return [...checksOfRights(operations), ...ofRows];
}

/** That what stands by the names of these operations is what they would make: also of those that are in force. */
export function checksOfDefinition(operations: readonly Operation[]): readonly Check[] {
  const passing = namesPassing(operations);
  const renamed = tablesRenamed(operations);
  return operations
    .flatMap(checksFor)
    .filter(isOfDefinition)
    .filter((check) => !passing.has(`${check.table} ${check.name}`) && !tablesIn(check).some((table) => renamed.has(table)));
}

/** Columns of its table whose rows a check looks at. */
function columnsIn(check: Check): readonly string[] {
  if (check.kind === 'orphans') return check.reference.columns;
  return 'columns' in check && check.kind !== 'shapeDiffers' ? check.columns : [];
}

// What is there after a first run speaks of other names by then.
function tablesRenamed(operations: readonly Operation[]): ReadonlySet<TableId> {
  return new Set(operations.flatMap((o) => (o.kind === 'renameColumn' || o.kind === 'renameTable' ? [o.table] : [])));
}

function tablesIn(check: Check): readonly TableId[] {
  return check.kind === 'constraintDiffers' && check.wanted.kind === 'foreign key'
    ? [check.table, check.wanted.parent]
    : [check.table];
}

/** Names that one rename gives up or makes and another takes: they are neither free before nor there after. */
function namesPassing(operations: readonly Operation[]): ReadonlySet<string> {
  const renames = operations.filter(isRename);
  const given = new Set(renames.map(({ table, from }) => `${table} ${from}`));
  return new Set(renames.map(({ table, to }) => `${table} ${to}`).filter((name) => given.has(name)));
}

export function checksAfter(operations: readonly Operation[]): readonly Check[] {
  // Of a constraint that is added first and looked at in the rows later, the end is what counts.
  const checked = new Set(operations.flatMap((o) => (o.kind === 'checkRows' ? [`${o.table} ${o.name}`] : [])));
  // A name that is only passed through is not there at the end.
  const left = new Map(
    operations.filter(isRename).flatMap(({ table, from, to }) => [
      [`${table} ${from}`, true],
      [`${table} ${to}`, false],
    ]),
  );
  return operations
    .flatMap((o) => kindOf(o).after?.(o) ?? [])
    .filter((check) => !('name' in check) || left.get(`${check.table} ${check.name}`) !== true)
    .map((check) =>
      check.kind === 'constraintMissing' && checked.has(`${check.table} ${check.name}`) ? { ...check, validated: true } : check,
    );
}
