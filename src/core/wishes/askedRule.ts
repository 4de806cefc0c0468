// Rules that a person asked for: one a concern, so that each stands where its like stands. They judge what nobody found out.

import { columnsId } from '../catalogue/identifiers';
import { findTable } from '../catalogue/lookups';
import { type How, howInWords } from '../evidence/evidence';
import type { RowsQuestion } from '../evidence/rows';
import { capital, counted } from '../naming/words';
import { asksOf, columnsOfWish, countedOf, proposalOf, type Wish, wishInWords, wishProblem } from './wish';
import { type Audit, type Concern, defineRule, type Rule } from '../rules/rule';

export interface AskedFacts {
  readonly wish: Wish;
  readonly reason: string;
  readonly by: string;
  readonly rows: number | null;
  readonly against: number | null;
  readonly how: How | null;
}

/** The rule for wishes of a concern; `isOf` tells which those are. */
export function askedRule(concern: Concern, isOf: (wish: Wish) => boolean): Rule<AskedFacts> {
  return defineRule<AskedFacts>({
    id: `${concern.toLowerCase()}/asked`,
    concern,
    about: 'What a person asked for that no other rule finds.',

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
          ...(wish.kind === 'gone' && { name: wish.constraint }),
          ...(wish.kind === 'named' && wish.object !== 'column' && { name: wish.from }),
          apart: wish.kind === 'reference' ? columnsId(wish.parent, wish.parentColumns) : wish.kind,
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
      // What goes or is renamed binds no row.
      const binds = wish.kind !== 'gone' && wish.kind !== 'named';
      return {
        title: wish.kind === 'gone' ? 'A constraint is to go' : `Asked for: ${said}`,
        message:
          wish.kind === 'gone'
            ? `${by} asked that ${wish.constraint} of ${table} should go.`
            : `${by} asked that in ${table} ${said}${binds ? `; ${againstInWords(against, how)}` : ''}.`,
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

function againstInWords(against: number | null, how: How | null): string {
  if (against === null) return 'nobody has measured it';
  const count = against === 0 ? 'no row is against it' : `${counted(against, 'row')} against it`;
  return how && how.kind !== 'exact' ? `${count} ${howInWords(how)}` : count;
}

function wishesOf(audit: Audit, isOf: (wish: Wish) => boolean) {
  const judged = new Set(audit.tables.map(({ id }) => id));
  return audit.wishes.filter(({ wish }) => judged.has(wish.table) && isOf(wish));
}

function rowsAgainst(wish: Wish): RowsQuestion | null {
  switch (wish.kind) {
    case 'key':
    case 'unique':
      return { kind: 'repeats', table: wish.table, columns: wish.columns };
    case 'filled':
      return { kind: 'nulls', table: wish.table, column: wish.columns[0] ?? '' };
    case 'reference': {
      const { kind: _, ...reference } = wish;
      return { kind: 'orphans', ...reference };
    }
    case 'oneOf':
      return { kind: 'breaking', table: wish.table, claim: { kind: 'oneOf', column: wish.column, values: wish.values } };
    case 'gone':
    case 'named':
      return null;
  }
}
