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
