// What remedies have to know of a table to change its rows, and how they say what becomes of them.

import { declaredUniques, foreignKeysOf, keyColumnsOf, referencesTo } from '../../catalogue/lookups';
import type { Catalogue, Table } from '../../catalogue/model';
import { Refusal } from '../../operations/refusal';
import type { Change, Constant, Filling, SetAside, WrongRows } from '../../operations/set-aside';
import { giveSideTable, type Naming } from '../names';

export const noKey = 'the table has no key to find the rows again by';

/** Columns by which a row is found again: the primary key, else another key that is never empty, else none. */
export function rowKeyOf(table: Table): readonly string[] {
  const primary = keyColumnsOf(table);
  if (primary.length > 0) return primary;
  const filled = new Set(table.columns.filter((c) => !c.nullable).map((c) => c.name));
  return declaredUniques(table).find((columns) => columns.every((c) => filled.has(c))) ?? [];
}

/** Why rows cannot be removed: a delete would be refused, or take along children that nobody set aside. Null when none refer to it. */
export function childrenInWords(catalogue: Catalogue, table: Table): string | null {
  const children = [...new Set(referencesTo(catalogue, table.id).map(({ child }) => child.id))];
  return children.length > 0 ? `rows of ${children.join(', ')} refer to them` : null;
}

export function undoable(table: Table): string {
  const firing = table.triggers.filter((trigger) => trigger.enabled);
  return firing.length === 0 ? 'can be undone' : `can be undone; fires ${firing.map((t) => t.name).join(', ')}`;
}

export function settingAside(table: Table, rows: WrongRows, change: Change, naming: Naming): SetAside {
  return {
    kind: 'setAside',
    table: table.id,
    rows,
    change,
    rowKey: rowKeyOf(table),
    columns: table.columns.filter((c) => c.generated === null).map((c) => c.name),
    sideTable: giveSideTable(naming, table),
  };
}

export function emptied(columns: readonly string[]): Change {
  return filled(columns, { kind: 'null' });
}

export function filled(columns: readonly string[], filling: Filling): Change {
  return { kind: 'fill', columns: columns.map((column) => ({ column, with: filling })) };
}

export function constant(table: Table, column: string, text: string): Constant {
  const key = foreignKeysOf(table).find(({ columns }) => columns.length === 1 && columns[0] === column);
  return { kind: 'constant', text, keyOf: key ? { table: key.parent, column: key.parentColumns[0] ?? '' } : null };
}

/** Values of several columns are parted by commas, as people write them. */
export function partsOf(text: string, columns: readonly string[], table: Table['id']): readonly string[] | Refusal {
  if (columns.length === 1) return [text];
  const parts = text.split(',').map((part) => part.trim());
  return parts.length === columns.length
    ? parts
    : new Refusal(`Type a value for each of ${columns.join(', ')} of ${table}: ${columns.length}, parted by commas.`);
}
