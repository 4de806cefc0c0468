import { newConstraint, withKey, withoutIndex } from '../catalogue/edit';
import { declaredUniques, sameColumnSet } from '../catalogue/lookups';
import { traitsOf } from '../engines/facts';
import { type AddedKey, keyRows, onIndex, refuseSplit, refuseTakenIndex, repeatProof, repeatsIn, withoutKey } from './keys';
import type { Kind } from './operation';
import { Refusal } from './refusal';

export interface AddUnique extends AddedKey {
  readonly kind: 'addUnique';
}

export const addUnique: Kind<AddUnique> = {
  rank: 2,
  makes: true,
  indexed: ({ columns }) => [columns],
  words: ({ table, columns, index }) => `${columns.join(', ')} unique in ${table}${onIndex(index)}`,

  inverse: withoutKey,

  apply({ table: id, name, columns, index }, draft) {
    const table = withoutIndex(draft.get(id), index);
    const nulls = traitsOf(draft).nullsInUnique;
    draft.put(withKey(table, { kind: 'unique', ...newConstraint(table, name), columns, index: name, nulls }));
  },

  todo: ({ table, name }) => ({ kind: 'constraintMissing', table, name, validated: false }),
  before: (key) => [
    { kind: 'constraintPresent', table: key.table, name: key.name },
    { kind: 'constraintDiffers', table: key.table, name: key.name, wanted: { kind: 'unique', over: key.columns } },
    repeatsIn(key),
  ],
  after: ({ table, name }) => [{ kind: 'constraintMissing', table, name, validated: true }],
  proofs: (key) => [repeatProof(key)],

  fit(key, { current }) {
    const table = current.get(key.table);
    return refuseSplit(table, key.columns) ?? { ...key, ...keyRows(table, current) };
  },

  refuse(key, current) {
    const table = current.get(key.table);
    if (key.index !== null) return refuseTakenIndex(key, table);
    return declaredUniques(table).some((unique) => sameColumnSet(unique, key.columns))
      ? new Refusal(`${key.columns.join(', ')} of ${table.id} is unique already, or another remedy of this docket makes it so.`)
      : null;
  },

  binds: ({ columns }) => ({ by: 'key', columns }),
};
