// Who hears of a source: what people settle about it, what is written for them, and how it is sent.

import type { ActName } from '../core/rights/acts';
import { randomBytes } from 'node:crypto';
import { isEmail } from 'class-validator';
import { type Announcement, isWorse } from '../core/report/announcement';
import { type Db, inTransaction } from '../store/db';
import { countFindings, listOpenedBy } from '../store/findings/findings';
import type { ListenerId, SourceId, SurveyId } from '../store/ids';
import { findSoundness } from '../store/ratchet/standings';
import {
  addDelivery,
  addListener,
  type Delivered,
  dropListener,
  type DueDelivery,
  findListener,
  type Hearing,
  listListeners,
  noteDelivered,
  switchListener,
  takeDelivery,
} from '../store/sources/listeners';
import { lockSource } from '../store/sources/sources';
import { nameOf } from './actor';
import { isByMail, mailAddress, mailboxOf, mailServer } from './send/byMail';
import type { Send } from './send/index';
import { hostProblem } from './send/whereTo';
import { isOwnMachine } from './ownMachine';
import type { Room } from './enter';
import type { Office } from './office';
import { type Act, done, type Outcome, perform } from './perform';

const most = 10;

/**
 * Allows an address to hear: https://…, or that of a mailbox. The result is the secret that its messages are signed with, shown
 * once; null of an e-mail, which is not signed.
 */
export function allowListener(
  room: Room,
  { address: given, hears }: { readonly address: string; readonly hears: Hearing },
): Promise<Outcome<string | null>> {
  const address = isEmail(given.trim()) ? mailAddress(given.trim()) : given.trim();
  const problem = addressProblem(address);
  if (problem !== null) return Promise.resolve({ problem });
  return perform<string | null>(room.office, room.actor, actOn(room, 'listener.add', address), async (db) => {
    await lockSource(db, room.source.id);
    if ((await listListeners(db, room.source.id)).length >= most)
      return { problem: `A source is heard of at ${most} addresses at most.` };
    const secret = isByMail(address) ? null : randomBytes(32).toString('base64url');
    await addListener(db, room.source.id, { address, hears, secret, keptBy: nameOf(room.actor) });
    return { problem: null, result: secret, after: { address, hears } };
  });
}

/** Why nothing is sent to an address, in words; null when it can be. */
export function addressProblem(address: string): string | null {
  if (isByMail(address)) return mailProblem(mailboxOf(address));
  let url: URL;
  try {
    url = new URL(address);
  } catch {
    return 'That is no address: it begins with https:// and names a server, or is that of a mailbox.';
  }
  if (url.username !== '' || url.password !== '') return 'No login goes into the address: what is sent is signed.';
  if (url.protocol !== 'https:' && !(url.protocol === 'http:' && isOwnMachine(url)))
    return 'Only https:// is sent to; http:// on this machine alone.';
  return hostProblem(url.hostname);
}

function mailProblem(mailbox: string): string | null {
  if (!isEmail(mailbox)) return 'That is the address of no mailbox.';
  try {
    return mailServer() ? null : 'This installation sends no e-mail: whoever keeps it sets PAWL_SMTP_URL and PAWL_SMTP_FROM.';
  } catch (error) {
    return error instanceof Error ? error.message : 'This installation sends no e-mail.';
  }
}

export function switchHearing(room: Room, id: ListenerId, isOn: boolean): Promise<Outcome<null>> {
  return onListener(room, 'listener.switch', id, (db) => switchListener(db, id, isOn));
}

export function removeListener(room: Room, id: ListenerId): Promise<Outcome<null>> {
  return onListener(room, 'listener.remove', id, (db) => dropListener(db, id));
}

/** Sends something to see whether it arrives. */
export function tryListener(room: Room, id: ListenerId, now = new Date()): Promise<Outcome<null>> {
  const test: Announcement = {
    ...{ format: 'pawl-announcement/1', event: 'test', source: room.source.name, survey: null, at: now.toISOString() },
    ...{ problem: null, slipped: [], fresh: [], open: 0, soundness: null },
  };
  return onListener(room, 'listener.try', id, (db) => addDelivery(db, id, null, JSON.stringify(test)));
}

function onListener(room: Room, act: ActName, id: ListenerId, work: (db: Db) => Promise<void>): Promise<Outcome<null>> {
  return perform<null>(room.office, room.actor, actOn(room, act, `listener ${id}`), async (db) => {
    const listener = await findListener(db, room.source.id, id);
    if (!listener) return { problem: 'It was removed meanwhile.' };
    await work(db);
    return { ...done, object: listener.address };
  });
}

function actOn({ source }: Room, act: ActName, object: string): Act {
  return { act, right: 'keepSources', source, object };
}

interface Ended {
  readonly source: { readonly id: SourceId; readonly name: string };
  readonly survey: SurveyId;
  /** Null when it is done. */
  readonly problem: string | null;
}

const mostTold = 200;

/** In the transaction in which a survey ends: what is to be sent is written down with it. */
export async function announce(db: Db, { source, survey, problem }: Ended, now: Date): Promise<void> {
  const listeners = (await listListeners(db, source.id)).filter(({ isOn }) => isOn);
  if (listeners.length === 0) return;
  const opened = problem === null ? await listOpenedBy(db, survey, mostTold) : [];
  const told = (state: 'Open' | 'Slipped') =>
    opened.filter((finding) => finding.state === state).map(({ state: _, ...finding }) => finding);
  const announcement: Announcement = {
    ...{ format: 'pawl-announcement/1', event: problem === null ? 'survey.done' : 'survey.failed', source: source.name, survey },
    ...{ at: now.toISOString(), problem, slipped: told('Slipped'), fresh: told('Open') },
    open: (await countFindings(db, source.id)).open,
    soundness: (await findSoundness(db, source.id))?.share ?? null,
  };
  const body = JSON.stringify(announcement);
  for (const { id, hears } of listeners) if (hears === 'every' || isWorse(announcement)) await addDelivery(db, id, survey, body);
}

const waitsMinutes = [1, 5, 30, 120, 360] as const;

/** Sends what is due, one after the other; each by one worker alone. */
export async function deliver({ store }: Pick<Office, 'store'>, now: () => Date, send: Send): Promise<void> {
  for (let more = true; more;)
    more = await inTransaction(async (db) => {
      const due = await takeDelivery(db, now());
      if (due) await noteDelivered(db, due.id, await tried(due, now(), send));
      return due !== null;
    }, store);
}

async function tried({ tries, ...message }: DueDelivery, now: Date, send: Send): Promise<Delivered> {
  try {
    const answer = await send(message, now);
    return { state: 'sent', answer, nextAt: now };
  } catch (error) {
    const wait = waitsMinutes[tries];
    const answer = error instanceof Error ? error.message.slice(0, 500) : 'It did not arrive.';
    return wait === undefined
      ? { state: 'failed', answer, nextAt: now }
      : { state: 'waiting', answer, nextAt: new Date(now.getTime() + wait * 60_000) };
  }
}
