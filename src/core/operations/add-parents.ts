import type { TableId } from '../catalogue/identifiers';
import { getTable, includesColumns } from '../catalogue/lookups';
import type { Kind } from './operation';
import { fittedReference, type FittedReference, sameReferring } from './reference';
import { type Constant, parentOf } from './set-aside';
import { ownerOf } from './operation';
import { clearKept, type Keeping, refuseWriting, rowsOnly, sideTableOf } from './side-table';

/** Parents are made for children that have none; their keys are kept in a side table. `table` is the parent's. */
export interface AddParents extends Keeping {
  readonly kind: 'addParents';
  readonly child: TableId;
  readonly reference: FittedReference;
  /** What stands in columns that a parent needs beside its key; the same in each of them. */
  readonly beside: readonly (Constant & { readonly column: string })[];
}

export interface RemoveParents extends Omit<AddParents, 'kind'> {
  readonly kind: 'removeParents';
}

export const addParents: Kind<AddParents> = {
  rank: 0,
  makes: true,
  words: ({ table, child }) => `the missing rows of ${table} that ${child} refers to`,

  inverse: (operation) => [{ ...operation, kind: 'removeParents' }],
  apply: rowsOnly,
  todo: (operation) => ({ kind: 'tableMissing', table: sideTableOf(operation) }),
  before: ({ beside }) => beside.flatMap(parentOf),

  reads: ({ child }) => [child],

  fit(operation, { current }) {
    const table = current.get(operation.table);
    const reference = fittedReference(operation.reference, operation.child, current);
    return refuseWriting(table, current) ?? { ...operation, ...ownerOf(table), reference };
  },

  leavesEmpty: ({ table, reference, beside }, catalogue) =>
    getTable(catalogue, table)
      .columns.filter((c) => c.default === null && c.identity === null)
      .filter((c) => !reference.parentColumns.includes(c.name) && !beside.some(({ column }) => column === c.name))
      .map((c) => c.name),

  writes({ reference: { parentColumns }, beside }, { by, columns }) {
    // Parents are made of keys that were missing, each once.
    if (by === 'key' && includesColumns(columns, parentColumns)) return [];
    return [...parentColumns, ...beside.map(({ column }) => column)];
  },

  mends: ({ table, child, reference }) => ({
    rowsOf: child,
    covers: (check) => check.kind === 'orphans' && check.table === child && sameReferring(check.reference, reference),
    alters: (key) => key.parent === table,
  }),
  clear: clearKept,
};

export const removeParents: Kind<RemoveParents> = {
  rank: 8,
  words: ({ table, child }) => `remove the rows of ${table} that were made for ${child}`,
  inverse: () => null,
  apply: rowsOnly,
  todo: (operation) => ({ kind: 'tablePresent', table: sideTableOf(operation) }),
};
