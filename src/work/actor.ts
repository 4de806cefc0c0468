// Who asks for something, and whether they may. Every use case comes by `permit`; nothing else decides.

import { inSeries } from '../core/naming/words';
import { type Bounds, may, type Right, rights, rolesWith } from '../core/rights/rights';
import { type Db } from '../store/db';
import type { Via } from '../store/journal/journal';
import { listNamesWith } from '../store/people/people';
import type { PersonId, SourceId } from '../store/ids';

export interface Actor {
  /** Null for Pawl itself. */
  readonly person: { readonly id: PersonId; readonly name: string; readonly fullName: string } | null;
  readonly via: Via;
  /** From where: an address of the network, or `this machine`. */
  readonly address: string;
  readonly bounds: Bounds;
}

/** Pawl itself: what workers do, and what an administrator of its machine does in the terminal. */
export function pawlItself(via: Via): Actor {
  return { person: null, via, address: 'this machine', bounds: { grants: [{ role: 'Administrator', source: null }] } };
}

/** Whether somebody comes by a token: it does what it was made for, and nothing about the account of who made it. */
export function isToken({ bounds }: Actor): boolean {
  return bounds.only !== undefined;
}

export const onlyInPerson = 'Only a person who is signed in does that, not a token.';

export function nameOf({ person }: Actor): string {
  return person?.fullName ?? 'Pawl';
}

/** Somebody asked for what they may not do. The message says who may. */
export class NotAllowed extends Error {
  override readonly name = 'NotAllowed';

  constructor(
    message: string,
    /** What they have no right to; null where no right would help. */
    readonly right: Right | null,
  ) {
    super(message);
  }
}

/** Throws NotAllowed unless the one who asks may do that on the source; null asks for all sources. */
export async function permit(store: Db, actor: Actor, right: Right, source: SourceId | null): Promise<void> {
  if (may(actor.bounds, right, source)) return;
  throw new NotAllowed(await whoMay(store, right, source), right);
}

/** `You may not sign dockets here. Bo Larsk may.` */
export async function whoMay(store: Db, right: Right, source: SourceId | null): Promise<string> {
  const names = await listNamesWith(store, rolesWith(right), source);
  const shown = names.slice(0, 4);
  const more = names.length - shown.length;
  const others =
    names.length === 0
      ? 'Nobody may yet: an administrator can give somebody that right.'
      : `${inSeries(more > 0 ? [...shown, `${more} more`] : shown)} may.`;
  return `You may not ${rights[right]}${source === null ? '' : ' here'}. ${others}`;
}
