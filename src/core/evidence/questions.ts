// What to ask next. Called again after each round of answers until it has nothing left to ask:
// profiles first, then uniqueness of what survived them, then references to the keys found. As
// it is a function of the facts alone, a survey that was interrupted goes on where it stopped.

import type { TableId } from '../catalogue/identifiers';
import { baseTables } from '../catalogue/lookups';
import type { Catalogue, Table } from '../catalogue/model';
import { type Evidence, wasAsked } from './evidence';
import { keyQuestions, lacksPrimaryKey, settled } from './keys';
import { inclusionRequestOf, referenceCandidates } from './references';
import type { Depth, EvidenceRequest, ProfileRequest, RepeatsRequest } from './requests';
import { plausibleUniques } from './uniques';

/** `scope` limits the questions to findings about these tables; null asks about all. */
export function nextRequests(
  catalogue: Catalogue,
  evidence: Evidence,
  depth: Depth,
  scope: ReadonlySet<TableId> | null = null,
): readonly EvidenceRequest[] {
  if (depth === 'catalogue') return [];
  const tables = baseTables(catalogue).filter((table) => scope === null || scope.has(table.id));
  const rounds = [profiles, keys, uniques, references];
  for (const round of rounds) {
    const open = round({ catalogue, tables, evidence, depth });
    if (open.length > 0) return open;
  }
  return [];
}

interface Round {
  readonly catalogue: Catalogue;
  readonly tables: readonly Table[];
  readonly evidence: Evidence;
  readonly depth: Depth;
}

// Every table, in scope or not, that could turn out to be a parent needs its own key known.
function profiles({ tables, evidence, catalogue }: Round): readonly ProfileRequest[] {
  const keyless = baseTables(catalogue).filter(lacksPrimaryKey);
  return [...new Set([...tables, ...keyless])]
    .map((table): ProfileRequest => ({ kind: 'profile', table: table.id }))
    .filter((request) => !wasAsked(evidence, request));
}

function keys({ catalogue, evidence, depth }: Round): readonly RepeatsRequest[] {
  return baseTables(catalogue)
    .filter(lacksPrimaryKey)
    .flatMap((table) => keyQuestions(table, evidence, depth));
}

function uniques({ catalogue, tables, evidence, depth }: Round): readonly RepeatsRequest[] {
  return tables
    .flatMap((table) =>
      plausibleUniques(catalogue, table, evidence).map((columns): RepeatsRequest => ({
        kind: 'repeats',
        table: table.id,
        columns,
      })),
    )
    .filter((request) => !settled(evidence, request.table, request.columns, depth));
}

function references({ catalogue, tables, evidence }: Round): readonly EvidenceRequest[] {
  const ids = new Set(tables.map((table) => table.id));
  return referenceCandidates(catalogue, evidence)
    .filter((candidate) => ids.has(candidate.child))
    .map(inclusionRequestOf)
    .filter((request) => !wasAsked(evidence, request));
}
