// Tables with something of their structure changed: what operations are made of.

import { CatalogueError } from './CatalogueError';
import { constraintId } from './identifiers';
import { type Column, type Constraint, type Index, ordinaryMethod, type Table } from './model';

type Key = Extract<Constraint, { kind: 'primary key' | 'unique' }>;

/** What every new constraint has in common: its rows are checked, and so will new ones be. */
export function newConstraint(table: Table, name: string) {
  return { id: constraintId(table.id, name), name, validated: true, enforced: true, deferrable: 'no' } as const;
}

export function newIndex(name: string, columns: readonly string[], unique: boolean, key: Key | null = null): Index {
  const ordinary = {
    method: ordinaryMethod,
    valid: true,
    included: [],
    predicate: null,
    nulls: key?.kind === 'unique' ? key.nulls : 'distinct',
    plain: true,
    bare: true,
  } as const;
  return { ...ordinary, name, unique, columns, constraint: key?.name ?? null };
}

/** Throws CatalogueError when a constraint of that name is there. */
export function withConstraint(table: Table, constraint: Constraint): Table {
  if (table.constraints.some((c) => c.name === constraint.name))
    throw new CatalogueError(`${table.id} already has a constraint ${constraint.name}.`);
  return { ...table, constraints: [...table.constraints, constraint] };
}

/** With the index that a key stands on. Throws as `withConstraint`. */
export function withKey(table: Table, key: Key): Table {
  const keyed = withConstraint(table, key);
  return { ...keyed, indexes: [...keyed.indexes, newIndex(key.name, key.columns, true, key)] };
}

/** Without the constraint and the index behind it. Throws as `mapConstraint`. */
export function withoutConstraint(table: Table, name: string): Table {
  return {
    ...mapConstraint(table, name, (constraint) => constraint),
    constraints: table.constraints.filter((c) => c.name !== name),
    indexes: table.indexes.filter((index) => index.constraint !== name),
  };
}

/** Throws CatalogueError when there is no constraint of that name. */
export function mapConstraint(table: Table, name: string, map: (constraint: Constraint) => Constraint): Table {
  if (!table.constraints.some((c) => c.name === name)) throw new CatalogueError(`${table.id} has no constraint ${name}.`);
  return { ...table, constraints: table.constraints.map((c) => (c.name === name ? map(c) : c)) };
}

/** The same table when there is no such index, or no name. */
export function withoutIndex(table: Table, name: string | null): Table {
  return name === null ? table : { ...table, indexes: table.indexes.filter((index) => index.name !== name) };
}

/** The same table when its columns are so already. */
export function withNullability(table: Table, names: readonly string[], nullable: boolean): Table {
  if (!table.columns.some((c) => names.includes(c.name) && c.nullable !== nullable)) return table;
  return {
    ...table,
    columns: table.columns.map((c) => (names.includes(c.name) && c.nullable !== nullable ? { ...c, nullable } : c)),
  };
}

/** What a column holds, and how that is compared. */
export type Shape = Pick<Column, 'declaredType' | 'family' | 'comparable' | 'length' | 'precision' | 'scale' | 'collation'> &
  Pick<Partial<Column>, 'comparedAs' | 'characterSet'>;

export function shapeOf(column: Column): Shape {
  const { declaredType, family, comparable, length, precision, scale, collation, comparedAs, characterSet } = column;
  return {
    ...{ declaredType, family, comparable, length, precision, scale, collation },
    ...(comparedAs !== undefined && { comparedAs }),
    ...(characterSet !== undefined && { characterSet }),
  };
}
