import { columnId, type TableId } from '../catalogue/identifiers';
import type { Column } from '../catalogue/model';
import { type Kind, type Owner, ownerOf } from './operation';
import { Refusal } from './refusal';

/** A column that numbers existing rows and new ones by itself. */
export interface NumberRows {
  readonly kind: 'numberRows';
  readonly table: TableId;
  readonly column: string;
  /** True when rows can be numbered a few at a time: of a table that holds its rows itself, and whose updates fire nothing. */
  readonly batches: boolean;
  readonly owner?: Owner;
}

export interface DropColumn {
  readonly kind: 'dropColumn';
  readonly table: TableId;
  readonly column: string;
}

export const numberRows: Kind<NumberRows> = {
  rank: 1,
  makes: true,
  words: ({ table, column }) => `a surrogate column ${column} on ${table} that numbers every row`,
  inverse: ({ table, column }) => [{ kind: 'dropColumn', table, column }],

  apply({ table: id, column }, draft) {
    const table = draft.get(id);
    draft.put({ ...table, columns: [...table.columns, numberedColumn(id, column)] });
  },

  todo: ({ table, column }) => ({ kind: 'identityMissing', table, column }),
  before: ({ table, column }) => [{ kind: 'columnTaken', table, column }],
  after: ({ table, column }) => [{ kind: 'identityMissing', table, column }],

  fit(operation, { current }) {
    const table = current.get(operation.table);
    if (current.descendantsOf(table.id).length === 0) return { ...operation, ...ownerOf(table) };
    return new Refusal(
      `${table.id} ${table.kind === 'partitioned' ? 'has partitions' : 'has tables that inherit from it'}, and a column that numbers rows cannot be added to all of them. Choose a key among its columns.`,
    );
  },

  refuse: ({ table: id, column }, current) =>
    current.get(id).columns.some(({ name }) => name === column)
      ? new Refusal(`${id} has a column ${column}, or another remedy of this docket makes one.`)
      : null,

  column: ({ column }) => column,
};

export const dropColumn: Kind<DropColumn> = {
  rank: 8,
  words: ({ table, column }) => `drop the column ${column} of ${table}`,
  inverse: () => null,

  apply({ table: id, column }, draft) {
    const table = draft.get(id);
    draft.put({ ...table, columns: table.columns.filter(({ name }) => name !== column) });
  },

  todo: ({ table, column }) => ({ kind: 'columnPresent', table, column }),
};

function numberedColumn(table: TableId, name: string): Column {
  return {
    id: columnId(table, name),
    name,
    declaredType: 'bigint',
    family: 'integer',
    comparedAs: 'bigint',
    comparable: true,
    domain: null,
    length: null,
    precision: null,
    scale: 0,
    collation: null,
    nullable: false,
    default: null,
    fillsItself: true,
    identity: 'by default',
    generated: null,
    comment: null,
    statistics: null,
  };
}
