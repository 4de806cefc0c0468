// A reference that is declared, once somebody has said which parent, what becomes of orphans and what it does.

import { referenceInWords } from '../../catalogue/inWords';
import { foreignKeysOf, isIndexed, sameColumns } from '../../catalogue/lookups';
import type { ReferentialAction } from '../../catalogue/model';
import { traitsOf } from '../../engines/facts';
import { counted, plural, rowOf, withArticle } from '../../naming/words';
import type { AddForeignKey } from '../../operations/add-foreign-key';
import type { Operation } from '../../operations/index';
import { Refusal } from '../../operations/refusal';
import { createIndex } from '../index-columns';
import { give } from '../names';
import { chosenAnswer } from '../question';
import type { Making, Remedy } from '../remedy';
import { deferrableQuestion, deleteQuestion, updateQuestion } from './actions';
import { orphanQuestion, orphanRepairs } from './orphans';
import { type OtherParent, parentQuestion, unmeasuredQuestion, withParent } from './parent';
import { joining } from '../types/retype';
import { referenceOf, type Referring } from './proposed';

export interface ForeignKeyProposal extends Referring {
  readonly kind: 'foreignKey';
  /** Other parents that the same columns could refer to. */
  readonly others: readonly OtherParent[];
}

export const foreignKeyRemedy: Remedy<ForeignKeyProposal> = {
  seems: ({ orphanRows, references }) => (orphanRows ? counted(orphanRows, 'orphan') : `names ${references.table}`),
  asks: {
    parent: 'What it refers to',
    unmeasured: 'What was not looked at in the rows',
    orphans: 'What becomes of orphans',
    onDelete: 'When a parent goes',
    onUpdate: 'When the key of a parent changes',
    deferrable: 'When it is checked',
  },

  questions(proposal, on) {
    const decided = withParent(proposal, on);
    return [
      ...parentQuestion(proposal, on),
      ...unmeasuredQuestion(proposal, on),
      ...orphanQuestion(decided, on, 'may stay'),
      deleteQuestion(decided, on),
      updateQuestion(decided, on),
      ...deferrableQuestion(on),
    ];
  },

  operations(proposal, on) {
    if (on.chosen['unmeasured'] === 'wait')
      return new Refusal(
        `Whether ${proposal.columns.join(', ')} of ${on.table.id} refers to ${proposal.references.table} was not measured. Survey it exactly, or decide to script it all the same.`,
      );
    return referring(withParent(proposal, on), on);
  },

  holds: ({ columns }, { table }) => foreignKeysOf(table).some((key) => sameColumns(key.columns, columns)),

  outcome(proposal, on) {
    const { columns, references } = withParent(proposal, on);
    const meaning = referenceInWords(on.catalogue, on.table.id, columns, references.table);
    const action = chosenAnswer(deleteQuestion(proposal, on), on.chosen)?.value ?? 'no action';
    const parent = withArticle(rowOf(references.table));
    return `${meaning.replace(/\.$/, '')}; deleting ${parent} ${afterDelete[action](plural(rowOf(on.table.name)))}.`;
  },
};

const afterDelete: Readonly<Record<ReferentialAction, (children: string) => string>> = {
  'no action': (children) => `is refused while it has ${children}`,
  restrict: (children) => `is refused at once while it has ${children}`,
  cascade: (children) => `deletes its ${children} with it`,
  'set null': (children) => `leaves its ${children} without one`,
  'set default': (children) => `gives its ${children} the default`,
};

function referring(proposal: ForeignKeyProposal, on: Making): readonly Operation[] | Refusal {
  const { table, catalogue, chosen, naming } = on;
  const reference = referenceOf(proposal);
  const whole = chosen['orphans'] !== 'leave' && chosen['orphans'] !== 'standIns';
  if (!whole && !traitsOf(catalogue).addedUnchecked('foreign key', table))
    return new Refusal(`A reference of ${table.id} holds for every row or not at all. Choose what becomes of the orphans.`);
  const add: AddForeignKey = {
    kind: 'addForeignKey',
    table: table.id,
    name: give(naming, table, { kind: 'foreign key', columns: proposal.columns, reference }),
    ...reference,
    onDelete: chosenAnswer(deleteQuestion(proposal, on), chosen)?.value ?? 'no action',
    onUpdate: chosenAnswer(updateQuestion(proposal, on), chosen)?.value ?? 'no action',
    match: 'simple',
    deferrable: deferrableQuestion(on).flatMap((question) => chosenAnswer(question, chosen)?.value ?? [])[0] ?? 'no',
    rows: whole ? 'checked' : 'new only',
  };
  const repairs = orphanRepairs(reference, on);
  if (repairs instanceof Refusal) return repairs;
  const index = isIndexed(table, proposal.columns) ? [] : [createIndex(table, proposal.columns, naming)];
  return [...repairs, ...joining(proposal.columns, table, proposal.references, catalogue), ...index, add];
}
