import { columnsId } from '../catalogue/identifiers';
import { factsOf } from '../engines/facts';
import { type DefaultValue, defaultInWords, isDefault, refuseDefault } from '../operations/default-value';
import type { OnTable, WishKind } from './wish';

/** What new rows take where they say nothing. */
export interface DefaultWish extends OnTable {
  readonly kind: 'default';
  readonly column: string;
  readonly value: DefaultValue;
}

export const defaultWish: WishKind<DefaultWish> = {
  title: 'has a default',
  columns: ({ column }) => [column],
  mark: ({ table, column }) => columnsId(table, [column]),
  words: ({ column, value }) =>
    value.kind === 'none' ? `${column} has no default` : `${column} is ${defaultInWords(value)} by default`,
  isGranted: ({ column, value }, { table, catalogue }) =>
    table.columns.some((one) => one.name === column && isDefault(one, value, factsOf(catalogue).types)),
  problem: ({ column, value }, { table, catalogue }) => refuseDefault(table, column, value, catalogue)?.message ?? null,
  proposal: ({ column, value }) => ({ kind: 'default', columns: [column], value }),
};
