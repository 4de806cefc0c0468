import { sameColumnSet } from '../catalogue/lookups';
import type { Remedy } from './remedy';

export interface RenameProposal {
  readonly kind: 'rename';
  readonly columns: readonly string[];
  readonly from: string;
  readonly to: string;
  /** Left out of a constraint. */
  readonly object?: 'index' | 'column';
}

const kinds = { constraint: 'rename', index: 'renameIndex', column: 'renameColumn' } as const;

export const renameRemedy: Remedy<RenameProposal> = {
  operations: ({ from, to, object }, { table }) => [{ kind: kinds[object ?? 'constraint'], table: table.id, from, to }],
  // Of two that swap their names both old ones are still there.
  holds: ({ from, to, columns, object }, { table }) =>
    object === 'column'
      ? table.columns.some(({ name }) => name === to) && table.columns.every(({ name }) => name !== from)
      : object === 'index'
        ? table.indexes.every((index) => index.name !== from)
        : table.constraints.every((c) => c.name !== from || !sameColumnSet(c.columns, columns)),
};
