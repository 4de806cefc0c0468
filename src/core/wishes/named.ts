import { findConstraint } from '../catalogue/lookups';
import type { Table } from '../catalogue/model';
import { factsOf } from '../engines/facts';
import { namesTaken } from '../naming/taken';
import type { OnTable, WishKind } from './wish';

/** What can get another name: a table, and what belongs to one. */
export const namedParts = ['table', 'column', 'constraint', 'index', 'trigger'] as const;
export type NamedPart = (typeof namedParts)[number];

export interface NamedWish extends OnTable {
  readonly kind: 'named';
  readonly object: NamedPart;
  readonly from: string;
  readonly to: string;
}

export const namedWish: WishKind<NamedWish> = {
  title: 'goes by another name',
  columns: (wish, table) => (table && columnsIn(table, wish)) ?? [],
  mark: ({ object, table, from }) => `${object} ${table}#${from}`,
  words: ({ object, from, to }) => (object === 'table' ? `the table is called ${to}` : `the ${object} ${from} is called ${to}`),
  isGranted: ({ from, to }) => from === to,
  object: ({ object, from }) => (object === 'column' || object === 'table' ? undefined : from),

  problem(wish, { table, catalogue }) {
    const { object, from, to } = wish;
    if (columnsIn(table, wish) === null)
      return object === 'table' ? `${table.id} is not called ${from}.` : `${table.id} has no ${object} ${from}.`;
    if (to === '') return 'Say what it is to be called.';
    if (factsOf(catalogue).names.shorten(to) !== to) return `${to} is longer than a name may be.`;
    const taken =
      object === 'column'
        ? table.columns.some(({ name }) => name === to)
        : object === 'trigger'
          ? table.triggers.some(({ name }) => name === to)
          : object === 'constraint' && findConstraint(table, to) !== null;
    if (taken) return `${table.id} has a ${object} ${to} already.`;
    return object !== 'column' && object !== 'trigger' && namesTaken(catalogue, table.schema).has(to)
      ? `${to} is the name of something else in ${table.schema}.`
      : null;
  },

  proposal(wish, { table }) {
    const { object, from, to } = wish;
    const columns = columnsIn(table, wish) ?? [];
    return { kind: 'rename', columns, from, to, ...(object !== 'constraint' && { object }) };
  },
};

/** The columns of what is to get another name; null when there is no such thing. */
function columnsIn(table: Table, { object, from }: NamedWish): readonly string[] | null {
  switch (object) {
    case 'table':
      return table.name === from ? [] : null;
    case 'column':
      return table.columns.some(({ name }) => name === from) ? [from] : null;
    case 'constraint':
      return findConstraint(table, from)?.columns ?? null;
    case 'trigger':
      return table.triggers.some(({ name }) => name === from) ? [] : null;
    case 'index': {
      const index = table.indexes.find(({ name, constraint }) => name === from && constraint === null);
      return index?.columns.filter((column) => column !== null) ?? null;
    }
  }
}
