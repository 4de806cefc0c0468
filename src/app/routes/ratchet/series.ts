// What is drawn and told of a source's surveys, of all findings or of those of a concern and severity.

import type { Count } from '~/core/ratchet/standing';
import { openStates } from '~/core/ratchet/states';
import type { SurveyId } from '~/store/ids';
import type { StandingRow } from '~/store/ratchet/standings';

export interface Point {
  readonly survey: SurveyId;
  readonly at: string;
  readonly open: number;
  readonly held: number;
  readonly waived: number;
  readonly slipped: number;
  /** Slipped that had not at the survey before. */
  readonly newlySlipped: number;
  readonly soundness: number | null;
  readonly docket: number | null;
  readonly depth: string;
  readonly partial: boolean;
}

/** Empty for any. */
export interface Wanted {
  readonly concern: string;
  readonly severity: string;
}

export function pointsOf(standings: readonly StandingRow[], wanted: Wanted): readonly Point[] {
  let before: number | null = null;
  return standings.map(({ survey, at, depth, partial, docket, counts, soundness }) => {
    const own = counts.filter((count) => fits(count, wanted));
    const slipped = sumOf(own, ({ state }) => state === 'Slipped');
    const newlySlipped = before === null ? 0 : Math.max(0, slipped - before);
    before = slipped;
    return {
      ...{ survey, at, depth, partial, docket, slipped, newlySlipped, soundness: soundness?.share ?? null },
      open: sumOf(own, ({ state }) => openStates.includes(state)),
      held: sumOf(own, ({ state }) => state === 'Held'),
      waived: sumOf(own, ({ state }) => state === 'Waived'),
    };
  });
}

export function fits({ concern, severity }: Count, wanted: Wanted): boolean {
  return (wanted.concern === '' || concern === wanted.concern) && (wanted.severity === '' || severity === wanted.severity);
}

export function sumOf(counts: readonly Count[], of: (count: Count) => boolean): number {
  return counts.reduce((sum, count) => (of(count) ? sum + count.findings : sum), 0);
}
