import { traitsOf } from '../engines/facts';
// A check that keeps a claim, once somebody has said what becomes of the rows against it.

import { sameColumnSet } from '../catalogue/lookups';
import type { Table } from '../catalogue/model';
import { breaks, type Claim, claimInWords, columnsOfClaim } from '../evidence/claims';
import { counted, rowOf } from '../naming/words';
import type { AddCheck } from '../operations/add-check';
import { Refusal } from '../operations/refusal';
import type { SetAside, WrongRows } from '../operations/set-aside';
import { give, type Naming } from './names';
import { type Answer, type Question, typedWith } from './question';
import type { Ground, Making, Remedy } from './remedy';
import { childrenInWords, constant, emptied, filled, noKey, rowKeyOf, settingAside, undoable } from './rows/setting-aside';

export interface CheckProposal {
  readonly kind: 'check';
  readonly columns: readonly string[];
  readonly claim: Claim;
  /** Rows against it. */
  readonly rows: number;
}

export const checkRemedy: Remedy<CheckProposal> = {
  asks: { broken: 'What becomes of rows against it' },
  questions: brokenQuestion,

  operations(proposal, on) {
    const repairs = repairsOf(proposal, on);
    if (repairs instanceof Refusal) return repairs;
    const leaves = proposal.rows > 0 && (on.chosen['broken'] ?? 'leave') === 'leave';
    if (leaves && !traitsOf(on.catalogue).addedUnchecked('check', on.table))
      return new Refusal(
        `A check holds for every row or not at all here. Choose what becomes of the ${counted(proposal.rows, 'row')} against it.`,
      );
    const rows = on.chosen['broken'] === 'leave' ? 'new only' : 'checked';
    return [...repairs, addCheck(proposal.claim, rows, on.table, on.naming)];
  },

  holds: ({ claim }, { table }) =>
    table.constraints.some((c) => c.kind === 'check' && sameColumnSet(c.columns, columnsOfClaim(claim))),
  outcome: ({ claim }, { table }) => `In every ${rowOf(table.name)} ${claimInWords(claim)}.`,
};

export function addCheck(claim: Claim, rows: AddCheck['rows'], table: Table, naming: Naming): AddCheck {
  return {
    kind: 'addCheck',
    table: table.id,
    name: give(naming, table, { kind: 'check', columns: columnsOfClaim(claim) }),
    claim,
    rows,
  };
}

function repairsOf({ claim }: CheckProposal, { table, chosen, naming }: Making): readonly SetAside[] | Refusal {
  const rows: WrongRows = { kind: 'breaking', claim };
  const [first = ''] = columnsOfClaim(claim);
  switch (chosen['broken']) {
    case 'empty':
      return [settingAside(table, rows, emptied([first]), naming)];
    case 'remove':
      return [settingAside(table, rows, { kind: 'remove' }, naming)];
    case 'constant': {
      const text = typedWith(chosen, 'broken', `what ${first} becomes in these rows`);
      if (text instanceof Refusal) return text;
      if (breaks(claim, text)) return new Refusal(`${JSON.stringify(text)} breaks it too: ${claimInWords(claim)}.`);
      return [settingAside(table, rows, filled([first], constant(table, first, text)), naming)];
    }
    default:
      return [];
  }
}

// What becomes of rows that break a check. No question when none do.
function brokenQuestion({ claim, rows }: CheckProposal, { table, catalogue }: Ground): readonly Question[] {
  if (rows === 0) return [];
  const [first = ''] = columnsOfClaim(claim);
  const key = rowKeyOf(table);
  const many = counted(rows, 'row');
  const holdsForNew = traitsOf(catalogue).addedUnchecked('check', table);
  const unkeyed = key.includes(first) ? `${first} is part of the key` : key.length === 0 ? noKey : null;
  // What would keep to a condition of somebody's own, nobody can tell from it.
  const open = claim.kind === 'condition' ? 'what would keep to the condition is not to be seen from it' : null;
  const mandatory = table.columns.some((c) => c.name === first && c.nullable) ? null : `${first} may not be null`;
  const answer = (id: string, title: string, effect: string, more: Partial<Answer>): Answer => ({
    id,
    title,
    effect,
    cost: undoable(table),
    advised: false,
    refused: null,
    ...more,
  });
  return [
    {
      id: 'broken',
      shape: 'cards',
      title: `What becomes of the ${many} against it`,
      answers: [
        answer('leave', 'Leave them', 'The check holds for new rows only; these stay to be mended by hand', {
          cost: 'stays unvalidated',
          advised: holdsForNew,
          refused: holdsForNew ? null : 'a check holds for every row or not at all here',
        }),
        answer('empty', 'Set aside and empty', `${many} kept in a side table, ${first} set to null`, {
          refused: open ?? mandatory ?? unkeyed,
        }),
        answer('constant', 'Give a value', `${many} get the ${first} that you type`, {
          refused: open ?? unkeyed,
          asks: { label: `${first} for these rows` },
        }),
        answer('remove', 'Set aside and remove', `${many} moved whole to a side table`, {
          refused: childrenInWords(catalogue, table),
        }),
      ],
    },
  ];
}
