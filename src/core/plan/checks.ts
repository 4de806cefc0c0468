// What must be true before and after an operation. Each check counts what speaks against it, so
// zero always means good.

import type { TableId } from '../catalogue/identifiers';
import { groupBy } from '../grouping';
import { type Claim, claimInWords, keyOfClaim } from '../evidence/claims';
import { type Constant, type Operation, type Reference, type SetAside, sideTableOf } from './operations';

export type Check =
  | { readonly kind: 'nulls'; readonly table: TableId; readonly columns: readonly string[] }
  | {
      readonly kind: 'repeats';
      readonly table: TableId;
      readonly columns: readonly string[];
      /** Others inherit from it: its own rows only. */
      readonly only?: boolean;
    }
  | {
      readonly kind: 'orphans';
      readonly table: TableId;
      readonly reference: Reference;
      readonly values: readonly string[] | null;
    }
  | { readonly kind: 'breaking'; readonly table: TableId; readonly claim: Claim }
  /** Rows against a check that is declared, by whatever its server says of it. */
  | { readonly kind: 'breakingDeclared'; readonly table: TableId; readonly name: string }
  /** Rows that a repair would leave as they are, as there is nothing to fill them with. */
  | { readonly kind: 'unfilled'; readonly table: TableId; readonly repair: SetAside }
  /** No row has this key: a value for each of the columns, as text. */
  | {
      readonly kind: 'rowMissing';
      readonly table: TableId;
      readonly columns: readonly string[];
      readonly values: readonly string[];
    }
  /** Tables that the login of this session may not change, refer to, or make something beside. */
  | { readonly kind: 'notAllowed'; readonly table: TableId; readonly right: Right; readonly tables: readonly TableId[] }
  /** The primary key is not over just these columns. */
  | { readonly kind: 'keyMissing'; readonly table: TableId; readonly columns: readonly string[] }
  /** Neither such an index nor the primary key that it is built for. */
  | { readonly kind: 'keyIndexMissing'; readonly table: TableId; readonly name: string; readonly columns: readonly string[] }
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
  /** A column of that name, but not one that a run which was interrupted had begun to number. */
  | { readonly kind: 'columnTaken'; readonly table: TableId; readonly column: string }
  | { readonly kind: 'columnPresent'; readonly table: TableId; readonly column: string }
  /** There, or not there, but not numbered by the database. */
  | { readonly kind: 'identityMissing'; readonly table: TableId; readonly column: string };

/** What the login of a run needs: to own a table or be of its owner's role, to refer to a parent, to make an index or a table in its schema. */
export type Right = 'own' | 'refer' | 'create';

/** Whether whoever runs these operations is allowed to, asked before the first of them. */
export function checksOfRights(operations: readonly Operation[]): readonly Check[] {
  const own = operations.map(({ table }) => table);
  const referred = operations.flatMap((o) => (o.kind === 'addForeignKey' ? [o.parent] : []));
  const made = operations.filter((o) => makers.has(o.kind)).map(({ table }) => table);
  return [notAllowed('own', own), notAllowed('refer', referred), notAllowed('create', made)].flat();
}

const makers = new Set<Operation['kind']>([
  'addIdentityColumn',
  'addPrimaryKey',
  'addUnique',
  'createIndex',
  'setAside',
  'addParents',
  'replaceKey',
]);

function notAllowed(right: Right, all: readonly TableId[]): readonly Check[] {
  const tables = [...new Set(all)];
  const [table] = tables;
  return table === undefined ? [] : [{ kind: 'notAllowed', table, right, tables }];
}

/** Checks for a whole plan: what the operations make themselves need not hold before them. */
export function checksBefore(operations: readonly Operation[]): readonly Check[] {
  const made = new Set(operations.flatMap((o) => (o.kind === 'addIdentityColumn' ? [`${o.table} ${o.column}`] : [])));
  const repairs = groupBy(
    operations.filter((o) => o.kind === 'setAside' || o.kind === 'addParents'),
    (o) => (o.kind === 'addParents' ? o.child : o.table),
  );
  const ofRows = operations.flatMap((operation) =>
    checksFor(operation).filter((check) => {
      if ('columns' in check && check.columns.some((column) => made.has(`${check.table} ${column}`))) return false;
      return !repairs.get(check.table)?.some((repair) => mends(repair, check));
    }),
  );
  return [...checksOfRights(operations), ...ofRows];
}

/** Whether what a check counts is what a repair does away with. */
function mends(repair: Operation, check: Check): boolean {
  if (repair.kind === 'addParents')
    return check.kind === 'orphans' && check.table === repair.child && sameReference(check.reference, repair.reference);
  if (repair.kind !== 'setAside' || repair.table !== check.table) return false;
  const { rows } = repair;
  switch (check.kind) {
    case 'orphans':
      return rows.kind === 'orphans' && rows.values === null && sameReference(check.reference, rows.reference);
    case 'nulls':
      return rows.kind === 'nulls' && check.columns.includes(rows.column);
    case 'repeats':
      return rows.kind === 'repeats' && check.columns.join('\0') === rows.columns.join('\0');
    case 'breaking':
      return rows.kind === 'breaking' && keyOfClaim(check.claim) === keyOfClaim(rows.claim);
    default:
      return false;
  }
}

function sameReference(a: Reference, b: Reference): boolean {
  return a.columns.join('\0') === b.columns.join('\0');
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
      return { kind: 'identityMissing', table, column: operation.column };
    case 'dropColumn':
      return { kind: 'columnPresent', table, column: operation.column };
    case 'replaceKey':
      return { kind: 'keyMissing', table, columns: operation.columns };
    case 'restoreKey':
      return { kind: 'keyMissing', table, columns: operation.former };
    case 'addPrimaryKey':
    case 'addUnique':
    case 'addForeignKey':
    case 'addCheck':
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
    case 'setAside':
    case 'addParents':
      return { kind: 'tableMissing', table: sideTableOf(operation) };
    case 'bringBack':
    case 'removeParents':
    case 'dropKept':
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
    case 'breaking':
      return `rows of ${check.table} that break: ${claimInWords(check.claim)}`;
    case 'breakingDeclared':
      return `rows of ${check.table} that break the check ${check.name}`;
    case 'unfilled':
      return `rows of ${check.table} that cannot be filled: what they are filled from is empty too`;
    case 'rowMissing':
      return `${check.table} has no row with ${check.columns.map((c, i) => `${c} ${JSON.stringify(check.values[i])}`).join(', ')}`;
    case 'notAllowed':
      return `tables ${rightsInWords[check.right]}: among ${inShort(check.tables)}`;
    case 'keyMissing':
      return `the primary key of ${check.table} is not ${check.columns.join(', ')}`;
    case 'keyIndexMissing':
      return `index ${check.name} for the primary key of ${check.table} missing`;
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
    case 'identityMissing':
      return `column ${check.table}.${check.column} not numbered by itself`;
    case 'columnTaken':
    case 'columnPresent':
      return `column ${check.table}.${check.column} already there`;
  }
}

const rightsInWords: Readonly<Record<Right, string>> = {
  own: 'that this login neither owns nor is of the role that does',
  refer: 'that this login has no REFERENCES on',
  create: 'in whose schema this login has no CREATE',
};

function inShort(tables: readonly TableId[]): string {
  const some = tables.slice(0, 5).join(', ');
  return tables.length > 5 ? `${some} and ${tables.length - 5} more` : some;
}

/** What must be true before an operation, whatever other operations do. */
export function checksFor(operation: Operation): readonly Check[] {
  const { table } = operation;
  switch (operation.kind) {
    case 'addIdentityColumn':
      return [{ kind: 'columnTaken', table, column: operation.column }];
    case 'addPrimaryKey':
      return [
        { kind: 'constraintPresent', table, name: operation.name },
        { kind: 'nulls', table, columns: operation.columns },
        repeatsOf(operation),
      ];
    case 'addUnique':
      return [{ kind: 'constraintPresent', table, name: operation.name }, repeatsOf(operation)];
    case 'replaceKey':
      return [
        { kind: 'keyMissing', table, columns: operation.former },
        { kind: 'constraintPresent', table, name: operation.unique },
      ];
    case 'addForeignKey': {
      const { columns, parent, parentColumns, only } = operation;
      const reference = { columns, parent, parentColumns, ...(only && { only }) };
      const checked: readonly Check[] = operation.rows === 'checked' ? [{ kind: 'orphans', table, reference, values: null }] : [];
      return [{ kind: 'constraintPresent', table, name: operation.name }, ...checked];
    }
    case 'addCheck':
      return [{ kind: 'constraintPresent', table, name: operation.name }];
    case 'validateConstraint':
      return [{ table, ...operation.against }];
    case 'setAside':
      return fillable(operation);
    case 'addParents':
      return operation.beside.flatMap(parentOf);
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

function repeatsOf({ table, columns, rows }: Extract<Operation, { kind: 'addPrimaryKey' | 'addUnique' }>): Check {
  return { kind: 'repeats', table, columns, ...(rows === 'own' && { only: true }) };
}

function after(operation: Operation, validated: ReadonlySet<string>): readonly Check[] {
  const { table } = operation;
  switch (operation.kind) {
    case 'addIdentityColumn':
      return [{ kind: 'identityMissing', table, column: operation.column }];
    case 'replaceKey':
      return [
        { kind: 'keyMissing', table, columns: operation.columns },
        { kind: 'constraintMissing', table, name: operation.unique, validated: true },
      ];
    case 'addPrimaryKey':
    case 'addUnique':
      return [{ kind: 'constraintMissing', table, name: operation.name, validated: true }];
    case 'addForeignKey':
    case 'addCheck':
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

// Rows that stay empty, or point nowhere again, would only stop the docket half way.
function fillable(repair: SetAside): readonly Check[] {
  const { table, rows, change } = repair;
  if (change.kind === 'remove') return [];
  const texts = change.columns.flatMap(({ with: filling }) => (filling.kind === 'constant' ? [filling.text] : []));
  // Orphans that are pointed to one parent.
  if (rows.kind === 'orphans' && texts.length > 0)
    return [{ kind: 'rowMissing', table: rows.reference.parent, columns: rows.reference.parentColumns, values: texts }];
  // Of all columns together.
  const isRead = change.columns.some(({ with: filling }) => ['column', 'parent', 'kept'].includes(filling.kind));
  const unfilled: readonly Check[] = isRead ? [{ kind: 'unfilled', table, repair }] : [];
  return [...unfilled, ...change.columns.flatMap(({ with: filling }) => (filling.kind === 'constant' ? parentOf(filling) : []))];
}

function parentOf({ text, keyOf }: Constant): readonly Check[] {
  return keyOf === null ? [] : [{ kind: 'rowMissing', table: keyOf.table, columns: [keyOf.column], values: [text] }];
}
