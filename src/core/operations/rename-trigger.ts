import type { TableId } from '../catalogue/identifiers';
import type { Kind } from './operation';
import { Refusal } from './refusal';

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
