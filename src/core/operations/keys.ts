// What adding a primary key and adding a unique constraint have in common.

import type { Draft } from '../catalogue/draft';
import type { TableId } from '../catalogue/identifiers';
import type { Table } from '../catalogue/model';
import type { Check } from './check';
import type { Operation } from './index';
import type { Proof } from './proof';
import { keepsOwnRows } from './reference';
import { Refusal } from './refusal';

export interface AddedKey {
  readonly table: TableId;
  readonly name: string;
  readonly columns: readonly string[];
  /** A unique index over the same columns that becomes the key's own, and takes its name; null to build one. */
  readonly index: string | null;
  readonly rows?: KeyRows;
}

/** Where a key does not simply hold for the rows of its table: others inherit from it and keep their own, or it is split. */
export type KeyRows = 'own' | 'partitioned';

/** Dropping a key drops the index that became its own, which is made again. */
export function withoutKey({ table, name, columns, index, rows }: AddedKey): readonly Operation[] {
  return [
    { kind: 'dropConstraint', table, name, isKey: true, ...(rows === 'partitioned' && { partitioned: true }) },
    ...(index === null ? [] : [{ kind: 'createIndex', table, name: index, columns, unique: true } as const]),
  ];
}

export function repeatsIn({ table, columns, rows }: AddedKey): Check {
  return { kind: 'repeats', table, columns, ...(rows === 'own' && { only: true }) };
}

export function repeatProof({ table, columns, name, rows }: AddedKey): Proof {
  return { kind: 'repeat', table, columns, constraint: name, ...(rows === 'own' && { only: true }) };
}

export function onIndex(index: string | null): string {
  return index === null ? '' : `, on the index ${index} that is there`;
}

/** Which rows a key of a table holds for. */
export function keyRows(table: Table, current: Draft): { readonly rows?: KeyRows } {
  if (table.kind === 'partitioned') return { rows: 'partitioned' };
  return keepsOwnRows(table, current) ? { rows: 'own' } : {};
}

/** What is unique across partitions has to hold the columns that the table is split by. */
export function refuseSplit({ id, kind, splitBy }: Table, columns: readonly string[]): Refusal | null {
  if (kind !== 'partitioned') return null;
  const missing = splitBy?.filter((column) => !columns.includes(column)) ?? [];
  if (splitBy === null)
    return new Refusal(`${id} is split by an expression: nothing can be declared unique across its partitions.`);
  return missing.length > 0
    ? new Refusal(`${id} is split by ${missing.join(', ')}: what is unique across its partitions has to hold that too.`)
    : null;
}

/** Of an index that is to become a key's own. */
export function refuseTakenIndex({ index }: AddedKey, table: Table): Refusal | null {
  if (index === null || table.indexes.some(({ name, constraint }) => name === index && constraint === null)) return null;
  return new Refusal(`The index ${index} of ${table.id} is made a key by another remedy of this docket already.`);
}
