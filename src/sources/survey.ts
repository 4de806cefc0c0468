// One survey of a source: read the catalogue, ask until nothing is left to ask, judge. Every fact
// is handed out as soon as it is known, so that whoever keeps them can go on after an interruption.

import type { TableId } from '../core/catalogue/identifiers';
import { baseTables, findTable } from '../core/catalogue/lookups';
import type { Catalogue } from '../core/catalogue/model';
import { type Evidence, evidenceOf, type Fact } from '../core/evidence/evidence';
import { nextRequests } from '../core/evidence/questions';
import { type Depth, type EvidenceRequest, keyOf } from '../core/evidence/requests';
import { factsFromStatistics } from '../core/evidence/statistics';
import { audit } from '../core/rules/audit';
import type { Finding } from '../core/rules/rule';
import type { Source } from './source';
import { SourceError } from './SourceError';

export interface SurveyOptions {
  readonly depth: Depth;
  /** Schemas to survey; empty for all. */
  readonly schemas?: readonly string[];
  /** Tables to survey; null for all. */
  readonly tables?: ReadonlySet<TableId> | null;
  /** What an interrupted run of the same survey already knows. */
  readonly known?: { readonly catalogue: Catalogue; readonly facts: readonly Fact[] } | null;
  readonly onCatalogue?: (catalogue: Catalogue) => Promise<void>;
  readonly onFact?: (fact: Fact) => Promise<void>;
  readonly onProgress?: (progress: Progress) => Promise<void> | void;
  readonly signal?: AbortSignal;
}

export interface Progress {
  readonly phase: 'catalogue' | 'measuring' | 'judging';
  /** What is being done now, in words. */
  readonly doing: string;
  /** Bytes read and bytes to read, as far as is known yet. */
  readonly done: number;
  readonly total: number;
}

export interface SurveyResult {
  readonly catalogue: Catalogue;
  readonly evidence: Evidence;
  readonly findings: readonly Finding[];
  readonly scope: ReadonlySet<TableId> | null;
  readonly takenAt: string;
}

/** Throws SourceError: `cancelled` when the signal says so, `lost` when the connection breaks. */
export async function survey(source: Source, options: SurveyOptions): Promise<SurveyResult> {
  const { signal } = options;
  const stop = (): void => void source.cancel().catch(() => undefined);
  signal?.addEventListener('abort', stop, { once: true });
  try {
    return await run(source, options);
  } finally {
    signal?.removeEventListener('abort', stop);
  }
}

async function run(source: Source, options: SurveyOptions): Promise<SurveyResult> {
  const { depth, known, onCatalogue, onFact, onProgress, signal } = options;
  const takenAt = new Date().toISOString();
  await onProgress?.({ phase: 'catalogue', doing: 'Reading the catalogue', done: 0, total: 0 });
  const catalogue = known?.catalogue ?? (await source.readCatalogue());
  if (!known) await onCatalogue?.(catalogue);
  const scope = scopeOf(catalogue, options);

  const facts = new Map<string, Fact>();
  const initial = depth === 'catalogue' ? factsFromStatistics(catalogue, takenAt) : [];
  for (const fact of [...initial, ...(known?.facts ?? [])]) facts.set(keyOf(fact.request), fact);
  for (const fact of initial) await onFact?.(fact);

  let done = 0;
  for (let open = ask(); open.length > 0; open = ask()) {
    let remaining = open.reduce((bytes, request) => bytes + bytesOf(catalogue, request), 0);
    for (const request of open) {
      stopIfAsked(signal);
      await onProgress?.({ phase: 'measuring', doing: inWords(request), done, total: done + remaining });
      const fact = await source.measure(request, catalogue, depth);
      facts.set(keyOf(request), fact);
      await onFact?.(fact);
      done += bytesOf(catalogue, request);
      remaining -= bytesOf(catalogue, request);
    }
  }
  stopIfAsked(signal);
  await onProgress?.({ phase: 'judging', doing: 'Judging', done, total: done });
  const evidence = evidenceOf(facts.values());
  return { catalogue, evidence, findings: audit(catalogue, evidence, scope), scope, takenAt };

  function ask(): readonly EvidenceRequest[] {
    return nextRequests(catalogue, evidenceOf(facts.values()), depth, scope);
  }
}

function stopIfAsked(signal: AbortSignal | undefined): void {
  if (signal?.aborted) throw new SourceError('The survey was cancelled. What was measured is kept.', 'cancelled');
}

function scopeOf(catalogue: Catalogue, { schemas, tables }: SurveyOptions): ReadonlySet<TableId> | null {
  if (tables) return tables;
  if (!schemas || schemas.length === 0) return null;
  const unknown = schemas.filter((name) => !catalogue.schemas.some((schema) => schema.name === name));
  if (unknown.length > 0)
    throw new SourceError(
      `The database has no schema ${unknown.join(', ')}. It has ${catalogue.schemas.map((s) => s.name).join(', ') || 'none'}.`,
      'misspelt',
    );
  return new Set(
    baseTables(catalogue)
      .filter((table) => schemas.includes(table.schema))
      .map((table) => table.id),
  );
}

// A question about uniqueness or a reference reads the table again; its size says how long that takes.
function bytesOf(catalogue: Catalogue, request: EvidenceRequest): number {
  return Math.max(findTable(catalogue, request.table)?.bytes ?? 0, 8192);
}

function inWords(request: EvidenceRequest): string {
  switch (request.kind) {
    case 'profile':
      return `Counting rows and empty values of ${request.table}`;
    case 'repeats':
      return `Looking for repeats of ${request.columns.join(', ')} in ${request.table}`;
    case 'inclusion':
      return `Looking for orphans of ${request.parent} in ${request.table}`;
  }
}
