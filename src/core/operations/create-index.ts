import { newIndex, withoutIndex } from '../catalogue/edit';
import type { TableId } from '../catalogue/identifiers';
import type { Kind } from './operation';

export interface CreateIndex {
  readonly kind: 'createIndex';
  readonly table: TableId;
  readonly name: string;
  readonly columns: readonly string[];
  readonly unique: boolean;
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
  words: ({ table, name, columns, unique }) =>
    unique
      ? `the unique index ${name} on ${columns.join(', ')} of ${table} again`
      : `an index under the reference, on ${columns.join(', ')} of ${table}`,

  inverse: ({ table, name, partitioned }) => [{ kind: 'dropIndex', table, name, ...(partitioned && { partitioned: true }) }],

  apply({ table: id, name, columns, unique }, draft) {
    const table = draft.get(id);
    draft.put({ ...table, indexes: [...table.indexes, newIndex(name, columns, unique)] });
  },

  todo: ({ table, name }) => ({ kind: 'indexMissing', table, name }),
  before: ({ table, name, columns, unique }) => [{ kind: 'indexDiffers', table, name, over: columns, unique }],
  after: ({ table, name }) => [{ kind: 'indexMissing', table, name }],
  fit: (operation, { current }) =>
    current.get(operation.table).kind === 'partitioned' ? { ...operation, partitioned: true } : operation,
};

export const dropIndex: Kind<DropIndex> = {
  rank: 8,
  words: ({ table, name }) => `drop the index ${name} of ${table}`,
  inverse: () => null,
  apply: ({ table, name }, draft) => draft.put(withoutIndex(draft.get(table), name)),
  todo: ({ table, name }) => ({ kind: 'indexPresent', table, name }),
};
