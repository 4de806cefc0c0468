// What differs from another survey or source, asked for here: each difference is measured and kept like everything else that
// people ask for, and all of it is put into a docket.

import type { DocketId, FindingRowId, SurveyId } from '../store/ids';
import { compare, type Side } from './comparing';
import { addToDocket } from './dockets/contents';
import { allowed, type Room } from './enter';
import type { Outcome } from './perform';
import { ask } from './wishes';

interface Sides {
  readonly here: SurveyId | null;
  readonly there: Side;
}

/** `differences`: by their places in what `compare` tells. The answer is the docket. */
export async function align(
  room: Room,
  { here, there }: Sides,
  { differences, reason }: { readonly differences: readonly number[]; readonly reason: string },
  gone: AbortSignal,
): Promise<Outcome<DocketId>> {
  await allowed(room.office, room.actor, 'plan', room.source.id);
  if (reason.trim() === '') return { problem: 'Say why it is to be like that: the next one to look will ask.' };
  const compared = await compare(room, here, there);
  if ('problem' in compared) return compared;
  if (!compared.isNow) return { problem: 'What is past cannot be changed: compare the latest survey.' };
  const findings: FindingRowId[] = [];
  for (const place of differences) {
    const wish = compared.aligned[place]?.wish;
    if (!wish) return { problem: 'For some of them there is nothing to ask for. Compare again, and choose others.' };
    const asked = await ask(room, wish, reason.trim(), gone);
    if (asked.problem !== null) return asked;
    findings.push(asked.result);
  }
  return addToDocket(room, findings, {});
}
