// Who sees to findings, and what people say of them.

import type { ActName } from '../core/rights/acts';
import { counted } from '../core/naming/words';
import { type Care, type FindingRow, keepCare, listFindingsById, noteOnFindings } from '../store/findings/findings';
import type { FindingRowId } from '../store/ids';
import type { Room } from './enter';
import { type Act, done, type Outcome, perform } from './perform';

/** Sets who sees to findings, until when, and under what number; empty texts take it away. */
export function careFor(
  room: Room,
  ids: readonly FindingRowId[],
  care: { readonly by: string; readonly due: string; readonly reference: string },
): Promise<Outcome<null>> {
  const wanted: Care = {
    by: care.by.trim() || null,
    due: care.due || null,
    reference: care.reference.trim() || null,
  };
  return perform(room.office, room.actor, actOn(room, 'finding.care', ids), async (db) => {
    const rows = await listFindingsById(db, room.source.id, ids);
    if (rows.length < ids.length) return { problem: 'Some of them are findings of another source.' };
    const others = rows.filter((row) => careInWords(row.care) !== careInWords(wanted)).map((row) => row.id);
    if (others.length > 0) {
      await keepCare(db, others, wanted);
      await noteOnFindings(db, others, 'care', careInWords(wanted));
    }
    return { ...done, object: namesOf(rows), after: wanted };
  });
}

/** Says something of a finding, for all who look at it. */
export function comment(room: Room, id: FindingRowId, words: string): Promise<Outcome<null>> {
  const said = words.trim();
  if (said === '') return Promise.resolve({ problem: 'Write what there is to say.' });
  return perform(room.office, room.actor, actOn(room, 'finding.comment', [id]), async (db) => {
    const rows = await listFindingsById(db, room.source.id, [id]);
    if (rows.length === 0) return { problem: 'It is a finding of another source.' };
    await noteOnFindings(db, [id], 'comment', said);
    return { ...done, object: namesOf(rows), after: { words: said } };
  });
}

function actOn({ source }: Room, act: ActName, ids: readonly FindingRowId[]): Act {
  return { act, right: 'care', source, object: ids.length === 1 ? `finding ${ids[0]}` : counted(ids.length, 'finding') };
}

function namesOf(rows: readonly FindingRow[]): string {
  return rows.length === 1 && rows[0] ? rows[0].identity : counted(rows.length, 'finding');
}

export function careInWords({ by, due, reference }: Care): string {
  const parts = [by && `${by} sees to it`, due && `until ${due}`, reference && `as ${reference}`].filter((part) => part);
  return parts.length === 0 ? 'Nobody sees to it any more' : parts.join(', ');
}
