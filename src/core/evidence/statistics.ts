// Facts that cost no read of any table: what the server's own statistics say.

import type { Catalogue, Column } from '../catalogue/model';
import { baseTables } from '../catalogue/lookups';
import type { ColumnProfile, Fact } from './evidence';
import { recordOf } from '../records';
import type { SampledColumn } from './sample';

/** A profile and a sample for each table that the server has statistics of. `at` is when the catalogue was read. */
export function factsFromStatistics(catalogue: Catalogue, at: string): readonly Fact[] {
  const how = { kind: 'statistics' } as const;
  return baseTables(catalogue).flatMap((table): readonly Fact[] => {
    if (table.estimatedRows === null) return [];
    const rows = table.estimatedRows;
    const known = table.columns.filter((column) => column.statistics);
    const profile = recordOf(known.map((column) => [column.name, profileFrom(column, rows)]));
    const sampled = recordOf(known.map((column) => [column.name, sampledFrom(column, rows)]));
    const uniques = known
      .filter((column) => column.comparable && isUnique(sampled[column.name], rows))
      .map((column) => [column.name]);
    return [
      { request: { kind: 'profile', table: table.id }, how, result: { rows, columns: profile }, at },
      { request: { kind: 'sample', table: table.id }, how, result: { rows, columns: sampled, uniques, ordered: [] }, at },
    ];
  });
}

function profileFrom({ statistics }: Column, rows: number): ColumnProfile {
  return { nulls: Math.round((statistics?.nullFraction ?? 0) * rows), blanks: null, min: null, max: null };
}

function sampledFrom(column: Column, rows: number): SampledColumn {
  const nulls = Math.round((column.statistics?.nullFraction ?? 0) * rows);
  const filled = rows - nulls;
  const distinct = Math.min(Math.round(column.statistics?.distinct ?? 0), filled);
  const agreement = distinct > 0 && distinct < filled ? 1 / distinct : 0;
  return { nulls, distinct, folded: null, frequent: [], longest: null, forms: {}, filled, negative: 0, agreement, rising: null };
}

function isUnique(column: SampledColumn | undefined, rows: number): boolean {
  return (
    column !== undefined && rows > 1 && column.distinct !== null && column.distinct > 0 && column.distinct === rows - column.nulls
  );
}
