// A primary key replaced by a surrogate, and kept unique beside it. The natural key stays, and what refers to it; only
// that it is no longer what identifies a row.

import { primaryKeyOf, type DeclaredReference, referencesTo, sameColumnSet } from '../../catalogue/lookups';
import type { Table } from '../../catalogue/model';
import { counted, rowOf, spoken, withArticle } from '../../naming/words';
import { asItIs } from '../../operations/add-foreign-key';
import { Refusal } from '../../operations/refusal';
import { checksOfRemade, type ReplaceKey } from '../../operations/replace-key';
import { give } from '../names';
import type { Question } from '../question';
import type { Ground, Remedy } from '../remedy';
import { numbering } from './numbering';

export interface ReplaceKeyProposal {
  readonly kind: 'replaceKey';
  readonly columns: readonly string[];
  readonly name: string;
  readonly surrogate: string;
}

export const replaceKeyRemedy: Remedy<ReplaceKeyProposal> = {
  asks: { key: 'What identifies the rows' },
  questions: (proposal, on) => [keyQuestion(proposal, on)],

  operations({ columns, name, surrogate }, { table, catalogue, chosen, naming }) {
    if (chosen['key'] !== 'surrogate')
      return new Refusal(
        `${name} of ${table.id} is left as it is. Choose what takes its place, or waive the finding with its reason.`,
      );
    const comment = primaryKeyOf(table)?.comment;
    const replace: ReplaceKey = {
      kind: 'replaceKey',
      table: table.id,
      name,
      columns: [surrogate],
      former: columns,
      unique: give(naming, table, { kind: 'unique', columns }),
      references: restingOn(table, catalogue).flatMap(({ child, key }) => {
        const reference = asItIs(child, key.name);
        return reference ? [{ reference, validated: key.validated }] : [];
      }),
      ...(comment !== undefined && { comment }),
    };
    return [numbering(table, surrogate), replace, ...checksOfRemade(replace)];
  },

  holds({ columns }, { table }) {
    const key = primaryKeyOf(table);
    return key !== null && !sameColumnSet(key.columns, columns);
  },

  scripted: 'thought',
  touches: ({ name }) => ({
    part: { kind: 'constraint', name },
    known: [],
    resting: 'groups by it: drop it before, and make it again after.',
  }),

  outcome: ({ columns }, { table }) =>
    `Every ${rowOf(table.name)} has a number of its own that never changes; no two have the same ${columns.map(spoken).join(' and ')}.`,
};

function restingOn(table: Table, catalogue: Ground['catalogue']): readonly DeclaredReference[] {
  return referencesTo(catalogue, table.id).filter(({ key }) => key.index === primaryKeyOf(table)?.index);
}

function keyQuestion({ columns, surrogate }: ReplaceKeyProposal, { table, catalogue }: Ground): Question {
  const resting = restingOn(table, catalogue);
  const remade =
    resting.length === 0
      ? 'nothing refers to it'
      : `${counted(resting.length, 'reference')} dropped and made again, then checked row by row`;
  const { estimatedRows } = table;
  return {
    id: 'key',
    shape: 'cards',
    title: `What identifies ${withArticle(rowOf(table.name))}`,
    answers: [
      {
        id: 'surrogate',
        title: surrogate,
        effect: `Surrogate: a new column that numbers the rows by itself; ${columns.join(', ')} kept unique beside it, and its references with it`,
        cost: `numbers ${estimatedRows === null ? 'every row' : counted(estimatedRows, 'row')}; ${remade}`,
        advised: true,
        refused: whyNotReplaced(table, resting),
      },
      {
        id: 'leave',
        title: columns.join(', '),
        effect: 'As it is',
        cost: 'waive the finding to say why',
        advised: false,
        refused: null,
      },
    ],
  };
}

// Where it could not be put back exactly as it was, or not without a lock for as long as the rows are read.
function whyNotReplaced(table: Table, resting: readonly DeclaredReference[]): string | null {
  const key = primaryKeyOf(table);
  const index = table.indexes.find((i) => i.constraint === key?.name);
  if (!key || !index) return 'its key is not in the catalogue';
  if (table.kind !== 'table') return `the key of a ${table.kind} table has to hold what it is split by`;
  if (key.deferrable !== 'no') return `${key.name} is deferrable`;
  if (index.included.length > 0) return `its index carries ${index.included.join(', ')} along`;
  const split = resting.find(({ child }) => child.kind !== 'table');
  if (split)
    return `${split.child.id} is ${split.child.kind}: its reference can only be made again with all rows checked at once`;
  const off = resting.find(({ key: reference }) => !reference.enforced);
  if (off) return `${off.key.name} of ${off.child.id} is switched off, and would be on again; find out why first`;
  const twice = table.indexes.find(
    (i) =>
      i.name !== index.name &&
      i.unique &&
      i.predicate === null &&
      sameColumnSet(
        i.columns.map((column) => column ?? ''),
        key.columns,
      ),
  );
  return twice ? `${twice.name} holds the same columns unique already; drop the one that is not needed first` : null;
}
