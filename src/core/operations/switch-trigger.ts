import type { TableId } from '../catalogue/identifiers';
import type { Kind } from './operation';
import { Refusal } from './refusal';

/** Lets a trigger do its work, or rest. */
export interface SwitchTrigger {
  readonly kind: 'switchTrigger';
  readonly table: TableId;
  readonly trigger: string;
  readonly on: boolean;
}

export const switchTrigger: Kind<SwitchTrigger> = {
  rank: 7,
  words: ({ table, trigger, on }) => `the trigger ${trigger} of ${table} switched ${on ? 'on' : 'off'}`,
  inverse: (operation) => [{ ...operation, on: !operation.on }],
  apply({ table: id, trigger, on }, draft) {
    const table = draft.get(id);
    draft.put({ ...table, triggers: table.triggers.map((one) => (one.name === trigger ? { ...one, enabled: on } : one)) });
  },
  todo: ({ table, trigger, on }) => ({ kind: 'triggerIs', table, trigger, on: !on }),
  after: ({ table, trigger, on }) => [{ kind: 'triggerIs', table, trigger, on: !on }],
  fit: (operation, { traits }) =>
    traits.changesTriggers
      ? operation
      : new Refusal('No trigger can be switched off or on here: drop it, or make it again, by hand.'),
  refuse: ({ table, trigger }, current) =>
    current.get(table).triggers.some(({ name }) => name === trigger)
      ? null
      : new Refusal(`${table} has no trigger ${trigger} any more. Survey again.`),
};
