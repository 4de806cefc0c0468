// What is sent to whoever hears of a source: what its survey found to be worse, and how it stands.

import type { Severity } from '../rules/rule';

export interface ToldFinding {
  readonly id: string;
  readonly rule: string;
  readonly severity: Severity;
  readonly title: string;
  readonly place: string;
}

export interface Announcement {
  readonly format: 'pawl-announcement/1';
  readonly event: 'survey.done' | 'survey.failed' | 'test';
  readonly source: string;
  /** Null of a test. */
  readonly survey: number | null;
  /** ISO 8601. */
  readonly at: string;
  /** Why it failed; null when it did not. */
  readonly problem: string | null;
  readonly slipped: readonly ToldFinding[];
  readonly fresh: readonly ToldFinding[];
  readonly open: number;
  /** From 0 to 1; null where it was not measured. */
  readonly soundness: number | null;
}

export function isWorse({ event, slipped, fresh }: Announcement): boolean {
  return event === 'survey.failed' || slipped.length > 0 || fresh.length > 0;
}
