// A person knows better than Pawl which finding is which: two are joined into one, or parted again.

import type { ActName } from '../core/rights/acts';
import { objectInWords } from '../core/ratchet/mended';
import type { Db } from '../store/db';
import { findFinding } from '../store/findings/findings';
import { findTurn, joinFindings, listEarlierSelves, partFinding } from '../store/findings/sameness';
import type { FindingRowId } from '../store/ids';
import { lockSource } from '../store/sources/sources';
import { nameOf } from './actor';
import type { Room } from './enter';
import { type Outcome, perform } from './perform';

/** As many are offered to choose from. */
export const mostEarlier = 100;

/** `older`, which is found no more, goes on as `newer`: one history, and slipped where it was held. The answer is the one that is left. */
export function join(
  room: Room,
  newer: FindingRowId,
  { older, why }: { readonly older: FindingRowId; readonly why: string },
): Promise<Outcome<FindingRowId>> {
  return onFinding<FindingRowId>(room, 'finding.join', newer, async (db) => {
    const [present, former] = [await findFinding(db, room.source.id, newer), await findFinding(db, room.source.id, older)];
    if (!present || !former) return { problem: 'One of the two is there no more.' };
    const known = (await listEarlierSelves(db, newer, mostEarlier)).some(({ id }) => id === older);
    if (!known)
      return {
        problem: 'They cannot be the same: one has to be open and in no docket, the other of the same rule and found no more.',
      };
    await joinFindings(db, {
      newer,
      older,
      reason: `the same as ${objectInWords(present.object)}, says ${nameOf(room.actor)}${because(why)}`,
    });
    return { problem: null, result: older, object: present.identity, before: former.identity, after: present.identity };
  });
}

/** What went on as another is a finding of its own from then on. The answer is that one. */
export function part(room: Room, id: FindingRowId, why: string): Promise<Outcome<FindingRowId>> {
  return onFinding<FindingRowId>(room, 'finding.part', id, async (db) => {
    const [present, turn] = [await findFinding(db, room.source.id, id), await findTurn(db, id)];
    if (!present) return { problem: 'It is there no more.' };
    if (!turn) return { problem: 'It never went by another name, or what it was then was not kept.' };
    if (!['Open', 'Slipped', 'Lapsed', 'Held'].includes(present.state))
      return { problem: `It is ${present.state.toLowerCase()}. Take it out of its docket, or ask for it again, first.` };
    const reason = `not the same as ${objectInWords(present.object)}, says ${nameOf(room.actor)}${because(why)}`;
    const own = await partFinding(db, room.source.id, { id, event: turn.event, reason });
    if (own === null) return { problem: 'Its old name is another finding’s by now.' };
    return { problem: null, result: own, object: present.identity, after: reason };
  });
}

function because(why: string): string {
  return why.trim() === '' ? '' : `: ${why.trim()}`;
}

function onFinding<T>(room: Room, act: ActName, id: FindingRowId, work: (db: Db) => Promise<Outcome<T>>): Promise<Outcome<T>> {
  const { office, actor, source } = room;
  return perform<T>(office, actor, { act, right: 'care', source, object: `finding ${id}` }, async (db) => {
    // No survey moves them meanwhile.
    await lockSource(db, source.id);
    return work(db);
  });
}
