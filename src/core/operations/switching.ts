// What is there is switched off, and on again.

import { mapConstraint } from '../catalogue/edit';
import type { TableId } from '../catalogue/identifiers';
import { findConstraint } from '../catalogue/lookups';
import type { Kind } from './operation';
import { type FittedReference, fittedReference, referenceIn } from './reference';
import { Refusal } from './refusal';

/** Lets a reference hold, which looks at every row, or only be written down. */
export interface SwitchReference extends FittedReference {
  readonly kind: 'switchReference';
  readonly table: TableId;
  readonly name: string;
  readonly on: boolean;
}

export const switchReference: Kind<SwitchReference> = {
  rank: 7,
  words: ({ table, name, on }) => `the reference ${name} of ${table} switched ${on ? 'on, its rows checked' : 'off'}`,
  inverse: (operation) => [{ ...operation, on: !operation.on }],
  apply({ table, name, on }, draft) {
    draft.put(mapConstraint(draft.get(table), name, (constraint) => ({ ...constraint, enforced: on, validated: on })));
  },

  // What is off is not validated, and what is on is.
  todo: ({ table, name, on }) =>
    on ? { kind: 'constraintMissing', table, name, validated: true } : { kind: 'constraintValidated', table, name },
  before: ({ table, name, on, ...reference }) => [
    { kind: 'constraintMissing', table, name, validated: !on },
    ...(on ? [{ kind: 'orphans', table, reference: referenceIn(reference), values: null } as const] : []),
  ],
  after: ({ table, name, on }) => [
    on ? { kind: 'constraintMissing', table, name, validated: true } : { kind: 'constraintValidated', table, name },
  ],

  reads: ({ parent }) => [parent],
  fit: (operation, { current }) => fittedReference(operation, operation.table, current),
  refuse({ table: id, name, on }, current) {
    const found = findConstraint(current.get(id), name);
    if (found?.kind !== 'foreign key') return new Refusal(`${id} has no reference ${name} any more. Survey again.`);
    return found.enforced === on ? new Refusal(`${name} of ${id} is switched ${on ? 'on' : 'off'} already.`) : null;
  },
};

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
