import { columnsId } from '../catalogue/identifiers';
import type { Column } from '../catalogue/model';
import { type Claim, claimInWords, columnsOfClaim, keyOfClaim, patternProblem, plainNumber } from '../evidence/claims';
import { findFact } from '../evidence/evidence';
import type { OnTable, WishKind } from './wish';

/** Every row keeps to something that its values say. */
export interface KeepsWish extends OnTable {
  readonly kind: 'keeps';
  readonly claim: Claim;
}

export const keepsWish: WishKind<KeepsWish> = {
  title: 'keeps to a condition',
  columns: ({ claim }) => columnsOfClaim(claim),
  mark: ({ table, claim }) => `${columnsId(table, columnsOfClaim(claim))} ${keyOfClaim(claim)}`,
  words: ({ claim }) => claimInWords(claim),
  isGranted: () => false,
  problem({ claim }, { table }) {
    const problem = problemOf(claim);
    if (claim.kind === 'condition') return problem;
    if (problem !== null) return problem;
    const columns = columnsOfClaim(claim).flatMap((name) => table.columns.find((column) => column.name === name) ?? []);
    const unfit = columns.find((column) => !fits(claim, column));
    if (unfit) return `${unfit.name} is ${unfit.declaredType}: whether ${claimInWords(claim)} is nothing to ask of it.`;
    const [first, second] = columns;
    if (claim.kind === 'ordered' && (!second || first?.name === second.name)) return 'Choose another column to compare with.';
    if (claim.kind === 'ordered' && first?.family !== second?.family)
      return `${claim.first} is ${first?.declaredType} and ${claim.second} is ${second?.declaredType}: they cannot be compared.`;
    return null;
  },
  proposal: ({ claim }, _, { against }) => ({ kind: 'check', columns: columnsOfClaim(claim), claim, rows: against ?? 0 }),
  measured: {
    asks: ({ table, claim }) => [{ kind: 'violations', table, claim }],
    count({ table, claim }, evidence) {
      const fact = findFact(evidence, { kind: 'violations', table, claim });
      return { rows: fact?.result.rows ?? null, against: fact?.result.broken ?? null, how: fact?.how ?? null };
    },
    rows: ({ table, claim }) => ({ kind: 'breaking', table, claim }),
  },
};

/** What a person can ask every row to keep to, as it is asked of a column. */
export const askedClaims = ['between', 'ordered', 'like', 'noLonger', 'notBlank', 'notNegative', 'condition'] as const;
export type AskedClaim = (typeof askedClaims)[number];

/** Why it says too little, or what no server can be told; null when neither. */
function problemOf(claim: Claim): string | null {
  switch (claim.kind) {
    case 'between': {
      const { least, most } = claim;
      if (least === null && most === null) return 'Type the least, the most, or both.';
      const odd = [least, most].find((bound) => bound !== null && !plainNumber.test(bound));
      if (odd) return `${JSON.stringify(odd)} is no number: one is -12.5.`;
      return least !== null && most !== null && Number(least) > Number(most)
        ? `No number is ${least} at least and ${most} at most.`
        : null;
    }
    case 'noLonger':
      return Number.isInteger(claim.characters) && claim.characters >= 0 && claim.characters <= 1_000_000
        ? null
        : 'Type how many characters it has at most.';
    case 'like':
      return patternProblem(claim.pattern);
    case 'condition':
      return claim.parts.length === 0 ? 'Type a condition.' : null;
    default:
      return null;
  }
}

function fits({ kind }: Claim, { family, comparable }: Column): boolean {
  const isNumber = ['integer', 'decimal', 'float'].includes(family);
  if (kind === 'between' || kind === 'notNegative') return isNumber;
  if (kind === 'noLonger' || kind === 'notBlank' || kind === 'like') return family === 'text';
  return comparable;
}
