// What a survey does to the findings that were known before it.

import { remedyOf } from '../remedies/index';
import type { FindingId, TableId } from '../catalogue/identifiers';
import type { Catalogue } from '../catalogue/model';
import type { Depth } from '../evidence/requests';
import { tableOf } from '../rules/audit';
import { canJudge, canTell, rules } from '../rules/index';
import { type Policies, policyOf } from '../rules/policy';
import type { Finding } from '../rules/finding';
import { isGone, isMended } from './mended';
import { type FindingEvent, type FindingState, nextState } from './states';

export interface Standing {
  readonly finding: Finding;
  readonly state: FindingState;
}

export interface Seen {
  readonly catalogue: Catalogue;
  readonly depth: Depth;
  readonly found: ReadonlySet<FindingId>;
  /** What would have been found were it not waived, with the waiver in words; left out where nobody looked. */
  readonly waived?: ReadonlyMap<FindingId, string>;
  readonly scope: ReadonlySet<TableId> | null;
  /** Tables that could not be measured: nothing can be said of what was not found there. */
  readonly notMeasured: ReadonlySet<TableId>;
  /** Policies that the rules were under. */
  readonly policies: Policies;
}

export interface Transition {
  readonly id: FindingId;
  readonly from: FindingState;
  readonly to: FindingState;
  readonly reason: string | null;
}

/** The changes of state that a survey brings, for findings within its scope. */
export function transitionsAfter(standing: readonly Standing[], seen: Seen): readonly Transition[] {
  return standing.flatMap(({ finding, state }) => {
    if (seen.scope && !seen.scope.has(tableOf(finding.object))) return [];
    const event = eventFor(finding, state, seen);
    if (!event) return [];
    const to = nextState(state, event.kind);
    return to === state ? [] : [{ id: finding.id, from: state, to, reason: reasonFor(state, to, event.reason) }];
  });
}

function eventFor(
  finding: Finding,
  state: FindingState,
  seen: Seen,
): { readonly kind: FindingEvent; readonly reason: string | null } | null {
  const rule = rules.find(({ id }) => id === finding.rule);
  const { unknown } = seen.catalogue;
  // What the catalogue does not tell it does not tell to be mended either.
  const tells =
    !rule ||
    canJudge(
      rule,
      unknown.filter((part) => part !== 'values'),
    );
  if (tells && isMended(finding, seen.catalogue)) return { kind: 'mended', reason: null };
  if (isGone(finding, seen.catalogue)) return { kind: 'gone', reason: 'Its table or column is no longer there.' };
  // What is waived is not found: it was, so its waiver has run out or was taken back among the rules.
  if (seen.found.has(finding.id)) return { kind: state === 'Waived' ? 'waiverEnded' : 'seen', reason: null };
  const waiver = seen.waived?.get(finding.id);
  if (waiver !== undefined) return { kind: 'waived', reason: waiver };
  // Where nobody looked for what is waived, that it was not found says nothing.
  if (state === 'Waived' && !seen.waived) return null;
  if (!policyOf(seen.policies, finding.rule).on) return { kind: 'gone', reason: 'Its rule is switched off for this source.' };
  // What nobody could judge has not gone.
  if (rule && !canTell(rule, unknown)) return null;
  // Only an exact look can say that the data has stopped speaking for a finding.
  if (seen.depth !== 'exact' || seen.notMeasured.has(tableOf(finding.object))) return null;
  // Rows that were repaired are held by being as they should: the catalogue does not show it.
  if (remedyOf(finding.proposal).rowsAlone && (state === 'Applied' || state === 'Held')) return { kind: 'mended', reason: null };
  return { kind: 'gone', reason: 'The data no longer speaks for it.' };
}

function reasonFor(from: FindingState, to: FindingState, reason: string | null): string | null {
  if (from === 'Applied' && to === 'Open') return 'The docket was run, but the survey after it still finds this.';
  if (from === 'Waived' && to === 'Open') return 'It is waived no longer.';
  if (to === 'Slipped') return 'It was held, and the rule is gone again.';
  return to === 'Lapsed' || to === 'Waived' ? reason : null;
}
