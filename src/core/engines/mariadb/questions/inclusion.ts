// Orphans, by anti-join: the server keeps the parent's keys in memory and looks every child up there, which takes memory that
// it has to be given for it.

import { getColumn, getTable } from '../../../catalogue/lookups';
import type { Catalogue } from '../../../catalogue/model';
import type { How, Inclusion } from '../../../evidence/evidence';
import type { InclusionRequest } from '../../../evidence/requests';
import { type Asking, type MeasureOptions, oneOf, type Query, rowOf } from '../../questions';
import { how } from '../../asked/extent';
import { countedBefore } from '../../asked/measure';
import type { Variant } from '../variant';
import { comparedWith, orphanCondition } from '../spelling';
import { quote } from '../quote';
import { extentOf } from './extent';

/** Counts the children without a parent, and their values; rows without a reference only where a profile has not. */
export function* inclusion(
  request: InclusionRequest,
  catalogue: Catalogue,
  { depth, known, withMemory, atOnce = false }: MeasureOptions & Pick<Variant, 'withMemory'>,
): Asking<{ how: How; result: Inclusion }> {
  const table = getTable(catalogue, request.table);
  const columns = request.columns.map((name) => getColumn(catalogue, table.id, name));
  const keys = request.parentColumns.map((name) => getColumn(catalogue, request.parent, name));
  const { from, sampled } = yield* extentOf(table, depth, { columns });
  const child = sampled ? `(select * from ${from}) as child` : `${from} as child`;
  const asKey = (name: string): string => {
    const at = request.columns.indexOf(name);
    const [own, key] = [columns[at], keys[at]];
    return own && key ? comparedWith(`child.${quote(name)}`, own, key) : `child.${quote(name)}`;
  };
  const orphans = withMemory(
    `select count(*), count(distinct ${columns.map((column) => `child.${quote(column.name)}`).join(', ')}) from ${child} where ${orphanCondition(request, null, asKey)}`,
  );
  const counted = sampled ? null : countedBefore(request, known);
  const counting: Query = {
    text: `select count(*), count(case when ${columns.map((c) => `${quote(c.name)} is not null`).join(' and ')} then 1 end) from ${from}`,
    columns: 2,
  };
  const looking: Query = { text: orphans, columns: 2 };
  const [looked, later] = counted || !atOnce ? yield [looking] : yield [looking, counting];
  const [orphanRows, orphanValues] = rowOf(looked).map(Number);
  const [rows = 0, filled = 0] = counted
    ? [counted.rows, counted.rows - counted.nullRows]
    : (later ? rowOf(later) : yield* oneOf(counting)).map(Number);
  return {
    how: how(sampled, rows),
    result: { rows, nullRows: rows - filled, orphanRows: orphanRows ?? 0, orphanValues: orphanValues ?? 0 },
  };
}
