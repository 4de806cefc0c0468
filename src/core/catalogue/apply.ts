// The catalogue as it will be after an operation. Any plan can so be checked in memory: forward
// clears its findings, back restores the original exactly.

import { claimInWords, columnsOfClaim } from '../evidence/claims';
import type { AddCheck, Operation, RenameConstraint, ReplaceKey, RestoreKey } from '../plan/operations';
import { Draft } from './edit';
import { columnId, constraintId, type TableId } from './identifiers';
import type { Catalogue, Column, Constraint, Index, Table } from './model';

/** Throws when the operation does not fit the catalogue: its table or constraint is not there, or a name is taken. */
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
  const table = draft.get(operation.table);
  if (operation.kind === 'replaceKey' || operation.kind === 'restoreKey') return swapKey(operation, table, draft);
  const next = change(operation, table, draft);
  if (next === table) return;
  draft.put(next);
  handDown(operation, table, draft);
  if (operation.kind === 'renameConstraint') followRename(operation, draft);
}

// What a table hands down to those that inherit from it, and to its partitions (manual, 5.10 "Inheritance", and
// "ALTER TABLE"): NOT NULL and checks. Keys of a partitioned table have parts of their own in each partition, which
// the server names; they are its own affair.
function handDown(operation: Operation, before: Table, draft: Draft): void {
  for (const id of draft.descendantsOf(operation.table)) {
    const heir = draft.get(id);
    const next = inherited(operation, before, heir);
    if (next !== heir) draft.put(next);
  }
}

function inherited(operation: Operation, parent: Table, heir: Table): Table {
  switch (operation.kind) {
    case 'setNotNull':
      return nullability(heir, [operation.column], false);
    case 'dropNotNull':
      return operation.handedDown?.made.includes(heir.id) ? nullability(heir, [operation.column], true) : heir;
    case 'addPrimaryKey':
      return nullability(heir, operation.columns, false);
    case 'addCheck':
      return withConstraint(heir, checkOf(heir, operation));
    case 'validateConstraint':
    case 'forgetValidation':
    case 'dropConstraint':
    case 'renameConstraint': {
      const name = operation.kind === 'renameConstraint' ? operation.from : operation.name;
      const isHandedDown = parent.constraints.some((c) => c.name === name && c.kind === 'check');
      if (!isHandedDown || !heir.constraints.some((c) => c.name === name)) return heir;
      return change(operation, heir, null);
    }
    default:
      return heir;
  }
}

/** `draft`: where the parent of a new reference is looked up; null where none is made. */
function change(operation: Exclude<Operation, ReplaceKey | RestoreKey>, table: Table, draft: Draft | null): Table {
  switch (operation.kind) {
    case 'addIdentityColumn':
      return { ...table, columns: [...table.columns, identityColumn(table.id, operation.column)] };
    case 'dropColumn':
      return { ...table, columns: table.columns.filter((c) => c.name !== operation.column) };
    case 'addPrimaryKey':
      return withKey(nullability(withoutIndex(table, operation.index), operation.columns, false), {
        kind: 'primary key',
        ...base(table, operation.name),
        columns: operation.columns,
        index: operation.name,
      });
    case 'addUnique':
      return withKey(withoutIndex(table, operation.index), {
        kind: 'unique',
        ...base(table, operation.name),
        columns: operation.columns,
        index: operation.name,
        nullsDistinct: true,
      });
    case 'addForeignKey':
      return withConstraint(table, {
        kind: 'foreign key',
        ...base(table, operation.name),
        validated: operation.rows === 'checked',
        columns: operation.columns,
        parent: operation.parent,
        parentColumns: operation.parentColumns,
        match: operation.match,
        deferrable: operation.deferrable,
        onDelete: operation.onDelete,
        onUpdate: operation.onUpdate,
        ...(operation.comment !== undefined && { comment: operation.comment }),
        index: keyIndexOf(draft?.find(operation.parent) ?? null, operation.parentColumns),
      });
    case 'addCheck':
      return withConstraint(table, checkOf(table, operation));
    case 'validateConstraint':
      return mapConstraint(table, operation.name, (constraint) => ({ ...constraint, validated: true }));
    case 'forgetValidation':
      return mapConstraint(table, operation.name, (constraint) => ({ ...constraint, validated: false }));
    case 'dropConstraint':
      return withoutConstraint(table, operation.name);
    case 'createIndex':
      return { ...table, indexes: [...table.indexes, indexOf(operation.name, operation.columns, operation.unique, null)] };
    case 'dropIndex':
      return withoutIndex(table, operation.name);
    case 'setNotNull':
      return nullability(table, [operation.column], false);
    case 'dropNotNull':
      return nullability(table, [operation.column], true);
    case 'renameConstraint':
      return rename(table, operation.from, operation.to);
    case 'setAside':
    case 'bringBack':
    case 'addParents':
    case 'removeParents':
    case 'dropKept':
      // Rows change, not the structure; the side table is ours and comes and goes with the docket.
      return table;
  }
}

// The references to the key rest on another index afterwards.
function swapKey(operation: ReplaceKey | RestoreKey, table: Table, draft: Draft): void {
  const { name, unique, columns, former, references } = operation;
  const forward = operation.kind === 'replaceKey';
  const keyColumns = forward ? columns : former;
  const replaced = mapConstraint(table, name, ({ comment: _, ...key }) => {
    const said = forward || operation.comment === undefined ? {} : { comment: operation.comment };
    return { ...key, columns: keyColumns, ...said };
  });
  const indexed = {
    ...replaced,
    indexes: table.indexes.map((index) => (index.name === name ? { ...index, columns: keyColumns } : index)),
  };
  draft.put(
    forward
      ? withKey(indexed, { kind: 'unique', ...base(table, unique), columns: former, index: unique, nullsDistinct: true })
      : withoutConstraint(indexed, unique),
  );
  for (const { reference } of references)
    draft.put(
      mapConstraint(
        draft.get(reference.table),
        reference.name,
        (c) => ({ ...c, validated: false, index: forward ? unique : name }) as Constraint,
      ),
    );
}

function checkOf(table: Table, { name, claim }: AddCheck): Constraint {
  return {
    kind: 'check',
    ...base(table, name),
    validated: false,
    columns: columnsOfClaim(claim),
    // Each server spells a condition in its own way.
    expression: claimInWords(claim),
  };
}

function withoutConstraint(table: Table, name: string): Table {
  mapConstraint(table, name, (constraint) => constraint);
  return {
    ...table,
    constraints: table.constraints.filter((c) => c.name !== name),
    indexes: table.indexes.filter((index) => index.constraint !== name),
  };
}

function identityColumn(table: TableId, name: string): Column {
  return {
    id: columnId(table, name),
    name,
    declaredType: 'bigint',
    family: 'integer',
    comparedAs: 'bigint',
    comparable: true,
    domain: null,
    length: null,
    precision: null,
    scale: 0,
    collation: null,
    nullable: false,
    default: null,
    identity: 'by default',
    generated: null,
    comment: null,
    statistics: null,
  };
}

function base(table: Table, name: string) {
  return { id: constraintId(table.id, name), name, validated: true, enforced: true, deferrable: 'no' } as const;
}

function withConstraint(table: Table, constraint: Constraint): Table {
  if (table.constraints.some((c) => c.name === constraint.name))
    throw new Error(`${table.id} already has a constraint ${constraint.name}.`);
  return { ...table, constraints: [...table.constraints, constraint] };
}

function withKey(table: Table, key: Extract<Constraint, { kind: 'primary key' | 'unique' }>): Table {
  const keyed = withConstraint(table, key);
  return { ...keyed, indexes: [...keyed.indexes, indexOf(key.name, key.columns, true, key.name)] };
}

function withoutIndex(table: Table, name: string | null): Table {
  return name === null ? table : { ...table, indexes: table.indexes.filter((index) => index.name !== name) };
}

function indexOf(name: string, columns: readonly string[], unique: boolean, constraint: string | null): Index {
  const ordinary = { method: 'btree', valid: true, included: [], predicate: null, nullsDistinct: true, plain: true } as const;
  return { ...ordinary, name, unique, columns, constraint };
}

function nullability(table: Table, names: readonly string[], nullable: boolean): Table {
  if (!table.columns.some((c) => names.includes(c.name) && c.nullable !== nullable)) return table;
  return {
    ...table,
    columns: table.columns.map((c) => (names.includes(c.name) && c.nullable !== nullable ? { ...c, nullable } : c)),
  };
}

function mapConstraint(table: Table, name: string, map: (constraint: Constraint) => Constraint): Table {
  if (!table.constraints.some((c) => c.name === name)) throw new Error(`${table.id} has no constraint ${name}.`);
  return { ...table, constraints: table.constraints.map((c) => (c.name === name ? map(c) : c)) };
}

// A reference rests on an index of its parent that is unique over the same columns, in whatever order.
function keyIndexOf(parent: Table | null, columns: readonly string[]): string | null {
  const fits = (index: Index): boolean =>
    index.unique && index.valid && index.predicate === null && index.columns.every((c) => c !== null && columns.includes(c));
  return parent?.indexes.find((index) => index.columns.length === columns.length && fits(index))?.name ?? null;
}

// The references that rest on a key's index name it.
function followRename({ table, from, to }: RenameConstraint, draft: Draft): void {
  if (draft.get(table).indexes.every((index) => index.name !== to)) return;
  for (const id of draft.childrenOf(table)) {
    const child = draft.get(id);
    const rests = (c: Constraint): boolean => c.kind === 'foreign key' && c.parent === table && c.index === from;
    if (child.constraints.some(rests))
      draft.put({ ...child, constraints: child.constraints.map((c) => (rests(c) ? { ...c, index: to } : c) as Constraint) });
  }
}

// The index behind a key bears the key's name and is renamed with it.
function rename(table: Table, from: string, to: string): Table {
  const renamed = mapConstraint(table, from, (constraint) => {
    const named = { ...constraint, id: constraintId(table.id, to), name: to };
    return 'index' in named && named.index === from && named.kind !== 'foreign key' ? { ...named, index: to } : named;
  });
  return {
    ...renamed,
    indexes: renamed.indexes.map((index) =>
      index.constraint === from ? { ...index, constraint: to, name: index.name === from ? to : index.name } : index,
    ),
  };
}
