import { columnId, type TableId } from '../catalogue/identifiers';
import { newConstraint, withKey, withoutConstraint } from '../catalogue/edit';
import { findConstraint, primaryKeyOf } from '../catalogue/lookups';
import type { Column, NullsInUnique, Table } from '../catalogue/model';
import { traitsOf } from '../engines/facts';
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
  /** The key that it has to be from its first moment on, by its name; left out where it can be a mere column. */
  readonly key?: string;
  /** True where that is the primary key. */
  readonly primary?: true;
  /** Its type as the server spells it, where that is not `bigint`. */
  readonly type?: string;
}

export interface DropColumn {
  readonly kind: 'dropColumn';
  readonly table: TableId;
  readonly column: string;
  /** The key that goes with it. */
  readonly key?: string;
}

export const numberRows: Kind<NumberRows> = {
  rank: 1,
  makes: true,
  words: ({ table, column }) => `a surrogate column ${column} on ${table} that numbers every row`,
  inverse: ({ table, column, key }) => [{ kind: 'dropColumn', table, column, ...(key !== undefined && { key }) }],

  apply({ table: id, column, key, type }, draft) {
    const table = draft.get(id);
    const numbered = { ...table, columns: [...table.columns, numberedColumn(id, column, type)] };
    draft.put(key === undefined ? numbered : withNumberingKey(numbered, column, key, traitsOf(draft).nullsInUnique));
  },

  todo: ({ table, column }) => ({ kind: 'identityMissing', table, column }),
  before: ({ table, column }) => [{ kind: 'columnTaken', table, column }],
  after: ({ table, column }) => [{ kind: 'identityMissing', table, column }],
  proofs: ({ table, column, key, primary }) =>
    key !== undefined && primary ? [{ kind: 'repeat', table, columns: [column], constraint: key }] : [],

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

  apply({ table: id, column, key }, draft) {
    const whole = draft.get(id);
    const table = key !== undefined && findConstraint(whole, key) ? withoutConstraint(whole, key) : whole;
    draft.put({ ...table, columns: table.columns.filter(({ name }) => name !== column) });
  },

  todo: ({ table, column }) => ({ kind: 'columnPresent', table, column }),
};

function withNumberingKey(table: Table, column: string, key: string, nulls: NullsInUnique): Table {
  const base = { ...newConstraint(table, key), columns: [column], index: key };
  return withKey(table, primaryKeyOf(table) ? { ...base, kind: 'unique', nulls } : { ...base, kind: 'primary key' });
}

function numberedColumn(table: TableId, name: string, type = 'bigint'): Column {
  return {
    id: columnId(table, name),
    name,
    declaredType: type,
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
