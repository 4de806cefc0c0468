import { isIndexed } from '../catalogue/lookups';
import type { Table } from '../catalogue/model';
import type { CreateIndex } from '../operations/create-index';
import { give, type Naming } from './names';
import type { Remedy } from './remedy';

export interface IndexProposal {
  readonly kind: 'index';
  readonly columns: readonly string[];
}

export const indexRemedy: Remedy<IndexProposal> = {
  operations: ({ columns }, { table, naming }) => [createIndex(table, columns, naming)],
  holds: ({ columns }, { table }) => isIndexed(table, columns),
};

export function createIndex(table: Table, columns: readonly string[], naming: Naming): CreateIndex {
  return { kind: 'createIndex', table: table.id, columns, name: give(naming, table, { kind: 'index', columns }), unique: false };
}
