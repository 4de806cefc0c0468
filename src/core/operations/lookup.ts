// Values that a text repeats become rows of a table of their own, and the text a reference to them; and the way back.

import { newConstraint, type Shape, shapeOf, withKey, withNullability } from '../catalogue/edit';
import { columnId, type TableId, tableNames } from '../catalogue/identifiers';
import { foreignKeysOf, getTable } from '../catalogue/lookups';
import type { Column, Storage, Table } from '../catalogue/model';
import type { TypeRules } from '../engines/engineFacts';
import { factsOf, traitsOf } from '../engines/facts';
import { numberedColumn } from './number-rows';
import { type Kind, ownerOf, type Owner } from './operation';
import { Refusal } from './refusal';
import { redefined, type Redefined } from './set-not-null';
import { refuseWriting, rowsOnly } from './side-table';

/** Where values are looked up: a table, what tells its rows, and the text of each. */
export interface Lookup {
  readonly table: TableId;
  readonly key: string;
  readonly label: string;
}

interface OfText {
  /** The table that the text is in. */
  readonly table: TableId;
  readonly column: string;
  readonly lookup: Lookup;
}

/** A table of the values that a column has, each once and numbered. */
export interface MakeLookup extends OfText {
  readonly kind: 'makeLookup';
  /** What its key and its unique constraint are called. */
  readonly names: { readonly key: string; readonly unique: string };
  /** Of the numbers, where it is not `bigint`. */
  readonly type?: string;
  /** What the text is like, its owner, and how its table is kept: as the lookup's will be. */
  readonly label?: Shape;
  readonly owner?: Owner;
  readonly storage?: Storage;
  readonly collation?: string;
  /** Who reads the text: they read what it refers to then. */
  readonly readers?: readonly string[];
}

export interface DropLookup extends Omit<MakeLookup, 'kind'> {
  readonly kind: 'dropLookup';
}

/** A column that will refer, empty at first. */
export interface AddReferring {
  readonly kind: 'addReferring';
  readonly table: TableId;
  readonly as: string;
  /** Of the key that it refers to. */
  readonly shape: Shape;
  /** The column's definition, where all of it has to be said when it changes. */
  readonly definition?: string;
}

/** It refers to what its text is looked up as; where that is not there it stays empty. */
export interface LookUp extends OfText {
  readonly kind: 'lookUp';
  readonly as: string;
  /** True where the lookup is of the same docket: values that have come since are added to it. */
  readonly grows: boolean;
  /** True when rows can be filled a few at a time, as of a column that numbers rows. */
  readonly batches: boolean;
  /** True where each row has to refer: none is blank then, and none says what is not listed. */
  readonly every: boolean;
  /** What the text is called then: whoever no longer wants the way back drops it by that name. */
  readonly dropsLater?: string;
  /** Columns that the server sets by itself at each change of a row: they stay as they are. */
  readonly still?: readonly string[];
}

/** A text that is written no more may be empty from then on. */
export interface LetEmpty extends OfText {
  readonly kind: 'letEmpty';
  /** The column that says the same. */
  readonly as: string;
  readonly definition?: Redefined;
}

/** It is filled from what is looked up, and never empty again. */
export interface FillAgain extends Omit<LetEmpty, 'kind'> {
  readonly kind: 'fillAgain';
}

export const makeLookup: Kind<MakeLookup> = {
  rank: 0.6,
  makes: true,
  words: ({ table, column, lookup }) => `a table ${lookup.table} of the values of ${column} of ${table}`,
  inverse: (operation) => [{ ...operation, kind: 'dropLookup' }],
  apply: (operation, draft) => draft.add(lookupTable(operation, draft.get(operation.table), traitsOf(draft).nullsInUnique)),
  todo: ({ lookup }) => ({ kind: 'tableMissing', table: lookup.table }),
  after: ({ lookup }) => [{ kind: 'tableMissing', table: lookup.table }],
  changesAlso: ({ lookup }) => [lookup.table],

  fit(operation, { current }) {
    const table = current.get(operation.table);
    const column = table.columns.find(({ name }) => name === operation.column);
    if (!column) return gone(operation);
    const { storage, collation, privileges } = table;
    const readers = privileges.flatMap(({ grantee, privilege }) =>
      grantee !== table.owner && privilege.split(', ').includes('SELECT') ? [grantee] : [],
    );
    return {
      ...operation,
      ...ownerOf(table),
      label: shapeOf(column),
      ...(storage && { storage }),
      ...(collation !== undefined && { collation }),
      ...(readers.length > 0 && { readers }),
    };
  },

  refuse({ lookup, table: id, column: name }, current) {
    if (current.find(lookup.table)) return new Refusal(`${lookup.table} is there already. Choose another name.`);
    const column = current.get(id).columns.find((one) => one.name === name);
    return column ? refuseUnlisted(column, id, factsOf(current).types) : gone({ table: id, column: name });
  },
};

export const dropLookup: Kind<DropLookup> = {
  rank: 8,
  words: ({ lookup }) => `without the table ${lookup.table}`,
  inverse: () => null,
  apply: ({ lookup }, draft) => draft.remove(lookup.table),
  todo: ({ lookup }) => ({ kind: 'tablePresent', table: lookup.table }),
  changesAlso: ({ lookup }) => [lookup.table],
};

export const addReferring: Kind<AddReferring> = {
  rank: 0.8,
  words: ({ table, as }) => `a column ${as} of ${table} that will refer`,
  inverse: ({ table, as }) => [{ kind: 'dropColumn', table, column: as }],

  apply({ table: id, as, shape, definition }, draft) {
    const table = draft.get(id);
    const column = { ...referringColumn(id, as, shape), ...(definition !== undefined && { definition }) };
    draft.put({ ...table, columns: [...table.columns, column] });
  },

  todo: ({ table, as }) => ({ kind: 'columnMissing', table, column: as }),
  after: ({ table, as }) => [{ kind: 'columnMissing', table, column: as }],

  refuse({ table: id, as, shape }, current) {
    const { columns } = current.get(id);
    if (columns.some(({ name }) => name === as)) return new Refusal(`${id} has a column ${as} already. Choose another name.`);
    return refuseSpelling(shape, `${as} of ${id}`);
  },

  column: ({ as }) => as,
};

export const lookUp: Kind<LookUp> = {
  rank: 1,
  words: ({ table, column, as, lookup }) => `${as} of ${table} looked up in ${lookup.table} by ${column}`,
  // The column goes.
  inverse: () => [],
  apply: rowsOnly,
  todo: (operation) => ({ kind: 'notLookedUp', ...ofText(operation), as: operation.as }),
  before: ({ grows, every, ...operation }) => [
    ...(grows ? [] : [{ kind: 'repeats', table: operation.lookup.table, columns: [operation.lookup.label] } as const]),
    ...(every ? [{ kind: 'notListed', ...ofText(operation), grows } as const] : []),
  ],
  after: (operation) => [lookUp.todo(operation)],
  reads: ({ lookup }) => [lookup.table],

  fit(operation, { current }) {
    const table = current.get(operation.table);
    const still = table.columns.flatMap(({ name, onUpdate }) => (onUpdate === undefined ? [] : [name]));
    if (current.descendantsOf(table.id).length > 0)
      return new Refusal(`Other tables inherit from ${table.id}, whose rows would refer too. Mend it by hand.`);
    return refuseWriting(table, current) ?? { ...operation, ...(still.length > 0 && { still }) };
  },

  refuse: (operation, current) =>
    current.get(operation.table).columns.some(({ name }) => name === operation.column) ? null : gone(operation),

  // A row that was changed in the same transaction is held against every reference again, also one whose orphans were let be.
  refuseBeside(candidate, beside, catalogue) {
    const { table } = candidate.operation;
    const loose = foreignKeysOf(getTable(catalogue, table)).find(({ validated }) => !validated);
    const changed = beside.othersOn(table, candidate).some(({ kind }) => ['setAside', 'lookUp', 'retype'].includes(kind));
    return loose && changed
      ? new Refusal(
          `${loose.name} of ${table} holds for new rows only, and another remedy of this docket changes rows of it. Run that first, and look up in a docket of its own.`,
        )
      : null;
  },

  mends: ({ table, as }) => ({
    rowsOf: table,
    covers: (check) =>
      (check.kind === 'nulls' && check.columns.includes(as)) ||
      (check.kind === 'orphans' && check.reference.columns.includes(as)),
    alters: () => false,
  }),
  clear: ({ table, dropsLater }) => (dropsLater === undefined ? [] : [{ kind: 'dropColumn', table, column: dropsLater }]),
};

export const letEmpty: Kind<LetEmpty> = {
  rank: 8.5,
  words: ({ table, column }) => `${column} of ${table} may be empty`,
  inverse: ({ definition, ...operation }) => [
    {
      ...operation,
      kind: 'fillAgain',
      ...(definition && { definition: { before: definition.after, after: definition.before } }),
    },
  ],
  apply: ({ table, column, definition }, draft) =>
    draft.put(redefined(withNullability(draft.get(table), [column], true), column, definition?.after)),
  todo: ({ table, column }) => ({ kind: 'notNullable', table, column }),

  refuse(operation, current) {
    const table = current.get(operation.table);
    const column = table.columns.find(({ name }) => name === operation.column);
    if (!column) return gone(operation);
    const key = table.constraints.find(({ columns }) => columns.includes(column.name));
    return key ? new Refusal(`${column.name} of ${table.id} is in ${key.name}: keep the text, or take that away first.`) : null;
  },
};

export const fillAgain: Kind<FillAgain> = {
  rank: 8,
  words: ({ table, column }) => `${column} of ${table} filled again, and never empty`,
  inverse: () => null,
  apply: ({ table, column, definition }, draft) =>
    draft.put(redefined(withNullability(draft.get(table), [column], false), column, definition?.after)),
  todo: ({ table, column }) => ({ kind: 'nullable', table, column }),
  reads: ({ lookup }) => [lookup.table],
};

// Each of them is once in an index.
function refuseUnlisted(column: Column, table: TableId, { indexedBytes, widestIndexed }: TypeRules): Refusal | null {
  const { name, declaredType, comparable } = column;
  if (!comparable) return new Refusal(`Values of ${name} of ${table} cannot be compared.`);
  if ((indexedBytes?.(column) ?? 0) > widestIndexed)
    return new Refusal(
      `${name} of ${table} is ${declaredType}, of which an index takes the beginning only: make it shorter first.`,
    );
  return refuseSpelling(column, `${name} of ${table}`);
}

/** A type of somebody's own making bears a name that only its schema tells. */
function refuseSpelling({ declaredType }: Pick<Shape, 'declaredType'>, what: string): Refusal | null {
  return /^[a-z][a-z0-9_ ]*(\(\d+(,\d+)?\))?[a-z ]*$/.test(declaredType)
    ? null
    : new Refusal(`${what} would be ${declaredType}, a type of its own schema: mend it by hand.`);
}

function ofText({ table, column, lookup }: OfText): OfText {
  return { table, column, lookup };
}

function gone({ table, column }: Pick<OfText, 'table' | 'column'>): Refusal {
  return new Refusal(`${table} has no column ${column} any more. Survey again.`);
}

function referringColumn(table: TableId, name: string, shape: Shape): Column {
  return {
    ...{ id: columnId(table, name), name, ...shape, domain: null, nullable: true, default: null },
    ...{ fillsItself: false, identity: null, generated: null, comment: null, statistics: null },
  };
}

/** As the server will see it. */
function lookupTable(
  { lookup: { table: id, key, label }, names, type, label: shape, column, collation, storage }: MakeLookup,
  of: Table,
  nulls: 'distinct' | 'alike' | 'alike unless all null',
): Table {
  const like = shape ?? shapeOf(of.columns.find(({ name }) => name === column) as Column);
  const bare: Table = {
    ...{ id, schema: of.schema, name: tableNames(id).table, kind: 'table', persistence: 'permanent', inherits: [] },
    ...{ comment: null, estimatedRows: null, bytes: 0, activity: null, readable: of.readable, owner: of.owner },
    ...(storage && { storage }),
    ...(collation !== undefined && { collation }),
    columns: [numberedColumn(id, key, type), { ...referringColumn(id, label, like), nullable: false }],
    ...{ constraints: [], indexes: [], triggers: [], privileges: [] },
  };
  const keyed = withKey(bare, { kind: 'primary key', ...newConstraint(bare, names.key), columns: [key], index: names.key });
  return withKey(keyed, { kind: 'unique', nulls, ...newConstraint(bare, names.unique), columns: [label], index: names.unique });
}
