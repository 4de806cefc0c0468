// Rules that a person asked for: one a concern, so that each stands where its like stands. They judge what nobody found out.

import { columnsId } from '../catalogue/identifiers';
import { findTable } from '../catalogue/lookups';
import { type How, howInWords } from '../evidence/evidence';
import { capital, counted } from '../naming/words';
import {
  asksOf,
  bindsRows,
  columnsOfWish,
  countedOf,
  objectOfWish,
  proposalOf,
  rowsAgainst,
  type Wish,
  wishInWords,
  wishProblem,
} from './index';
import { type Audit, defineRule, type Rule } from '../rules/rule';
import type { Concern } from '../rules/finding';

export interface AskedFacts {
  readonly wish: Wish;
  readonly reason: string;
  readonly by: string;
  readonly rows: number | null;
  readonly against: number | null;
  readonly how: How | null;
}

const inWords: Readonly<Record<Concern, string>> = {
  Keys: 'keys',
  References: 'references',
  Uniqueness: 'what may not repeat',
  Nullability: 'what may not be empty',
  Values: 'values',
  Naming: 'names',
};

/** The rule for wishes of a concern; `isOf` tells which those are. */
export function askedRule(concern: Concern, isOf: (wish: Wish) => boolean): Rule<AskedFacts> {
  return defineRule<AskedFacts>({
    id: `${concern.toLowerCase()}/asked`,
    concern,
    about: `What a person asked for about ${inWords[concern]}, that no other rule finds.`,

    *asks(audit) {
      for (const { wish } of wishesOf(audit, isOf)) yield* asksOf(wish);
    },

    *check(audit) {
      for (const { wish, reason, by } of wishesOf(audit, isOf)) {
        if (wishProblem(wish, audit.catalogue) !== null) continue;
        const counts = countedOf(wish, audit.evidence);
        const table = findTable(audit.catalogue, wish.table);
        yield {
          table: wish.table,
          columns: columnsOfWish(wish, table),
          ...(objectOfWish(wish) !== undefined && { name: objectOfWish(wish) }),
          apart: apartOf(wish),
          severity: 'Moderate',
          confidence: 1,
          facts: { wish, reason, by, ...counts },
          proposal: proposalOf(wish, audit.catalogue, counts),
        };
      }
    },

    rows: ({ wish }) => rowsAgainst(wish),

    words({ wish, reason, by, rows, against, how }, { table }) {
      const said = wishInWords(wish);
      const binds = bindsRows(wish);
      return {
        title: `Asked for: ${said}`,
        message: `${by} asked that in ${table} ${said}${binds ? `; ${againstInWords(against, how)}` : ''}.`,
        consequence: reason === '' ? 'Whoever asked for it gave no reason.' : capital(reason),
        measured: !binds ? '' : against === null ? 'not measured' : `${against.toLocaleString('en-GB')} against`,
        evidence: [
          ...(rows === null ? [] : [{ label: 'rows', text: `${rows.toLocaleString('en-GB')}, ${how ? howInWords(how) : ''}` }]),
          ...(against === null
            ? []
            : [{ label: 'against it', text: against === 0 ? 'none' : counted(against, 'row'), harm: against > 0 }]),
          { label: 'asked for by', text: by },
        ],
        reasons: [`${by} asked for it`],
      };
    },
  });
}

/** What tells it from others that speak of the same: part of its identity. */
function apartOf(wish: Wish): string {
  if (wish.kind === 'reference') return columnsId(wish.parent, wish.parentColumns);
  return wish.kind === 'gone' && wish.object ? `${wish.kind} ${wish.object}` : wish.kind;
}

function againstInWords(against: number | null, how: How | null): string {
  if (against === null) return 'nobody has measured it';
  const count = against === 0 ? 'no row is against it' : `${counted(against, 'row')} against it`;
  return how && how.kind !== 'exact' ? `${count} ${howInWords(how)}` : count;
}

function wishesOf(audit: Audit, isOf: (wish: Wish) => boolean) {
  const judged = new Set(audit.tables.map(({ id }) => id));
  return audit.wishes.filter(({ wish }) => judged.has(wish.table) && isOf(wish));
}
