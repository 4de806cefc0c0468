import { factsOf } from '../engines/facts';
import { type DefaultValue, defaultInWords, isDefault } from '../operations/default-value';
import type { Remedy } from './remedy';

/** What new rows take in a column where they say nothing. */
export interface DefaultProposal {
  readonly kind: 'default';
  readonly columns: readonly string[];
  readonly value: DefaultValue;
}

export const defaultRemedy: Remedy<DefaultProposal> = {
  operations: ({ columns: [column = ''], value }, { table }) => [
    { kind: 'setDefault', table: table.id, column, value, before: null },
  ],
  holds: ({ columns: [column = ''], value }, { table, catalogue }) =>
    table.columns.some((one) => one.name === column && isDefault(one, value, factsOf(catalogue).types)),
  outcome: ({ columns: [column = ''], value }, { table }) =>
    `New rows of ${table.id} that say nothing of ${column} take ${value.kind === 'none' ? 'nothing' : defaultInWords(value)}; those that are there stay as they are.`,
};
