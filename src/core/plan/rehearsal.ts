// What a rehearsal tells: the parts it went through, in order, each with what it found.

import type { FindingId } from '../catalogue/identifiers';

/** `copy`: make the scratch copy. `again`: forward a second time, which must change nothing. `compare`: with the copy as it was. */
export const rehearsalParts = ['copy', 'forward', 'proofs', 'again', 'back', 'compare'] as const;
export type RehearsalPartName = (typeof rehearsalParts)[number];

/** Sources up to here are copied in full, larger ones in a sample. */
export const usualCopyBytes = 2048 * 1_048_576;

export interface Rehearsal {
  /** True when forward, proofs, second forward and back all hold and the copy is as it was. */
  readonly holds: boolean;
  readonly parts: readonly RehearsalPart[];
  /** Remedies that the copy refused, and those that rest on them; left out by older versions. */
  readonly failed?: readonly FailedRemedy[];
}

export interface FailedRemedy {
  readonly finding: FindingId;
  /** The step that failed, in words; what it rests on, for one that was not tried. */
  readonly step: string;
  readonly statement: string;
  /** Why, in words: the server's, or what a check counted. */
  readonly says: string;
  /** Rows that speak against it; null when none do, or nobody can say. */
  readonly rows: number | null;
  /** False for a remedy that only rests on one that failed. */
  readonly tried: boolean;
}

export interface RehearsalPart {
  readonly name: RehearsalPartName;
  /** `left out`: something before it failed. */
  readonly state: 'running' | 'held' | 'failed' | 'left out';
  readonly ms: number;
  /** One sentence for people. */
  readonly says: string;
  readonly lines: readonly RehearsalLine[];
}

/** A step, a proof, or a difference. */
export interface RehearsalLine {
  readonly title: string;
  readonly outcome: string;
  readonly ok: boolean;
  readonly ms: number;
  /** Locks that were really held: `port.call: ACCESS EXCLUSIVE`. */
  readonly locks: readonly string[];
  readonly statement: string;
}
