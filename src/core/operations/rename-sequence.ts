import { type TableId, tableId } from '../catalogue/identifiers';
import type { Kind } from './operation';

/** Another name for a sequence that numbers a column of the table. */
export interface RenameSequence {
  readonly kind: 'renameSequence';
  readonly table: TableId;
  /** Of the sequence. */
  readonly schema: string;
  readonly from: string;
  readonly to: string;
  /** The two, each with its schema, as the server writes them in expressions. */
  readonly spelt?: readonly [from: string, to: string];
}

export const renameSequence: Kind<RenameSequence> = {
  rank: 7,
  words: ({ table, from, to }) => `the sequence ${from} of ${table} named ${to}`,
  inverse: ({ spelt, ...operation }) => [
    { ...operation, from: operation.to, to: operation.from, ...(spelt && { spelt: [spelt[1], spelt[0]] as const }) },
  ],

  // Defaults name it by its number: they follow.
  apply({ table: id, schema, from, to, spelt = [`${schema}.${from}`, `${schema}.${to}`] }, draft) {
    const [was, is] = spelt.map((name) => `'${name.replaceAll("'", "''")}'`) as [string, string];
    for (const one of [id, ...draft.descendantsOf(id)]) {
      const table = draft.get(one);
      if (!table.columns.some((column) => column.default?.includes(was))) continue;
      const columns = table.columns.map((column) =>
        column.default?.includes(was) ? { ...column, default: column.default.replaceAll(was, is) } : column,
      );
      draft.put({ ...table, columns });
    }
    draft.renameSequence({ schema, from, to });
  },

  fit: (operation, { spelt }) => ({
    ...operation,
    spelt: [operation.from, operation.to].map((name) => `${spelt(operation.schema)}.${spelt(name)}`) as [string, string],
  }),
  todo: ({ table, schema, to }) => ({ kind: 'sequenceMissing', table, sequence: tableId(schema, to) }),
  before: ({ table, schema, from }) => [{ kind: 'sequenceMissing', table, sequence: tableId(schema, from) }],
  after: ({ table, schema, to }) => [{ kind: 'sequenceMissing', table, sequence: tableId(schema, to) }],
};
