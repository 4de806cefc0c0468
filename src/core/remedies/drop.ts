import { findConstraint } from '../catalogue/lookups';
import type { Table } from '../catalogue/model';
import { cannotComeBack, isRemovable } from '../operations/again';
import { Refusal } from '../operations/refusal';
import type { Making, Remedy } from './remedy';

/** A constraint or an index that is to go, and comes back as it was on the way back. */
export interface DropProposal {
  readonly kind: 'drop';
  readonly columns: readonly string[];
  readonly name: string;
  /** Left out of a constraint. */
  readonly object?: 'index';
}

export const dropRemedy: Remedy<DropProposal> = {
  operations: ({ name, object }, on) => (object === 'index' ? withoutIndex(name, on) : withoutConstraint(name, on)),
  holds: ({ name, object }, { table }) =>
    object === 'index' ? findIndex(table, name) === undefined : findConstraint(table, name) === null,
  outcome: ({ name, object }, { table }) =>
    object === 'index'
      ? `No query finds rows by ${name} of ${table.id} any more.`
      : `${name} of ${table.id} binds no row any more.`,
};

function findIndex({ indexes }: Table, name: string) {
  return indexes.find((index) => index.name === name);
}

function withoutConstraint(name: string, { table, catalogue }: Making) {
  const constraint = findConstraint(table, name);
  if (!constraint) return new Refusal(`${table.id} has no constraint ${name} any more. Survey again.`);
  const problem = cannotComeBack(constraint, table, catalogue);
  if (problem !== null || !isRemovable(constraint)) return new Refusal(problem ?? `${name} cannot be dropped.`);
  const indexPlace = table.indexes.findIndex((index) => index.constraint === name);
  const index = table.indexes[indexPlace];
  return [
    {
      kind: 'removeConstraint',
      ...{ table: table.id, constraint, place: table.constraints.indexOf(constraint) },
      ...(index && { index, indexPlace }),
    },
  ] as const;
}

function withoutIndex(name: string, { table, catalogue }: Making) {
  const index = findIndex(table, name);
  if (!index) return new Refusal(`${table.id} has no index ${name} any more. Survey again.`);
  const problem = cannotComeBack(index, table, catalogue);
  if (problem !== null) return new Refusal(problem);
  return [{ kind: 'removeIndex', table: table.id, index, place: table.indexes.indexOf(index) }] as const;
}
