import { sameColumnSet } from '../catalogue/lookups';
import type { Remedy } from './remedy';

export interface RenameProposal {
  readonly kind: 'rename';
  readonly columns: readonly string[];
  readonly from: string;
  readonly to: string;
  /** Left out of a constraint. */
  readonly object?: 'index';
}

export const renameRemedy: Remedy<RenameProposal> = {
  operations: ({ from, to, object }, { table }) => [
    { kind: object === 'index' ? 'renameIndex' : 'rename', table: table.id, from, to },
  ],
  // Of two that swap their names both old ones are still there.
  holds: ({ from, columns, object }, { table }) =>
    object === 'index'
      ? table.indexes.every((index) => index.name !== from)
      : table.constraints.every((c) => c.name !== from || !sameColumnSet(c.columns, columns)),
};
