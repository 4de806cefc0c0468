// What must be true before and after an operation. Each check counts what speaks against it, so
// zero always means good.

import type { TableId } from '../catalogue/identifiers';
import { type Operation, type Reference, sideTableOf } from './operations';

export type Check =
  | { readonly kind: 'nulls'; readonly table: TableId; readonly columns: readonly string[] }
  | { readonly kind: 'repeats'; readonly table: TableId; readonly columns: readonly string[] }
  | { readonly kind: 'orphans'; readonly table: TableId; readonly reference: Reference }
  | { readonly kind: 'constraintMissing'; readonly table: TableId; readonly name: string; readonly validated: boolean }
  | { readonly kind: 'constraintValidated'; readonly table: TableId; readonly name: string }
  | { readonly kind: 'constraintPresent'; readonly table: TableId; readonly name: string }
  /** A broken index counts as missing: an interrupted build leaves one. */
  | { readonly kind: 'indexMissing'; readonly table: TableId; readonly name: string }
  | { readonly kind: 'indexPresent'; readonly table: TableId; readonly name: string }
  | { readonly kind: 'indexBroken'; readonly table: TableId; readonly name: string }
  | { readonly kind: 'nullable'; readonly table: TableId; readonly column: string }
  | { readonly kind: 'notNullable'; readonly table: TableId; readonly column: string }
  | { readonly kind: 'tableMissing'; readonly table: TableId }
  | { readonly kind: 'tablePresent'; readonly table: TableId }
  | { readonly kind: 'columnMissing'; readonly table: TableId; readonly column: string }
  | { readonly kind: 'columnPresent'; readonly table: TableId; readonly column: string };

/** Checks for a whole plan: what the operations make themselves need not hold before them. */
export function checksBefore(operations: readonly Operation[]): readonly Check[] {
  const made = new Set(operations.flatMap((o) => (o.kind === 'addIdentityColumn' ? [`${o.table} ${o.column}`] : [])));
  const repaired = operations.flatMap((o) => (o.kind === 'setAsideOrphans' ? [o] : []));
  const isRepaired = (table: TableId, reference: Reference): boolean =>
    repaired.some((o) => o.table === table && o.reference.columns.join() === reference.columns.join());
  return operations.flatMap((operation) =>
    before(operation).filter((check) => {
      if ('columns' in check) return !check.columns.some((column) => made.has(`${check.table} ${column}`));
      return check.kind !== 'orphans' || !isRepaired(check.table, check.reference);
    }),
  );
}

export function checksAfter(operations: readonly Operation[]): readonly Check[] {
  const validated = new Set(operations.flatMap((o) => (o.kind === 'validateConstraint' ? [`${o.table} ${o.name}`] : [])));
  return operations.flatMap((operation) => after(operation, validated));
}

/** Counts nothing once an operation is in force: `isInForce` of a catalogue, asked of the server itself. */
export function todoOf(operation: Operation): Check {
  const { table } = operation;
  switch (operation.kind) {
    case 'addIdentityColumn':
      return { kind: 'columnMissing', table, column: operation.column };
    case 'dropColumn':
      return { kind: 'columnPresent', table, column: operation.column };
    case 'addPrimaryKey':
    case 'addUnique':
    case 'addForeignKey':
      return { kind: 'constraintMissing', table, name: operation.name, validated: false };
    case 'validateConstraint':
      return { kind: 'constraintMissing', table, name: operation.name, validated: true };
    case 'forgetValidation':
      return { kind: 'constraintValidated', table, name: operation.name };
    case 'dropConstraint':
      return { kind: 'constraintPresent', table, name: operation.name };
    case 'createIndex':
      return { kind: 'indexMissing', table, name: operation.name };
    case 'dropIndex':
      return { kind: 'indexPresent', table, name: operation.name };
    case 'setNotNull':
      return { kind: 'nullable', table, column: operation.column };
    case 'dropNotNull':
      return { kind: 'notNullable', table, column: operation.column };
    case 'renameConstraint':
      return { kind: 'constraintPresent', table, name: operation.from };
    case 'setAsideOrphans':
      return { kind: 'tableMissing', table: sideTableOf(operation) };
    case 'bringBackOrphans':
      return { kind: 'tablePresent', table: sideTableOf(operation) };
  }
}

/** What a check counts, in words. */
export function describeCheck(check: Check): string {
  switch (check.kind) {
    case 'nulls':
      return `rows of ${check.table} with no ${check.columns.join(' or ')}`;
    case 'repeats':
      return `values of ${check.columns.join(', ')} in ${check.table} that repeat`;
    case 'orphans':
      return `rows of ${check.table} whose ${check.reference.columns.join(', ')} is not in ${check.reference.parent}`;
    case 'constraintMissing':
      return `constraint ${check.name} missing on ${check.table}${check.validated ? ', or not validated' : ''}`;
    case 'constraintValidated':
      return `constraint ${check.name} on ${check.table} validated`;
    case 'constraintPresent':
      return `constraint ${check.name} on ${check.table} already there`;
    case 'indexMissing':
      return `index ${check.name} missing on ${check.table}`;
    case 'indexPresent':
      return `index ${check.name} on ${check.table} still there`;
    case 'indexBroken':
      return `index ${check.name} on ${check.table} not valid: its build was interrupted`;
    case 'nullable':
      return `${check.table}.${check.column} still allows null`;
    case 'notNullable':
      return `${check.table}.${check.column} allows no null`;
    case 'tableMissing':
      return `table ${check.table} missing`;
    case 'tablePresent':
      return `table ${check.table} still there`;
    case 'columnMissing':
      return `column ${check.table}.${check.column} missing`;
    case 'columnPresent':
      return `column ${check.table}.${check.column} already there`;
  }
}

function before(operation: Operation): readonly Check[] {
  const { table } = operation;
  switch (operation.kind) {
    case 'addIdentityColumn':
      return [{ kind: 'columnPresent', table, column: operation.column }];
    case 'addPrimaryKey':
      return [
        { kind: 'constraintPresent', table, name: operation.name },
        { kind: 'nulls', table, columns: operation.columns },
        { kind: 'repeats', table, columns: operation.columns },
      ];
    case 'addUnique':
      return [
        { kind: 'constraintPresent', table, name: operation.name },
        { kind: 'repeats', table, columns: operation.columns },
      ];
    case 'addForeignKey':
      return [{ kind: 'constraintPresent', table, name: operation.name }];
    case 'validateConstraint':
      return [{ kind: 'orphans', table, reference: operation.reference }];
    case 'setNotNull':
      return [{ kind: 'nulls', table, columns: [operation.column] }];
    case 'renameConstraint':
      return [
        { kind: 'constraintMissing', table, name: operation.from, validated: false },
        { kind: 'constraintPresent', table, name: operation.to },
      ];
    default:
      return [];
  }
}

function after(operation: Operation, validated: ReadonlySet<string>): readonly Check[] {
  const { table } = operation;
  switch (operation.kind) {
    case 'addIdentityColumn':
      return [{ kind: 'columnMissing', table, column: operation.column }];
    case 'addPrimaryKey':
    case 'addUnique':
      return [{ kind: 'constraintMissing', table, name: operation.name, validated: true }];
    case 'addForeignKey':
      return [{ kind: 'constraintMissing', table, name: operation.name, validated: validated.has(`${table} ${operation.name}`) }];
    case 'createIndex':
      return [{ kind: 'indexMissing', table, name: operation.name }];
    case 'setNotNull':
      return [{ kind: 'nullable', table, column: operation.column }];
    case 'renameConstraint':
      return [{ kind: 'constraintMissing', table, name: operation.to, validated: false }];
    default:
      return [];
  }
}
