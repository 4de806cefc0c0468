// Facts that cost no read of any table: what the server's own statistics say.

import type { Catalogue } from '../catalogue/model';
import { baseTables } from '../catalogue/lookups';
import type { ColumnProfile, Fact } from './evidence';

/** One profile for each table that the server has statistics of. `at` is when the catalogue was read. */
export function factsFromStatistics(catalogue: Catalogue, at: string): readonly Fact[] {
  return baseTables(catalogue).flatMap((table) => {
    if (table.estimatedRows === null) return [];
    const rows = table.estimatedRows;
    const columns: Record<string, ColumnProfile> = {};
    for (const { name, statistics } of table.columns) {
      if (!statistics) continue;
      const nulls = Math.round(statistics.nullFraction * rows);
      columns[name] = {
        nulls,
        blanks: null,
        compared: rows - nulls,
        distinct: Math.min(Math.round(statistics.distinct), rows - nulls),
      };
    }
    return [
      { request: { kind: 'profile', table: table.id }, how: { kind: 'statistics' }, result: { rows, columns }, at },
    ] as const;
  });
}
