import { columnsId } from '../catalogue/identifiers';
import { sameColumnSet } from '../catalogue/lookups';
import type { Claim } from '../evidence/claims';
import { findFact } from '../evidence/evidence';
import type { OnTable, WishKind } from './wish';

export interface OneOfWish extends OnTable {
  readonly kind: 'oneOf';
  readonly column: string;
  readonly values: readonly string[];
}

export const oneOfWish: WishKind<OneOfWish> = {
  title: 'takes only these values',
  columns: ({ column }) => [column],
  mark: ({ table, column }) => columnsId(table, [column]),
  words: ({ column, values }) => `${column} is one of ${values.map((value) => JSON.stringify(value)).join(', ')}`,
  isGranted: ({ column }, { table }) =>
    table.constraints.some((one) => one.kind === 'check' && sameColumnSet(one.columns, [column])),
  problem: ({ values }) => (values.length === 0 ? 'Say at least one value that it may take.' : null),
  proposal: (wish, _, { against }) => ({ kind: 'check', columns: [wish.column], claim: claimOf(wish), rows: against ?? 0 }),
  measured: {
    asks: (wish) => [{ kind: 'violations', table: wish.table, claim: claimOf(wish) }],
    count(wish, evidence) {
      const fact = findFact(evidence, { kind: 'violations', table: wish.table, claim: claimOf(wish) });
      return { rows: fact?.result.rows ?? null, against: fact?.result.broken ?? null, how: fact?.how ?? null };
    },
    rows: (wish) => ({ kind: 'breaking', table: wish.table, claim: claimOf(wish) }),
  },
};

function claimOf({ column, values }: OneOfWish): Claim {
  return { kind: 'oneOf', column, values };
}
