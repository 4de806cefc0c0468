import { factsOf } from '../engines/facts';
import { Refusal } from '../operations/refusal';
import type { Remedy } from './remedy';

/** A table that is to be kept by the engine that has transactions and references. */
export interface KeepByProposal {
  readonly kind: 'keepBy';
  /** None. */
  readonly columns: readonly string[];
}

export const keepByRemedy: Remedy<KeepByProposal> = {
  operations(_, { table, catalogue }) {
    const better = factsOf(catalogue).keepsTransactions;
    if (!better || !table.storage) return new Refusal(`How ${table.id} is kept is no matter of this server.`);
    return [{ kind: 'keepBy', table: table.id, before: table.storage, after: better.storage }];
  },
  holds: (_, { table }) => table.storage?.transactional === true,
  outcome: (_, { table }) =>
    `What is rolled back leaves nothing in ${table.id}, its readers hold up nobody, and references from it and to it can be declared.`,
};
