import { findSequence, sameColumnSet } from '../catalogue/lookups';
import type { Catalogue, Sequence, Table } from '../catalogue/model';
import { Refusal } from '../operations/refusal';
import type { Remedy } from './remedy';

export interface RenameProposal {
  readonly kind: 'rename';
  readonly columns: readonly string[];
  readonly from: string;
  readonly to: string;
  /** Left out of a constraint. */
  readonly object?: 'index' | 'column' | 'sequence' | 'trigger';
}

const kinds = { constraint: 'rename', index: 'renameIndex', column: 'renameColumn', trigger: 'renameTrigger' } as const;

export const renameRemedy: Remedy<RenameProposal> = {
  operations: ({ from, to, object }, { table, catalogue }) => {
    if (object !== 'sequence') return [{ kind: kinds[object ?? 'constraint'], table: table.id, from, to }];
    const sequence = ownSequences(table, catalogue).find(({ name }) => name === from);
    return sequence
      ? [{ kind: 'renameSequence', table: table.id, schema: sequence.schema, from, to }]
      : new Refusal(`No sequence ${from} numbers ${table.id} any more. Survey again.`);
  },
  // Of two that swap their names both old ones are still there.
  holds: ({ from, to, columns, object }, { table, catalogue }) =>
    object === 'sequence'
      ? ownSequences(table, catalogue).every(({ name }) => name !== from)
      : object === 'trigger'
        ? table.triggers.every(({ name }) => name !== from)
        : object === 'column'
          ? table.columns.some(({ name }) => name === to) && table.columns.every(({ name }) => name !== from)
          : object === 'index'
            ? table.indexes.every((index) => index.name !== from)
            : table.constraints.every((c) => c.name !== from || !sameColumnSet(c.columns, columns)),
};

function ownSequences({ columns }: Table, catalogue: Catalogue): readonly Sequence[] {
  return columns.flatMap(({ id }) => findSequence(catalogue, id) ?? []);
}
