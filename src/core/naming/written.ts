// The names that people type: of tables, and of their columns.

import type { Table } from '../catalogue/model';

export interface Written {
  readonly table: Table;
  /** Null of the table itself. */
  readonly column: string | null;
  readonly name: string;
}

/** Of the tables to judge, but for what an extension brought, what is temporary, and what a partition has from its whole. */
export function* writtenNames({ tables }: { readonly tables: readonly Table[] }): Iterable<Written> {
  for (const table of tables) {
    if (table.extension !== undefined || table.persistence === 'temporary' || table.kind === 'partition') continue;
    yield { table, column: null, name: table.name };
    for (const { name } of table.columns) yield { table, column: name, name };
  }
}

/** Where a finding on a name stands. */
export function placeOf({ table, column }: Written) {
  return { table: table.id, columns: column === null ? [] : [column] };
}

/** `the column Berth No of berth`, `the table Berth`. */
export function objectOf(name: string, { table, columns }: { readonly table: string; readonly columns: readonly string[] }) {
  return columns.length === 0 ? `the table ${name}` : `the column ${name} of ${table}`;
}

/** What to think of before a table or a column is called something else. */
export const beforeRenaming =
  'Another name changes what views, functions and programs have to say. Add the new name beside the old one first (a view, a generated column), move the programs, and take the old name away last.';
