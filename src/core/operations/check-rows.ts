// Rows that are there held against a constraint which holds for new ones, and that forgotten again.

import { mapConstraint } from '../catalogue/edit';
import type { TableId } from '../catalogue/identifiers';
import { findConstraint } from '../catalogue/lookups';
import type { AddForeignKey } from './add-foreign-key';
import { changeConstraintDown } from './hand-down';
import type { Kind } from './operation';
import { fittedReference } from './reference';
import { Refusal } from './refusal';
import type { WrongRows } from './set-aside';

export interface CheckRows {
  readonly kind: 'checkRows';
  readonly table: TableId;
  readonly name: string;
  /** The rows that speak against it. */
  readonly against:
    Extract<WrongRows, { kind: 'orphans' | 'breaking' }> | { readonly kind: 'breakingDeclared'; readonly name: string };
  /** The constraint as it was before, when it was there already: to make it again without its validation. */
  readonly before: AddForeignKey | DeclaredCheck | null;
}

/** There is no other way to forget that rows were checked than to make the constraint again. */
export interface UncheckRows {
  readonly kind: 'uncheckRows';
  readonly table: TableId;
  readonly name: string;
  readonly before: AddForeignKey | DeclaredCheck;
}

/** A check that is there, whose condition only its server can say. */
export interface DeclaredCheck {
  readonly kind: 'declaredCheck';
}

export const checkRows: Kind<CheckRows> = {
  rank: 6.5,
  words: ({ against, name }) =>
    `the ${against.kind === 'orphans' ? 'reference' : 'check'} ${name} checked for the rows that are there`,

  // A constraint of the plan's own is undone whole.
  inverse: ({ table, name, before }) => (before ? [{ kind: 'uncheckRows', table, name, before }] : []),

  apply: ({ table, name }, draft) =>
    changeConstraintDown(draft, table, name, (of) => mapConstraint(of, name, (c) => ({ ...c, validated: true }))),

  todo: ({ table, name }) => ({ kind: 'constraintMissing', table, name, validated: true }),
  before: ({ table, against }) => [{ table, ...against }],

  fit(operation, { current }) {
    const { against, before, table } = operation;
    if (against.kind !== 'orphans') return operation;
    return {
      ...operation,
      against: { ...against, reference: fittedReference(against.reference, table, current) },
      before: before?.kind === 'addForeignKey' ? fittedReference(before, table, current) : before,
    };
  },

  refuse: ({ table, name }, current) =>
    findConstraint(current.get(table), name) ? null : new Refusal(`${table} has no constraint ${name} any more. Survey again.`),
};

export const uncheckRows: Kind<UncheckRows> = {
  rank: 8,
  words: ({ before, name }) =>
    `the ${before.kind === 'declaredCheck' ? 'check' : 'reference'} ${name} as it was, not checked for the rows that are there`,
  inverse: () => null,
  apply: ({ table, name }, draft) =>
    changeConstraintDown(draft, table, name, (of) => mapConstraint(of, name, (c) => ({ ...c, validated: false }))),
  todo: ({ table, name }) => ({ kind: 'constraintValidated', table, name }),
};
