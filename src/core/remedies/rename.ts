import { findNotNull, findSequence, sameColumnSet } from '../catalogue/lookups';
import type { Catalogue, Sequence, Table } from '../catalogue/model';
import { traitsOf } from '../engines/index';
import { Refusal } from '../operations/refusal';
import type { Question } from './question';
import type { Remedy } from './remedy';

export interface RenameProposal {
  readonly kind: 'rename';
  readonly columns: readonly string[];
  readonly from: string;
  readonly to: string;
  /** Left out of a constraint. */
  readonly object?: 'index' | 'column' | 'sequence' | 'trigger' | 'table';
}

const kinds = { constraint: 'rename', index: 'renameIndex', column: 'renameColumn', trigger: 'renameTrigger' } as const;

export const renameRemedy: Remedy<RenameProposal> = {
  asks: { leaves: 'The old name' },

  questions: ({ from, object }, { catalogue }) => (object === 'table' ? [leaving(from, catalogue)] : []),

  operations: ({ from, to, object }, { table, catalogue, chosen }) => {
    if (object === 'table')
      return [{ kind: 'renameTable', table: table.id, to, ...(chosen.leaves === 'view' && { leaves: { columns: [] } }) }];
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
      : object === 'table'
        ? table.name === to
        : object === 'trigger'
          ? table.triggers.every(({ name }) => name !== from)
          : object === 'column'
            ? table.columns.some(({ name }) => name === to) && table.columns.every(({ name }) => name !== from)
            : object === 'index'
              ? table.indexes.every((index) => index.name !== from)
              : findNotNull(table, from) === null &&
                table.constraints.every((c) => c.name !== from || !sameColumnSet(c.columns, columns)),
};

function leaving(name: string, catalogue: Catalogue): Question {
  return {
    ...{ id: 'leaves', title: `What of programs that say ${name}?`, shape: 'cards' },
    answers: [
      {
        ...{ id: 'view', title: 'Leave a view under the old name', advised: true },
        effect: `Who reads or writes ${name} reaches the table through the view, with the rights that they have on the table.`,
        cost: 'COPY, TRUNCATE, LOCK and ALTER TABLE do not go through it. Drop it when nobody asks for it any more.',
        refused: traitsOf(catalogue).viewsActForCallers
          ? null
          : 'A view of this server would lend the rights of its owner to whoever asks it.',
      },
      {
        ...{ id: 'nothing', title: 'Leave nothing', advised: false, refused: null },
        effect: `Every program that says ${name} fails from that moment on.`,
        cost: 'They have to follow at the same moment.',
      },
    ],
  };
}

function ownSequences({ columns }: Table, catalogue: Catalogue): readonly Sequence[] {
  return columns.flatMap(({ id }) => findSequence(catalogue, id) ?? []);
}
