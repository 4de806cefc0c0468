import { withoutConstraint } from '../catalogue/edit';
import type { TableId } from '../catalogue/identifiers';
import { findConstraint } from '../catalogue/lookups';
import type { ForeignKey } from '../catalogue/model';
import type { Kind } from './operation';
import { Refusal } from './refusal';

interface Declared {
  readonly table: TableId;
  /** As it was declared. */
  readonly constraint: ForeignKey;
  /** Where it stands among the constraints of its table. */
  readonly place: number;
}

/** Takes away what was declared before. */
export interface RemoveConstraint extends Declared {
  readonly kind: 'removeConstraint';
}

/** Declares it again as it was. */
export interface DeclareAgain extends Declared {
  readonly kind: 'declareAgain';
}

const present = ({ table, constraint: { name } }: Declared) => ({ kind: 'constraintPresent', table, name }) as const;
const missing = ({ table, constraint: { name, validated } }: Declared) =>
  ({ kind: 'constraintMissing', table, name, validated }) as const;

export const removeConstraint: Kind<RemoveConstraint> = {
  rank: 1,
  words: ({ table, constraint }) => `without the ${constraint.kind} ${constraint.name} of ${table}`,
  inverse: (operation) => [{ ...operation, kind: 'declareAgain' }],
  apply: ({ table, constraint }, draft) => draft.put(withoutConstraint(draft.get(table), constraint.name)),
  todo: present,
  after: (operation) => [present(operation)],
  refuse: ({ table, constraint: { name } }, current) =>
    findConstraint(current.get(table), name) ? null : new Refusal(`${table} has no constraint ${name} any more. Survey again.`),
};

export const declareAgain: Kind<DeclareAgain> = {
  rank: 8,
  words: ({ table, constraint }) => `the ${constraint.kind} ${constraint.name} of ${table} again`,
  inverse: () => null,
  apply({ table: id, constraint, place }, draft) {
    const table = draft.get(id);
    draft.put({ ...table, constraints: table.constraints.toSpliced(place, 0, constraint) });
  },
  todo: missing,
  refersTo: ({ constraint }) => [constraint.parent],
  reads: ({ constraint }) => [constraint.parent],
};
