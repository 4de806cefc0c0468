import { columnsId } from '../catalogue/identifiers';
import { declaredUniques, primaryKeyOf, sameColumns, sameColumnSet } from '../catalogue/lookups';
import { type Evidence, findFact } from '../evidence/evidence';
import { surrogateName } from '../evidence/keys';
import type { Counted, Ground, OnTable, WishKind } from './wish';

interface OverColumns extends OnTable {
  readonly columns: readonly string[];
}

export interface KeyWish extends OverColumns {
  readonly kind: 'key';
}

export interface UniqueWish extends OverColumns {
  readonly kind: 'unique';
}

export const uniqueWish: WishKind<UniqueWish> = {
  title: 'never repeats',
  columns: ({ columns }) => columns,
  mark: ({ table, columns }) => columnsId(table, columns),
  words: ({ columns }) => `${columns.join(', ')} never repeats`,
  isGranted: ({ columns }, { table }) => declaredUniques(table).some((unique) => sameColumnSet(unique, columns)),
  problem: incomparable,
  proposal: ({ columns }, _, { against }) =>
    against ? { kind: 'repeats', columns, children: [], rows: against, values: 0 } : { kind: 'unique', columns },
  measured: {
    asks: (wish) => [repeatsOf(wish)],
    count: (wish, evidence) => repeated(wish, evidence, false),
    rows: repeatsOf,
  },
};

export const keyWish: WishKind<KeyWish> = {
  title: 'identifies the rows',
  columns: ({ columns }) => columns,
  mark: ({ table, columns }) => columnsId(table, columns),
  words: ({ columns }) => `${columns.join(', ')} identifies the rows`,
  isGranted: ({ columns }, { table }) => sameColumns(primaryKeyOf(table)?.columns ?? [], columns),
  problem(wish, on) {
    const key = primaryKeyOf(on.table);
    return incomparable(wish, on) ?? (key && `${on.table.id} has a primary key already: ${key.name}.`);
  },
  proposal({ columns }, { table, catalogue }, { rows }) {
    const offered = { columns, nullRows: 0, score: 1, reasons: ['somebody asked for it'] };
    return { kind: 'primaryKey', columns, rows, candidates: [offered], surrogate: surrogateName(table, catalogue), children: [] };
  },
  measured: {
    asks: (wish) => [repeatsOf(wish)],
    count: (wish, evidence) => repeated(wish, evidence, true),
    rows: repeatsOf,
  },
};

function repeatsOf({ table, columns }: OverColumns) {
  return { kind: 'repeats', table, columns } as const;
}

function incomparable({ columns }: OverColumns, { table }: Ground): string | null {
  const odd = columns.find((name) => table.columns.some((column) => column.name === name && !column.comparable));
  return odd === undefined ? null : `Values of ${odd} cannot be compared: nothing can keep them from repeating.`;
}

function repeated(wish: OverColumns, evidence: Evidence, filled: boolean): Counted {
  const fact = findFact(evidence, repeatsOf(wish));
  if (!fact) return { rows: null, against: null, how: null };
  const { rows, surplus, nullRows, repeatedRows } = fact.result;
  const repeats = surplus === 0 ? 0 : (repeatedRows ?? surplus);
  return { rows, against: repeats + (filled ? nullRows : 0), how: fact.how };
}
