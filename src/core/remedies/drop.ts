import { findConstraint } from '../catalogue/lookups';
import { Refusal } from '../operations/refusal';
import type { Remedy } from './remedy';

/** A foreign key that is to go, and comes back as it was on the way back. */
export interface DropProposal {
  readonly kind: 'drop';
  readonly columns: readonly string[];
  readonly name: string;
}

export const dropRemedy: Remedy<DropProposal> = {
  operations({ name }, { table }) {
    const constraint = findConstraint(table, name);
    if (constraint?.kind !== 'foreign key') return new Refusal(`${table.id} has no foreign key ${name} any more. Survey again.`);
    return [{ kind: 'removeConstraint', table: table.id, constraint, place: table.constraints.indexOf(constraint) }];
  },
  holds: ({ name }, { table }) => findConstraint(table, name) === null,
  outcome: ({ name }, { table }) => `${name} of ${table.id} binds no row any more.`,
};
