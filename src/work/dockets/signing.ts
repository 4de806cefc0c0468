// What a production source asks for before a docket runs: a signature, a backup.

import { isDeepStrictEqual } from 'node:util';
import { type Destination, signableStates, whyNotSigned } from '../../core/ratchet/permit';
import { changeableStates } from '../../core/ratchet/states';
import { sourceKind } from '../../sources/index';
import { addBackup, signDocket, unsignDocket } from '../../store/dockets/dockets';
import { findLastRehearsal, findRehearsal } from '../../store/dockets/rehearsals';
import type { DocketId } from '../../store/ids';
import type { SourceRow } from '../../store/sources/sources';
import { nameOf } from '../actor';
import type { Room } from '../enter';
import { done, type Outcome } from '../perform';
import { nothing, onDocket, placeOf, type Shown } from './planned';

/** A source as what its dockets run on. */
export function destinationOf({ environment, kind }: Pick<SourceRow, 'environment' | 'kind'>): Destination {
  return { environment, copied: sourceKind(kind).scratch !== null };
}

/** Signs a docket as it was shown: that plan, these scripts, those decisions. */
export function sign(room: Room, id: DocketId, shown: Shown): Promise<Outcome<null>> {
  const { actor, source } = room;
  return onDocket(room, id, { act: 'docket.sign', right: 'sign', shown }, async (store, docket, shownNow) => {
    const { plan, catalogue, digest } = shownNow;
    const { person } = actor;
    if (!person) return { problem: 'Only a person signs.' };
    const refusal = whyNotSigned(docket, source, person.id);
    if (refusal) return { problem: refusal };
    if (source.environment === 'production' && !signableStates(destinationOf(source)).includes(docket.state))
      return { problem: 'Rehearse it first: a signature is for what was tried.' };
    if (!plan || !catalogue || plan.steps.length === 0) return { problem: nothing };
    const tried = await findLastRehearsal(store, docket.id);
    const rehearsed = tried && (await findRehearsal(store, tried.id));
    // A survey since then may have planned it anew.
    if (docket.state === 'Rehearsed' && !isDeepStrictEqual(rehearsed?.plan, JSON.parse(JSON.stringify(plan))))
      return {
        problem: 'Its plan is not the one that was rehearsed: the schema or its findings have changed since. Rehearse it again.',
      };
    const place = placeOf(source);
    const signature = { signer: { id: person.id, name: person.fullName }, digest, place };
    if (!(await signDocket(store, docket.id, signature, { plan, catalogue })))
      return { problem: `The docket is ${docket.state.toLowerCase()}; it cannot be signed now.` };
    return { ...done, after: { digest, place, authors: docket.authors } };
  });
}

/** Its signer may always; who plans may too, as what is changed loses its signature anyway. */
export function unsign(room: Room, id: DocketId): Promise<Outcome<null>> {
  return onDocket(room, id, { act: 'docket.unsign', right: 'sign', shown: null }, async (store, docket) => {
    await unsignDocket(store, id);
    return { ...done, before: { signedBy: docket.signedBy, digest: docket.signedDigest } };
  });
}

/** Says when a backup was taken and where it is; what was said before stays on record. */
export function confirmBackup(
  room: Room,
  id: DocketId,
  backup: { readonly at: string; readonly place: string; readonly shown: Shown },
): Promise<Outcome<null>> {
  const { actor } = room;
  return onDocket(room, id, { act: 'docket.backup', right: 'vouch', shown: backup.shown }, async (store, docket) => {
    const at = new Date(backup.at);
    if (at.getTime() > Date.now() + 60_000) return { problem: 'That backup is yet to be taken.' };
    if (!changeableStates.includes(docket.state)) return { problem: 'It has run: a backup said now was not taken before it.' };
    const { backupAt, backupWhere } = docket;
    await addBackup(store, id, { at: at.toISOString(), place: backup.place, by: nameOf(actor) });
    return {
      ...done,
      before: backupAt && { at: backupAt, place: backupWhere },
      after: { at: at.toISOString(), place: backup.place },
    };
  });
}
