import type { Remedy } from './remedy';

export interface RenameProposal {
  readonly kind: 'rename';
  readonly columns: readonly string[];
  readonly from: string;
  readonly to: string;
}

export const renameRemedy: Remedy<RenameProposal> = {
  operations: ({ from, to }, { table }) => [{ kind: 'rename', table: table.id, from, to }],
  holds: ({ from }, { table }) => table.constraints.every((c) => c.name !== from),
};
