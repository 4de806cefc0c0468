import { withNullability } from '../catalogue/edit';
import type { TableId } from '../catalogue/identifiers';
import { foreignKeysOf } from '../catalogue/lookups';
import type { Table } from '../catalogue/model';
import { changeDown, type HandedDown, handingDown } from './hand-down';
import type { Ground, Kind } from './operation';
import { Refusal } from './refusal';

export interface SetNotNull {
  readonly kind: 'setNotNull';
  readonly table: TableId;
  readonly column: string;
  readonly handedDown?: HandedDown;
  /** The name of the constraint that it is, on servers that keep it as one. */
  readonly named?: string;
  /** True when that is there already, and holds for new rows only. */
  readonly loose?: boolean;
  /** The column's definition as it is and as it will be, where all of it has to be said. */
  readonly definition?: Redefined;
}

export interface Redefined {
  readonly before: string;
  readonly after: string;
}

export interface DropNotNull {
  readonly kind: 'dropNotNull';
  readonly table: TableId;
  readonly column: string;
  readonly handedDown?: HandedDown;
  /** The constraint that holds for new rows only afterwards, as it did before. */
  readonly loose?: string;
  /** The column's definition as it will be, where all of it has to be said. */
  readonly definition?: string;
  /** The same as it is, where that is not the way back of something. */
  readonly former?: string;
}

export const setNotNull: Kind<SetNotNull> = {
  rank: 6,
  words: ({ table, column }) => `${column} of ${table} never empty`,

  inverse: ({ table, column, handedDown, loose, named, definition }) => [
    {
      kind: 'dropNotNull',
      table,
      column,
      ...(handedDown && { handedDown }),
      ...(loose && named !== undefined && { loose: named }),
      ...(definition && { definition: definition.before }),
    },
  ],

  apply({ table: id, column, definition }, draft) {
    const fill = (table: Table) => redefined(withNullability(table, [column], false), column, definition?.after);
    changeDown(draft, id, fill, fill);
  },

  todo: ({ table, column }) => ({ kind: 'nullable', table, column }),
  before: ({ table, column }) => [{ kind: 'nulls', table, columns: [column] }],
  after: ({ table, column }) => [{ kind: 'nullable', table, column }],
  proofs: ({ table, column }) => [{ kind: 'null', table, column }],

  fit(operation, on) {
    const table = on.current.get(operation.table);
    const emptied = on.traits.emptiesNullableOnly ? refuseEmptied(table, [operation.column]) : null;
    if (emptied) return emptied;
    const handedDown = handingDown(table, operation.column, on);
    const definition = redefinition(table, operation.column, on);
    return { ...operation, ...(handedDown && { handedDown }), ...nameOf(operation, on), ...(definition && { definition }) };
  },

  refuse: ({ table: id, column }, current) =>
    current.get(id).columns.some((c) => c.name === column && !c.nullable)
      ? new Refusal(`${id}.${column} is NOT NULL already, or another remedy of this docket makes it so.`)
      : null,

  fills: ({ column }) => [column],
};

function nameOf(
  { table: id, column }: SetNotNull,
  { current, namedNotNull, shorten }: Ground,
): Pick<SetNotNull, 'named' | 'loose'> {
  if (!namedNotNull) return {};
  const table = current.get(id);
  const there = table.columns.find(({ name }) => name === column)?.notNull;
  return there ? { named: there.name, loose: true } : { named: shorten(`${table.name}_${column}_not_null`) };
}

/** Why columns have to stay nullable: a reference empties one of them when its parent goes or changes. */
export function refuseEmptied(table: Table, columns: readonly string[]): Refusal | null {
  const key = foreignKeysOf(table).find(
    ({ columns: own, onDelete, onUpdate }) =>
      (onDelete === 'set null' || onUpdate === 'set null') && own.some((column) => columns.includes(column)),
  );
  return key
    ? new Refusal(
        `${key.name} of ${table.id} empties ${key.columns.join(', ')}: it cannot be NOT NULL. Choose another action for it, or leave it nullable.`,
      )
    : null;
}

/** What is said of the column when it is never empty; null where only that has to be said. */
export function redefinition(table: Table, column: string, { withNullability: write }: Ground): Redefined | null {
  const before = table.columns.find(({ name }) => name === column)?.definition;
  return write && before !== undefined ? { before, after: write(before, false) } : null;
}

function redefined(table: Table, column: string, definition: string | undefined): Table {
  if (definition === undefined) return table;
  return { ...table, columns: table.columns.map((one) => (one.name === column ? { ...one, definition } : one)) };
}

export const dropNotNull: Kind<DropNotNull> = {
  rank: -1,
  words: ({ table, column }) => `${column} of ${table} may be empty`,
  inverse: ({ table, column, definition, former }) => [
    {
      kind: 'setNotNull',
      table,
      column,
      ...(definition !== undefined && former !== undefined && { definition: { before: definition, after: former } }),
    },
  ],

  fit(operation, { current, withNullability: write }) {
    const former = current.get(operation.table).columns.find(({ name }) => name === operation.column)?.definition;
    return write && former !== undefined ? { ...operation, definition: write(former, true), former } : operation;
  },

  apply({ table: id, column, handedDown, definition }, draft) {
    changeDown(
      draft,
      id,
      (table) => redefined(withNullability(table, [column], true), column, definition),
      (heir) => (handedDown?.made.includes(heir.id) ? withNullability(heir, [column], true) : heir),
    );
  },

  todo: ({ table, column }) => ({ kind: 'notNullable', table, column }),
};
