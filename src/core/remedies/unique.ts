import { declaredUniques, sameColumnSet } from '../catalogue/lookups';
import type { Table } from '../catalogue/model';
import { plural, rowOf, spoken } from '../naming/words';
import type { AddUnique } from '../operations/add-unique';
import { type Among, amongInWords } from '../evidence/among';
import type { CreateIndex } from '../operations/create-index';
import { createIndex } from './index-columns';
import { give, type Naming } from './names';
import type { Ground, Making, Remedy } from './remedy';

export interface UniqueProposal {
  readonly kind: 'unique';
  readonly columns: readonly string[];
  /** Where it is an index's matter: of some rows only, or of texts whatever their case. */
  readonly among?: Among;
}

/** A unique index that becomes a constraint. */
export interface PromoteProposal {
  readonly kind: 'promote';
  readonly columns: readonly string[];
  readonly index: string;
}

export const uniqueRemedy: Remedy<UniqueProposal> = {
  operations: (proposal, on) => [uniqueBy(proposal, on)],
  holds: isUnique,
  makesKey: ({ columns, among }) => (among ? [] : columns),
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

type OfColumns = Pick<UniqueProposal, 'columns' | 'among'>;

export function addUnique(table: Table, columns: readonly string[], naming: Naming): AddUnique {
  return { kind: 'addUnique', table: table.id, columns, name: give(naming, table, { kind: 'unique', columns }), index: null };
}

/** What keeps them from repeating: a constraint, or an index where it is of some rows only. */
export function uniqueBy(
  { columns, among }: OfColumns,
  { table, naming }: Pick<Making, 'table' | 'naming'>,
): AddUnique | CreateIndex {
  return among ? { ...createIndex(table, columns, naming), unique: true, among } : addUnique(table, columns, naming);
}

export function isUnique({ columns, among }: OfColumns, { table }: Pick<Ground, 'table'>): boolean | 'ask the rule' {
  // What an expression makes of a value, the catalogue does not tell.
  if (among?.folded) return 'ask the rule';
  if (among)
    return table.indexes.some(
      (index) =>
        index.unique &&
        index.predicate !== null &&
        sameColumnSet(
          index.columns.flatMap((c) => c ?? []),
          columns,
        ),
    );
  return declaredUniques(table).some((unique) => sameColumnSet(unique, columns));
}

export function uniqueInWords({ columns, among }: OfColumns, { table }: Pick<Ground, 'table'>): string {
  return `No two ${plural(rowOf(table.name))} have the same ${columns.map(spoken).join(' and ')}${among ? amongInWords(among) : ''}.`;
}
