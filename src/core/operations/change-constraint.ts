// What is declared becomes otherwise under its own name, and the way back. At every moment the one or the other holds.

import { mapConstraint } from '../catalogue/edit';
import type { TableId } from '../catalogue/identifiers';
import { findConstraint, sameColumns } from '../catalogue/lookups';
import type { ForeignKey, UniqueKey } from '../catalogue/model';
import type { Check, Wanted } from './check';
import type { Kind } from './operation';
import { referenceIn } from './reference';
import { Refusal } from './refusal';

export interface ChangeConstraint {
  readonly kind: 'changeConstraint';
  readonly table: TableId;
  readonly before: ForeignKey | UniqueKey;
  readonly after: ForeignKey | UniqueKey;
  /** The name that the new one bears until the old one is gone, where both are there for a moment. */
  readonly interim: string;
}

/** What a constraint is to be, for those that look whether it is. */
export function wantedOf(constraint: ForeignKey | UniqueKey): Wanted {
  const over = constraint.columns;
  if (constraint.kind === 'unique') return { kind: 'unique', over, nullsAlike: constraint.nulls === 'alike' };
  const { kind, parent, parentColumns, onDelete, onUpdate, deferrable } = constraint;
  return { kind, over, parent, parentColumns, onDelete, onUpdate, deferrable };
}

export const changeConstraint: Kind<ChangeConstraint> = {
  rank: 5,
  words: ({ table, before, after }) => `${after.name} of ${table} ${differenceInWords(before, after)}`,
  inverse: ({ before, after, ...operation }) => [{ ...operation, before: after, after: before }],
  apply: ({ table: id, after }, draft) => {
    const table = mapConstraint(draft.get(id), after.name, () => after);
    const indexes = table.indexes.map((index) =>
      after.kind === 'unique' && index.constraint === after.name
        ? { ...index, columns: after.columns, nulls: after.nulls }
        : index,
    );
    draft.put({ ...table, indexes });
  },
  todo: ({ table, after }) => ({ kind: 'constraintUnlike', table, name: after.name, wanted: wantedOf(after) }),
  before: ({ table, before, after }): readonly Check[] =>
    after.kind === 'unique'
      ? [{ kind: 'repeats', table, columns: after.columns, ...(after.nulls === 'alike' && { nullsAlike: true }) }]
      : sameReference(before, after)
        ? []
        : [{ kind: 'orphans', table, reference: referenceIn(after), values: null }],
  after: (operation) => [changeConstraint.todo(operation)],
  proofs: ({ table, after }) =>
    after.kind === 'unique' ? [{ kind: 'repeat', table, columns: after.columns, constraint: after.name }] : [],
  reads: ({ after }) => (after.kind === 'foreign key' ? [after.parent] : []),
  indexed: ({ after }) => [after.columns],
  fit(operation, { current }) {
    const own = findConstraint(current.get(operation.table), operation.before.name);
    const { after } = operation;
    if (own?.kind !== 'foreign key' || after.kind !== 'foreign key') return operation;
    // It rests on what it rested on, where it refers to the same.
    return { ...operation, before: own, after: { ...after, ...(sameReference(own, after) && { index: own.index }) } };
  },
  refuse({ table, before }, current) {
    const own = findConstraint(current.get(table), before.name);
    return own?.kind === before.kind
      ? null
      : new Refusal(
          `${table} has no ${before.kind} ${before.name} any more, or another remedy of this docket takes it. Survey again.`,
        );
  },
};

function sameReference(before: ForeignKey | UniqueKey, after: ForeignKey): boolean {
  return before.kind === 'foreign key' && before.parent === after.parent && sameColumns(before.columns, after.columns);
}

function differenceInWords(before: ForeignKey | UniqueKey, after: ForeignKey | UniqueKey): string {
  if (before.kind === 'unique' && after.kind === 'unique' && sameColumns(before.columns, after.columns))
    return after.nulls === 'alike' ? 'takes nulls for alike' : 'lets nulls repeat';
  if (before.kind === 'unique' || after.kind === 'unique')
    return `over ${after.columns.join(', ')} instead of ${before.columns.join(', ')}`;
  const said = [
    ...(before.onDelete === after.onDelete ? [] : [`does ${after.onDelete} instead of ${before.onDelete} when a parent goes`]),
    ...(before.onUpdate === after.onUpdate
      ? []
      : [`does ${after.onUpdate} instead of ${before.onUpdate} when the key of a parent changes`]),
    ...(before.deferrable === after.deferrable ? [] : [`is checked ${checkedWhen[after.deferrable]}`]),
  ];
  return said.join(', and ');
}

export const checkedWhen: Readonly<Record<ForeignKey['deferrable'], string>> = {
  no: 'at each statement',
  'initially immediate': 'at each statement, or at the end of a transaction that says so',
  'initially deferred': 'at the end of the transaction',
};
