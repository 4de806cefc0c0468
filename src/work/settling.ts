// What a source's people settle: waivers, rules, the budget of its surveys. Each changes its one entry, held while it is
// changed, so that of many at once none is lost.

import { groupBy } from '../core/grouping';
import { counted } from '../core/naming/words';
import { objectInWords } from '../core/ratchet/mended';
import { nextState } from '../core/ratchet/states';
import { type Waiver, type Policy, policyOf, waiverInWords } from '../core/rules/policy';
import type { Budget } from '../sources/budget';
import { type FindingRow, listFindingsById, moveFindings } from '../store/findings/findings';
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

/** Waives findings, all or none. `until` is a day in ISO 8601, or empty. */
export function waive(
  room: Room,
  findings: readonly FindingRowId[],
  { reason, until }: { readonly reason: string; readonly until: string },
): Promise<Outcome<null>> {
  if (reason.trim() === '') return Promise.resolve({ problem: 'Say why it is meant to be so: the next one to look will ask.' });
  if (until !== '' && until < new Date().toISOString().slice(0, 10))
    return Promise.resolve({ problem: 'That day is over already.' });
  return settleWaivers(room, findings, 'waived', {
    reason: reason.trim(),
    ...(until !== '' && { until }),
    by: nameOf(room.actor),
  });
}

export function unwaive(room: Room, findings: readonly FindingRowId[]): Promise<Outcome<null>> {
  return settleWaivers(room, findings, 'waiverEnded', null);
}

function settleWaivers(
  { office, actor, source }: Room,
  ids: readonly FindingRowId[],
  event: 'waived' | 'waiverEnded',
  waiver: Omit<Waiver, 'object'> | null,
): Promise<Outcome<null>> {
  const [only] = ids;
  const object = ids.length === 1 ? `finding ${only}` : counted(ids.length, 'finding');
  const act = { act: waiver ? 'finding.waive' : 'finding.unwaive', right: 'keepRules', source, object } as const;
  return perform(office, actor, act, async (db) => {
    await lockSource(db, source.id);
    const rows = await listFindingsById(db, source.id, ids);
    const moves = rows.flatMap(({ id, state }) => {
      const to = nextState(state, event);
      return to && to !== state ? [{ finding: id, from: state, to, reason: waiver && waiverInWords(waiver) }] : [];
    });
    if (moves.length === 0 || moves.length < ids.length) {
      const missing = ids.length - moves.length;
      const changed = ids.length === 1 ? 'It has' : `${missing} of them ${missing === 1 ? 'has' : 'have'}`;
      return { problem: `${changed} changed meanwhile. Read ${ids.length === 1 ? 'it' : 'them'} again.` };
    }
    const { policies } = await getSettings(db, source.id);
    const next = { ...policies };
    for (const [rule, own] of groupBy(rows, (row) => row.rule)) {
      const policy = policyOf(policies, rule);
      const objects = new Set(own.map((row) => objectInWords(row.object)));
      const others = policy.waivers.filter((other) => !objects.has(other.object));
      const waivers = waiver === null ? others : [...others, ...[...objects].map((of) => ({ object: of, ...waiver }))];
      next[rule] = { ...policy, waivers };
    }
    await keepPolicies(db, source.id, next);
    await moveFindings(db, moves, {});
    return {
      ...done,
      ...(rows.length === 1 && { object: rows[0]?.identity }),
      after: { ...waiver, findings: identitiesOf(rows) },
    };
  });
}

function identitiesOf(rows: readonly FindingRow[]): readonly string[] {
  return rows.slice(0, 200).map((row) => row.identity);
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
