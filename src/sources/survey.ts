// One survey of a source: read the catalogue, ask until nothing is left to ask, judge. Every fact is
// handed out as soon as it is known, so that whoever keeps them can go on after an interruption. A
// budget bounds what is asked of the source: connections, rests, seconds, hours.

import type { TableId } from '../core/catalogue/identifiers';
import { baseTables, findTable } from '../core/catalogue/lookups';
import type { Catalogue } from '../core/catalogue/model';
import { type Evidence, evidenceOf, type Fact } from '../core/evidence/evidence';
import { allRequests, nextRequests } from '../core/evidence/questions';
import { keepWhatHolds } from '../core/evidence/references/candidates';
import { type Depth, type EvidenceRequest, keyOf } from '../core/evidence/requests';
import { type Earlier, stillTrue } from '../core/evidence/reuse';
import { factsFromStatistics } from '../core/evidence/statistics';
import { askRules, judge, type WaivedFinding, type AuditOptions } from '../core/rules/audit';
import { type Policies, noPolicies } from '../core/rules/policy';
import type { Speed } from '../core/plan/times';
import type { Finding } from '../core/rules/finding';
import { type Budget, unboundedBudget, waitMs } from './budget';
import { Later } from './reader';
import type { AskedFor } from '../core/wishes/index';
import { type Dictionary, noDictionary, rememberDictionary } from '../core/naming/dictionary';
import type { Adopted } from '../core/naming/style';
import type { MeasureOptions, Source } from './source';
import { SourceError } from './SourceError';

/** What its people have settled and asked for. */
export interface Terms {
  readonly policies?: Policies;
  /** What names are to follow. */
  readonly adopted?: Adopted;
  readonly wishes?: readonly AskedFor[];
  /** What the house says of its words. */
  readonly dictionary?: Dictionary;
}

export interface SurveyOptions extends Terms {
  readonly depth: Depth;
  /** Schemas to survey; empty for all. */
  readonly schemas?: readonly string[];
  /** Tables to survey; null for all. */
  readonly tables?: ReadonlySet<TableId> | null;
  readonly budget?: Budget;
  /** Opens the connections that the budget allows beyond the first. */
  readonly openAnother?: () => Promise<Source>;
  /** What an interrupted run of the same survey already knows. */
  readonly known?: Omit<Earlier, 'at'> | null;
  /** The last exact survey: it shows rates of growth, and what it measured of unchanged tables need not be measured again. */
  readonly earlier?: Earlier | null;
  /** False to measure everything again. */
  readonly reuse?: boolean;
  /** True when nobody will bring answers to what is open by now: it stays so. */
  readonly lastRound?: boolean;
  /** What it gives back holds in place of what was said before: something may have been renamed since. */
  readonly onCatalogue?: (catalogue: Catalogue) => Promise<Terms | null>;
  readonly onFacts?: (facts: readonly Fact[]) => Promise<void>;
  readonly onProgress?: (progress: Progress) => Promise<void> | void;
  readonly signal?: AbortSignal;
}

export interface Progress {
  readonly phase: 'catalogue' | 'waiting' | 'measuring' | 'judging';
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
  readonly waived: readonly WaivedFinding[];
  readonly scope: ReadonlySet<TableId> | null;
  readonly takenAt: string;
  /** Tables of which nothing was read again, since they have not changed. */
  readonly reused: ReadonlySet<TableId>;
  /** How fast whole tables were read. */
  readonly speed: Speed;
}

/**
 * Throws Later, with all that is open, where somebody brings the answers.
 * Throws SourceError: `cancelled` when the signal says so, `lost` when the connection breaks.
 */
export async function survey(source: Source, options: SurveyOptions): Promise<SurveyResult> {
  const others: Source[] = [];
  const { signal } = options;
  const stop = (): void => [source, ...others].forEach((one) => void one.cancel().catch(() => undefined));
  signal?.addEventListener('abort', stop, { once: true });
  try {
    const wanted = options.openAnother ? (options.budget?.connections ?? 1) - 1 : 0;
    for (let n = 0; n < wanted; n++) others.push(await (options.openAnother as () => Promise<Source>)());
    return await new Run([source, ...others], options).carryOut();
  } finally {
    signal?.removeEventListener('abort', stop);
    await Promise.all(others.map((other) => other.close().catch(() => undefined)));
  }
}

class Run {
  private readonly facts = new Map<string, Fact>();
  private readonly spentMs = new Map<TableId, number>();
  private readonly budget: Budget;
  private spentInAllMs = 0;
  private readonly passed = { bytes: 0, ms: 0 };
  private readonly takenAt = new Date().toISOString();
  private done = 0;
  private round = 0;
  private before: Evidence | null = null;
  private terms: Terms;
  /** What was asked and is not answered yet, where somebody brings the answers. */
  private readonly open = new Map<string, Later>();

  constructor(
    private readonly sources: readonly Source[],
    private readonly options: SurveyOptions,
  ) {
    this.budget = options.budget ?? unboundedBudget;
    this.terms = options;
  }

  async carryOut(): Promise<SurveyResult> {
    const { depth, known, earlier } = this.options;
    const { takenAt } = this;
    await this.tell('catalogue', 'Reading the catalogue', 0);
    const catalogue =
      known?.catalogue ?? (await (this.sources[0] as Source).readCatalogue({ statistics: depth === 'catalogue' }));
    if (!known) this.terms = (await this.options.onCatalogue?.(catalogue)) ?? this.terms;
    rememberDictionary(catalogue, this.terms.dictionary ?? noDictionary);
    const scope = scopeOf(catalogue, this.options);

    for (const fact of known?.facts ?? []) this.facts.set(keyOf(fact.request), fact);
    const reused = depth === 'exact' && earlier && this.options.reuse !== false ? stillTrue(earlier, catalogue) : [];
    const before = depth === 'catalogue' ? factsFromStatistics(catalogue, takenAt) : reused;
    await this.keep(before.filter((fact) => !this.facts.has(keyOf(fact.request))));
    for (let open = this.ask(catalogue, scope); open.length > 0; open = this.ask(catalogue, scope))
      await this.answer(catalogue, open);
    if (this.open.size > 0) throw new Later([...this.open.values()].flatMap(({ queries }) => queries));

    this.stopIfAsked();
    await this.tell('judging', 'Judging', 0);
    const evidence = evidenceOf(this.facts.values());
    return {
      catalogue,
      evidence,
      ...judge(catalogue, evidence, this.judging(scope)),
      scope,
      takenAt,
      speed: this.passed,
      reused: new Set(reused.filter((fact) => fact.request.kind === 'profile').map((fact) => fact.request.table)),
    };
  }

  private judging(scope: ReadonlySet<TableId> | null): AuditOptions {
    const { policies = noPolicies, adopted, wishes = [] } = this.terms;
    const { earlier } = this.options;
    const before = earlier ? { at: earlier.at, catalogue: earlier.catalogue, evidence: evidenceOf(earlier.facts) } : null;
    return { scope, policies, wishes, at: this.takenAt, earlier: before, ...(adopted && { adopted }) };
  }

  private ask(catalogue: Catalogue, scope: ReadonlySet<TableId> | null): readonly EvidenceRequest[] {
    const evidence = evidenceOf(this.facts.values());
    const { depth } = this.options;
    if (this.sources[0]?.byFiles) return this.askAtOnce(catalogue, evidence, scope);
    if (this.before) keepWhatHolds(this.before, evidence);
    this.before = evidence;
    const { requests, round } = nextRequests(catalogue, evidence, { depth, scope, from: this.round });
    this.round = round;
    return requests.length > 0 || depth === 'catalogue' ? requests : askRules(catalogue, evidence, this.judging(scope));
  }

  private askAtOnce(catalogue: Catalogue, evidence: Evidence, scope: ReadonlySet<TableId> | null): readonly EvidenceRequest[] {
    const all = [
      ...allRequests(catalogue, evidence, scope),
      ...askRules(catalogue, evidence, { ...this.judging(scope), ahead: true }),
    ];
    return all.filter((request) => !this.open.has(keyOf(request)));
  }

  /** Answers one round of questions; each connection takes the next batch when it is free. */
  private async answer(catalogue: Catalogue, open: readonly EvidenceRequest[]): Promise<void> {
    // What is brought later has to be asked in the same words again, whatever else is open by then.
    const all = this.sources[0]?.byFiles ? open.map((request) => [request]) : batchesOf(open);
    const batches = all.values();
    const size = (batch: readonly EvidenceRequest[]): number =>
      Math.max(findTable(catalogue, batch[0]?.table as TableId)?.bytes ?? 0, 8192);
    let remaining = all.reduce((bytes, batch) => bytes + size(batch), 0);
    const failures: unknown[] = [];
    await Promise.all(
      this.sources.map(async (source) => {
        try {
          for (const batch of batches) {
            if (failures.length > 0) return;
            await this.waitForHours();
            this.stopIfAsked();
            await this.tell('measuring', inWords(batch), remaining);
            await this.measure(source, catalogue, batch);
            remaining -= size(batch);
            this.done += size(batch);
          }
        } catch (error) {
          failures.push(error);
        }
      }),
    );
    if (failures.length > 0) throw failures[0];
  }

  private async measure(source: Source, catalogue: Catalogue, batch: readonly EvidenceRequest[]): Promise<void> {
    const tables = new Set(batch.map((request) => request.table));
    const left = this.leftMs(tables);
    if (left !== null && left <= 0) return this.keep(batch.map((request) => overBudget(request, this.budget)));
    // Each profile reads one table whole.
    const whole = this.options.depth === 'exact' && batch[0]?.kind === 'profile' ? findTable(catalogue, batch[0].table) : null;
    this.passed.bytes += whole?.bytes ?? 0;
    const facts = await this.factsFrom(source, catalogue, batch, {
      depth: this.options.depth,
      timeoutMs: left,
      workers: this.budget.workers,
      rest: (tookMs: number) => {
        for (const table of tables) this.spentMs.set(table, (this.spentMs.get(table) ?? 0) + tookMs / tables.size);
        this.spentInAllMs += tookMs;
        if (whole) this.passed.ms += tookMs;
        return this.pause(tookMs * this.budget.rest);
      },
      known: (request: EvidenceRequest) => this.facts.get(keyOf(request)) ?? null,
    });
    await this.keep(facts);
  }

  private async factsFrom(
    source: Source,
    catalogue: Catalogue,
    batch: readonly EvidenceRequest[],
    options: MeasureOptions,
  ): Promise<readonly Fact[]> {
    try {
      return await source.measure(batch, catalogue, options);
    } catch (error) {
      if (!(error instanceof Later)) throw error;
      if (this.options.lastRound)
        return batch.map((request) => ({ request, notMeasured: roundsOver, at: new Date().toISOString() }));
      for (const request of batch) this.open.set(keyOf(request), error);
      return [];
    }
  }

  private leftMs(tables: ReadonlySet<TableId>): number | null {
    const { secondsPerTable, secondsPerSurvey } = this.budget;
    const limits = [
      ...(secondsPerTable === null
        ? []
        : [secondsPerTable * 1000 - Math.max(...[...tables].map((table) => this.spentMs.get(table) ?? 0))]),
      ...(secondsPerSurvey === null ? [] : [secondsPerSurvey * 1000 - this.spentInAllMs]),
    ];
    return limits.length === 0 ? null : Math.min(...limits);
  }

  private async keep(facts: readonly Fact[]): Promise<void> {
    if (facts.length === 0) return;
    for (const fact of facts) this.facts.set(keyOf(fact.request), fact);
    await this.options.onFacts?.(facts);
  }

  private async waitForHours(): Promise<void> {
    for (let wait = waitMs(this.budget, new Date()); wait > 0; wait = waitMs(this.budget, new Date())) {
      const { from = 0, zone = 'UTC' } = this.budget.hours ?? {};
      await this.tell('waiting', `Waiting until ${String(from).padStart(2, '0')}:00 (${zone}), when it may work`, 0);
      await this.pause(Math.min(wait, 30_000));
      this.stopIfAsked();
    }
  }

  private pause(ms: number): Promise<void> {
    const { signal } = this.options;
    if (ms < 1 || signal?.aborted) return Promise.resolve();
    return new Promise((resolve) => {
      const timer = setTimeout(end, ms);
      signal?.addEventListener('abort', end, { once: true });
      function end(): void {
        clearTimeout(timer);
        signal?.removeEventListener('abort', end);
        resolve();
      }
    });
  }

  private stopIfAsked(): void {
    if (this.options.signal?.aborted) throw new SourceError('The survey was cancelled. What was measured is kept.', 'cancelled');
  }

  private async tell(phase: Progress['phase'], doing: string, remaining: number): Promise<void> {
    await this.options.onProgress?.({ phase, doing, done: this.done, total: this.done + remaining });
  }
}

const roundsOver =
  'It came up only with the last answers, and nobody is asked to run a script more often. Begin another survey to have it looked at.';

const probesTogether = 500;

/** Requests that a source can answer in one pass: repeats, and violations, of the same table; probes of many. */
function batchesOf(requests: readonly EvidenceRequest[]): readonly (readonly EvidenceRequest[])[] {
  const fused = new Map<string, EvidenceRequest[]>();
  let probes = 0;
  for (const request of requests) {
    const batch = batchOf(request);
    const own = fused.get(batch);
    if (own) own.push(request);
    else fused.set(batch, [request]);
  }
  return [...fused.values()];

  function batchOf(request: EvidenceRequest): string {
    if (request.kind === 'probe') return `probes ${Math.floor(probes++ / probesTogether)}`;
    return request.kind === 'repeats' || request.kind === 'violations' ? `${request.kind} ${request.table}` : keyOf(request);
  }
}

function overBudget(request: EvidenceRequest, { secondsPerTable }: Budget): Fact {
  const notMeasured = `The budget of ${secondsPerTable ?? 'the'} seconds was used up before all of it was measured. Raise the budget of the source, or survey it sampled.`;
  return { request, notMeasured, at: new Date().toISOString() };
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

function inWords([first, ...more]: readonly EvidenceRequest[]): string {
  if (!first) return '';
  switch (first.kind) {
    case 'profile':
      return `Counting rows and empty values of ${first.table}`;
    case 'sample':
      return `Looking at a sample of ${first.table}`;
    case 'repeats':
      return `Looking for repeats of ${first.columns.join(', ')}${more.length > 0 ? ` and ${more.length} more` : ''} in ${first.table}`;
    case 'probe':
      return more.length === 0
        ? `Looking for where ${first.column} of ${first.table} may point to`
        : `Looking for where ${more.length + 1} columns may point to`;
    case 'inclusion':
      return `Looking for orphans of ${first.parent} in ${first.table}`;
    case 'violations':
      return `Counting exceptions among the values of ${first.table}`;
  }
}
