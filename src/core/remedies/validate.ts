// Existing rows checked against a constraint that holds for new ones only, its orphans mended first.

import { findConstraint } from '../catalogue/lookups';
import { asItIs } from '../operations/add-foreign-key';
import { Refusal } from '../operations/refusal';
import { orphanQuestion, orphanRepairs } from './reference/orphans';
import { type ProposedParent, referenceOf } from './reference/proposed';
import type { Remedy } from './remedy';

export interface ValidateProposal {
  readonly kind: 'validate';
  readonly columns: readonly string[];
  readonly name: string;
  /** What a reference is to; left out of a check. */
  readonly references?: ProposedParent;
  /** Rows without a parent; null when nobody has looked, or of a check. */
  readonly orphanRows: number | null;
}

export const validateRemedy: Remedy<ValidateProposal> = {
  asks: { orphans: 'What becomes of orphans' },
  questions: ({ columns, references, orphanRows }, on) =>
    references ? orphanQuestion({ columns, references, orphanRows }, on, 'declared') : [],

  operations({ columns, name, references }, on) {
    const { table } = on;
    const validate = { kind: 'checkRows', table: table.id, name } as const;
    if (!references) return [{ ...validate, against: { kind: 'breakingDeclared', name }, before: { kind: 'declaredCheck' } }];
    if (on.chosen['orphans'] === 'leave')
      return new Refusal(`The orphans under ${name} are left to be mended by hand; until then it cannot be validated.`);
    const reference = referenceOf({ columns, references });
    const repairs = orphanRepairs(reference, on);
    if (repairs instanceof Refusal) return repairs;
    return [...repairs, { ...validate, against: { kind: 'orphans', reference, values: null }, before: asItIs(table, name) }];
  },

  holds: ({ name }, { table }) => findConstraint(table, name)?.validated === true,
};
