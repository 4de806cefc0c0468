import type { Remedy } from './remedy';

/** A trigger that is to do its work, or to rest. */
export interface SwitchProposal {
  readonly kind: 'switch';
  readonly columns: readonly string[];
  readonly trigger: string;
  readonly on: boolean;
}

export const switchRemedy: Remedy<SwitchProposal> = {
  operations: ({ trigger, on }, { table }) => [{ kind: 'switchTrigger', table: table.id, trigger, on }],
  holds: ({ trigger, on }, { table }) => table.triggers.some(({ name, enabled }) => name === trigger && enabled === on),
  outcome: ({ trigger, on }, { table }) =>
    on ? `${trigger} of ${table.id} fires again.` : `${trigger} of ${table.id} stays and fires no more.`,
};
