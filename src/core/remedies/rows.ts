// What remedies have to know of a table to change its rows.

import { declaredUniques, keyColumnsOf, referencesTo } from '../catalogue/lookups';
import type { Catalogue, Table } from '../catalogue/model';

/** Columns by which a row is found again: the primary key, else another key that is never empty, else none. */
export function rowKeyOf(table: Table): readonly string[] {
  const primary = keyColumnsOf(table);
  if (primary.length > 0) return primary;
  const filled = new Set(table.columns.filter((c) => !c.nullable).map((c) => c.name));
  return declaredUniques(table).find((columns) => columns.every((c) => filled.has(c))) ?? [];
}

/** Every column that can be written, in order. */
export function writableColumns(table: Table): readonly string[] {
  return table.columns.filter((c) => c.generated === null).map((c) => c.name);
}

/** Why rows cannot be removed: a delete would be refused, or take along children that nobody set aside. Null when none refer to it. */
export function childrenInWords(catalogue: Catalogue, table: Table): string | null {
  const children = [...new Set(referencesTo(catalogue, table.id).map(({ child }) => child.id))];
  return children.length > 0 ? `rows of ${children.join(', ')} refer to them` : null;
}
