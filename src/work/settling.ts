// What a source's people settle: waivers, rules, the budget of its surveys. Each changes its one entry, held while it is
// changed, so that of many at once none is lost.

import { objectInWords } from '../core/ratchet/mended';
import { nextState } from '../core/ratchet/states';
import { type Waiver, type Policy, policyOf, waiverInWords } from '../core/rules/policy';
import type { Budget } from '../sources/budget';
import { findFinding, moveFindings } from '../store/findings/findings';
import { getSettings, keepBudget, keepPolicies } from '../store/sources/settings';
import { lockSource } from '../store/sources/sources';
import { nameOf } from './actor';
import { digestOf } from './digest';
import { keepAsVersion } from './houseStyle';
import type { Room } from './enter';
import { done, type Outcome, perform } from './perform';
import type { FindingRowId } from '../store/ids';

const changedMeanwhile = 'Somebody changed this while you had it open. Look at it again, then make your change.';

/** The version of what a form shows: another one means that somebody else changed it meanwhile. */
export function versionOf(shown: Policy | Budget): string {
  return digestOf(shown).slice(0, 16);
}

/** `until` is a day in ISO 8601, or empty. */
export function waive(
  room: Room,
  id: FindingRowId,
  { reason, until }: { readonly reason: string; readonly until: string },
): Promise<Outcome<null>> {
  if (reason.trim() === '') return Promise.resolve({ problem: 'Say why it is meant to be so: the next one to look will ask.' });
  if (until !== '' && until < new Date().toISOString().slice(0, 10))
    return Promise.resolve({ problem: 'That day is over already.' });
  return settleWaiver(room, id, 'waived', { reason: reason.trim(), ...(until !== '' && { until }), by: nameOf(room.actor) });
}

export function unwaive(room: Room, id: FindingRowId): Promise<Outcome<null>> {
  return settleWaiver(room, id, 'waiverEnded', null);
}

function settleWaiver(
  { office, actor, source }: Room,
  id: FindingRowId,
  event: 'waived' | 'waiverEnded',
  waiver: Omit<Waiver, 'object'> | null,
): Promise<Outcome<null>> {
  const act = { act: waiver ? 'finding.waive' : 'finding.unwaive', right: 'keepRules', source, object: `finding ${id}` } as const;
  return perform(office, actor, act, async (db) => {
    await lockSource(db, source.id);
    const finding = await findFinding(db, source.id, id);
    const to = finding && nextState(finding.state, event);
    if (!finding || !to || to === finding.state) return { problem: 'It has changed meanwhile. Read it again.' };
    const { policies } = await getSettings(db, source.id);
    const policy = policyOf(policies, finding.rule);
    const object = objectInWords(finding.object);
    const others = policy.waivers.filter((other) => other.object !== object);
    const waivers = waiver === null ? others : [...others, { object, ...waiver }];
    await keepPolicies(db, source.id, { ...policies, [finding.rule]: { ...policy, waivers } });
    await moveFindings(db, [{ finding: id, from: finding.state, to, reason: waiver && waiverInWords(waiver) }], {});
    return { ...done, object: finding.identity, after: waiver };
  });
}

/** Changes the policy of one rule. `change` returns the next one, or what is wrong. `version` is that of what was shown; null where nothing is overwritten. */
export function settleRule(
  { office, actor, source }: Room,
  rule: string,
  version: string | null,
  change: (policy: Policy) => Policy | string,
): Promise<Outcome<null>> {
  return perform(office, actor, { act: 'rule.settle', right: 'keepRules', source, object: rule }, async (db) => {
    await lockSource(db, source.id);
    const { policies } = await getSettings(db, source.id);
    const before = policyOf(policies, rule);
    if (version !== null && versionOf(before) !== version) return { problem: changedMeanwhile };
    const after = change(before);
    if (typeof after === 'string') return { problem: after };
    await keepPolicies(db, source.id, { ...policies, [rule]: after });
    if (settingOf(before) !== settingOf(after)) await keepAsVersion(db, source.id, `set ${rule}`, nameOf(actor));
    return { ...done, before, after };
  });
}

function settingOf({ waivers: _, ...setting }: Policy): string {
  return digestOf(setting);
}

export function settleBudget({ office, actor, source }: Room, version: string, budget: Budget): Promise<Outcome<null>> {
  return perform(office, actor, { act: 'budget.settle', right: 'keepSources', source, object: 'budget' }, async (db) => {
    await lockSource(db, source.id);
    const before = (await getSettings(db, source.id)).budget;
    if (versionOf(before) !== version) return { problem: changedMeanwhile };
    await keepBudget(db, source.id, budget);
    return { ...done, before, after: budget };
  });
}
