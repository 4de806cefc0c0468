// Column sets of a table, beside its key, that ought to be unique: single columns named as an
// identifier of the thing itself (call_sign, imo_no), and a parent with an ordinal (line_no within
// a manifest). References to other tables repeat by nature and are left out.

import { declaredUniques, foreignKeysOf, includesColumns, sameColumnSet } from '../catalogue/lookups';
import type { Catalogue, Column, Table } from '../catalogue/model';
import { canIdentify, namesAnIdentifier, namesAnOrdinal } from '../naming/meaning';
import { type Evidence, profileOf, uniquenessOf } from './evidence';
import { candidateKeys, lacksPrimaryKey } from './keys';
import { referenceCandidates } from './references';

const fewestRows = 8;

export function plausibleUniques(catalogue: Catalogue, table: Table, evidence: Evidence): readonly (readonly string[])[] {
  const profile = profileOf(evidence, table.id);
  if (!profile || profile.result.rows < fewestRows) return [];
  const referring = new Set([
    ...foreignKeysOf(table).flatMap((key) => key.columns),
    ...(candidatesByTable(catalogue, evidence).get(table.id) ?? []),
  ]);
  const filled = table.columns.filter((column) => {
    const seen = profile.result.columns[column.name];
    return seen !== undefined && profile.result.rows - seen.nulls >= fewestRows;
  });
  const own = filled
    .filter((column) => isIdentifierOfItsOwn(column) && !referring.has(column.name))
    .map((column) => [column.name]);
  const ordinals = filled.filter(
    (column) => column.family === 'integer' && namesAnOrdinal(column.name) && !referring.has(column.name),
  );
  const within = filled
    .filter((column) => referring.has(column.name) && !namesAnOrdinal(column.name))
    .flatMap((parent) => ordinals.map((ordinal) => [parent.name, ordinal.name]));
  const takenAsKey = lacksPrimaryKey(table) ? (candidateKeys(table, evidence)[0]?.columns ?? []) : [];
  return [...own, ...within]
    .filter((columns) => !declaredUniques(table).some((unique) => includesColumns(columns, unique)))
    .filter((columns) => !sameColumnSet(columns, takenAsKey))
    .filter(
      (columns) =>
        columns.length === 1 || columns.every((column) => uniquenessOf(evidence, table.id, [column]).kind !== 'unique'),
    );
}

function isIdentifierOfItsOwn(column: Column): boolean {
  return (
    canIdentify(column) &&
    (column.family === 'text' || column.family === 'integer' || column.family === 'uuid') &&
    namesAnIdentifier(column.name)
  );
}

const kept = new WeakMap<Evidence, ReadonlyMap<string, readonly string[]>>();

function candidatesByTable(catalogue: Catalogue, evidence: Evidence): ReadonlyMap<string, readonly string[]> {
  const known = kept.get(evidence);
  if (known) return known;
  const byTable = new Map<string, string[]>();
  for (const candidate of referenceCandidates(catalogue, evidence)) {
    byTable.set(candidate.child, [...(byTable.get(candidate.child) ?? []), ...candidate.columns]);
  }
  kept.set(evidence, byTable);
  return byTable;
}
