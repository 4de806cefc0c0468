import { findConstraint } from '../catalogue/lookups';
import type { Constraint, Index, Table } from '../catalogue/model';
import { cannotComeBack } from '../operations/again';
import type { OnTable, WishKind } from './wish';

/** A constraint or an index that is to go. */
export interface GoneWish extends OnTable {
  readonly kind: 'gone';
  /** Its name. */
  readonly constraint: string;
  /** Left out of a constraint. */
  readonly object?: 'index';
}

export const goneWish: WishKind<GoneWish> = {
  title: 'is to go',
  columns: (wish, table) => (table && columnsOf(partOf(table, wish))) ?? [],
  mark: ({ table, constraint, object }) => `${object ? `${object} ` : ''}${table}#${constraint}`,
  words: ({ constraint, object }) => `${object ? `the index ${constraint}` : constraint} goes`,
  isGranted: () => false,
  object: ({ constraint }) => constraint,

  problem(wish, { table, catalogue }) {
    const part = partOf(table, wish);
    if (!part) return `${table.id} has no ${wish.object ?? 'constraint'} ${wish.constraint}.`;
    return cannotComeBack(part, table, catalogue);
  },

  proposal: (wish, { table }) => ({
    kind: 'drop',
    columns: goneWish.columns(wish, table),
    name: wish.constraint,
    ...(wish.object && { object: wish.object }),
  }),
};

function columnsOf(part: Constraint | Index | null): readonly string[] {
  const columns: readonly (string | null)[] = part?.columns ?? [];
  return columns.filter((column) => column !== null);
}

function partOf(table: Table, { constraint, object }: GoneWish): Constraint | Index | null {
  if (object === undefined) return findConstraint(table, constraint);
  return table.indexes.find((index) => index.name === constraint && index.constraint === null) ?? null;
}
