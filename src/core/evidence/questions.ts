// What to ask next. Called again after each round of answers until it has nothing left to ask: rows and
// samples first, then uniqueness of what survived them, then parents, orphans, and claims about values.
// As it is a function of the facts alone, a survey that was interrupted goes on where it stopped.

import type { TableId } from '../catalogue/identifiers';
import { baseTables } from '../catalogue/lookups';
import type { Catalogue, Table } from '../catalogue/model';
import { type Evidence, wasAsked } from './evidence';
import { keyQuestions, lacksPrimaryKey, settled } from './keys';
import { inclusionRequestOf, referenceCandidates } from './references/candidates';
import { probeQuestions } from './references/probes';
import type { Depth, EvidenceRequest } from './requests';
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
  const rounds = [profiles, keys, probes, references, uniques];
  for (const round of rounds) {
    const open = round({ catalogue, tables, evidence, depth }).filter((request) => !wasAsked(evidence, request));
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
function profiles({ tables, catalogue }: Round): readonly EvidenceRequest[] {
  const keyless = baseTables(catalogue).filter(lacksPrimaryKey);
  return [...new Set([...tables, ...keyless])].flatMap((table): EvidenceRequest[] => [
    { kind: 'profile', table: table.id },
    { kind: 'sample', table: table.id },
  ]);
}

function keys({ catalogue, evidence, depth }: Round): readonly EvidenceRequest[] {
  return baseTables(catalogue)
    .filter(lacksPrimaryKey)
    .flatMap((table) => keyQuestions(catalogue, table, evidence, depth));
}

function probes({ catalogue, tables, evidence }: Round): readonly EvidenceRequest[] {
  return probeQuestions(catalogue, tables, evidence);
}

function references({ catalogue, tables, evidence }: Round): readonly EvidenceRequest[] {
  const ids = new Set(tables.map((table) => table.id));
  return referenceCandidates(catalogue, evidence)
    .filter((candidate) => ids.has(candidate.child))
    .map(inclusionRequestOf);
}

function uniques({ catalogue, tables, evidence, depth }: Round): readonly EvidenceRequest[] {
  return tables.flatMap((table) =>
    plausibleUniques(catalogue, table, evidence)
      .filter(({ columns }) => !settled(evidence, table.id, columns, depth))
      .map(({ columns }): EvidenceRequest => ({ kind: 'repeats', table: table.id, columns })),
  );
}
