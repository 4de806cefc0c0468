// The way in for whoever only looks: allowed on this source, or not at all.

import { may, type Right } from '../core/rights/rights';
import type pg from 'pg';
import { findSource, type SourceRow } from '../store/sources/sources';
import { type Actor, NotAllowed, permit } from './actor';
import type { Office } from './office';
import { writeRefusal } from './perform';
import type { SourceId } from '../store/ids';

/** What one who looks gets: the source, and the records of it. */
export interface Room {
  readonly source: SourceRow;
  readonly store: pg.Pool;
  readonly office: Office;
  readonly actor: Actor;
}

/** Null when there is no such source. Throws NotAllowed, also where there is none: who may not look cannot tell. */
export async function enterSource(office: Office, actor: Actor, source: SourceId, right: Right): Promise<Room | null> {
  await allowed(office, actor, right, source);
  const row = await findSource(office.store, source);
  if (row?.sensitive && right === 'seeRows')
    throw new NotAllowed(`${row.name} is marked sensitive: its rows are shown to nobody.`, right);
  return row && { source: row, store: office.store, office, actor };
}

/** Whether rows of data of the source are shown to who is in. */
export function seesRows({ actor, source }: Pick<Room, 'actor' | 'source'>): boolean {
  return !source.sensitive && may(actor.bounds, 'seeRows', source.id);
}

/** For what is about no single source. Throws NotAllowed. */
export async function allowed(office: Office, actor: Actor, right: Right, source: SourceId | null): Promise<void> {
  try {
    await permit(office.store, actor, right, source);
  } catch (error) {
    const row = source === null ? null : await findSource(office.store, source);
    const reason = error instanceof Error ? error.message : '';
    await writeRefusal(office.store, actor, { act: `look.${right}`, source: row, object: row?.name ?? 'Pawl' }, reason);
    throw error;
  }
}
