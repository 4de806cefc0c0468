// Probes: some values of many columns are looked up among the keys of possible parents, parent by
// parent, so that a parent is read once however many columns may refer to it. A few values first, which
// rules out most parents; then many, for those that are left. Whether the server follows an index or
// reads the parent and hashes the values is its own choice.

import type { TableId } from '../../core/catalogue/identifiers';
import { getColumn, getTable } from '../../core/catalogue/lookups';
import type { Catalogue, Column } from '../../core/catalogue/model';
import type { Fact, Probe } from '../../core/evidence/evidence';
import type { ProbedParent, ProbeRequest } from '../../core/evidence/requests';
import { quote } from '../../core/engines/postgresql/quote';
import { groupBy } from '../../core/grouping';
import { SourceError } from '../SourceError';
import type { Ask } from './ask';
import { statementError } from './errors';
import { type Answer, fromClause, ownRows } from './reading';

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

type Probed = Answer<ProbeRequest, Probe> | Omit<Extract<Fact, { notMeasured: string }>, 'at'>;

/** A table that cannot be read is not measured; in a parent that cannot be read nothing is found. Throws SourceError, lost or cancelled. */
export async function probe(ask: Ask, requests: readonly ProbeRequest[], catalogue: Catalogue): Promise<readonly Probed[]> {
  const looked = new Map<ProbeRequest, Looked>();
  const failed = new Map<ProbeRequest, string>();
  for (const [table, own] of groupBy(requests, (request) => request.table)) {
    const problem = await attempt(`Measuring ${table}`, async () => {
      const values = await valuesOf(ask, table, own, catalogue);
      own.forEach((request, i) => looked.set(request, lookedOf(catalogue, request, values[i] ?? [])));
    });
    if (problem) own.forEach((request) => failed.set(request, problem));
  }
  for (const look of [firstLook, secondLook]) {
    const open = [...looked.values()].filter(({ values }) => look === firstLook || values.length > firstLook);
    await lookUp(ask, open, catalogue, look);
  }
  return requests.map((request) => {
    const seen = looked.get(request);
    if (!seen) return { request, notMeasured: failed.get(request) ?? 'It was not looked at.' };
    const tested = Math.min(seen.values.length, secondLook);
    return { request, how: { kind: 'sample', rows: tested }, result: { tested, missing: seen.missing } };
  });
}

function lookedOf(catalogue: Catalogue, request: ProbeRequest, values: readonly string[]): Looked {
  const missing = request.parents.map(({ table }) => (values.length > 0 && getTable(catalogue, table).readable ? 0 : 1));
  return { request, column: getColumn(catalogue, request.table, request.column), values, missing };
}

async function valuesOf(
  ask: Ask,
  id: TableId,
  requests: readonly ProbeRequest[],
  catalogue: Catalogue,
): Promise<readonly (readonly string[])[]> {
  const { from } = fromClause(getTable(catalogue, id), 'sampled', { wanted: rowsLookedAt, only: true });
  const rows = await ask(
    `select ${requests.map(({ column }) => `${quote(column)}::text`).join(', ')} from ${from} limit ${rowsLookedAt}`,
  );
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
async function lookUp(ask: Ask, open: readonly Looked[], catalogue: Catalogue, look: number): Promise<void> {
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
    let found: ReadonlySet<string> = new Set();
    await attempt(`Looking for values in ${first.parent.table}`, async () => {
      found = await foundIn(
        ask,
        { column: first.parent.column, from: ownRows(getTable(catalogue, first.parent.table)) },
        typeFor(getColumn(catalogue, first.column.request.table, first.column.column.name)),
        values,
      );
    });
    for (const { column, parent, at } of own) {
      const looked = lookedUp(column, parent, look);
      column.missing[at] = looked.filter((value) => !found.has(value)).length / looked.length;
    }
  }
}

function lookedUp(column: Looked, { enough = firstLook }: ProbedParent, look: number): readonly string[] {
  return column.values.slice(0, Math.min(look, look === firstLook ? enough : look));
}

async function foundIn(
  ask: Ask,
  parent: { readonly column: string; readonly from: string },
  type: string,
  values: readonly string[],
): Promise<ReadonlySet<string>> {
  const rows = await ask(
    `select distinct looked.value
     from unnest($1::text[]) as looked (value)
     join ${parent.from} as parent on parent.${quote(parent.column)} = looked.value::${type}`,
    [values],
  );
  return new Set(rows.flatMap(([value]) => value ?? []));
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

/** What kept us from it, in words; null when nothing did. */
async function attempt(doing: string, work: () => Promise<void>): Promise<string | null> {
  try {
    await work();
    return null;
  } catch (error) {
    const problem = error instanceof SourceError ? error : statementError(error, doing);
    if (problem.reason === 'lost' || problem.reason === 'cancelled') throw problem;
    return problem.message;
  }
}
