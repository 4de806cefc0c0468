// Columns that are of one type because they refer to each other.

import type { TableId } from '../../catalogue/identifiers';
import { findTable, foreignKeysOf, referencesTo } from '../../catalogue/lookups';
import type { Catalogue } from '../../catalogue/model';

export interface Place {
  readonly table: TableId;
  readonly column: string;
}

/** Those that refer to a column, and those that refer to them: the nearest first. */
export function descendantsOf(place: Place, catalogue: Catalogue): readonly Place[] {
  return closure(place, (one) => childrenOf(one, catalogue));
}

/** Those that refer to it or that it refers to, and so on. */
export function relativesOf(place: Place, catalogue: Catalogue): readonly Place[] {
  return closure(place, (one) => [...parentsOf(one, catalogue), ...childrenOf(one, catalogue)]);
}

function childrenOf({ table, column }: Place, catalogue: Catalogue): readonly Place[] {
  return referencesTo(catalogue, table).flatMap(({ child, key }) =>
    key.parentColumns.flatMap((name, i) => (name === column ? [{ table: child.id, column: key.columns[i] ?? '' }] : [])),
  );
}

function parentsOf({ table, column }: Place, catalogue: Catalogue): readonly Place[] {
  const own = findTable(catalogue, table);
  return (own ? foreignKeysOf(own) : []).flatMap((key) =>
    key.columns.flatMap((name, i) => (name === column ? [{ table: key.parent, column: key.parentColumns[i] ?? '' }] : [])),
  );
}

function closure(first: Place, next: (place: Place) => readonly Place[]): readonly Place[] {
  const found = new Map<string, Place>([[keyOf(first), first]]);
  for (const place of found.values())
    for (const other of next(place)) if (!found.has(keyOf(other))) found.set(keyOf(other), other);
  return [...found.values()].slice(1);
}

function keyOf({ table, column }: Place): string {
  return `${table}\0${column}`;
}
