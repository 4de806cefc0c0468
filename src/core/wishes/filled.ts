import { columnsId } from '../catalogue/identifiers';
import { profileOf } from '../evidence/evidence';
import type { OnTable, WishKind } from './wish';

export interface FilledWish extends OnTable {
  readonly kind: 'filled';
  readonly columns: readonly string[];
}

export const filledWish: WishKind<FilledWish> = {
  title: 'is never empty',
  columns: ({ columns }) => columns,
  mark: ({ table, columns }) => columnsId(table, columns),
  words: ({ columns }) => `${columns.join(', ')} is never empty`,
  isGranted: ({ columns }, { table }) =>
    columns.every((name) => table.columns.some((column) => column.name === name && !column.nullable)),
  problem: () => null,
  proposal: ({ columns }, _, { against }) => (against ? { kind: 'nulls', columns, rows: against } : { kind: 'notNull', columns }),
  measured: {
    asks: ({ table }) => [{ kind: 'profile', table }],
    count({ table, columns }, evidence) {
      const fact = profileOf(evidence, table);
      const nulls = columns.map((column) => fact?.result.columns[column]?.nulls ?? 0);
      return { rows: fact?.result.rows ?? null, against: fact ? Math.max(0, ...nulls) : null, how: fact?.how ?? null };
    },
    rows: ({ table, columns }) => ({ kind: 'nulls', table, column: columns[0] ?? '' }),
  },
};
