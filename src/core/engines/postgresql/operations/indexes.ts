import type { TableId } from '../../../catalogue/identifiers';
import type { CreateIndex, DropIndex } from '../../../operations/create-index';
import type { RenameIndex } from '../../../operations/rename-index';
import type { Stage } from '../../dialect';
import { quote, quoteList, quoteTable } from '../quote';
import { foldedText, livesOn } from '../spelling';
import { alone, buildingIndexes, cleansUp, exclusive, inSchemaOf, nobodyWaits, type Writing } from './writing';

export const createIndex: Writing<CreateIndex> = {
  statements: (operation) => [`create ${operation.unique ? 'unique ' : ''}index ${quote(operation.name)}\n${tailOf(operation)}`],
  cost: () => ({ lock: 'SHARE', blocks: 'writers', work: 'builds an index' }),
  quiet: {
    stages: (operation, whole) =>
      operation.partitioned ? [whole] : builtBeside(operation.table, operation.name, tailOf(operation), operation.unique),
    cost: (operation) => (operation.partitioned ? createIndex.cost(operation) : { ...nobodyWaits, work: 'builds an index' }),
  },
  bytesPassed: (operation, cost, catalogue) => buildingIndexes(operation, [operation.columns], cost, catalogue),
};

function tailOf({ table, columns, among = {} }: CreateIndex): string {
  const over = among.folded ? columns.map((column) => `(${foldedText(column)})`).join(', ') : quoteList(columns);
  return `  on ${quoteTable(table)} (${over})${among.live ? `\n  where ${livesOn(among.live)}` : ''}`;
}

export const dropIndex: Writing<DropIndex> = {
  statements: ({ table, name }) => [`drop index ${inSchemaOf(table, name)}`],
  cost: () => exclusive('catalogue only'),
  quiet: {
    stages: ({ table, name, partitioned }, whole) => [partitioned ? whole : dropIndexBeside(table, name)],
    cost: ({ partitioned }) => (partitioned ? exclusive('catalogue only') : nobodyWaits),
  },
};

// Manual, "ALTER INDEX": it takes SHARE UPDATE EXCLUSIVE, nobody waits for it.
export const renameIndex: Writing<RenameIndex> = {
  statements: ({ table, from, to }) => [`alter index ${inSchemaOf(table, from)}\n  rename to ${quote(to)}`],
  cost: () => nobodyWaits,
};

/** Beside the work. A build that was interrupted leaves an index that is not valid and takes the name. */
export function buildIndex(table: TableId, name: string, columns: readonly string[], unique: boolean): readonly Stage[] {
  return builtBeside(table, name, `  on ${quoteTable(table)} (${quoteList(columns)})`, unique);
}

/** `tail`: what follows the name. */
export function builtBeside(table: TableId, name: string, tail: string, unique: boolean): readonly Stage[] {
  const create = `create ${unique ? 'unique ' : ''}index concurrently ${quote(name)}\n${tail}`;
  return [
    cleansUp(alone(`drop index concurrently ${inSchemaOf(table, name)}`, { kind: 'indexBroken', table, name }, nobodyWaits)),
    alone(create, { kind: 'indexMissing', table, name }, { ...nobodyWaits, work: 'builds an index' }),
  ];
}

export function dropIndexBeside(table: TableId, name: string): Stage {
  return alone(`drop index concurrently ${inSchemaOf(table, name)}`, { kind: 'indexPresent', table, name }, nobodyWaits);
}
