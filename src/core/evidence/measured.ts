// Evidence drawn for tests: a profile said in a few numbers, as a survey would have measured it.

import type { TableId } from '../catalogue/identifiers';
import { getTable } from '../catalogue/lookups';
import type { Catalogue } from '../catalogue/model';
import { type Evidence, evidenceOf, type Fact, type How } from './evidence';

const at = '2026-11-24T00:00:00.000Z';
const exact: How = { kind: 'exact' };

/** Numbers of a column: how many nulls, and distinct values among the rest. */
export interface Drawn {
  readonly nulls?: number;
  readonly distinct: number;
}

/** A profile; columns not drawn are never null and hold ten values over and over. */
export function profiled(
  catalogue: Catalogue,
  table: string,
  rows: number,
  drawn: Readonly<Record<string, Drawn>> = {},
  how = exact,
): Fact {
  const id = table as TableId;
  const columns = Object.fromEntries(
    getTable(catalogue, id).columns.map(({ name }) => {
      const { nulls = 0, distinct } = drawn[name] ?? { distinct: Math.min(10, rows) };
      return [name, { nulls, blanks: null, compared: rows - nulls, distinct }];
    }),
  );
  return { request: { kind: 'profile', table: id }, how, result: { rows, columns }, at };
}

export function repeating(table: string, columns: readonly string[], rows: number, repeatedRows = 0): Fact {
  const result = { rows, nullRows: 0, repeatedRows, repeatedValues: Math.ceil(repeatedRows / 2) };
  return { request: { kind: 'repeats', table: table as TableId, columns }, how: exact, result, at };
}

export function included(
  from: readonly [string, ...string[]],
  to: readonly [string, ...string[]],
  rows: number,
  orphanRows = 0,
  childValues = rows,
): Fact {
  const [table, ...columns] = from;
  const [parent, ...parentColumns] = to;
  const request = { kind: 'inclusion', table: table as TableId, columns, parent: parent as TableId, parentColumns } as const;
  return {
    request,
    how: exact,
    result: { rows, nullRows: 0, orphanRows, orphanValues: Math.min(orphanRows, childValues), childValues },
    at,
  };
}

export function evidence(...facts: readonly Fact[]): Evidence {
  return evidenceOf(facts);
}
