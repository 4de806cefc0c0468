import { newConstraint, withKey, withNullability, withoutIndex } from '../catalogue/edit';
import { getTable, primaryKeyOf } from '../catalogue/lookups';
import { changeDown, type HandedDown, handingDown } from './hand-down';
import { type AddedKey, keyRows, onIndex, refuseSplit, refuseTakenIndex, repeatProof, repeatsIn, withoutKey } from './keys';
import type { Kind } from './operation';
import { Refusal } from './refusal';

export interface AddPrimaryKey extends AddedKey {
  readonly kind: 'addPrimaryKey';
  /** Those of the columns that are nullable now: the key makes them NOT NULL, going back must undo it. */
  readonly nullableBefore: readonly string[];
  readonly handedDown?: readonly HandedDown[];
  /** Of those, their definitions as they are, where all of it has to be said to go back. */
  readonly definitions?: readonly { readonly column: string; readonly before: string }[];
}

export const addPrimaryKey: Kind<AddPrimaryKey> = {
  rank: 2,
  makes: true,
  indexed: ({ columns }) => [columns],
  words: ({ table, columns, index }) => `${columns.join(', ')} as the primary key of ${table}${onIndex(index)}`,

  inverse: (key) => [
    ...withoutKey(key),
    ...key.nullableBefore.map((column) => {
      const handedDown = key.handedDown?.find((down) => down.column === column);
      const definition = key.definitions?.find((one) => one.column === column)?.before;
      return {
        kind: 'dropNotNull',
        table: key.table,
        column,
        ...(handedDown && { handedDown }),
        ...(definition !== undefined && { definition }),
      } as const;
    }),
  ],

  apply({ table: id, name, columns, index }, draft) {
    changeDown(
      draft,
      id,
      (table) =>
        withKey(withNullability(withoutIndex(table, index), columns, false), {
          kind: 'primary key',
          ...newConstraint(table, name),
          columns,
          index: name,
        }),
      (heir) => withNullability(heir, columns, false),
    );
  },

  todo: ({ table, name }) => ({ kind: 'constraintMissing', table, name, validated: false }),
  before: (key) => [
    { kind: 'constraintPresent', table: key.table, name: key.name },
    { kind: 'keyDiffers', table: key.table, name: key.name, over: key.columns },
    { kind: 'nulls', table: key.table, columns: key.columns },
    repeatsIn(key),
  ],
  after: ({ table, name }) => [{ kind: 'constraintMissing', table, name, validated: true }],
  proofs: (key) => [repeatProof(key), ...key.columns.map((column) => ({ kind: 'null', table: key.table, column }) as const)],

  fit(key, on) {
    const table = on.current.get(key.table);
    const split = refuseSplit(table, key.columns);
    if (split) return split;
    // Another operation may have made it NOT NULL meanwhile, and will undo that.
    const nullableBefore = key.nullableBefore.filter((name) => table.columns.some((c) => c.name === name && c.nullable));
    const handedDown = nullableBefore.flatMap((column) => handingDown(table, column, on) ?? []);
    return {
      ...key,
      nullableBefore,
      ...keyRows(table, on.current),
      ...(handedDown.length > 0 && { handedDown }),
    };
  },

  refuseBeside({ operation: key, finding }, beside, catalogue) {
    // By the catalogue it has none: another remedy that comes before would make one.
    if (primaryKeyOf(getTable(catalogue, key.table))) return null;
    const makers = [...beside.on(key.table)].filter(({ operation: { kind } }) => kind === 'addPrimaryKey');
    const [first] = makers;
    return first && first.finding !== finding
      ? new Refusal(
          `Another remedy of this docket makes a primary key for ${key.table} already, and a table has one: choose which, and take the other out.`,
        )
      : null;
  },

  refuse(key, current) {
    const table = current.get(key.table);
    if (table.constraints.some((c) => c.kind === 'primary key'))
      return new Refusal(`${table.id} has a primary key already. Survey again.`);
    return refuseTakenIndex(key, table);
  },

  fills: ({ columns }) => columns,
  binds: ({ columns }) => ({ by: 'key', columns }),
};
