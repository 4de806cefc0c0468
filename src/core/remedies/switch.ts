import { findConstraint } from '../catalogue/lookups';
import { Refusal } from '../operations/refusal';
import { referenceIn } from '../operations/reference';
import type { Remedy } from './remedy';

/** A trigger that is to do its work, or to rest; a reference that is to hold, or only be written down. */
export interface SwitchProposal {
  readonly kind: 'switch';
  readonly columns: readonly string[];
  readonly trigger: string;
  readonly on: boolean;
  /** Left out of a trigger. */
  readonly object?: 'reference';
}

export const switchRemedy: Remedy<SwitchProposal> = {
  operations({ trigger, on, object }, { table }) {
    if (object === undefined) return [{ kind: 'switchTrigger', table: table.id, trigger, on }];
    const key = findConstraint(table, trigger);
    return key?.kind === 'foreign key'
      ? [{ kind: 'switchReference', table: table.id, name: trigger, on, ...referenceIn(key) }]
      : new Refusal(`${table.id} has no reference ${trigger} any more. Survey again.`);
  },
  holds: ({ trigger, on, object }, { table }) =>
    object === undefined
      ? table.triggers.some(({ name, enabled }) => name === trigger && enabled === on)
      : findConstraint(table, trigger)?.enforced === on,
  outcome: ({ trigger, on, object }, { table }) =>
    object !== undefined
      ? on
        ? `${trigger} of ${table.id} holds again, for the rows that are there too.`
        : `${trigger} of ${table.id} stays written down, and nothing is held to it.`
      : on
        ? `${trigger} of ${table.id} fires again.`
        : `${trigger} of ${table.id} stays and fires no more.`,
};
