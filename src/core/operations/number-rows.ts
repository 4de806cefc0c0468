// Columns that number rows by themselves: one that is made for it, or one that is there.

import { columnId, type TableId } from '../catalogue/identifiers';
import { newConstraint, withKey, withoutConstraint } from '../catalogue/edit';
import { findConstraint, isFilledByServer, primaryKeyOf } from '../catalogue/lookups';
import type { Column, NullsInUnique, Table } from '../catalogue/model';
import { traitsOf } from '../engines/facts';
import { type Kind, type Owner, ownerOf } from './operation';
import { Refusal } from './refusal';
import type { Redefined } from './set-not-null';

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

/** A column of whole numbers takes the next one by itself from then on, where a row says nothing: from after the largest there is. */
export interface NumberItself {
  readonly kind: 'numberItself';
  readonly table: TableId;
  readonly column: string;
  /** The column's definition as it is and as it will be, where all of it has to be said. */
  readonly definition?: Redefined;
}

export interface NumberNoMore {
  readonly kind: 'numberNoMore';
  readonly table: TableId;
  readonly column: string;
  readonly definition?: Redefined;
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

export const numberItself: Kind<NumberItself> = {
  rank: 7,
  words: ({ table, column }) => `${column} of ${table} numbers new rows by itself`,
  inverse: ({ table, column, definition }) => [
    {
      ...{ kind: 'numberNoMore', table, column },
      ...(definition && { definition: { before: definition.after, after: definition.before } }),
    },
  ],

  apply({ table: id, column, definition }, draft) {
    draft.put(counting(draft.get(id), column, definition?.after, { identity: 'by default', fillsItself: true }));
  },

  todo: ({ table, column }) => ({ kind: 'identityMissing', table, column }),
  // Where the definition is said anew, a row that has 0 would be numbered too.
  before: ({ table, column, definition }) =>
    definition ? [{ kind: 'breaking', table, claim: { kind: 'noneOf', column, values: ['0'] } }] : [],
  after: ({ table, column }) => [{ kind: 'identityMissing', table, column }],

  fit(operation, { current }) {
    const table = current.get(operation.table);
    if (current.descendantsOf(table.id).length === 0) return operation;
    return new Refusal(
      `${table.id} ${table.kind === 'partitioned' ? 'has partitions' : 'has tables that inherit from it'}: each of them would number its rows for itself.`,
    );
  },

  refuse({ table: id, column: name }, current) {
    const column = current.get(id).columns.find((one) => one.name === name);
    if (!column) return new Refusal(`${id} has no column ${name} any more. Survey again.`);
    if (column.family !== 'integer') return new Refusal(`${id}.${name} is ${column.declaredType}: it cannot count.`);
    return isFilledByServer(column)
      ? new Refusal(`${id}.${name} fills itself already, or another remedy of this docket has it do so.`)
      : null;
  },
};

export const numberNoMore: Kind<NumberNoMore> = {
  rank: 8,
  words: ({ table, column }) => `${column} of ${table} numbers no row by itself`,
  inverse: () => null,

  apply({ table: id, column, definition }, draft) {
    draft.put(counting(draft.get(id), column, definition?.after, { identity: null, fillsItself: false }));
  },

  todo: ({ table, column }) => ({ kind: 'identityPresent', table, column }),
};

function withNumberingKey(table: Table, column: string, key: string, nulls: NullsInUnique): Table {
  const base = { ...newConstraint(table, key), columns: [column], index: key };
  return withKey(table, primaryKeyOf(table) ? { ...base, kind: 'unique', nulls } : { ...base, kind: 'primary key' });
}

/** One that the database numbers by itself. */
export function numberedColumn(table: TableId, name: string, type = 'bigint'): Column {
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

type Numbering = { readonly identity: 'by default' | null; readonly fillsItself: boolean };

function counting(table: Table, name: string, definition: string | undefined, numbering: Numbering): Table {
  const columns = table.columns.map((one) =>
    one.name === name ? { ...one, ...numbering, ...(definition !== undefined && { definition }) } : one,
  );
  return { ...table, columns };
}
