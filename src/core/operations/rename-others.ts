// Another name for a sequence, and for a trigger.

import { type TableId, tableId } from '../catalogue/identifiers';
import type { Kind } from './operation';
import { Refusal } from './refusal';

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

/** Another name for a trigger. */
export interface RenameTrigger {
  readonly kind: 'renameTrigger';
  readonly table: TableId;
  readonly from: string;
  readonly to: string;
}

export const renameTrigger: Kind<RenameTrigger> = {
  rank: 7,
  words: ({ table, from, to }) => `the trigger ${from} of ${table} named ${to}`,
  inverse: ({ kind, table, from, to }) => [{ kind, table, from: to, to: from }],
  apply({ table: id, from, to }, draft) {
    const table = draft.get(id);
    draft.put({ ...table, triggers: table.triggers.map((one) => (one.name === from ? { ...one, name: to } : one)) });
  },
  todo: ({ table, to }) => ({ kind: 'triggerMissing', table, trigger: to }),
  before: ({ table, from }) => [{ kind: 'triggerMissing', table, trigger: from }],
  after: ({ table, to }) => [{ kind: 'triggerMissing', table, trigger: to }],
  fit: (operation, { traits }) =>
    traits.changesTriggers
      ? operation
      : new Refusal(
          `A trigger gets no other name here: drop ${operation.from} of ${operation.table} and make it again, by hand.`,
        ),
  refuse({ table: id, from, to }, current) {
    const { kind, triggers } = current.get(id);
    if (triggers.every(({ name }) => name !== from)) return new Refusal(`${id} has no trigger ${from} any more. Survey again.`);
    if (kind === 'partition' || kind === 'partitioned')
      return new Refusal(
        `${id} is split: its partitions have the trigger ${from} too, under names of their own. Rename it by hand.`,
      );
    return triggers.some(({ name }) => name === to)
      ? new Refusal(`${id} has a trigger ${to} already. Choose another name.`)
      : null;
  },
};
