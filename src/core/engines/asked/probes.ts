// Probes: some values of many columns are looked up among the keys of possible parents, parent by
// parent, so that a parent is read once however many columns may refer to it. A few values first, which
// rules out most parents; then many, for those that are left.

import type { TableId } from '../../catalogue/identifiers';
import { getColumn, getTable } from '../../catalogue/lookups';
import type { Catalogue, Column } from '../../catalogue/model';
import type { Probe } from '../../evidence/evidence';
import type { ProbedParent, ProbeRequest } from '../../evidence/requests';
import { groupBy } from '../../grouping';
import { type Asking, attempt, type Measured, type Query, rowsOf } from '../questions';
import type { Measuring } from './measuring';

const firstLook = 200;
const secondLook = 2_000;
const rowsLookedAt = 8_000;
/** Keys with gaps lack about the share of their gaps of any numbers; a true parent lacks hardly any. */
const missingTolerated = 0.005;

/** A column whose values are looked up: at most as many as the second look takes, without repeats. */
interface Looked {
  readonly request: ProbeRequest;
  readonly column: Column;
  readonly values: readonly string[];
  /** By parent, in the order of the request: the share of the values that it lacks. */
  readonly missing: number[];
}

/** A table that cannot be read is not measured; in a parent that cannot be read nothing is found. */
export function* probe(by: Measuring, requests: readonly ProbeRequest[], catalogue: Catalogue): Asking<readonly Measured[]> {
  const looked = new Map<ProbeRequest, Looked>();
  const failed = new Map<ProbeRequest, string>();
  for (const [table, own] of groupBy(requests, (request) => request.table)) {
    const problem = yield* attempt(look(table, own));
    if (problem) own.forEach((request) => failed.set(request, problem));
  }
  for (const most of [firstLook, secondLook]) {
    const open = [...looked.values()].filter(({ values }) => most === firstLook || values.length > firstLook);
    yield* lookUp(by, open, catalogue, most);
  }
  return requests.map((request) => {
    const seen = looked.get(request);
    if (!seen) return { request, notMeasured: failed.get(request) ?? 'It was not looked at.' };
    const tested = Math.min(seen.values.length, secondLook);
    const result: Probe = { tested, missing: seen.missing };
    return { request, how: { kind: 'sample', rows: tested }, result };
  });

  function* look(table: TableId, own: readonly ProbeRequest[]): Asking<void> {
    const values = yield* valuesOf(by, table, own, catalogue);
    own.forEach((request, i) => looked.set(request, lookedOf(catalogue, request, values[i] ?? [])));
  }
}

/** The same as counts, a query a column: where answers are brought by somebody, and must hold no values. */
export function* probeAtOnce(
  by: Measuring,
  requests: readonly ProbeRequest[],
  catalogue: Catalogue,
): Asking<readonly Measured[]> {
  const queries: Query[] = [];
  for (const request of requests) {
    const table = getTable(catalogue, request.table);
    const column = getColumn(catalogue, request.table, request.column);
    const extent = { wanted: rowsLookedAt, columns: [column], only: true, atOnce: true };
    const { from } = yield* by.extentOf(table, 'sampled', extent);
    const parents = request.parents.map(({ table: id, column: key }) => ({
      table: getTable(catalogue, id),
      key: getColumn(catalogue, id, key),
    }));
    const looked = { from, rows: rowsLookedAt, most: secondLook };
    queries.push({ text: by.countMissing({ ...looked, column, parents }), columns: 1 + parents.length });
  }
  const answers = yield queries;
  return requests.map((request, i) => {
    const [tested = 0, ...missing] = (answers[i]?.rows[0] ?? []).map(Number);
    const result: Probe = { tested, missing: missing.map((count) => (tested === 0 ? 1 : count / tested)) };
    return { request, how: { kind: 'sample', rows: tested }, result };
  });
}

function lookedOf(catalogue: Catalogue, request: ProbeRequest, values: readonly string[]): Looked {
  const missing = request.parents.map(({ table }) => (values.length > 0 && getTable(catalogue, table).readable ? 0 : 1));
  return { request, column: getColumn(catalogue, request.table, request.column), values, missing };
}

function* valuesOf(
  by: Measuring,
  id: TableId,
  requests: readonly ProbeRequest[],
  catalogue: Catalogue,
): Asking<readonly (readonly string[])[]> {
  const columns = requests.map(({ column }) => getColumn(catalogue, id, column));
  const { from } = yield* by.extentOf(getTable(catalogue, id), 'sampled', { wanted: rowsLookedAt, columns, only: true });
  const rows = yield* rowsOf({
    text: `select ${columns.map(by.readable).join(', ')} from ${from} limit ${rowsLookedAt}`,
    columns: requests.length,
    givesData: true,
  });
  return requests.map((_, i) => {
    const distinct = new Set<string>();
    for (const row of rows) {
      const value = row[i];
      if (value !== null && value !== undefined) distinct.add(value);
      if (distinct.size === secondLook) break;
    }
    return [...distinct];
  });
}

/** Looks up the first values of each column in every parent that may still be its own. */
function* lookUp(by: Measuring, open: readonly Looked[], catalogue: Catalogue, look: number): Asking<void> {
  const pairs = open.flatMap((column) =>
    column.request.parents.flatMap((parent, at) =>
      (column.missing[at] ?? 1) <= missingTolerated ? [{ column, parent, at }] : [],
    ),
  );
  const together = groupBy(pairs, ({ parent, column }) => `${parent.table} ${parent.column} ${by.lookedUpAs(column.column)}`);
  for (const own of together.values()) {
    const [first] = own;
    if (!first) continue;
    const values = [...new Set(own.flatMap(({ column, parent }) => lookedUp(column, parent, look)))];
    const found = new Set<string>();
    const parent = getTable(catalogue, first.parent.table);
    const key = getColumn(catalogue, parent.id, first.parent.column);
    yield* attempt(findIn(by.findAmong({ parent, key, of: first.column.column, values }), found));
    for (const { column, parent: probed, at } of own) {
      const looked = lookedUp(column, probed, look);
      column.missing[at] = looked.filter((value) => !found.has(value)).length / looked.length;
    }
  }
}

function lookedUp(column: Looked, { enough = firstLook }: ProbedParent, look: number): readonly string[] {
  return column.values.slice(0, Math.min(look, look === firstLook ? enough : look));
}

function* findIn(query: Pick<Query, 'text' | 'values'>, found: Set<string>): Asking<void> {
  for (const [value] of yield* rowsOf({ ...query, columns: 1, givesData: true }))
    if (value !== null && value !== undefined) found.add(value);
}
