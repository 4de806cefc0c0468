// The catalogue as it will be after an operation. Any plan can so be checked in memory: forward
// clears its findings, back restores the original exactly.

import { claimInWords, columnsOfClaim } from '../evidence/claims';
import type { Operation, ReplaceKey, RestoreKey } from '../plan/operations';
import { columnId, constraintId, type TableId } from './identifiers';
import { findTable, getTable } from './lookups';
import type { Catalogue, Column, Constraint, Index, Table } from './model';

/** Throws when the operation does not fit the catalogue: its table or constraint is not there, or a name is taken. */
export function apply(operation: Operation, catalogue: Catalogue): Catalogue {
  const table = getTable(catalogue, operation.table);
  if (operation.kind === 'replaceKey' || operation.kind === 'restoreKey') return swapKey(operation, table, catalogue);
  const next = change(operation, table, catalogue);
  if (next === table) return catalogue;
  const changed = { ...catalogue, tables: catalogue.tables.map((t) => (t === table ? next : t)) };
  return operation.kind === 'renameConstraint' ? followRename(changed, operation) : changed;
}

export function applyAll(operations: readonly Operation[], catalogue: Catalogue): Catalogue {
  return operations.reduce((current, operation) => apply(operation, current), catalogue);
}

function change(operation: Exclude<Operation, ReplaceKey | RestoreKey>, table: Table, catalogue: Catalogue): Table {
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
        validated: false,
        columns: operation.columns,
        parent: operation.parent,
        parentColumns: operation.parentColumns,
        match: operation.match,
        deferrable: operation.deferrable,
        onDelete: operation.onDelete,
        onUpdate: operation.onUpdate,
        ...(operation.comment !== undefined && { comment: operation.comment }),
        index: keyIndexOf(findTable(catalogue, operation.parent), operation.parentColumns),
      });
    case 'addCheck':
      return withConstraint(table, {
        kind: 'check',
        ...base(table, operation.name),
        validated: false,
        columns: columnsOfClaim(operation.claim),
        // Each server spells a condition in its own way.
        expression: claimInWords(operation.claim),
      });
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

// The only operation that changes several tables: the references to the key rest on another index afterwards.
function swapKey(operation: ReplaceKey | RestoreKey, table: Table, catalogue: Catalogue): Catalogue {
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
  const keyed = forward
    ? withKey(indexed, { kind: 'unique', ...base(table, unique), columns: former, index: unique, nullsDistinct: true })
    : withoutConstraint(indexed, unique);
  const remade = (child: Table): Table =>
    references
      .filter(({ reference }) => reference.table === child.id)
      .reduce(
        (current, { reference }) =>
          mapConstraint(
            current,
            reference.name,
            (c) => ({ ...c, validated: false, index: forward ? unique : name }) as Constraint,
          ),
        child,
      );
  return { ...catalogue, tables: catalogue.tables.map((t) => remade(t === table ? keyed : t)) };
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
  return { name, method: 'btree', unique, valid: true, columns, included: [], predicate: null, nullsDistinct: true, constraint };
}

function nullability(table: Table, names: readonly string[], nullable: boolean): Table {
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
function followRename(catalogue: Catalogue, { table, from, to }: Extract<Operation, { kind: 'renameConstraint' }>): Catalogue {
  const rests = (c: Constraint): boolean => c.kind === 'foreign key' && c.parent === table && c.index === from;
  if (getTable(catalogue, table).indexes.every((index) => index.name !== to)) return catalogue;
  return {
    ...catalogue,
    tables: catalogue.tables.map((t) =>
      t.constraints.some(rests)
        ? { ...t, constraints: t.constraints.map((c) => (rests(c) ? { ...c, index: to } : c) as Constraint) }
        : t,
    ),
  };
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
