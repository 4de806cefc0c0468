// Values that say "none" turned into null.

import type { Table } from '../../catalogue/model';
import { type Claim, claimInWords, columnsOfClaim } from '../../evidence/claims';
import { capital, rowOf, spoken, withArticle } from '../../naming/words';
import { Refusal } from '../../operations/refusal';
import { addCheck } from '../check';
import type { Question } from '../question';
import type { Remedy } from '../remedy';
import { emptied, rowKeyOf, settingAside } from './setting-aside';

export interface StandInsProposal {
  readonly kind: 'standIns';
  readonly columns: readonly string[];
  readonly claims: readonly Claim[];
}

export const standInsRemedy: Remedy<StandInsProposal> = {
  asks: { standIns: 'Once they are null' },
  questions: (proposal) => [keepOutQuestion(proposal)],

  operations({ columns, claims }, { table, chosen, naming }) {
    const refused = whyNotEmptied(columns, table);
    if (refused) return refused;
    // A column that says "none" by values is allowed to be null before it is.
    const mandatory = table.columns.filter((c) => columns.includes(c.name) && !c.nullable);
    return [
      ...mandatory.map(({ name }) => ({ kind: 'dropNotNull', table: table.id, column: name }) as const),
      ...claims.map((claim) => settingAside(table, { kind: 'breaking', claim }, emptied(columnsOfClaim(claim)), naming)),
      ...(chosen['standIns'] === 'let' ? [] : claims.map((claim) => addCheck(claim, 'checked', table, naming))),
    ];
  },

  holds: () => 'ask the rule',
  rowsAlone: true,
  outcome: ({ columns }, { table }) =>
    `${capital(withArticle(rowOf(table.name)))} without its ${columns.map(spoken).join(' and ')} says so by null.`,
};

function whyNotEmptied(columns: readonly string[], table: Table): Refusal | null {
  const key = rowKeyOf(table);
  if (key.length === 0)
    return new Refusal(
      `${table.id} has no key to find its rows again by. Add the remedy for its missing key to a docket and run that first.`,
    );
  const inKey = columns.find((c) => key.includes(c));
  return inKey === undefined ? null : new Refusal(`${table.id}.${inKey} is part of the key and cannot be null.`);
}

// Whether values that stand for "none" are kept out once they are gone.
function keepOutQuestion({ columns, claims }: StandInsProposal): Question {
  return {
    id: 'standIns',
    shape: 'cards',
    title: 'Once they are null',
    answers: [
      {
        id: 'check',
        title: 'Keep them out',
        effect: `A check says that ${claims.map(claimInWords).join(', and ')}`,
        cost: 'reads every row, blocks nobody meanwhile',
        advised: true,
        refused: null,
      },
      {
        id: 'let',
        title: 'Let them be written again',
        effect: `Programs that write them to ${columns.join(', ')} go on as they do`,
        cost: 'nothing holds it',
        advised: false,
        refused: null,
      },
    ],
  };
}
