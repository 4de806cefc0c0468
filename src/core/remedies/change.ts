// What is declared becomes otherwise, under its own name.

import { findConstraint, sameColumns } from '../catalogue/lookups';
import type { Constraint, ForeignKey, ReferentialAction } from '../catalogue/model';
import { factsOf } from '../engines/facts';
import { cannotComeBack } from '../operations/again';
import { Refusal } from '../operations/refusal';
import type { Answer, Question } from './question';
import type { Remedy } from './remedy';

/** What of a reference, or of a unique constraint, is to be otherwise; what is left out stays. */
export interface ChangeProposal {
  readonly kind: 'change';
  /** Of a reference those that it has, of a unique constraint those that it is to have. */
  readonly columns: readonly string[];
  readonly name: string;
  readonly onDelete?: ReferentialAction;
  readonly onUpdate?: ReferentialAction;
  readonly deferrable?: ForeignKey['deferrable'];
  /** Of a unique constraint: nulls repeat as values do. */
  readonly nulls?: 'alike';
}

export const changeRemedy: Remedy<ChangeProposal> = {
  asks: { nulls: 'What becomes of nulls that repeat' },
  questions: ({ nulls, columns }) => (nulls ? [nullsQuestion(columns)] : []),

  operations({ name, columns, kind: _, ...wanted }, { table, catalogue, chosen }) {
    if (wanted.nulls && chosen['nulls'] !== 'alike')
      return new Refusal(`Whether nulls of ${columns.join(', ')} in ${table.id} may repeat is left to those who know.`);
    const before = findConstraint(table, name);
    if (before?.kind !== 'foreign key' && before?.kind !== 'unique')
      return new Refusal(`${table.id} has no reference or unique constraint ${name} any more. Survey again.`);
    const problem = cannotComeBack(before, table, catalogue);
    if (problem !== null) return new Refusal(problem);
    const after =
      before.kind === 'unique' ? { ...before, columns, ...(wanted.nulls && { nulls: wanted.nulls }) } : { ...before, ...wanted };
    const interim = factsOf(catalogue).names.shorten(`pawl_${name}`);
    return [{ kind: 'changeConstraint', table: table.id, before, after, interim }];
  },
  holds: ({ name, columns, ...wanted }, { table }) => isAsWanted(findConstraint(table, name), columns, wanted),
};

// Nobody has counted which rows repeat but for a null: where some do, the script stops before anything.
function nullsQuestion(columns: readonly string[]): Question {
  const answer = (id: string, title: string, effect: string, cost: string): Answer => ({
    ...{ id, title, effect, cost, advised: id === 'leave', refused: null },
  });
  return {
    ...{ id: 'nulls', shape: 'cards', title: 'What becomes of nulls that repeat' },
    answers: [
      answer('leave', 'Let them repeat', `Rows without ${columns.join(' or ')} may be there many times, as now`, 'no change'),
      answer(
        'alike',
        'Take nulls for alike',
        'Two rows are the same where all that they have is the same, and the same is missing',
        'stops before anything while such rows repeat; can be undone',
      ),
    ],
  };
}

type Wanted = Pick<ChangeProposal, 'onDelete' | 'onUpdate' | 'deferrable' | 'nulls'>;

/** Whether a constraint is so already. */
export function isAsWanted(own: Constraint | null, columns: readonly string[], wanted: Wanted): boolean {
  if (own?.kind === 'unique') return sameColumns(own.columns, columns) && (wanted.nulls ?? own.nulls) === own.nulls;
  if (own?.kind !== 'foreign key') return false;
  const { onDelete = own.onDelete, onUpdate = own.onUpdate, deferrable = own.deferrable } = wanted;
  return own.onDelete === onDelete && own.onUpdate === onUpdate && own.deferrable === deferrable;
}
