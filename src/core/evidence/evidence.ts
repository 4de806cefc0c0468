// What was measured: a fact for each request, with how it was got. "Never", "always" and "unique"
// may only be said of facts that were got exactly.

import type { TableId } from '../catalogue/identifiers';
import { type EvidenceRequest, type InclusionRequest, keyOf, type ProfileRequest, type RepeatsRequest } from './requests';

export type How =
  { readonly kind: 'exact' } | { readonly kind: 'sample'; readonly rows: number } | { readonly kind: 'statistics' };

export type Fact = Measured | NotMeasured;

export type Measured =
  MeasuredAs<ProfileRequest, Profile> | MeasuredAs<RepeatsRequest, Repeats> | MeasuredAs<InclusionRequest, Inclusion>;

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
  /** Rows looked at for repeats: all of them in a small table, else a sample. Null values are left out. */
  readonly compared: number;
  /** Distinct values among the compared rows; null when the type cannot be compared. */
  readonly distinct: number | null;
}

export interface Repeats {
  readonly rows: number;
  /** Rows with a null in one of the columns. */
  readonly nullRows: number;
  /** Values that occur more than once. */
  readonly repeatedValues: number;
  /** Rows that carry such a value. */
  readonly repeatedRows: number;
}

export interface Inclusion {
  readonly rows: number;
  readonly nullRows: number;
  readonly orphanRows: number;
  readonly orphanValues: number;
  /** Distinct values of the reference; null when not counted. */
  readonly childValues: number | null;
}

/** Facts by the key of their request. */
export type Evidence = Readonly<Record<string, Fact>>;

export function evidenceOf(facts: Iterable<Fact>): Evidence {
  return Object.fromEntries([...facts].map((fact) => [keyOf(fact.request), fact]));
}

export function wasAsked(evidence: Evidence, request: EvidenceRequest): boolean {
  return Object.hasOwn(evidence, keyOf(request));
}

type ResultOf<Kind> = Extract<Measured, { request: { kind: Kind } }>;

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

export type Uniqueness =
  | { readonly kind: 'unique'; readonly how: How; readonly nullRows: number }
  | { readonly kind: 'repeats'; readonly how: How }
  | { readonly kind: 'unknown' };

/** What is known of the uniqueness of a column set, by the strongest fact at hand. */
export function uniquenessOf(evidence: Evidence, table: TableId, columns: readonly string[]): Uniqueness {
  const repeats = findFact(evidence, { kind: 'repeats', table, columns });
  if (repeats) {
    if (repeats.result.repeatedRows > 0) return { kind: 'repeats', how: repeats.how };
    return { kind: 'unique', how: repeats.how, nullRows: repeats.result.nullRows };
  }
  const [only] = columns;
  return columns.length === 1 && only !== undefined ? fromProfile(evidence, table, only) : { kind: 'unknown' };
}

function fromProfile(evidence: Evidence, table: TableId, name: string): Uniqueness {
  const profile = profileOf(evidence, table);
  const column = profile?.result.columns[name];
  if (!profile || !column || column.distinct === null) return { kind: 'unknown' };
  // Statistics can be stale in both directions; a sample can only prove repeats.
  if (column.distinct < column.compared) return { kind: 'repeats', how: profile.how };
  const whole = column.compared + column.nulls >= profile.result.rows;
  const how: How = whole || profile.how.kind === 'statistics' ? profile.how : { kind: 'sample', rows: column.compared };
  return { kind: 'unique', how, nullRows: column.nulls };
}

/** `measured exactly`, `in a sample of 25,000 rows`, `by the server's statistics`. */
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
