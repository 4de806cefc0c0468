import type { TableId } from './identifiers';
import { type DeclaredReference, findConstraint, foreignKeysOf, getTable, heirsOf, referencesTo } from './lookups';
import type { Catalogue } from './model';

/** What a new name of a constraint touches, in words; programs outside of the database are not to be seen from here, and are said to be. */
export function dependentsOf(table: TableId, name: string, catalogue: Catalogue): readonly string[] {
  const constraint = findConstraint(getTable(catalogue, table), name);
  if (!constraint) return [];
  const index = 'index' in constraint && constraint.kind !== 'foreign key' ? constraint.index : null;
  const resting = catalogue.tables.flatMap((child) =>
    foreignKeysOf(child)
      .filter((key) => index !== null && key.parent === table && key.index === index)
      .map((key) => `${key.name} of ${child.id}`),
  );
  return [
    ...(index === null ? [] : [`Its index ${index} is renamed with it.`]),
    ...(resting.length === 0 ? [] : [`These references rest on it and go on to: ${resting.join(', ')}.`]),
    `Programs outside of the database that say ON CONSTRAINT ${name}, or look for it in error messages, have to follow; Pawl cannot see them.`,
  ];
}

/** The same of a table. */
export function dependentsOfTable(id: TableId, catalogue: Catalogue): readonly string[] {
  const children = referencesTo(catalogue, id).filter(({ child }) => child.id !== id);
  const heirs = heirsOf(catalogue, id);
  return [
    ...leading(children),
    ...(heirs.length === 0
      ? []
      : [`These inherit from it, or are part of it, and go on to: ${heirs.map((heir) => heir.id).join(', ')}.`]),
    `Its constraints, indexes, triggers and rights stay as they are. Programs outside of the database that say ${getTable(catalogue, id).name} are not to be seen from here.`,
  ];
}

/** The same of a column. */
export function dependentsOfColumn(id: TableId, column: string, catalogue: Catalogue): readonly string[] {
  const table = getTable(catalogue, id);
  const own = table.constraints.filter(({ columns }) => columns.includes(column)).map(({ name }) => name);
  const indexes = table.indexes
    .filter((index) => index.constraint === null && index.columns.includes(column))
    .map(({ name }) => name);
  const children = referencesTo(catalogue, id).filter(({ key }) => key.parentColumns.includes(column));
  return [
    ...(own.length === 0 ? [] : [`These constraints are on it and go on to: ${own.join(', ')}.`]),
    ...(indexes.length === 0 ? [] : [`These indexes are on it and go on to: ${indexes.join(', ')}.`]),
    ...leading(children),
    `Programs outside of the database that say ${column} have to follow at the same moment; Pawl cannot see them.`,
  ];
}

function leading(references: readonly DeclaredReference[]): readonly string[] {
  if (references.length === 0) return [];
  return [
    `These references lead to it and go on to: ${references.map(({ key, child }) => `${key.name} of ${child.id}`).join(', ')}.`,
  ];
}
