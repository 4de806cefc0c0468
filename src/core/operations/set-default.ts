import type { TableId } from '../catalogue/identifiers';
import { type DefaultValue, defaultInWords, foretold, refuseDefault } from './default-value';
import type { Kind } from './operation';
import { Refusal } from './refusal';

/** What new rows of this table alone take in a column where they say nothing. */
export interface SetDefault {
  readonly kind: 'setDefault';
  readonly table: TableId;
  readonly column: string;
  readonly value: DefaultValue;
  /** As the server spells what it takes now; null for nothing. */
  readonly before: string | null;
  /** True when what it takes now makes an identifier that is like no other. */
  readonly filled?: true;
}

export const setDefault: Kind<SetDefault> = {
  rank: 7,
  words: ({ table, column, value }) =>
    value.kind === 'none'
      ? `${column} of ${table} without a default`
      : `${defaultInWords(value)} as the default of ${column} of ${table}`,
  inverse: ({ kind, table, column, value, before, filled }) => [
    {
      ...{ kind, table, column },
      value: before === null ? { kind: 'none' } : { kind: 'expression', text: before },
      before: foretold(value),
      ...(filled && { filled }),
    },
  ],
  apply({ table: id, column, value, filled }, draft) {
    const table = draft.get(id);
    const fillsItself = value.kind === 'newId' || (value.kind === 'expression' && filled === true);
    const columns = table.columns.map((one) => (one.name === column ? { ...one, default: foretold(value), fillsItself } : one));
    draft.put({ ...table, columns });
  },
  // How a server will spell what it was not asked yet nobody knows: that it is no longer what it was shows that it is done.
  todo: ({ table, column, value, before }) =>
    value.kind === 'expression' || value.kind === 'none'
      ? { kind: 'defaultIsNot', table, column, expression: foretold(value) }
      : { kind: 'defaultIs', table, column, expression: before },
  after: (operation) => [setDefault.todo(operation)],
  fit(operation, { current }) {
    const column = current.get(operation.table).columns.find(({ name }) => name === operation.column);
    return { ...operation, before: column?.default ?? null, ...(column?.fillsItself && { filled: true }) };
  },
  refuse({ table, column, value }, current) {
    const own = current.get(table).columns.find(({ name }) => name === column);
    const has = own?.default ?? null;
    // Afterwards nobody could tell whether it was done.
    if (has !== null && has === foretold(value)) return new Refusal(`${column} of ${table} has this default already.`);
    return refuseDefault(current.get(table), column, value, current);
  },
};
