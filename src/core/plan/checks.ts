// What must be true before and after a whole plan.

import type { TableId } from '../catalogue/identifiers';
import { groupBy } from '../grouping';
import type { Check, Right } from '../operations/check';
import { checksFor, kindOf, type Operation } from '../operations/index';

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
  const ofRows = operations.flatMap(checksFor).filter((check) => {
    if ('columns' in check && check.columns.some((column) => made.has(`${check.table} ${column}`))) return false;
    return !mending.get(check.table)?.some((mends) => mends.covers(check));
  });
  return [...checksOfRights(operations), ...ofRows];
}

export function checksAfter(operations: readonly Operation[]): readonly Check[] {
  // Of a constraint that is added first and looked at in the rows later, the end is what counts.
  const checked = new Set(operations.flatMap((o) => (o.kind === 'checkRows' ? [`${o.table} ${o.name}`] : [])));
  return operations
    .flatMap((o) => kindOf(o).after?.(o) ?? [])
    .map((check) =>
      check.kind === 'constraintMissing' && checked.has(`${check.table} ${check.name}`) ? { ...check, validated: true } : check,
    );
}
