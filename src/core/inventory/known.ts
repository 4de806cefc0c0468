// What is known of one column beyond its line: its most frequent values, whom it refers to and who refers by it, and others
// of its name.

import { type ColumnId, columnsId, type TableId } from '../catalogue/identifiers';
import { foreignKeysOf, referencesTo } from '../catalogue/lookups';
import type { Catalogue, Column, Table } from '../catalogue/model';
import { type Evidence, sampleOf } from '../evidence/evidence';
import { groupBy } from '../grouping';
import { once } from '../once';

export interface Known {
  readonly frequent: readonly { readonly value: string; readonly share: number }[];
  readonly inWords: readonly string[];
  readonly namesakes: readonly Namesake[];
}

export interface Namesake {
  readonly id: ColumnId;
  readonly table: TableId;
  readonly type: string;
  /** Whether it has the same type. */
  readonly same: boolean;
}

interface Of {
  readonly table: Table;
  readonly column: Column;
  readonly evidence: Evidence;
}

const mostNamesakes = 40;

export function knownOf(catalogue: Catalogue, { table, column, evidence }: Of): Known {
  const sample = sampleOf(evidence, table.id)?.result;
  const seen = sample?.columns[column.name];
  const filled = sample && seen ? sample.rows - seen.nulls : 0;
  const parents = foreignKeysOf(table).filter((key) => key.columns.includes(column.name));
  const children = referencesTo(catalogue, table.id).filter(({ key }) => key.parentColumns.includes(column.name));
  return {
    frequent: filled === 0 ? [] : (seen?.frequent ?? []).map(([value, count]) => ({ value, share: count / filled })),
    inWords: [
      ...parents.map((key) => `Refers to ${columnsId(key.parent, key.parentColumns)}, by ${key.name}.`),
      ...children.map(({ child, key }) => `${columnsId(child.id, key.columns)} refers to it, by ${key.name}.`),
    ],
    namesakes: (byName(catalogue).get(column.name.toLowerCase()) ?? [])
      .filter(({ of }) => of.id !== column.id)
      .slice(0, mostNamesakes)
      .map(({ of, table: its }) => ({
        id: of.id,
        table: its.id,
        type: of.declaredType,
        same: of.declaredType === column.declaredType,
      })),
  };
}

const byName = once(({ tables }: Catalogue) =>
  groupBy(
    tables.flatMap((table) => table.columns.map((of) => ({ of, table }))),
    ({ of }) => of.name.toLowerCase(),
  ),
);
