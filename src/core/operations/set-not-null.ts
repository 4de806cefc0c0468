import { withNullability } from '../catalogue/edit';
import type { TableId } from '../catalogue/identifiers';
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
}

export interface DropNotNull {
  readonly kind: 'dropNotNull';
  readonly table: TableId;
  readonly column: string;
  readonly handedDown?: HandedDown;
  /** The constraint that holds for new rows only afterwards, as it did before. */
  readonly loose?: string;
}

export const setNotNull: Kind<SetNotNull> = {
  rank: 6,
  words: ({ table, column }) => `${column} of ${table} never empty`,

  inverse: ({ table, column, handedDown, loose, named }) => [
    {
      kind: 'dropNotNull',
      table,
      column,
      ...(handedDown && { handedDown }),
      ...(loose && named !== undefined && { loose: named }),
    },
  ],

  apply({ table: id, column }, draft) {
    const fill = (table: Parameters<typeof withNullability>[0]) => withNullability(table, [column], false);
    changeDown(draft, id, fill, fill);
  },

  todo: ({ table, column }) => ({ kind: 'nullable', table, column }),
  before: ({ table, column }) => [{ kind: 'nulls', table, columns: [column] }],
  after: ({ table, column }) => [{ kind: 'nullable', table, column }],
  proofs: ({ table, column }) => [{ kind: 'null', table, column }],

  fit(operation, on) {
    const handedDown = handingDown(on.current.get(operation.table), operation.column, on);
    return { ...operation, ...(handedDown && { handedDown }), ...nameOf(operation, on) };
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

export const dropNotNull: Kind<DropNotNull> = {
  rank: -1,
  words: ({ table, column }) => `${column} of ${table} may be empty`,
  inverse: ({ table, column }) => [{ kind: 'setNotNull', table, column }],

  apply({ table: id, column, handedDown }, draft) {
    changeDown(
      draft,
      id,
      (table) => withNullability(table, [column], true),
      (heir) => (handedDown?.made.includes(heir.id) ? withNullability(heir, [column], true) : heir),
    );
  },

  todo: ({ table, column }) => ({ kind: 'notNullable', table, column }),
};
