import { findConstraint } from '../catalogue/lookups';
import type { ForeignKey, ReferentialAction } from '../catalogue/model';
import { traitsOf } from '../engines/facts';
import { cannotComeBack } from '../operations/again';
import { checkedWhen } from '../operations/change-constraint';
import { isAsWanted } from '../remedies/change';
import type { OnTable, WishKind } from './wish';

/** A reference that is to do something else, or a unique constraint that is to be over other columns. */
export interface ChangedWish extends OnTable {
  readonly kind: 'changed';
  readonly constraint: string;
  /** Of a unique constraint. */
  readonly columns?: readonly string[];
  /** Of a reference; what is left out stays. */
  readonly onDelete?: ReferentialAction;
  readonly onUpdate?: ReferentialAction;
  readonly deferrable?: ForeignKey['deferrable'];
}

export const changedWish: WishKind<ChangedWish> = {
  title: 'is to be otherwise',
  columns: ({ constraint, columns }, table) => columns ?? (table && findConstraint(table, constraint)?.columns) ?? [],
  mark: ({ table, constraint }) => `${table}#${constraint}`,
  words: ({ constraint, columns, onDelete, onUpdate, deferrable }) => {
    const said = [
      ...(columns ? [`is over ${columns.join(', ')}`] : []),
      ...(onDelete ? [`does ${onDelete} when a parent goes`] : []),
      ...(onUpdate ? [`does ${onUpdate} when the key of a parent changes`] : []),
      ...(deferrable ? [`is checked ${checkedWhen[deferrable]}`] : []),
    ];
    return `${constraint} ${said.join(', and ')}`;
  },
  isGranted: ({ constraint, columns, ...wanted }, { table }) => {
    const own = findConstraint(table, constraint);
    return isAsWanted(own, columns ?? own?.columns ?? [], wanted);
  },
  object: ({ constraint }) => constraint,

  problem(wish, { table, catalogue }) {
    const { constraint, onDelete, onUpdate, deferrable } = wish;
    const own = findConstraint(table, constraint);
    if (own?.kind !== 'foreign key' && own?.kind !== 'unique')
      return `${table.id} has no reference and no unique constraint ${constraint}.`;
    const { actions, defersReferences } = traitsOf(catalogue);
    if ((onDelete && !actions.delete.includes(onDelete)) || (onUpdate && !actions.update.includes(onUpdate)))
      return `This server does no ${onDelete ?? onUpdate} there.`;
    if (deferrable && deferrable !== 'no' && !defersReferences) return 'This server checks every reference at each statement.';
    // Where none waits for the end of a transaction the two refuse alike.
    const refusing = (action: ReferentialAction | undefined) => action === 'no action' || action === 'restrict';
    if (
      own.kind === 'foreign key' &&
      !defersReferences &&
      [
        [onDelete, own.onDelete],
        [onUpdate, own.onUpdate],
      ].some(([wanted, is]) => wanted !== is && refusing(wanted) && refusing(is))
    )
      return 'NO ACTION and RESTRICT are one to this server.';
    const mandatory =
      own.kind === 'foreign key' && table.columns.find(({ name, nullable }) => own.columns.includes(name) && !nullable);
    if (mandatory && [onDelete, onUpdate].includes('set null'))
      return `${mandatory.name} may not be null: ${constraint} cannot empty it.`;
    if (own.kind === 'unique' && (wish.columns ?? []).length === 0) return 'Choose the columns that it is to be over.';
    return cannotComeBack(own, table, catalogue);
  },

  proposal: ({ constraint, kind: _, table: __, ...wanted }, { table }) => ({
    ...{ kind: 'change', name: constraint },
    ...wanted,
    columns: wanted.columns ?? findConstraint(table, constraint)?.columns ?? [],
  }),
};
