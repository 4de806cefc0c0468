// Probes: some values of many columns are looked up among the keys of possible parents, parent by parent. A few values first,
// which rules out most parents; then many, for those that are left.

import type { TableId } from '../../../catalogue/identifiers';
import { getColumn, getTable } from '../../../catalogue/lookups';
import type { Catalogue, Column } from '../../../catalogue/model';
import type { Probe } from '../../../evidence/evidence';
import type { ProbedParent, ProbeRequest } from '../../../evidence/requests';
import { groupBy } from '../../../grouping';
import { type Asking, attempt, type Measured, rowsOf } from '../../questions';
import { comparedWith } from '../conditions';
import { literal, quote, quoteTable } from '../quote';
import { extentOf, type Measuring } from './extent';
import { readableValue } from './values';

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
export function* probe(
  requests: readonly ProbeRequest[],
  catalogue: Catalogue,
  measuring: Measuring,
): Asking<readonly Measured[]> {
  const looked = new Map<ProbeRequest, Looked>();
  const failed = new Map<ProbeRequest, string>();
  for (const [table, own] of groupBy(requests, (request) => request.table)) {
    const problem = yield* attempt(look(table, own));
    if (problem) own.forEach((request) => failed.set(request, problem));
  }
  for (const most of [firstLook, secondLook]) {
    const open = [...looked.values()].filter(({ values }) => most === firstLook || values.length > firstLook);
    yield* lookUp(open, catalogue, { ...measuring, most });
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
export function* probeAtOnce(
  requests: readonly ProbeRequest[],
  catalogue: Catalogue,
  { withMemory }: Measuring,
): Asking<readonly Measured[]> {
  const answers: Measured[] = [];
  for (const request of requests) {
    const column = getColumn(catalogue, request.table, request.column);
    const extent = { wanted: rowsLookedAt, columns: [column], atOnce: true };
    const { from } = yield* extentOf(getTable(catalogue, request.table), 'sampled', extent);
    const name = quote(column.name);
    const looked = `(select distinct ${name} as value from (select ${name} from ${from} limit ${rowsLookedAt}) as some where ${name} is not null limit ${secondLook}) as looked`;
    const missing = request.parents.map(({ table: id, column: key }) => {
      const parent = getTable(catalogue, id);
      const value = comparedWith('looked.value', column, getColumn(catalogue, id, key));
      const found = `exists (select 1 from ${quoteTable(id)} as parent where parent.${quote(key)} = ${value})`;
      return `(select count(*) from ${looked}${parent.readable ? ` where not ${found}` : ''})`;
    });
    const text = withMemory(`select ${[`(select count(*) from ${looked})`, ...missing].join(', ')}`);
    const [tested = 0, ...lacking] = ((yield* rowsOf({ text, columns: 1 + missing.length }))[0] ?? []).map(Number);
    const result: Probe = { tested, missing: lacking.map((count) => (tested === 0 ? 1 : count / tested)) };
    answers.push({ request, how: { kind: 'sample', rows: tested }, result });
  }
  return answers;
}

function lookedOf(catalogue: Catalogue, request: ProbeRequest, values: readonly string[]): Looked {
  const missing = request.parents.map(({ table }) => (values.length > 0 && getTable(catalogue, table).readable ? 0 : 1));
  return { request, column: getColumn(catalogue, request.table, request.column), values, missing };
}

function* valuesOf(id: TableId, requests: readonly ProbeRequest[], catalogue: Catalogue): Asking<readonly (readonly string[])[]> {
  const columns = requests.map(({ column }) => getColumn(catalogue, id, column));
  const { from } = yield* extentOf(getTable(catalogue, id), 'sampled', { wanted: rowsLookedAt, columns });
  const rows = yield* rowsOf({
    text: `select ${columns.map((column) => readableValue(column.name, column.declaredType)).join(', ')} from ${from} limit ${rowsLookedAt}`,
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
function* lookUp(
  open: readonly Looked[],
  catalogue: Catalogue,
  { most: look, withMemory }: Measuring & { readonly most: number },
): Asking<void> {
  const pairs = open.flatMap((column) =>
    column.request.parents.flatMap((parent, at) =>
      (column.missing[at] ?? 1) <= missingTolerated ? [{ column, parent, at }] : [],
    ),
  );
  for (const own of groupBy(pairs, ({ parent, column }) => `${parent.table} ${parent.column} ${column.column.family}`).values()) {
    const [first] = own;
    if (!first) continue;
    const values = [...new Set(own.flatMap(({ column, parent }) => lookedUp(column, parent, look)))];
    const found = new Set<string>();
    const key = getColumn(catalogue, first.parent.table, first.parent.column);
    yield* attempt(findIn(first.parent.table, key, { of: first.column.column, values, found, withMemory }));
    for (const { column, parent, at } of own) {
      const looked = lookedUp(column, parent, look);
      column.missing[at] = looked.filter((value) => !found.has(value)).length / looked.length;
    }
  }
}

function lookedUp(column: Looked, { enough = firstLook }: ProbedParent, look: number): readonly string[] {
  return column.values.slice(0, Math.min(look, look === firstLook ? enough : look));
}

interface Sought extends Pick<Measuring, 'withMemory'> {
  readonly of: Column;
  readonly values: readonly string[];
  readonly found: Set<string>;
}

// The values are a table of their own, so that each is told as it was spelt, however the parent spells it.
function* findIn(parent: TableId, key: Column, { of, values, found, withMemory }: Sought): Asking<void> {
  const numeric = of.family === 'integer' || of.family === 'decimal';
  const spelt = (value: string): string =>
    numeric && /^-?\d+(\.\d+)?$/.test(value)
      ? value
      : of.family === 'binary'
        ? `x'${/^[0-9a-f]*$/i.test(value) ? value : ''}'`
        : literal(value);
  const [first = '', ...rest] = values;
  const sought = [`select ${spelt(first)} as value`, ...rest.map((value) => `select ${spelt(value)}`)].join(' union all ');
  const told = of.family === 'binary' ? 'hex(looked.value)' : 'looked.value';
  const compared =
    key.family === 'text' && key.collation !== null
      ? `convert(looked.value using ${key.characterSet ?? 'utf8mb4'}) collate ${key.collation}`
      : 'looked.value';
  const text = withMemory(
    `select ${told} from (${sought}) as looked where exists (select 1 from ${quoteTable(parent)} as parent where parent.${quote(key.name)} = ${compared})`,
  );
  for (const [value] of yield* rowsOf({ text, columns: 1, givesData: true }))
    if (value !== null && value !== undefined) found.add(value);
}
