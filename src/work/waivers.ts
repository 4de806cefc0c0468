// Waivers: which there are, what has changed under them, and their end.

import { objectInWords } from '../core/ratchet/mended';
import { nextState } from '../core/ratchet/states';
import { waiverNames } from '../core/rules/audit';
import { covers, policyOf, type Waiver, waiverOf } from '../core/rules/policy';
import { type Db, inTransaction } from '../store/db';
import { type FindingRow, listWaived, listWaivedSince, moveFindings } from '../store/findings/findings';
import type { SourceId } from '../store/ids';
import { getSettings, listSourcesWithWaivers } from '../store/sources/settings';
import { digestOf } from './digest';
import type { Office } from './office';
import type { Room } from './enter';

export interface WaiverLine extends Waiver {
  /** Of its rule and object. */
  readonly id: string;
  readonly rule: string;
  /** Findings that it covers now. */
  readonly findings: readonly { readonly id: number; readonly place: string }[];
  /** What was counted of them when they were waived, and is now, where it is another number. */
  readonly changes: readonly { readonly place: string; readonly was: number; readonly is: number | null }[];
  readonly ended: boolean;
}

/** Every waiver of a source, those that end next first. `now` in ISO 8601. */
export async function waiversOf({ source, store }: Room, now: string): Promise<readonly WaiverLine[]> {
  const [{ policies }, waived, amounts] = await Promise.all([
    getSettings(store, source.id),
    listWaived(store, source.id),
    listWaivedSince(store, source.id),
  ]);
  const since = new Map(amounts.map((amount) => [amount.finding, amount]));
  return Object.entries(policies)
    .flatMap(([rule, { waivers }]) => waivers.map((waiver) => ({ rule, waiver })))
    .map(({ rule, waiver }) => {
      const own = waived.filter((row) => row.rule === rule && covers(waiver, waiverNames(row)));
      return {
        ...waiver,
        id: digestOf([rule, waiver.object]).slice(0, 16),
        rule,
        ended: waiver.until !== undefined && waiver.until < now.slice(0, 'yyyy-mm-dd'.length),
        findings: own.map((row) => ({ id: row.id, place: objectInWords(row.object) })),
        changes: own.flatMap((row) => {
          const { was = null, is = null } = since.get(row.id) ?? {};
          return was === null || was === is ? [] : [{ place: objectInWords(row.object), was, is }];
        }),
      };
    })
    .toSorted((a, b) => (a.until ?? '9999').localeCompare(b.until ?? '9999') || a.rule.localeCompare(b.rule));
}

/** Findings whose waiver has run out are open again, on the day after its last. `now` in ISO 8601. */
export async function endWaivers({ store }: Pick<Office, 'store'>, now: string): Promise<void> {
  for (const source of await listSourcesWithWaivers(store, now.slice(0, 'yyyy-mm-dd'.length)))
    await inTransaction((db) => endWaiversOf(db, source, now), store);
}

async function endWaiversOf(db: Db, source: SourceId, now: string): Promise<void> {
  const { policies } = await getSettings(db, source);
  const over = (await listWaived(db, source)).flatMap((row: FindingRow) => {
    const policy = policyOf(policies, row.rule);
    const names = waiverNames(row);
    // Only what a waiver ended for: one that was taken away otherwise is for the next survey to tell.
    const ended = policy.waivers.find((waiver) => covers(waiver, names));
    return ended?.until !== undefined && waiverOf(policy, names, now) === null ? [{ row, until: ended.until }] : [];
  });
  await moveFindings(
    db,
    over.map(({ row, until }) => ({
      finding: row.id,
      from: row.state,
      to: nextState(row.state, 'waiverEnded'),
      reason: `Its waiver held until ${until}.`,
    })),
    {},
  );
}
