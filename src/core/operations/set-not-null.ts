import { withNullability } from '../catalogue/edit';
import type { TableId } from '../catalogue/identifiers';
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
    const handedDown = handingDown(table, operation.column, on);
    return { ...operation, ...(handedDown && { handedDown }), ...nameOf(operation, on) };
  },

  refuse: ({ table: id, column }, current) =>
    current.get(id).columns.some((c) => c.name === column && !c.nullable)
      ? new Refusal(`${id}.${column} is NOT NULL already, or another remedy of this docket makes it so.`)
      : null,

  fills: ({ column }) => [column],
};

function nameOf({ table: id, column }: SetNotNull, { current, traits, shorten }: Ground): Pick<SetNotNull, 'named' | 'loose'> {
  if (!traits.namedNotNull) return {};
  const table = current.get(id);
  const there = table.columns.find(({ name }) => name === column)?.notNull;
  return there ? { named: there.name, loose: true } : { named: shorten(`${table.name}_${column}_not_null`) };
}

/** The same table where no definition has to be said. */
export function redefined(table: Table, column: string, definition: string | undefined): Table {
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
