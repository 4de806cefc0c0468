// The order in which operations are carried out, and what becomes two steps on an engine that can do better in two.

import { getTable, primaryKeyOf } from '../catalogue/lookups';
import type { Catalogue } from '../catalogue/model';
import { factsOf, traitsOf } from '../engines/facts';
import type { AddForeignKey } from '../operations/add-foreign-key';
import type { Candidate } from '../operations/beside';
import { kindOf, type Operation } from '../operations/index';
import type { NumberRows } from '../operations/number-rows';
import { referenceIn } from '../operations/reference';
import { isRenaming, renamesInTurn } from './renames';

/** By rank; what one remedy does keeps its order. */
export function inTurn(candidates: readonly Candidate[], catalogue: Catalogue): readonly Candidate[] {
  const split = asItIsDone(candidates, catalogue).flatMap(({ finding, operation }) =>
    inTwo(operation, catalogue).map((part) => ({ finding, operation: part })),
  );
  const sorted = split.sort((a, b) => kindOf(a.operation).rank - kindOf(b.operation).rank);
  const first = sorted.findIndex(isRenaming);
  if (first < 0) return sorted;
  const others = sorted.filter((candidate) => !isRenaming(candidate));
  return [...others.slice(0, first), ...renamesInTurn(sorted.filter(isRenaming), catalogue), ...others.slice(first)];
}

/** Operations as the engine does them: where a column that numbers rows is made with its key, that key is no step of its own; where another key takes the place of one
 * while what refers to it stays, nothing of that has to be looked at again; an index that would come by itself is a step of its own. */
export function asItIsDone(candidates: readonly Candidate[], catalogue: Catalogue): readonly Candidate[] {
  const { numbersByKey, keepsReferencesToKeys, indexesReferences } = traitsOf(catalogue);
  if (!numbersByKey && !keepsReferencesToKeys && !indexesReferences) return candidates;
  const numbered = new Map(
    candidates.flatMap(({ operation: o }) => (o.kind === 'numberRows' ? [[`${o.table} ${o.column}`, o] as const] : [])),
  );
  const keyOf = (o: Operation) =>
    (o.kind === 'addPrimaryKey' || o.kind === 'replaceKey') && o.columns.length === 1
      ? numbered.get(`${o.table} ${o.columns[0]}`)
      : undefined;
  const helpers = new Map(
    candidates.flatMap(({ operation: o }) => {
      const column = keyOf(o);
      if (!column) return [];
      return [[column, o.kind === 'addPrimaryKey' ? o.name : factsOf(catalogue).names.shorten(`pawl_${column.column}`)] as const];
    }),
  );
  return candidates.flatMap((candidate): readonly Candidate[] => {
    const { operation: o } = candidate;
    if (o.kind === 'checkRows' && keepsReferencesToKeys) return [];
    if (o.kind === 'addPrimaryKey' && keyOf(o)) return [];
    if (o.kind === 'addForeignKey' && indexesReferences && !isIndexed(o, candidates, catalogue))
      return [
        { ...candidate, operation: { kind: 'createIndex', table: o.table, name: o.name, columns: o.columns, unique: false } },
        candidate,
      ];
    if (o.kind === 'numberRows') {
      return [
        {
          ...candidate,
          operation: { ...o, key: helpers.get(o) ?? keyOfItsOwn(o, catalogue), type: factsOf(catalogue).types.numbering },
        },
      ];
    }
    if (o.kind !== 'replaceKey' || !keepsReferencesToKeys) return [candidate];
    const column = keyOf(o);
    const helper = column && helpers.get(column);
    return [{ ...candidate, operation: { ...o, references: [], ...(helper !== undefined && { helper }) } }];
  });
}

function keyOfItsOwn({ table, column }: NumberRows, catalogue: Catalogue): string {
  const { fixed = {}, shorten } = factsOf(catalogue).names;
  return primaryKeyOf(getTable(catalogue, table)) ? shorten(`pawl_${column}`) : (fixed['primary key'] ?? shorten(`pk_${column}`));
}

// Its index would come by itself, and stay on the way back: so it is a step of its own.
function isIndexed({ table, columns }: AddForeignKey, candidates: readonly Candidate[], catalogue: Catalogue): boolean {
  const begins = (own: readonly (string | null)[]): boolean => columns.every((column, i) => own[i] === column);
  const made = candidates.some(
    ({ operation: o }) =>
      o.table === table &&
      (o.kind === 'createIndex' || o.kind === 'addUnique' || o.kind === 'addPrimaryKey') &&
      begins(o.columns),
  );
  return (
    made || getTable(catalogue, table).indexes.some((index) => index.method === 'btree' && !index.prefix && begins(index.columns))
  );
}

// Where a constraint can be added without a look at the rows, they are looked at last, while everybody works.
function inTwo(operation: Operation, catalogue: Catalogue): readonly Operation[] {
  if ((operation.kind !== 'addForeignKey' && operation.kind !== 'addCheck') || operation.rows !== 'checked') return [operation];
  const { table, name } = operation;
  const what = operation.kind === 'addCheck' ? 'check' : 'foreign key';
  if (!traitsOf(catalogue).addedUnchecked(what, getTable(catalogue, table))) return [operation];
  const against =
    operation.kind === 'addCheck'
      ? ({ kind: 'breaking', claim: operation.claim } as const)
      : ({ kind: 'orphans', reference: referenceIn(operation), values: null } as const);
  return [
    { ...operation, rows: 'new only' },
    { kind: 'checkRows', table, name, against, before: null },
  ];
}
