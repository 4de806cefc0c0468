import { declaredUniques, sameColumnSet } from '../catalogue/lookups';
import type { Table } from '../catalogue/model';
import { plural, rowOf, spoken } from '../naming/words';
import type { AddUnique } from '../operations/add-unique';
import { give, type Naming } from './names';
import type { Ground, Remedy } from './remedy';

export interface UniqueProposal {
  readonly kind: 'unique';
  readonly columns: readonly string[];
}

/** A unique index that becomes a constraint. */
export interface PromoteProposal {
  readonly kind: 'promote';
  readonly columns: readonly string[];
  readonly index: string;
}

export const uniqueRemedy: Remedy<UniqueProposal> = {
  operations: ({ columns }, { table, naming }) => [addUnique(table, columns, naming)],
  holds: isUnique,
  makesKey: ({ columns }) => columns,
  seems: () => 'never repeats',
  outcome: uniqueInWords,
};

export const promoteRemedy: Remedy<PromoteProposal> = {
  makesKey: ({ columns }) => columns,
  operations: ({ columns, index }, { table, naming }) => [{ ...addUnique(table, columns, naming), index }],
  holds: ({ columns }, { table }) =>
    table.constraints.some((c) => (c.kind === 'unique' || c.kind === 'primary key') && sameColumnSet(c.columns, columns)),
  outcome: uniqueInWords,
};

type OfColumns = Pick<UniqueProposal, 'columns'>;

export function addUnique(table: Table, columns: readonly string[], naming: Naming): AddUnique {
  return { kind: 'addUnique', table: table.id, columns, name: give(naming, table, { kind: 'unique', columns }), index: null };
}

export function isUnique({ columns }: OfColumns, { table }: Pick<Ground, 'table'>): boolean {
  return declaredUniques(table).some((unique) => sameColumnSet(unique, columns));
}

export function uniqueInWords({ columns }: OfColumns, { table }: Pick<Ground, 'table'>): string {
  return `No two ${plural(rowOf(table.name))} have the same ${columns.map(spoken).join(' and ')}.`;
}
