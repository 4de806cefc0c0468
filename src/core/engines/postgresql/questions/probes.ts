// Probes: some values of many columns are looked up among the keys of possible parents, parent by
// parent, so that a parent is read once however many columns may refer to it. A few values first, which
// rules out most parents; then many, for those that are left. Whether the server follows an index or
// reads the parent and hashes the values is its own choice.

import type { TableId } from '../../../catalogue/identifiers';
import { getColumn, getTable } from '../../../catalogue/lookups';
import type { Catalogue, Column } from '../../../catalogue/model';
import type { Probe } from '../../../evidence/evidence';
import type { ProbedParent, ProbeRequest } from '../../../evidence/requests';
import { groupBy } from '../../../grouping';
import { type Asking, attempt, type Measured, type Query, rowsOf } from '../../questions';
import { quote } from '../quote';
import { fromClause, ownRows } from './extent';

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
export function* probe(requests: readonly ProbeRequest[], catalogue: Catalogue): Asking<readonly Measured[]> {
  const looked = new Map<ProbeRequest, Looked>();
  const failed = new Map<ProbeRequest, string>();
  for (const [table, own] of groupBy(requests, (request) => request.table)) {
    const problem = yield* attempt(look(table, own));
    if (problem) own.forEach((request) => failed.set(request, problem));
  }
  for (const most of [firstLook, secondLook]) {
    const open = [...looked.values()].filter(({ values }) => most === firstLook || values.length > firstLook);
    yield* lookUp(open, catalogue, most);
  }
  return requests.map((request) => {
    const seen = looked.get(request);
    if (!seen) return { request, notMeasured: failed.get(request) ?? 'It was not looked at.' };
    const tested = Math.min(seen.values.length, secondLook);
    const result: Probe = { tested, missing: seen.missing };
    return { request, how: { kind: 'sample', rows: tested }, result };
  });

  function* look(table: TableId, own: readonly ProbeRequest[]): Asking<void> {
    const values = yield* valuesOf(table, own, catalogue);
    own.forEach((request, i) => looked.set(request, lookedOf(catalogue, request, values[i] ?? [])));
  }
}

/** The same as counts, a query a column: where answers are brought by somebody, and must hold no values. */
export function* probeAtOnce(requests: readonly ProbeRequest[], catalogue: Catalogue): Asking<readonly Measured[]> {
  const answers = yield requests.map((request): Query => {
    const table = getTable(catalogue, request.table);
    const { from } = fromClause(table, 'sampled', { wanted: rowsLookedAt, only: true });
    const column = quote(request.column);
    const type = typeFor(getColumn(catalogue, request.table, request.column));
    const missing = request.parents.map(({ table: id, column: key }) => {
      const parent = getTable(catalogue, id);
      // A join of its own for each: the server hashes, where it would look up value by value otherwise.
      const found = `exists (select 1 from ${ownRows(parent)} as parent where parent.${quote(key)} = looked.value)`;
      return `(select count(*) from looked${parent.readable ? ` where not ${found}` : ''})`;
    });
    const some = `select ${column} as value from ${from} limit ${rowsLookedAt}`;
    return {
      text: `with looked as materialized (
       select distinct value::${type} as value from (${some}) as part where value is not null limit ${secondLook})
     select ${['(select count(*) from looked)', ...missing].join(', ')}`,
      columns: 1 + missing.length,
    };
  });
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

function* valuesOf(id: TableId, requests: readonly ProbeRequest[], catalogue: Catalogue): Asking<readonly (readonly string[])[]> {
  const { from } = fromClause(getTable(catalogue, id), 'sampled', { wanted: rowsLookedAt, only: true });
  const rows = yield* rowsOf({
    text: `select ${requests.map(({ column }) => `${quote(column)}::text`).join(', ')} from ${from} limit ${rowsLookedAt}`,
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
function* lookUp(open: readonly Looked[], catalogue: Catalogue, look: number): Asking<void> {
  const pairs = open.flatMap((column) =>
    column.request.parents.flatMap((parent, at) =>
      (column.missing[at] ?? 1) <= missingTolerated ? [{ column, parent, at }] : [],
    ),
  );
  for (const own of groupBy(
    pairs,
    ({ parent, column }) => `${parent.table} ${parent.column} ${typeFor(column.column)}`,
  ).values()) {
    const [first] = own;
    if (!first) continue;
    const values = [...new Set(own.flatMap(({ column, parent }) => lookedUp(column, parent, look)))];
    const found = new Set<string>();
    yield* attempt(
      findIn(
        { column: first.parent.column, from: ownRows(getTable(catalogue, first.parent.table)) },
        typeFor(getColumn(catalogue, first.column.request.table, first.column.column.name)),
        values,
        found,
      ),
    );
    for (const { column, parent, at } of own) {
      const looked = lookedUp(column, parent, look);
      column.missing[at] = looked.filter((value) => !found.has(value)).length / looked.length;
    }
  }
}

function lookedUp(column: Looked, { enough = firstLook }: ProbedParent, look: number): readonly string[] {
  return column.values.slice(0, Math.min(look, look === firstLook ? enough : look));
}

function* findIn(
  parent: { readonly column: string; readonly from: string },
  type: string,
  values: readonly string[],
  found: Set<string>,
): Asking<void> {
  const text = `select distinct looked.value
     from unnest($1::text[]) as looked (value)
     join ${parent.from} as parent on parent.${quote(parent.column)} = looked.value::${type}`;
  for (const [value] of yield* rowsOf({ text, columns: 1, values: [values], givesData: true }))
    if (value !== null && value !== undefined) found.add(value);
}

// Wide enough for every value of the child, and comparable with any key of its family by an index.
function typeFor(column: Column): string {
  switch (column.family) {
    case 'integer':
      return 'int8';
    case 'decimal':
      return 'numeric';
    case 'uuid':
      return 'uuid';
    case 'binary':
      return 'bytea';
    default:
      return 'text';
  }
}
