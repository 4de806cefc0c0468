import type { Table } from '../catalogue/model';
import { rowOf, spoken } from '../naming/words';
import type { SetNotNull } from '../operations/set-not-null';
import type { Ground, Remedy } from './remedy';

export interface NotNullProposal {
  readonly kind: 'notNull';
  readonly columns: readonly string[];
}

export const notNullRemedy: Remedy<NotNullProposal> = {
  operations: ({ columns }, { table }) => neverEmpty(table, columns),
  holds: isFilled,
  seems: () => 'never empty',
  outcome: filledInWords,
};

type OfColumns = Pick<NotNullProposal, 'columns'>;

export function neverEmpty(table: Table, columns: readonly string[]): readonly SetNotNull[] {
  return columns.map((column) => ({ kind: 'setNotNull', table: table.id, column }));
}

export function isFilled({ columns }: OfColumns, { table }: Pick<Ground, 'table'>): boolean {
  return columns.every((name) => table.columns.some((c) => c.name === name && !c.nullable));
}

export function filledInWords({ columns }: OfColumns, { table }: Pick<Ground, 'table'>): string {
  return `Every ${rowOf(table.name)} has its ${columns.map(spoken).join(' and ')}.`;
}
