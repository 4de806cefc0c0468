// What no longer serves is dropped, and made again as it was.

import { withoutConstraint, withoutIndex } from '../catalogue/edit';
import type { TableId } from '../catalogue/identifiers';
import { findConstraint } from '../catalogue/lookups';
import type { Index, Table } from '../catalogue/model';
import type { Removable } from './again';
import { changeConstraintDown } from './hand-down';
import type { Kind } from './operation';
import { Refusal } from './refusal';

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

interface Stored {
  readonly table: TableId;
  /** As it was made. */
  readonly index: Index;
  /** Where it stands among the indexes of its table. */
  readonly place: number;
  /** Those of its kind that stand behind it, where one made again would stand behind all of them. */
  readonly later?: readonly Index[];
}

/** The indexes of its kind that stand behind one of a table: unique ones stand before others. */
export function laterThan({ indexes }: Table, name: string): readonly Index[] {
  const at = indexes.findIndex((index) => index.name === name);
  const of = indexes[at];
  if (!of) return [];
  const kind = ({ unique, method }: Index): string => `${unique} ${method === 'fulltext' || method === 'spatial' ? method : ''}`;
  return indexes.slice(at + 1).filter((index) => kind(index) === kind(of));
}

/** Takes away an index that was there before. */
export interface RemoveIndex extends Stored {
  readonly kind: 'removeIndex';
}

/** Builds it again as it was. */
export interface BuildAgain extends Stored {
  readonly kind: 'buildAgain';
}

const indexPresent = ({ table, index: { name } }: Stored) => ({ kind: 'indexPresent', table, name }) as const;

export const removeIndex: Kind<RemoveIndex> = {
  rank: 10,
  words: ({ table, index }) => `without the index ${index.name} of ${table}`,
  inverse: (operation) => [{ ...operation, kind: 'buildAgain' }],
  apply: ({ table, index }, draft) => draft.put(withoutIndex(draft.get(table), index.name)),
  todo: indexPresent,
  after: (operation) => [indexPresent(operation)],
  fit: (operation, { current, traits }) =>
    traits.ordersIndexes ? { ...operation, later: laterThan(current.get(operation.table), operation.index.name) } : operation,
  refuse({ table, index: { name } }, current) {
    const index = current.get(table).indexes.find((one) => one.name === name);
    if (!index) return new Refusal(`${table} has no index ${name} any more. Survey again.`);
    return index.constraint === null
      ? null
      : new Refusal(`${name} of ${table} stands behind ${index.constraint}, which another remedy of this docket makes.`);
  },
};

export const buildAgain: Kind<BuildAgain> = {
  rank: 3,
  makes: true,
  words: ({ table, index }) => `the index ${index.name} of ${table} again`,
  inverse: () => null,
  apply({ table: id, index, place }, draft) {
    const table = draft.get(id);
    draft.put({ ...table, indexes: table.indexes.toSpliced(place, 0, index) });
  },
  todo: ({ table, index: { name } }) => ({ kind: 'indexMissing', table, name }),
};

/** Takes away what a docket made. */
export interface DropConstraint {
  readonly kind: 'dropConstraint';
  readonly table: TableId;
  readonly name: string;
  /** True for a primary key or unique constraint: an index of its own bears its name. */
  readonly isKey: boolean;
  /** True for a reference: some engines add it in several steps, and may have been interrupted between. */
  readonly isReference?: true;
  readonly partitioned?: boolean;
}

export const dropConstraint: Kind<DropConstraint> = {
  rank: 8,
  words: ({ table, name }) => `drop the constraint ${name} of ${table}`,
  inverse: () => null,
  apply: ({ table, name }, draft) => changeConstraintDown(draft, table, name, (of) => withoutConstraint(of, name)),
  todo: ({ table, name }) => ({ kind: 'constraintPresent', table, name }),
};
