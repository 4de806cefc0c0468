import { columnsId, type TableId } from '../catalogue/identifiers';
import { canRefer, findTable, foreignKeysOf, getTable, referableKeys, sameColumns, sameColumnSet } from '../catalogue/lookups';
import { findFact } from '../evidence/evidence';
import type { OnTable, WishKind } from './wish';

export interface ReferenceWish extends OnTable {
  readonly kind: 'reference';
  readonly columns: readonly string[];
  readonly parent: TableId;
  readonly parentColumns: readonly string[];
}

export const referenceWish: WishKind<ReferenceWish> = {
  title: 'refers to a parent',
  columns: ({ columns }) => columns,
  mark: ({ table, columns, parent, parentColumns }) => `${columnsId(table, columns)} -> ${columnsId(parent, parentColumns)}`,
  words: ({ columns, parent, parentColumns }) => `${columns.join(', ')} refers to ${columnsId(parent, parentColumns)}`,
  isGranted: ({ columns, parent }, { table }) =>
    foreignKeysOf(table).some((key) => key.parent === parent && sameColumns(key.columns, columns)),

  problem(wish, { table, catalogue }) {
    const parent = findTable(catalogue, wish.parent);
    if (!parent) return `There is no table ${wish.parent} in the last survey.`;
    if (!referableKeys(parent).some((key) => sameColumnSet(key, wish.parentColumns)))
      return `${wish.parentColumns.join(', ')} of ${parent.id} is no key: ask for that first.`;
    if (wish.parentColumns.length !== wish.columns.length)
      return `The key of ${parent.id} has ${wish.parentColumns.length} columns, and ${wish.columns.length} were chosen.`;
    for (const [i, name] of wish.columns.entries()) {
      const child = table.columns.find((column) => column.name === name);
      const key = parent.columns.find((column) => column.name === wish.parentColumns[i]);
      if (child && key && !canRefer(catalogue, child, key))
        return `${name} is ${child.declaredType}, and ${key.name} of ${parent.id} is ${key.declaredType}: the one cannot refer to the other.`;
    }
    return null;
  },

  proposal({ columns, parent, parentColumns }, { catalogue }, { against }) {
    const { schema, name } = getTable(catalogue, parent);
    const references = { schema, table: name, columns: parentColumns };
    return { kind: 'foreignKey', columns, references, orphanRows: against, others: [] };
  },

  measured: {
    asks: ({ kind: _, ...reference }) => [{ kind: 'inclusion', ...reference }],
    count({ kind: _, ...reference }, evidence) {
      const fact = findFact(evidence, { kind: 'inclusion', ...reference });
      return { rows: fact?.result.rows ?? null, against: fact?.result.orphanRows ?? null, how: fact?.how ?? null };
    },
    rows: ({ kind: _, ...reference }) => ({ kind: 'orphans', ...reference }),
  },
};
