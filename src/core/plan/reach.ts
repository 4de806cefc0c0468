// How far the delete of one row reaches: what the references say of its children, and theirs, through every level.

import type { TableId } from '../catalogue/identifiers';
import { foreignKeysOf, sameColumns } from '../catalogue/lookups';
import type { Catalogue, Reference, ReferentialAction } from '../catalogue/model';

export interface ReachReference extends Reference {
  readonly name: string;
  readonly child: TableId;
  readonly onDelete: ReferentialAction;
  /** Of the columns, those that may not be null. */
  readonly mandatory: readonly string[];
}

export interface ReachQuestion {
  readonly parent: TableId;
  /** The columns by which the row is picked. */
  readonly key: readonly string[];
  /** As text, one for each column of the key; null for the row with the most children by `about`. */
  readonly values: readonly string[] | null;
  /** The reference in question; it is among `references`. */
  readonly about: ReachReference;
  readonly references: readonly ReachReference[];
}

export interface Reach {
  /** The key of the row; null when there is no such row. */
  readonly row: readonly string[] | null;
  /** Rows that would go, the row itself among them. */
  readonly deleted: number;
  /** True when some reference would refuse: then nothing goes. */
  readonly refused: boolean;
  /** False when it was given up for its size: then it reaches at least as far. */
  readonly complete: boolean;
  /** Nearest first; references without any child left out. */
  readonly lines: readonly ReachLine[];
}

export interface ReachLine {
  readonly reference: string;
  readonly child: TableId;
  readonly columns: readonly string[];
  readonly parent: TableId;
  readonly action: ReferentialAction;
  readonly effect: 'deleted' | 'emptied' | 'given the default' | 'refuses';
  readonly rows: number;
  /** 1 for children of the row itself. */
  readonly level: number;
}

/** The declared references of a catalogue, and one that is to be. A reference over the same columns takes the place of a declared one. */
export function reachReferences(
  catalogue: Catalogue,
  proposed: Omit<ReachReference, 'mandatory'>,
): { readonly about: ReachReference; readonly references: readonly ReachReference[] } {
  const withNulls = (reference: Omit<ReachReference, 'mandatory'>): ReachReference => ({
    ...reference,
    mandatory: (catalogue.tables.find((table) => table.id === reference.child)?.columns ?? [])
      .filter((column) => !column.nullable && reference.columns.includes(column.name))
      .map((column) => column.name),
  });
  const about = withNulls(proposed);
  const declared = catalogue.tables.flatMap((table) =>
    foreignKeysOf(table)
      .filter((key) => !(table.id === about.child && key.parent === about.parent && sameColumns(key.columns, about.columns)))
      .map(({ name, columns, parent, parentColumns, onDelete }) =>
        withNulls({ name, child: table.id, columns, parent, parentColumns, onDelete }),
      ),
  );
  return { about, references: [about, ...declared] };
}
