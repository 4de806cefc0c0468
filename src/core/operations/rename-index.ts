import { CatalogueError } from '../catalogue/CatalogueError';
import type { TableId } from '../catalogue/identifiers';
import type { Kind } from './operation';
import { Refusal } from './refusal';

/** Another name for an index that stands behind no constraint. */
export interface RenameIndex {
  readonly kind: 'renameIndex';
  readonly table: TableId;
  readonly from: string;
  readonly to: string;
}

export const renameIndex: Kind<RenameIndex> = {
  rank: 7,
  words: ({ table, from, to }) => `the index ${from} of ${table} named ${to}`,
  inverse: ({ table, from, to }) => [{ kind: 'renameIndex', table, from: to, to: from }],

  apply({ table: id, from, to }, draft) {
    const table = draft.get(id);
    if (table.indexes.every(({ name }) => name !== from)) throw new CatalogueError(`${id} has no index ${from}.`);
    draft.put({ ...table, indexes: table.indexes.map((index) => (index.name === from ? { ...index, name: to } : index)) });
    // References may rest on a unique index as on a key.
    for (const childId of draft.childrenOf(id)) {
      const child = draft.get(childId);
      const constraints = child.constraints.map((constraint) =>
        constraint.kind === 'foreign key' && constraint.parent === id && constraint.index === from
          ? { ...constraint, index: to }
          : constraint,
      );
      if (constraints.some((constraint, i) => constraint !== child.constraints[i])) draft.put({ ...child, constraints });
    }
  },

  todo: ({ table, from }) => ({ kind: 'indexPresent', table, name: from }),
  before: ({ table, from, to }) => [
    { kind: 'indexMissing', table, name: from },
    { kind: 'indexPresent', table, name: to },
  ],
  after: ({ table, to }) => [{ kind: 'indexMissing', table, name: to }],

  refuse({ table: id, from, to }, current) {
    const { indexes } = current.get(id);
    const index = indexes.find(({ name }) => name === from);
    if (!index) return new Refusal(`${id} has no index ${from} any more. Survey again.`);
    if (index.constraint !== null)
      return new Refusal(`The index ${from} of ${id} stands behind a constraint and is renamed with it.`);
    return indexes.some(({ name }) => name === to) ? new Refusal(`${id} has an index ${to} already. Choose another name.`) : null;
  },
};
