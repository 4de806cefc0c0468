import type { TableId } from '../catalogue/identifiers';
import type { Storage } from '../catalogue/model';
import type { Kind } from './operation';
import { Refusal } from './refusal';

/** A table is kept by another engine of its server, on servers that have several. */
export interface KeepBy {
  readonly kind: 'keepBy';
  readonly table: TableId;
  readonly before: Storage;
  readonly after: Storage;
}

export const keepBy: Kind<KeepBy> = {
  rank: 0.5,
  words: ({ table, before, after }) => `${table} kept by ${after.engine} instead of ${before.engine}`,
  inverse: ({ kind, table, before, after }) => [{ kind, table, before: after, after: before }],
  apply: ({ table, after }, draft) => draft.put({ ...draft.get(table), storage: after }),
  todo: ({ table, after }) => ({ kind: 'keptOtherwise', table, engine: after.engine }),
  after: (operation) => [keepBy.todo(operation)],
  refuse({ table, after }, current) {
    const { storage } = current.get(table);
    if (!storage) return new Refusal(`How ${table} is kept is no matter of this server.`);
    return storage.engine === after.engine
      ? new Refusal(`${table} is kept by ${after.engine} already, or another remedy of this docket has it so.`)
      : null;
  },
};
