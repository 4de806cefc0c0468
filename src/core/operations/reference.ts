import type { TableId } from '../catalogue/identifiers';
import type { Reference, Table } from '../catalogue/model';
import type { Draft } from '../catalogue/draft';

/** A reference with whose rows it holds. */
export interface FittedReference extends Reference {
  /** Where others inherit from one of the two tables, its own rows only are held, or looked for. */
  readonly only?: 'child' | 'parent' | 'both';
}

/** The reference alone of what has one beside other things. */
export function referenceIn({ columns, parent, parentColumns, only }: FittedReference): FittedReference {
  return { columns, parent, parentColumns, ...(only && { only }) };
}

export function sameReferring(a: Reference, b: Reference): boolean {
  return a.columns.join('\0') === b.columns.join('\0');
}

/** The reference with whose rows it holds, as its tables are now. */
export function fittedReference<Referring extends FittedReference>(
  reference: Referring,
  child: TableId,
  current: Draft,
): Referring {
  const own = keepsOwnRows(current.get(child), current);
  const parents = keepsOwnRows(current.get(reference.parent), current);
  if (!own && !parents) return reference;
  return { ...reference, only: own && parents ? 'both' : own ? 'child' : 'parent' };
}

/** True of a table that others inherit from, which keep rows of their own. */
export function keepsOwnRows(table: Table, current: Draft): boolean {
  return table.kind === 'table' && current.descendantsOf(table.id).length > 0;
}
