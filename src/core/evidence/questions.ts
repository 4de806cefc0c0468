// What to ask next. Called again after each round of answers until it has nothing left to ask: rows and
// samples first, then uniqueness of what survived them, then parents, orphans, and claims about values.
// As it is a function of the facts alone, a survey that was interrupted goes on where it stopped.

import type { TableId } from '../catalogue/identifiers';
import { baseTables } from '../catalogue/lookups';
import type { Catalogue, Table } from '../catalogue/model';
import { groupBy } from '../grouping';
import { type Evidence, wasAsked } from './evidence';
import { keyQuestions, lacksPrimaryKey, settled } from './keys';
import { inclusionRequestOf, missingShareOf, type ReferenceCandidate, referenceCandidates } from './references/candidates';
import { orphanShareOf } from './references/features';
import { probeQuestions } from './references/probes';
import { orphansTolerated, unverified } from './references/weigh';
import { type Depth, type EvidenceRequest, keyOf } from './requests';
import { plausibleUniques } from './uniques';

/** What to ask next, and how far that is: later rounds rest on what earlier ones asked. */
export interface Asking {
  readonly requests: readonly EvidenceRequest[];
  readonly round: number;
}

export interface Wanted {
  readonly depth: Depth;
  readonly scope?: ReadonlySet<TableId> | null;
  readonly from?: number;
}

/**
 * `scope` limits the questions to findings about these tables; null asks about all. `from` is the round of the questions before: those
 * before it have nothing left to ask, since only what they themselves asked would make them ask more.
 */
export function nextRequests(catalogue: Catalogue, evidence: Evidence, { depth, scope = null, from = 0 }: Wanted): Asking {
  if (depth === 'catalogue') return { requests: [], round: rounds.length };
  const tables = baseTables(catalogue).filter((table) => scope === null || scope.has(table.id));
  for (const [i, round] of rounds.entries()) {
    if (i < from) continue;
    const open = round({ catalogue, tables, evidence, depth }).filter((request) => !wasAsked(evidence, request));
    if (open.length > 0) return { requests: open, round: i };
  }
  return { requests: [], round: rounds.length };
}

/**
 * All that can be asked with what is known, of every round: where answers are brought by somebody, trips are dearer than questions
 * that turn out to have been idle.
 */
export function allRequests(
  catalogue: Catalogue,
  evidence: Evidence,
  scope: ReadonlySet<TableId> | null,
): readonly EvidenceRequest[] {
  const tables = baseTables(catalogue).filter((table) => scope === null || scope.has(table.id));
  const open = rounds
    .flatMap((round) => round({ catalogue, tables, evidence, depth: 'exact' }))
    .filter((request) => !wasAsked(evidence, request));
  return [...new Map(open.map((request) => [keyOf(request), request])).values()];
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
  const candidates = referenceCandidates(catalogue, evidence).filter((candidate) => ids.has(candidate.child));
  return [...groupBy(candidates, (c) => `${c.child} ${c.columns.join('\0')}`).values()].flatMap((rivals) =>
    worthCounting(rivals, evidence),
  );
}

function verifying({ catalogue, tables, evidence }: Round): readonly EvidenceRequest[] {
  const ids = new Set(tables.map((table) => table.id));
  return unverified(catalogue, evidence).filter((request) => ids.has(request.table));
}

const alike = 0.15;

// The best names first, with those that fit nearly as well; the others only when the data refutes all of these.
function worthCounting(all: readonly ReferenceCandidate[], evidence: Evidence): readonly EvidenceRequest[] {
  const rivals = notOutdone(all, evidence);
  const best = Math.max(...rivals.map((candidate) => candidate.likeness));
  const asked = rivals.filter((candidate) => wasAsked(evidence, inclusionRequestOf(candidate)));
  const holds = asked.some((candidate) => (orphanShareOf(candidate, evidence) ?? 1) <= orphansTolerated);
  if (holds) return rivals.filter((candidate) => candidate.likeness >= best - alike).map(inclusionRequestOf);
  const left = rivals.filter((candidate) => !asked.includes(candidate));
  const next = Math.max(...left.map((candidate) => candidate.likeness));
  return left.filter((candidate) => candidate.likeness >= next - alike).map(inclusionRequestOf);
}

// Of parents that no name speaks of, those that lacked none of the values looked up, until the data refutes them.
function notOutdone(rivals: readonly ReferenceCandidate[], evidence: Evidence): readonly ReferenceCandidate[] {
  const firm = rivals.filter((candidate) => candidate.likeness > 0 || (missingShareOf(candidate, evidence) ?? 0) === 0);
  const refuted = firm.every((candidate) => (orphanShareOf(candidate, evidence) ?? 0) > orphansTolerated);
  return refuted ? rivals : firm;
}

function uniques({ catalogue, tables, evidence, depth }: Round): readonly EvidenceRequest[] {
  return tables.flatMap((table) =>
    plausibleUniques(catalogue, table, evidence)
      .filter(({ columns }) => !settled(evidence, table.id, columns, depth))
      .map(({ columns }): EvidenceRequest => ({ kind: 'repeats', table: table.id, columns })),
  );
}

const rounds: readonly ((round: Round) => readonly EvidenceRequest[])[] = [
  profiles,
  keys,
  probes,
  references,
  verifying,
  uniques,
];
