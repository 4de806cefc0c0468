import { dependentsOf, dependentsOfColumn, dependentsOfTable } from '../catalogue/dependents';
import { findNotNull, findSequence, sameColumnSet } from '../catalogue/lookups';
import type { Catalogue, Sequence, Table } from '../catalogue/model';
import { traitsOf } from '../engines/facts';
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
  touches: (proposal, { table, catalogue }) => ({
    part: {
      kind: proposal.object === 'table' || proposal.object === 'column' ? proposal.object : 'constraint',
      name: proposal.from,
    },
    known: knownOf(proposal, table, catalogue),
    resting: 'rests on it, and goes on to.',
  }),

  holds({ from, to, columns, object }, { table, catalogue }) {
    const isGone = (parts: readonly { readonly name: string }[]): boolean => parts.every(({ name }) => name !== from);
    switch (object) {
      case 'table':
        return table.name === to;
      case 'column':
        return table.columns.some(({ name }) => name === to) && isGone(table.columns);
      case 'index':
        return isGone(table.indexes);
      case 'trigger':
        return isGone(table.triggers);
      case 'sequence':
        return isGone(ownSequences(table, catalogue));
      case undefined:
        // Of two that swap their names both old ones are still there.
        return (
          findNotNull(table, from) === null &&
          table.constraints.every((c) => c.name !== from || !sameColumnSet(c.columns, columns))
        );
    }
  },
};

function knownOf({ from, object }: RenameProposal, table: Table, catalogue: Catalogue): readonly string[] {
  switch (object) {
    case 'table':
      return dependentsOfTable(table.id, catalogue);
    case 'column':
      return dependentsOfColumn(table.id, from, catalogue);
    default:
      return dependentsOf(table.id, from, catalogue);
  }
}

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
