// Repeats of column sets: rows, rows that are filled, and different values of these in one pass; groups only where few rows repeat.

import { columnOf } from '../../catalogue/lookups';
import type { Column, Table } from '../../catalogue/model';
import type { Repeats } from '../../evidence/evidence';
import type { RepeatsRequest } from '../../evidence/requests';
import { type Asking, type MeasureOptions, oneOf, type Query, rowOf } from '../questions';
import { type Answer, how } from './extent';
import type { ColumnSet, Measuring } from './measuring';

/** Values are listed where few rows repeat; where many do, nobody asks how many. */
const listedUpTo = 20_000;

export function* repeats(
  by: Measuring,
  table: Table,
  requests: readonly RepeatsRequest[],
  options: MeasureOptions,
): Asking<readonly Answer<RepeatsRequest, Repeats>[]> {
  const answers: Answer<RepeatsRequest, Repeats>[] = [];
  for (const some of by.repeatsTogether ? [requests] : requests.map((request) => [request]))
    answers.push(...(yield* inOnePass(by, table, some, options)));
  return answers;
}

function* inOnePass(
  by: Measuring,
  table: Table,
  requests: readonly RepeatsRequest[],
  { depth, atOnce = false }: MeasureOptions,
): Asking<readonly Answer<RepeatsRequest, Repeats>[]> {
  const named = (name: string): Column => columnOf(table, name);
  const columns = [
    ...new Set(requests.flatMap((request) => [...request.columns, ...(request.live === undefined ? [] : [request.live])])),
  ];
  const { from, sampled } = yield* by.extentOf(table, depth, { columns: columns.map(named), only: true });
  const sets = requests.map((request): ColumnSet => ({
    request,
    columns: request.columns.map(named),
    live: request.live === undefined ? null : isLive(by, named(request.live)),
  }));
  const counting: Query = { text: `select ${sets.flatMap(by.countsOf).join(', ')} from ${from}`, columns: 3 * sets.length };
  const grouping = sets.map((set): Query => ({ text: by.groupsOf(from, set), columns: 2 }));
  const [counted, ...grouped] = atOnce ? yield [counting, ...grouping] : yield [counting];
  const seen = rowOf(counted).map(Number);
  const answers: Answer<RepeatsRequest, Repeats>[] = [];
  for (const [i, { request }] of sets.entries()) {
    const [rows = 0, filled = 0, distinct = 0] = seen.slice(3 * i, 3 * i + 3);
    const surplus = filled - distinct;
    const listed =
      surplus > 0 && surplus <= listedUpTo ? (atOnce ? rowOf(grouped[i]) : yield* oneOf(grouping[i] as Query)).map(Number) : null;
    answers.push({ request, how: how(sampled, rows), result: repeatsOf(rows, filled, surplus, listed) });
  }
  return answers;
}

function repeatsOf(rows: number, filled: number, surplus: number, listed: readonly number[] | null): Repeats {
  const nullRows = rows - filled;
  if (surplus === 0) return { rows, nullRows, surplus: 0, repeatedValues: 0, repeatedRows: 0 };
  const [values = null, repeated = null] = listed ?? [];
  // Two different values can share a hash, if hardly ever; the groups are of the values themselves.
  const counted = values !== null && repeated !== null ? repeated - values : surplus;
  return { rows, nullRows, surplus: counted, repeatedValues: values, repeatedRows: repeated };
}

/** True of rows that are not deleted softly, by a moment of deletion or a flag. */
function isLive({ quote, isNull }: Measuring, { name, family }: Column): string {
  return family === 'boolean' ? `${quote(name)} is not true` : isNull(quote(name));
}
