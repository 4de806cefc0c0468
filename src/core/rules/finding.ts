// What a rule finds, as data.

import type { FindingId } from '../catalogue/identifiers';
import type { Proposal } from '../remedies/index';

export const concerns = ['Keys', 'References', 'Uniqueness', 'Nullability', 'Values', 'Naming'] as const;
export type Concern = (typeof concerns)[number];

/** From most to least harm. */
export const severities = ['Critical', 'Serious', 'Moderate', 'Minor'] as const;
export type Severity = (typeof severities)[number];

export interface FoundObject {
  readonly schema: string;
  readonly table: string;
  readonly columns: readonly string[];
  /** The constraint or index it is about, where it is about one. */
  readonly name?: string;
}

/** A finding carries facts, never prose; `wordsOf` of its rule says them. */
export interface Finding {
  readonly id: FindingId;
  readonly rule: string;
  readonly concern: Concern;
  readonly severity: Severity;
  readonly confidence: number;
  readonly object: FoundObject;
  readonly facts: unknown;
  readonly proposal: Proposal;
}
