// Orphans, by anti-join: the server hashes the parent's keys once and looks every child up.

import { getColumn, getTable, hasHeirs } from '../../../catalogue/lookups';
import type { Catalogue, Column } from '../../../catalogue/model';
import type { How, Inclusion } from '../../../evidence/evidence';
import type { InclusionRequest } from '../../../evidence/requests';
import { type Asking, type MeasureOptions, oneOf } from '../../questions';
import { how } from '../../asked/extent';
import { countedBefore } from '../../asked/measure';
import { orphanCondition } from '../spelling';
import { quote } from '../quote';
import { fromClause } from './extent';

/** Counts the children without a parent, and their values; rows without a reference only where a profile has not. */
export function* inclusion(
  request: InclusionRequest,
  catalogue: Catalogue,
  { depth, known }: MeasureOptions,
): Asking<{ how: How; result: Inclusion }> {
  const table = getTable(catalogue, request.table);
  const { from, sampled } = fromClause(table, depth, { only: true });
  const isParent = hasHeirs(catalogue, request.parent);
  const columns = request.columns.map((name) => getColumn(catalogue, table.id, name));
  const value = columns.map((column) => `child.${quote(column.name)}`);
  const orphans = `
    select count(*), count(distinct ${value.length === 1 ? value[0] : `(${value.join(', ')})`})
    from ${sampled ? `(select * from ${from})` : from} as child
    where ${orphanCondition({ ...request, ...(isParent && { only: 'parent' }) })}`;
  // A profile counts the rows of those that inherit as well.
  const counted = sampled || hasHeirs(catalogue, table.id) ? null : countedBefore(request, known);
  const [orphanRows, orphanValues, rows, filledRows] = counted
    ? [...(yield* oneOf({ text: orphans, columns: 2 })), counted.rows, counted.rows - counted.nullRows]
    : yield* oneOf({
        text: `select orphans.*, counted.* from (${orphans}) as orphans, (select count(*), ${filledCount(columns)} from ${from}) as counted`,
        columns: 4,
      });
  return {
    how: how(sampled, Number(rows)),
    result: {
      rows: Number(rows),
      nullRows: Number(rows) - Number(filledRows),
      orphanRows: Number(orphanRows),
      orphanValues: Number(orphanValues),
    },
  };
}

// NULLs have to be counted only where there can be any.
function filledCount(columns: readonly Column[]): string {
  if (columns.every((column) => !column.nullable)) return 'count(*)';
  return `count(*) filter (where ${columns.map((c) => `${quote(c.name)} is not null`).join(' and ')})`;
}
