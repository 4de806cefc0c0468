// One act of one person: allowed or refused in one place, carried out in a transaction, and written into the journal in
// the same one, so that nothing is done that is not on record.

import type { ActName } from '../core/rights/acts';
import type { Right } from '../core/rights/rights';
import { type Db, inTransaction, noteWhose } from '../store/db';
import { appendEntry, wasRefusedLately } from '../store/journal/journal';
import { type Actor, NotAllowed, permit } from './actor';
import type { Office } from './office';
import type { SourceId } from '../store/ids';

export interface Act {
  /** `docket.sign`. */
  readonly act: ActName;
  readonly right: Right;
  readonly source: { readonly id: SourceId; readonly name: string } | null;
  /** On what, in words: `Docket 3`. */
  readonly object: string;
}

/** What came of it. A problem is what speaks against it, in words; then nothing was changed. */
export type Outcome<T> =
  | { readonly problem: string }
  | { readonly problem: null; readonly result: T; readonly before?: unknown; readonly after?: unknown; readonly object?: string };

/** Throws NotAllowed, after that was written down too. */
export async function perform<T>(
  { store }: Pick<Office, 'store'>,
  actor: Actor,
  act: Act,
  work: (db: Db) => Promise<Outcome<T>>,
): Promise<Outcome<T>> {
  try {
    await permit(store, actor, act.right, act.source?.id ?? null);
  } catch (error) {
    if (error instanceof NotAllowed) await writeRefusal(store, actor, act, error.message);
    throw error;
  }
  try {
    return await inTransaction(async (db) => {
      await noteWhose(db, actor.person?.fullName ?? null);
      const outcome = await work(db);
      if (outcome.problem !== null) throw new Declined(outcome.problem);
      await write(
        db,
        actor,
        { ...act, object: outcome.object ?? act.object },
        {
          outcome: 'done',
          before: outcome.before,
          after: outcome.after,
        },
      );
      return outcome;
    }, store);
  } catch (error) {
    const reason = error instanceof Error ? error.message : 'unknown error';
    await write(store, actor, act, { outcome: 'failed', after: { reason: reason.slice(0, 2000) } });
    if (error instanceof Declined) return { problem: error.message };
    throw error;
  }
}

/** Writes down that somebody may not do something: once in a while, however often they ask. */
export async function writeRefusal(store: Db, actor: Actor, act: Omit<Act, 'right'>, reason: string): Promise<void> {
  const { person } = actor;
  if (person && (await wasRefusedLately(store, person.id, act.act, act.source?.id ?? null))) return;
  await write(store, actor, act, { outcome: 'refused', after: { reason } });
}

/** Of an act whose result nobody asks for: what is wrong, or null. */
export async function problemOf(outcome: Promise<Outcome<unknown>>): Promise<string | null> {
  return (await outcome).problem;
}

export const done = { problem: null, result: null } as const;

class Declined extends Error {}

export interface HowItWent {
  readonly outcome: 'done' | 'refused' | 'failed';
  readonly before?: unknown;
  readonly after?: unknown;
}

/** Writes down what happened without an act of `perform`: sign-ins, and what workers did. */
export function write(
  db: Db,
  { person, via, address }: Omit<Actor, 'bounds'>,
  { act, source, object }: Omit<Act, 'right'>,
  { outcome, before, after }: HowItWent,
): Promise<void> {
  return appendEntry(db, {
    personId: person?.id ?? null,
    person: person?.fullName ?? 'Pawl',
    via,
    address,
    act,
    outcome,
    sourceId: source?.id ?? null,
    source: source?.name ?? null,
    object,
    before,
    after,
  });
}
