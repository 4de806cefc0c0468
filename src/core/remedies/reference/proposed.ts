import { tableId } from '../../catalogue/identifiers';
import type { FittedReference } from '../../operations/reference';

/** A reference that is to be, as rules propose it: to a parent by its names. */
export interface Referring {
  readonly columns: readonly string[];
  readonly references: ProposedParent;
  /** Rows without a parent; null when nobody has looked. */
  readonly orphanRows: number | null;
}

export interface ProposedParent {
  readonly schema: string;
  readonly table: string;
  readonly columns: readonly string[];
}

export function referenceOf({ columns, references }: Pick<Referring, 'columns' | 'references'>): FittedReference {
  return { columns, parent: tableId(references.schema, references.table), parentColumns: references.columns };
}
