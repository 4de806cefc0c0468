// Looking things up in a catalogue by key. The maps are built once for each catalogue and kept
// as long as it lives, so asking is cheap and no caller scans a list.

import { CatalogueError } from './CatalogueError';
import { type ColumnId, columnId, type TableId, tableId } from './identifiers';
import {
  type Catalogue,
  type Column,
  type Constraint,
  type ForeignKey,
  type Index,
  ordinaryMethod,
  type PrimaryKey,
  type Sequence,
  type Table,
} from './model';
import { once } from '../once';

interface Lookups {
  readonly tables: ReadonlyMap<string, Table>;
  readonly columns: ReadonlyMap<string, Column>;
  readonly references: ReadonlyMap<TableId, readonly DeclaredReference[]>;
  readonly sequences: ReadonlyMap<ColumnId, Sequence>;
  readonly heirs: ReadonlyMap<TableId, readonly Table[]>;
  /** By the type of a referring column, the types of the keys it can refer to beside its own; null when nobody asked. */
  readonly comparisons: ReadonlyMap<string, ReadonlySet<string>> | null;
}

/** A declared foreign key together with the table that declares it. */
export interface DeclaredReference {
  readonly child: Table;
  readonly key: ForeignKey;
}

export function findTable(catalogue: Catalogue, id: TableId): Table | null {
  return lookups(catalogue).tables.get(id) ?? null;
}

/** Throws when the catalogue has no such table. */
export function getTable(catalogue: Catalogue, id: TableId): Table {
  const table = findTable(catalogue, id);
  if (!table) throw new CatalogueError(`No table ${id} in the catalogue of ${catalogue.database}.`);
  return table;
}

export function findTableNamed(catalogue: Catalogue, schema: string, name: string): Table | null {
  return findTable(catalogue, tableId(schema, name));
}

export function findColumn(catalogue: Catalogue, table: TableId, column: string): Column | null {
  return lookups(catalogue).columns.get(columnId(table, column)) ?? null;
}

/** Throws when the catalogue has no such column. */
export function getColumn(catalogue: Catalogue, table: TableId, column: string): Column {
  const found = findColumn(catalogue, table, column);
  if (!found) throw new CatalogueError(`No column ${column} in ${table}.`);
  return found;
}

/** The same where the table is at hand. Throws CatalogueError. */
export function columnOf(table: Table, name: string): Column {
  const column = table.columns.find((c) => c.name === name);
  if (!column) throw new CatalogueError(`${table.id} has no column ${name}.`);
  return column;
}

export function findColumnById(catalogue: Catalogue, id: ColumnId): Column | null {
  return lookups(catalogue).columns.get(id) ?? null;
}

/** The sequence that a column owns, or null. */
export function findSequence(catalogue: Catalogue, column: ColumnId): Sequence | null {
  return lookups(catalogue).sequences.get(column) ?? null;
}

/** The foreign keys that point to a table. */
export function referencesTo(catalogue: Catalogue, parent: TableId): readonly DeclaredReference[] {
  return lookups(catalogue).references.get(parent) ?? [];
}

/** Whether a column can refer to a key column: by the server's own equalities where they were read, else by their kinds. */
export function canRefer(catalogue: Catalogue, child: Column, key: Column): boolean {
  const { comparisons } = lookups(catalogue);
  if (!child.comparable || !key.comparable) return false;
  if (!comparisons || child.comparedAs === undefined || key.comparedAs === undefined) return isAlike(child, key);
  return child.comparedAs === key.comparedAs || comparisons.get(child.comparedAs)?.has(key.comparedAs) === true;
}

function isAlike(child: Column, key: Column): boolean {
  return child.family === key.family || (child.family === 'integer' && key.family === 'decimal');
}

/** The tables that inherit from one, or are its partitions; not those that inherit from these. */
export function heirsOf(catalogue: Catalogue, table: TableId): readonly Table[] {
  return lookups(catalogue).heirs.get(table) ?? [];
}

/** True when other tables inherit from it. Keys and references then see its own rows only; NOT NULL and checks bind the heirs too. */
export function hasHeirs(catalogue: Catalogue, table: TableId): boolean {
  return findTable(catalogue, table)?.kind !== 'partitioned' && heirsOf(catalogue, table).length > 0;
}

/** True of a column that a table has from one it inherits from: what is said of it is said there, once. */
export function isInherited(catalogue: Catalogue, table: Table, column: string): boolean {
  return table.inherits.some((parent) => findColumn(catalogue, parent, column) !== null);
}

/** True of a check that a table has from one it inherits from. */
export function isInheritedCheck(catalogue: Catalogue, table: Table, name: string): boolean {
  return table.inherits.some((id) => {
    const parent = findTable(catalogue, id);
    return parent !== null && findConstraint(parent, name)?.kind === 'check';
  });
}

export function primaryKeyOf(table: Table): PrimaryKey | null {
  return table.constraints.find((c) => c.kind === 'primary key') ?? null;
}

export function foreignKeysOf(table: Table): readonly ForeignKey[] {
  return table.constraints.filter((c) => c.kind === 'foreign key');
}

export function findConstraint(table: Table, name: string): Constraint | null {
  return table.constraints.find((c) => c.name === name) ?? null;
}

/** The column whose NOT NULL bears a name, on servers that keep it as a constraint. */
export function findNotNull(table: Table, name: string): Column | null {
  return table.columns.find(({ notNull }) => notNull?.name === name) ?? null;
}

/** Every column set that the database already refuses to repeat: keys and complete unique indexes. */
export function declaredUniques(table: Table): readonly (readonly string[])[] {
  const keys = table.constraints.flatMap((c) => (c.kind === 'primary key' || c.kind === 'unique' ? [c.columns] : []));
  const indexes = table.indexes
    .filter((index) => index.unique && index.valid && index.predicate === null && !index.constraint && !index.prefix)
    .flatMap((index) => (index.columns.every((c) => c !== null) ? [index.columns] : []));
  return [...keys, ...indexes];
}

/** The column sets that a reference can point to: of what is unique, what is not checked late and takes whole values. */
export function referableKeys(table: Table): readonly (readonly string[])[] {
  const late = table.constraints.filter((c) => c.kind !== 'check' && c.deferrable !== 'no' && c.kind !== 'foreign key');
  const partly = table.constraints.filter((c) => c.kind === 'primary key' && c.prefix);
  return declaredUniques(table).filter((columns) => ![...late, ...partly].some((c) => c.columns === columns));
}

/** True of an index that finds rows by whole values, and of all rows. */
function isOrdered({ valid, predicate, prefix, ignored, method }: Index): boolean {
  return valid && predicate === null && !prefix && !ignored && method !== 'fulltext' && method !== 'spatial';
}

/** True when a usable index starts with these columns, so that a delete of the parent finds its children. */
export function isIndexed(table: Table, columns: readonly string[]): boolean {
  return table.indexes.some((index) => isOrdered(index) && columns.every((_, i) => columns.includes(index.columns[i] ?? '')));
}

/** The key columns of a table: its primary key, else none. */
export function keyColumnsOf(table: Table): readonly string[] {
  return primaryKeyOf(table)?.columns ?? [];
}

/** A plain unique index over just these columns in this order that no constraint stands on yet; it can become a key's own. A partitioned table's cannot. */
export function uniqueIndexOver(table: Table, columns: readonly string[]): string | null {
  const found = table.indexes.find(
    (index) =>
      index.unique &&
      index.valid &&
      index.method === ordinaryMethod &&
      !index.prefix &&
      index.predicate === null &&
      index.constraint === null &&
      index.nulls === 'distinct' &&
      index.included.length === 0 &&
      index.plain === true &&
      index.columns.length === columns.length &&
      index.columns.every((column, i) => column === columns[i]),
  );
  return table.kind === 'table' ? (found?.name ?? null) : null;
}

/** Tables that hold rows of their own, which constraints can be put on; Pawl's side tables are not among them, nor are an extension's. */
export function baseTables(catalogue: Catalogue): readonly Table[] {
  return catalogue.tables.filter(
    (t) =>
      (t.kind === 'table' || t.kind === 'partitioned') &&
      t.persistence !== 'temporary' &&
      t.extension === undefined &&
      !t.name.startsWith(sideTablePrefix),
  );
}

/** Begins the names of the tables in which repairs keep what they change. */
export const sideTablePrefix = 'pawl_kept_';

export function sameColumns(a: readonly (string | null)[], b: readonly (string | null)[]): boolean {
  return a.length === b.length && a.every((column, i) => column === b[i]);
}

export function sameColumnSet(a: readonly string[], b: readonly string[]): boolean {
  return a.length === b.length && a.every((column) => b.includes(column));
}

export function includesColumns(whole: readonly string[], part: readonly string[]): boolean {
  return part.every((column) => whole.includes(column));
}

const lookups = once(build);

function build(catalogue: Catalogue): Lookups {
  const tables = new Map<string, Table>();
  const columns = new Map<string, Column>();
  const references = new Map<TableId, DeclaredReference[]>();
  const heirs = new Map<TableId, Table[]>();
  for (const table of catalogue.tables) {
    for (const parent of table.inherits) {
      const others = heirs.get(parent);
      if (others) others.push(table);
      else heirs.set(parent, [table]);
    }
    tables.set(table.id, table);
    for (const column of table.columns) columns.set(column.id, column);
    for (const key of foreignKeysOf(table)) {
      const others = references.get(key.parent);
      if (others) others.push({ child: table, key });
      else references.set(key.parent, [{ child: table, key }]);
    }
  }
  const sequences = new Map(
    catalogue.sequences.flatMap((sequence) => (sequence.ownedBy ? [[sequence.ownedBy, sequence] as const] : [])),
  );
  return { tables, columns, references, sequences, heirs, comparisons: comparisonsOf(catalogue) };
}

function comparisonsOf({ comparisons }: Catalogue): Lookups['comparisons'] {
  if (!comparisons) return null;
  const found = new Map<string, Set<string>>();
  for (const { child, key } of comparisons) found.set(child, (found.get(child) ?? new Set()).add(key));
  return found;
}

/** Whether the server has something for a column of which a new row says nothing. */
export function isFilledByServer({ default: given, identity, generated }: Column): boolean {
  return given !== null || identity !== null || generated !== null;
}
