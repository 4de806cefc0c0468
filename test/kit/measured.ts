// Evidence drawn for tests: said in a few numbers, as a survey would have measured it.

import type { TableId } from '../../src/core/catalogue/identifiers';
import { getTable } from '../../src/core/catalogue/lookups';
import type { Catalogue } from '../../src/core/catalogue/model';
import type { Claim } from '../../src/core/evidence/claims';
import { type Evidence, evidenceOf, type Fact, type How } from '../../src/core/evidence/evidence';
import type { RepeatsRequest } from '../../src/core/evidence/requests';
import type { SampledColumn } from '../../src/core/evidence/sample';

const at = '2026-11-24T00:00:00.000Z';
const exact: How = { kind: 'exact' };

/** Numbers of a column: how many nulls, and distinct values among the rest; all else as far as a test needs it. */
export interface Drawn extends Partial<Omit<SampledColumn, 'distinct' | 'nulls'>> {
  readonly nulls?: number;
  readonly blanks?: number;
  readonly distinct: number;
  readonly min?: string;
  readonly max?: string;
}

/** A profile and a sample of the whole table; columns not drawn are never null and hold ten values over and over. */
export function profiled(
  catalogue: Catalogue,
  table: string,
  rows: number,
  drawn: Readonly<Record<string, Drawn>> = {},
  how = exact,
  uniques: readonly (readonly string[])[] = [],
): readonly Fact[] {
  const id = table as TableId;
  const all = getTable(catalogue, id).columns.map(({ name }) => ({ name, ...(drawn[name] ?? { distinct: Math.min(10, rows) }) }));
  const profile = Object.fromEntries(
    all.map(({ name, nulls = 0, blanks = null, min = null, max = null }) => [name, { nulls, blanks, min, max }]),
  );
  const sample = Object.fromEntries(
    all.map(({ name, nulls = 0, distinct, folded, frequent, longest, forms, filled, negative, agreement, rising }) => [
      name,
      {
        nulls,
        distinct,
        folded: folded ?? distinct,
        frequent: frequent ?? [],
        longest: longest ?? null,
        forms: forms ?? {},
        filled: filled ?? rows - nulls,
        negative: negative ?? 0,
        agreement: agreement ?? (distinct > 0 && distinct < rows - nulls ? 1 / distinct : 0),
        rising: rising ?? null,
      },
    ]),
  );
  const singles = all.filter((c) => rows > 0 && c.distinct === rows - (c.nulls ?? 0) && c.distinct > 0).map((c) => [c.name]);
  return [
    { request: { kind: 'profile', table: id }, how, result: { rows, columns: profile }, at },
    {
      request: { kind: 'sample', table: id },
      how,
      result: { rows, columns: sample, uniques: [...singles, ...uniques], ordered: [] },
      at,
    },
  ];
}

export function repeating(
  table: string,
  columns: readonly string[],
  rows: number,
  repeatedRows = 0,
  more: Partial<Pick<RepeatsRequest, 'folded' | 'live'>> = {},
  nullRows = 0,
): Fact {
  const repeatedValues = Math.ceil(repeatedRows / 2);
  return {
    request: { kind: 'repeats', table: table as TableId, columns, ...more },
    how: exact,
    result: { rows, nullRows, surplus: repeatedRows - repeatedValues, repeatedRows, repeatedValues },
    at,
  };
}

/** `[table, column]` of the child, then of the parent. */
export function included(
  child: readonly [string, ...string[]],
  parent: readonly [string, ...string[]],
  rows: number,
  orphanRows = 0,
): Fact {
  const [table, ...columns] = child;
  const [parentTable, ...parentColumns] = parent;
  return {
    request: { kind: 'inclusion', table: table as TableId, columns, parent: parentTable as TableId, parentColumns },
    how: exact,
    result: { rows, nullRows: 0, orphanRows, orphanValues: orphanRows },
    at,
  };
}

/** Some of the child's values were looked up among the keys of each parent, and all were found. */
export function probed(child: readonly [string, string], parents: readonly (readonly [string, string])[]): Fact {
  const [table, column] = child;
  return {
    request: {
      kind: 'probe',
      table: table as TableId,
      column,
      parents: parents.map(([parent, key]) => ({ table: parent as TableId, column: key })),
    },
    how: { kind: 'sample', rows: 200 },
    result: { tested: 200, missing: parents.map(() => 0) },
    at,
  };
}

export function violating(table: string, claim: Claim, rows: number, broken: number): Fact {
  return { request: { kind: 'violations', table: table as TableId, claim }, how: exact, result: { rows, broken }, at };
}

export function evidence(...facts: readonly (Fact | readonly Fact[])[]): Evidence {
  return evidenceOf(facts.flat());
}
