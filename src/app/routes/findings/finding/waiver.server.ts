// Exempting one finding's object from its rule, and taking that back.

import 'reflect-metadata';
import { IsIn, IsString, MaxLength } from 'class-validator';
import { objectInWords } from '~/core/ratchet/mended';
import { nextState } from '~/core/ratchet/states';
import { policyOf } from '~/core/rules/policy';
import { inTransaction } from '~/store/db';
import { findFinding, moveFindings } from '~/store/findings/findings';
import { getSettings, keepPolicies } from '~/store/sources/settings';

export class WaiverForm {
  @IsIn(['exempt', 'unexempt']) intent!: 'exempt' | 'unexempt';
  @IsString() @MaxLength(500) reason = '';
}

/** Returns what is wrong, or null. */
export function exempt(source: number, id: number, reason: string): Promise<string | null> {
  if (reason.trim() === '') return Promise.resolve('Say why it is meant to be so: the next one to look will ask.');
  return change(source, id, 'waived', reason.trim());
}

export function unexempt(source: number, id: number): Promise<string | null> {
  return change(source, id, 'waiverEnded', null);
}

function change(source: number, id: number, event: 'waived' | 'waiverEnded', reason: string | null): Promise<string | null> {
  return inTransaction(async (db) => {
    const finding = await findFinding(db, source, id);
    const to = finding && nextState(finding.state, event);
    if (!finding || !to || to === finding.state) return 'It has changed meanwhile. Read it again.';
    const { policies } = await getSettings(db, source);
    const policy = policyOf(policies, finding.rule);
    const object = objectInWords(finding.object);
    const others = policy.exemptions.filter((exemption) => exemption.object !== object);
    const exemptions = reason === null ? others : [...others, { object, reason }];
    await keepPolicies(db, source, { ...policies, [finding.rule]: { ...policy, exemptions } });
    await moveFindings(db, [{ finding: id, from: finding.state, to, reason }], {});
    return null;
  });
}
