import { newIndex, withoutIndex } from '../catalogue/edit';
import type { TableId } from '../catalogue/identifiers';
import { type Among, amongInWords } from '../evidence/among';
import type { Kind } from './operation';
import { Refusal } from './refusal';

export interface CreateIndex {
  readonly kind: 'createIndex';
  readonly table: TableId;
  readonly name: string;
  readonly columns: readonly string[];
  readonly unique: boolean;
  /** Where it is unique among some, or takes some texts for the same. */
  readonly among?: Among;
  /** The condition of such a one, as the server spells it. */
  readonly predicate?: string;
  /** Of a table that is split: it cannot be built beside the work. */
  readonly partitioned?: boolean;
}

export interface DropIndex {
  readonly kind: 'dropIndex';
  readonly table: TableId;
  readonly name: string;
  readonly partitioned?: boolean;
}

export const createIndex: Kind<CreateIndex> = {
  rank: 3,
  makes: true,
  indexed: ({ columns }) => [columns],
  words: ({ table, name, columns, unique, among }) =>
    among
      ? `${columns.join(', ')} unique in ${table}${amongInWords(among)}`
      : unique
        ? `the unique index ${name} on ${columns.join(', ')} of ${table} again`
        : `an index under the reference, on ${columns.join(', ')} of ${table}`,

  inverse: ({ table, name, partitioned }) => [{ kind: 'dropIndex', table, name, ...(partitioned && { partitioned: true }) }],

  apply({ table: id, name, columns, unique, among, predicate }, draft) {
    const table = draft.get(id);
    const index = newIndex(name, columns, unique);
    const own = { ...(among?.folded && { columns: columns.map(() => null) }), ...(predicate !== undefined && { predicate }) };
    draft.put({ ...table, indexes: [...table.indexes, { ...index, ...own }] });
  },

  todo: ({ table, name }) => ({ kind: 'indexMissing', table, name }),
  before: ({ table, name, columns, unique, among }) => [
    { kind: 'indexDiffers', table, name, over: columns, unique, ...(among && { among }) },
    ...(among ? [{ kind: 'repeats', table, columns, among } as const] : []),
  ],
  after: ({ table, name }) => [{ kind: 'indexMissing', table, name }],
  proofs: ({ table, name, columns, among }) => (among ? [{ kind: 'repeat', table, columns, constraint: name, among }] : []),
  binds: ({ columns, unique }) => ({ by: unique ? 'key' : 'nothing', columns }),
  fit(operation, { current, spelt }) {
    const live = operation.among?.live;
    const predicate = live && `(${spelt(live.column)} IS ${live.set === 'flag' ? 'NOT TRUE' : 'NULL'})`;
    const table = current.get(operation.table);
    if (operation.among && table.kind === 'partitioned')
      return new Refusal(`${table.id} is partitioned: what is unique among some of its rows has to be so in each partition.`);
    return {
      ...operation,
      ...(predicate !== undefined && { predicate }),
      ...(table.kind === 'partitioned' && { partitioned: true }),
    };
  },
};

export const dropIndex: Kind<DropIndex> = {
  rank: 8,
  words: ({ table, name }) => `drop the index ${name} of ${table}`,
  inverse: () => null,
  apply: ({ table, name }, draft) => draft.put(withoutIndex(draft.get(table), name)),
  todo: ({ table, name }) => ({ kind: 'indexPresent', table, name }),
};
