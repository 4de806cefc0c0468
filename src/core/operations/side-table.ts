// Side tables: where a repair keeps what it changes.

import { besideTable, type TableId } from '../catalogue/identifiers';
import type { Table } from '../catalogue/model';
import type { Draft } from '../catalogue/draft';
import type { Kind, Owner } from './operation';
import { keepsOwnRows } from './reference';
import { Refusal } from './refusal';

/** Of an operation that keeps what it changes in a side table, brings it back from there, or drops it. */
export interface Keeping {
  readonly table: TableId;
  /** In the schema of the table. */
  readonly sideTable: string;
  readonly owner?: Owner;
}

/** Where set-aside rows are kept: in the schema that they come from. */
export function sideTableOf({ table, sideTable }: Keeping): TableId {
  return besideTable(table, sideTable);
}

/** The side table of a repair, dropped for good: then there is no way back. */
export interface DropKept extends Keeping {
  readonly kind: 'dropKept';
}

export const dropKept: Kind<DropKept> = {
  rank: 9,
  words: ({ table, sideTable }) => `drop ${sideTable}, with what was kept of ${table}`,
  inverse: () => null,
  apply: rowsOnly,
  todo: (operation) => ({ kind: 'tablePresent', table: sideTableOf(operation) }),
};

/** Rows change, not the structure; the side table is ours and comes and goes with the docket. */
export function rowsOnly(): void {
  // Nothing of the catalogue.
}

export function clearKept({ table, sideTable }: Keeping): readonly [DropKept] {
  return [{ kind: 'dropKept', table, sideTable }];
}

/** Of a table whose rows are to be changed: what is written to it must be written to it alone, as it is. */
export function refuseWriting({ id, kind, rewritten, storage }: Table, current: Draft): Refusal | null {
  if (keepsOwnRows({ id, kind } as Table, current))
    return new Refusal(`Other tables inherit from ${id}, whose rows would be changed too. Mend its rows by hand.`);
  if (storage?.transactional === false)
    return new Refusal(
      `${id} is kept by ${storage.engine}, where a change stays though its transaction is rolled back: a repair that was interrupted could not be told from one that is done. Mend its rows by hand, or bring it to an engine with transactions first.`,
    );
  if (rewritten)
    return new Refusal(
      `Rules of ${id} turn what is written to it into something else, and so would a repair. Mend its rows by hand.`,
    );
  return null;
}
