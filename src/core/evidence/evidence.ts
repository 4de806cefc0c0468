// What was measured: a fact for each request, with how it was got. "Never", "always" and "unique"
// may only be said of facts that were got exactly.

import type { TableId } from '../catalogue/identifiers';
import {
  type EvidenceRequest,
  type InclusionRequest,
  keyOf,
  type ProbeRequest,
  type ProfileRequest,
  type RepeatsRequest,
  type SampleRequest,
  type ViolationsRequest,
} from './requests';
import { recordOf } from '../records';
import type { Sample } from './sample';

export type How =
  { readonly kind: 'exact' } | { readonly kind: 'sample'; readonly rows: number } | { readonly kind: 'statistics' };

export type Fact = Measured | NotMeasured;

export type Measured =
  | MeasuredAs<ProfileRequest, Profile>
  | MeasuredAs<SampleRequest, Sample>
  | MeasuredAs<RepeatsRequest, Repeats>
  | MeasuredAs<ProbeRequest, Probe>
  | MeasuredAs<InclusionRequest, Inclusion>
  | MeasuredAs<ViolationsRequest, Violations>;

interface MeasuredAs<Request, Result> {
  readonly request: Request;
  readonly how: How;
  readonly result: Result;
  /** When, in ISO 8601. */
  readonly at: string;
}

export interface NotMeasured {
  readonly request: EvidenceRequest;
  /** A sentence for people: what kept us from measuring. */
  readonly notMeasured: string;
  readonly at: string;
}

export interface Profile {
  readonly rows: number;
  readonly columns: Readonly<Record<string, ColumnProfile>>;
}

export interface ColumnProfile {
  readonly nulls: number;
  /** Empty or white space only; null for types that cannot be blank. */
  readonly blanks: number | null;
  /** Smallest and largest value of whole numbers, days and moments, as text; null for other types or when empty. */
  readonly min: string | null;
  readonly max: string | null;
  /** Bytes of the longest value, where the type lets one be longer than an index takes; left out elsewhere. */
  readonly widest?: number;
}

export interface Repeats {
  readonly rows: number;
  /** Rows with a null in one of the columns. */
  readonly nullRows: number;
  /** Rows beyond the first of each value: zero means that nothing repeats. */
  readonly surplus: number;
  /** Values that occur more than once; null when there are so many that nobody asked how many. */
  readonly repeatedValues: number | null;
  /** Rows that carry such a value; null as above. */
  readonly repeatedRows: number | null;
}

export interface Probe {
  /** Distinct values that were looked up. */
  readonly tested: number;
  /** The share of them, 0 to 1, that is missing among each parent's keys, in the order of the request. */
  readonly missing: readonly number[];
}

export interface Inclusion {
  readonly rows: number;
  readonly nullRows: number;
  readonly orphanRows: number;
  readonly orphanValues: number;
}

export interface Violations {
  /** Rows that the claim speaks of: those with a value. */
  readonly rows: number;
  readonly broken: number;
}

/** Facts by the key of their request. */
export type Evidence = Readonly<Record<string, Fact>>;

export function evidenceOf(facts: Iterable<Fact>): Evidence {
  return recordOf([...facts].map((fact) => [keyOf(fact.request), fact]));
}

export function wasAsked(evidence: Evidence, request: EvidenceRequest): boolean {
  return Object.hasOwn(evidence, keyOf(request));
}

export type ResultOf<Kind> = Extract<Measured, { request: { kind: Kind } }>;

/** The fact that answers a request, or null when it was not measured. */
export function findFact<Kind extends EvidenceRequest['kind']>(
  evidence: Evidence,
  request: Extract<EvidenceRequest, { kind: Kind }>,
): ResultOf<Kind> | null {
  const key = keyOf(request);
  const fact = Object.hasOwn(evidence, key) ? evidence[key] : undefined;
  return fact && 'result' in fact ? (fact as ResultOf<Kind>) : null;
}

export function profileOf(evidence: Evidence, table: TableId): ResultOf<'profile'> | null {
  return findFact(evidence, { kind: 'profile', table });
}

export function sampleOf(evidence: Evidence, table: TableId): ResultOf<'sample'> | null {
  return findFact(evidence, { kind: 'sample', table });
}

export type Uniqueness =
  | { readonly kind: 'unique'; readonly how: How; readonly nullRows: number }
  | { readonly kind: 'repeats'; readonly how: How }
  | { readonly kind: 'unknown' };

/** What is known of the uniqueness of a column set, by the strongest fact at hand. */
export function uniquenessOf(evidence: Evidence, table: TableId, columns: readonly string[]): Uniqueness {
  const repeats = findFact(evidence, { kind: 'repeats', table, columns });
  if (repeats) {
    if (repeats.result.surplus > 0) return { kind: 'repeats', how: repeats.how };
    return { kind: 'unique', how: repeats.how, nullRows: repeats.result.nullRows };
  }
  return bySample(evidence, table, columns);
}

// A repeat in a sample is a proof; that nothing repeats in one is none, unless the sample is the whole table.
function bySample(evidence: Evidence, table: TableId, columns: readonly string[]): Uniqueness {
  const sample = sampleOf(evidence, table);
  if (!sample) return { kind: 'unknown' };
  const nullRows = nullRowsOf(evidence, table, columns);
  if (sample.result.uniques.some((unique) => unique.every((column) => columns.includes(column))))
    return { kind: 'unique', how: sample.how, nullRows };
  const [only] = columns;
  const seen = columns.length === 1 && only !== undefined ? sample.result.columns[only] : undefined;
  if (!seen || seen.distinct === null) return { kind: 'unknown' };
  return seen.distinct < sample.result.rows - seen.nulls ? { kind: 'repeats', how: sample.how } : { kind: 'unknown' };
}

function nullRowsOf(evidence: Evidence, table: TableId, columns: readonly string[]): number {
  const profile = profileOf(evidence, table);
  return Math.max(0, ...columns.map((column) => profile?.result.columns[column]?.nulls ?? 0));
}

/** `counted exactly`, `in a sample of 25,000 rows`, `by the server's statistics`. */
export function howInWords(how: How): string {
  switch (how.kind) {
    case 'exact':
      return 'counted exactly';
    case 'sample':
      return `in a sample of ${how.rows.toLocaleString('en-GB')} rows`;
    case 'statistics':
      return "by the server's statistics";
  }
}

/** The line of evidence that says how many rows were looked at, and how. */
export function rowsLine(rows: number | null, how: How | null): { readonly label: string; readonly text: string } {
  return {
    label: 'rows',
    text: rows === null || how === null ? 'not measured' : `${rows.toLocaleString('en-GB')}, ${howInWords(how)}`,
  };
}

/** How much a claim that rests on such a measurement may be believed, 0 to 1. */
export function strengthOf(how: How): number {
  return { exact: 1, sample: 0.85, statistics: 0.6 }[how.kind];
}
