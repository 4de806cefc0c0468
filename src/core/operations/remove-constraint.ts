import { withoutConstraint } from '../catalogue/edit';
import type { TableId } from '../catalogue/identifiers';
import { findConstraint } from '../catalogue/lookups';
import type { Index } from '../catalogue/model';
import type { Removable } from './again';
import type { Kind } from './operation';
import { Refusal } from './refusal';
import { laterThan } from './remove-index';

interface Declared {
  readonly table: TableId;
  /** As it was declared. */
  readonly constraint: Removable;
  /** Where it stands among the constraints of its table. */
  readonly place: number;
  /** The index that stands behind it and goes with it, and where that stands. */
  readonly index?: Index;
  readonly indexPlace?: number;
  /** Indexes of its kind that stand behind it, where one made again would stand behind all of them. */
  readonly later?: readonly Index[];
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
const parentsOf = ({ constraint }: Declared): readonly TableId[] =>
  constraint.kind === 'foreign key' ? [constraint.parent] : [];

export const removeConstraint: Kind<RemoveConstraint> = {
  rank: 1,
  words: ({ table, constraint }) => `without the ${constraint.kind} ${constraint.name} of ${table}`,
  inverse: (operation) => [{ ...operation, kind: 'declareAgain' }],
  apply: ({ table, constraint }, draft) => draft.put(withoutConstraint(draft.get(table), constraint.name)),
  todo: present,
  after: (operation) => [present(operation)],
  fit: (operation, { current, traits }) =>
    traits.ordersIndexes && operation.index
      ? { ...operation, later: laterThan(current.get(operation.table), operation.index.name) }
      : operation,
  refuse: ({ table, constraint: { name } }, current) =>
    findConstraint(current.get(table), name) ? null : new Refusal(`${table} has no constraint ${name} any more. Survey again.`),
};

export const declareAgain: Kind<DeclareAgain> = {
  rank: 8,
  words: ({ table, constraint }) => `the ${constraint.kind} ${constraint.name} of ${table} again`,
  inverse: () => null,
  apply({ table: id, constraint, place, index, indexPlace }, draft) {
    const table = draft.get(id);
    const indexes = index ? table.indexes.toSpliced(indexPlace ?? 0, 0, index) : table.indexes;
    draft.put({ ...table, constraints: table.constraints.toSpliced(place, 0, constraint), indexes });
  },
  todo: missing,
  refersTo: parentsOf,
  reads: parentsOf,
};
