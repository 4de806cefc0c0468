import type { TableId } from '../../catalogue/identifiers';
import type { FittedReference } from '../../operations/reference';
import { literal, quote, quoteTable } from './quote';

/** A table in a FROM clause: with the rows of those that inherit from it, or its own `only`. */
export function rowsOf(table: TableId, only: boolean): string {
  return `${only ? 'only ' : ''}${quoteTable(table)}`;
}

/** The children that a reference holds. */
export function childRows(child: TableId, { only }: Pick<FittedReference, 'only'>): string {
  return rowsOf(child, only === 'child' || only === 'both');
}

/** True of rows `child` that refer to no parent, as MATCH SIMPLE counts them; of those with one of these values only, if any are given. */
export function orphanCondition(
  { columns, parent, parentColumns, only }: FittedReference,
  values: readonly string[] | null = null,
): string {
  const filled = columns.map((c) => `child.${quote(c)} is not null`).join(' and ');
  const matching = columns.map((c, i) => `parent.${quote(parentColumns[i] ?? '')} = child.${quote(c)}`).join(' and ');
  const some =
    values === null
      ? ''
      : `\n    and ${columns.map((c) => `child.${quote(c)}::text in (${values.map(literal).join(', ')})`).join(' and ')}`;
  return `${filled}${some}\n    and not exists (select 1 from ${rowsOf(parent, only === 'parent' || only === 'both')} as parent where ${matching})`;
}
