import { newConstraint, withConstraint } from '../catalogue/edit';
import type { TableId } from '../catalogue/identifiers';
import { type Claim, claimInWords, columnsOfClaim } from '../evidence/claims';
import { changeDown } from './hand-down';
import type { Kind } from './operation';

/** A check that keeps a claim. */
export interface AddCheck {
  readonly kind: 'addCheck';
  readonly table: TableId;
  readonly name: string;
  readonly claim: Claim;
  /** As of a reference. */
  readonly rows: 'checked' | 'new only';
}

export const addCheck: Kind<AddCheck> = {
  rank: 6,
  words: ({ table, claim, rows }) => `a check on ${table}${rows === 'new only' ? ', for new rows' : ''}: ${claimInWords(claim)}`,

  inverse: ({ table, name }) => [{ kind: 'dropConstraint', table, name, isKey: false }],

  apply({ table: id, name, claim, rows }, draft) {
    const add = (table: Parameters<typeof withConstraint>[0]) =>
      withConstraint(table, {
        kind: 'check',
        ...newConstraint(table, name),
        validated: rows === 'checked',
        columns: columnsOfClaim(claim),
        // Each server spells a condition in its own way.
        expression: claimInWords(claim),
      });
    changeDown(draft, id, add, add);
  },

  todo: ({ table, name }) => ({ kind: 'constraintMissing', table, name, validated: false }),
  before: ({ table, name, claim, rows }) => [
    { kind: 'constraintPresent', table, name },
    { kind: 'constraintDiffers', table, name, wanted: { kind: 'check', over: columnsOfClaim(claim) } },
    ...(rows === 'checked' ? [{ kind: 'breaking', table, claim } as const] : []),
  ],
  after: ({ table, name, rows }) => [{ kind: 'constraintMissing', table, name, validated: rows === 'checked' }],
  // What breaks a condition of somebody's own, nobody can tell from it.
  proofs: ({ table, claim, name }) => (claim.kind === 'condition' ? [] : [{ kind: 'check', table, claim, constraint: name }]),

  binds: ({ claim }) => ({ by: 'check', columns: columnsOfClaim(claim) }),
};
