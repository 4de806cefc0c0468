// Exempting one finding's object from its rule, and taking that back.

import 'reflect-metadata';
import { IsIn, IsString, Matches, MaxLength } from 'class-validator';
import { objectInWords } from '~/core/ratchet/mended';
import { nextState } from '~/core/ratchet/states';
import { type Exemption, policyOf, waiverInWords } from '~/core/rules/policy';
import { inTransaction } from '~/store/db';
import { findFinding, moveFindings } from '~/store/findings/findings';
import { getSettings, keepPolicies } from '~/store/sources/settings';

export class WaiverForm {
  @IsIn(['exempt', 'unexempt']) intent!: 'exempt' | 'unexempt';
  @IsString() @MaxLength(500) reason = '';
  @Matches(/^(\d{4}-\d{2}-\d{2})?$/, { message: 'Give the last day as year, month and day, or leave it empty' }) until = '';
  @IsString() @MaxLength(80) by = '';
}

/** Returns what is wrong, or null. */
export function exempt(source: number, id: number, { reason, until, by }: WaiverForm): Promise<string | null> {
  if (reason.trim() === '') return Promise.resolve('Say why it is meant to be so: the next one to look will ask.');
  if (until !== '' && until < new Date().toISOString().slice(0, 10)) return Promise.resolve('That day is over already.');
  return change(source, id, 'waived', {
    reason: reason.trim(),
    ...(until !== '' && { until }),
    ...(by.trim() !== '' && { by: by.trim() }),
  });
}

export function unexempt(source: number, id: number): Promise<string | null> {
  return change(source, id, 'waiverEnded', null);
}

function change(
  source: number,
  id: number,
  event: 'waived' | 'waiverEnded',
  waiver: Omit<Exemption, 'object'> | null,
): Promise<string | null> {
  return inTransaction(async (db) => {
    const finding = await findFinding(db, source, id);
    const to = finding && nextState(finding.state, event);
    if (!finding || !to || to === finding.state) return 'It has changed meanwhile. Read it again.';
    const { policies } = await getSettings(db, source);
    const policy = policyOf(policies, finding.rule);
    const object = objectInWords(finding.object);
    const others = policy.exemptions.filter((exemption) => exemption.object !== object);
    const exemptions = waiver === null ? others : [...others, { object, ...waiver }];
    await keepPolicies(db, source, { ...policies, [finding.rule]: { ...policy, exemptions } });
    await moveFindings(db, [{ finding: id, from: finding.state, to, reason: waiver && waiverInWords(waiver) }], {});
    return null;
  });
}
