// People: who they are, how they get in, and what they may do.

import type { ActName } from '../core/rights/acts';
import { createHash, randomBytes } from 'node:crypto';
import { hash, verify } from '@node-rs/argon2';
import { type Grant, type Right, rights, type Role, roles } from '../core/rights/rights';
import { type Db, inTransaction } from '../store/db';
import {
  addGrant,
  addPerson as insertPerson,
  addToken,
  countAdministrators,
  disablePerson,
  findForSignIn,
  findPerson,
  findPersonNamed,
  keepPasswordHash,
  listGrants,
  holdPeople,
  listPeople,
  type PersonRow,
  removeGrant,
  revokeToken,
  revokeTokens,
  useToken,
} from '../store/people/people';
import {
  addInvitation,
  addSession,
  endSession,
  endSessions,
  findInvited,
  findSession,
  takeInvitation,
} from '../store/people/sessions';
import { type Comings, countTry, findTries, forgetTries, listLocked, unlock } from '../store/people/tries';
import { appendEntry } from '../store/journal/journal';
import { findSource } from '../store/sources/sources';
import { type Actor, isToken, NotAllowed, onlyInPerson, pawlItself } from './actor';
import type { Office } from './office';
import { done, type Outcome, perform, write } from './perform';
import type { GrantId, PersonId, SourceId, TokenId } from '../store/ids';

/** How long a session may last, and lie idle. */
export function sessionLimits(): { readonly idleMinutes: number; readonly hours: number } {
  const from = (name: string, usual: number): number => Math.max(1, Math.trunc(Number(process.env[name] ?? usual)) || usual);
  return { idleMinutes: from('PAWL_IDLE_MINUTES', 60), hours: from('PAWL_SESSION_HOURS', 12) };
}

export const shortestPassword = 12;
const longestPassword = 500;
/** Wrong tries before a lock: of a name from one address, of a name from anywhere, and from an address whatever the name. */
const mostTries = { pair: 5, name: 100, address: 50 } as const;
const lockMinutes = 5;
const invitationHours = 72;
const longestSlowDownMs = 3_000;
/** How long the tokens of somebody who signs in elsewhere go on after they were last there. */
const tokenDaysElsewhere = 7;
/** RFC 9106, second recommended option, with less of memory: 64 MB and three passes. */
const cost = { memoryCost: 65_536, timeCost: 3, parallelism: 1 } as const;

export interface Comer {
  readonly address: string;
  /** What the browser says it is. */
  readonly agent: string;
}

/** One text for every reason: who tries names learns nothing of which there are. */
const noEntry = 'Name and password do not fit, or the account is locked for a while.';

/** Opens a session. Wrong tries are slowed down, more and more, and lock the name for a while where they came from. */
export async function signIn(
  office: Office,
  { name: typed, password, ...comer }: Comer & { readonly name: string; readonly password: string },
): Promise<{ readonly token: string } | { readonly problem: string }> {
  const { store } = office;
  const name = typed.trim().toLowerCase();
  const coming = comingsOf(name, comer.address);
  const { failures, locked } = await findTries(store, coming);
  const known = await findForSignIn(store, name);
  const right = await fits(known?.hash ?? null, password);
  if (known && right && !locked && !known.disabled) {
    await forgetTries(store, coming);
    return { token: await openSession(store, known.id, comer) };
  }
  // A name that is not there is counted just as one that is.
  if (!locked) await countTry(store, coming, mostTries, lockMinutes);
  const reason = locked ? 'locked' : !known ? 'no such name' : known.disabled ? 'disabled' : 'wrong password';
  await refusedEntry(store, typed, comer.address, reason);
  await slowDown(failures);
  return { problem: noEntry };
}

function comingsOf(name: string, address: string): Comings {
  return { pair: hashOf(`${name} from ${address}`), name: hashOf(`name ${name}`), address: hashOf(`address ${address}`) };
}

/** Of these people, those whom wrong tries keep out at present. */
export async function lockedAmong({ store }: Office, people: readonly PersonRow[]): Promise<ReadonlySet<PersonId>> {
  const byName = people.map(({ id, name }) => ({ id, hash: hashOf(`name ${name}`) }));
  const locked = await listLocked(
    store,
    byName.map(({ hash }) => hash),
  );
  return new Set(byName.filter(({ hash }) => locked.some((one) => one.equals(hash))).map(({ id }) => id));
}

/** Writes down that somebody did not get in. */
export function refusedEntry(store: Db, name: string, address: string, reason: string): Promise<void> {
  return appendEntry(store, {
    personId: null,
    person: name.slice(0, 80),
    via: 'browser',
    address,
    act: 'person.signIn',
    outcome: 'refused',
    sourceId: null,
    source: null,
    object: 'Pawl',
    after: { reason },
  });
}

// The same work for a name that is not there: time tells nothing either.
let nobodysHash: Promise<string> | null = null;

async function fits(known: string | null, password: string): Promise<boolean> {
  const against = known ?? (await (nobodysHash ??= hash(randomBytes(24).toString('hex'), cost)));
  const right = password.length <= longestPassword && (await verify(against, password).catch(() => false));
  return right && known !== null;
}

function slowDown(failures: number): Promise<void> {
  return new Promise((resolve) => setTimeout(resolve, Math.min(longestSlowDownMs, 100 * 2 ** failures)));
}

/** Lets somebody in who has shown elsewhere who they are. */
export async function letIn(office: Office, person: PersonId, comer: Comer): Promise<string> {
  return openSession(office.store, person, comer);
}

async function openSession(store: Office['store'], person: PersonId, { address, agent }: Comer): Promise<string> {
  const token = randomBytes(32).toString('base64url');
  await inTransaction(async (db) => {
    await addSession(db, hashOf(token), { person, hours: sessionLimits().hours, address, agent });
    const row = await findPerson(db, person);
    await write(
      db,
      { person: row, via: 'browser', address },
      { act: 'person.signIn', source: null, object: 'Pawl' },
      { outcome: 'done' },
    );
  }, store);
  return token;
}

/** Who comes with a session; null when it is none, or has ended. */
export async function actorOfSession({ store }: Pick<Office, 'store'>, token: string, address: string): Promise<Actor | null> {
  const person = await findSession(store, hashOf(token), sessionLimits().idleMinutes);
  return person && { person, via: 'browser', address, bounds: { grants: await listGrants(store, person.id) } };
}

export async function signOut({ store }: Office, actor: Actor, token: string): Promise<void> {
  await endSession(store, hashOf(token));
  await write(store, actor, { act: 'person.signOut', source: null, object: 'Pawl' }, { outcome: 'done' });
}

/** Ends all of one's sessions, this one too. */
export async function signOutEverywhere({ store }: Office, actor: Actor): Promise<void> {
  if (!actor.person || isToken(actor)) throw new NotAllowed(onlyInPerson, null);
  const ended = await endSessions(store, actor.person.id);
  await write(
    store,
    actor,
    { act: 'person.signOut', source: null, object: 'everywhere' },
    { outcome: 'done', after: { sessions: ended } },
  );
}

/** Where one's own account signs in, and whether it has a password here. */
export async function ownAccount({ store }: Office, { person }: Actor): Promise<{ elsewhere: boolean; hasPassword: boolean }> {
  const row = person && (await findPerson(store, person.id));
  return { elsewhere: row?.issuer != null, hasPassword: row?.hasPassword ?? false };
}

/** What is wrong with a password to be; null when nothing is. */
export function passwordProblem(password: string, name: string): string | null {
  if (password.length < shortestPassword) return `A password has at least ${shortestPassword} characters.`;
  if (password.length > longestPassword) return `A password has at most ${longestPassword} characters.`;
  if (new Set(password).size < 5) return 'That password repeats the same few characters.';
  return password.toLowerCase().replaceAll(name.toLowerCase(), '').length < 8
    ? 'That password is hardly more than your own name.'
    : null;
}

export interface PasswordChange {
  readonly current: string;
  readonly next: string;
  /** The session that goes on. */
  readonly token: string;
  /** Whether one's tokens end too. */
  readonly endTokens?: boolean;
}

/** Changes one's own password and ends one's other sessions. Returns what is wrong, or null. */
export async function changePassword({ store }: Office, actor: Actor, change: PasswordChange): Promise<string | null> {
  const { person } = actor;
  if (!person || isToken(actor)) return onlyInPerson;
  const known = await findForSignIn(store, person.name);
  if (known?.issuer != null) return 'You sign in elsewhere, and have no password here.';
  if (!known?.hash) return 'You have no password yet. Ask who keeps people for an invitation, by which you choose one.';
  const refused = await presentPasswordProblem(store, actor, { hash: known.hash, name: person.name, current: change.current });
  const problem = refused ?? passwordProblem(change.next, person.name);
  if (problem) return problem;
  await inTransaction(async (db) => {
    await keepPasswordHash(db, person.id, await hash(change.next, cost));
    await endSessions(db, person.id, hashOf(change.token));
    const tokens = change.endTokens ? await revokeTokens(db, person.id) : 0;
    const after = tokens > 0 ? { after: { tokens: `${tokens} ended` } } : {};
    await write(db, actor, { act: 'person.password', source: null, object: person.fullName }, { outcome: 'done', ...after });
  }, store);
  return null;
}

// Guesses of it count as tries to come in: a session that was left open is no way to guess it.
async function presentPasswordProblem(
  store: Office['store'],
  actor: Actor,
  { hash: known, name, current }: { readonly hash: string; readonly name: string; readonly current: string },
): Promise<string | null> {
  const coming = comingsOf(name, actor.address);
  const { failures, locked } = await findTries(store, coming);
  if (!locked && (await fits(known, current))) return null;
  if (!locked) await countTry(store, coming, mostTries, lockMinutes);
  await write(
    store,
    actor,
    { act: 'person.password', source: null, object: actor.person?.fullName ?? '' },
    { outcome: 'refused', after: { reason: locked ? 'locked' : 'wrong password' } },
  );
  await slowDown(failures);
  return locked ? 'There were too many wrong tries. Wait some minutes, and try again.' : 'The present password is another one.';
}

/** Whom an invitation is for; null when it is none, used, or too old. */
export function invited({ store }: Office, token: string): ReturnType<typeof findInvited> {
  return findInvited(store, hashOf(token));
}

/** Takes an invitation: a password is chosen, and a session opened. */
export async function acceptInvitation(
  { store }: Office,
  { token, password, ...comer }: Comer & { readonly token: string; readonly password: string },
): Promise<{ readonly token: string } | { readonly problem: string }> {
  const gone = { problem: 'This invitation was used or is too old. Ask for another.' };
  const person = await findInvited(store, hashOf(token));
  if (!person) return gone;
  const problem = passwordProblem(password, person.name);
  if (problem) return { problem };
  const taken = await inTransaction(async (db) => {
    if (!(await takeInvitation(db, hashOf(token)))) return false;
    await keepPasswordHash(db, person.id, await hash(password, cost));
    await endSessions(db, person.id);
    await write(
      db,
      { person, via: 'browser', address: comer.address },
      { act: 'person.password', source: null, object: person.fullName },
      { outcome: 'done', after: { by: 'invitation' } },
    );
    return true;
  }, store);
  return taken ? { token: await openSession(store, person.id, comer) } : gone;
}

/** Makes the first administrator when there is nobody yet, and an invitation for them; null when there is somebody. */
export async function inviteFirst(office: Office): Promise<string | null> {
  if ((await listPeople(office.store)).length > 0) return null;
  const outcome = await addPerson(office, pawlItself('terminal'), {
    name: 'admin',
    fullName: 'Administrator',
    grants: [{ role: 'Administrator', source: null }],
  });
  return outcome.problem === null ? outcome.result.invitation : null;
}

export interface NewPerson {
  readonly name: string;
  readonly fullName: string;
  readonly grants: readonly Grant[];
}

/** Adds a person and invites them. */
export async function addPerson(
  office: Office,
  actor: Actor,
  { name, fullName, grants }: NewPerson,
): Promise<Outcome<{ readonly id: PersonId; readonly invitation: string }>> {
  return perform<{ id: PersonId; invitation: string }>(
    office,
    actor,
    { act: 'person.add', right: 'keepPeople', source: null, object: fullName },
    async (db) => {
      const id = await insertPerson(db, name, fullName);
      if (id === null) return { problem: `${name} is taken by another person.` };
      for (const grant of grants) await addGrant(db, id, grant);
      return { problem: null, result: { id, invitation: await inviteIn(db, id) }, after: { name, grants } };
    },
  );
}

/** Another invitation, which makes the former one void: for who lost a password or never came. */
export async function invite(office: Office, actor: Actor, id: PersonId): Promise<Outcome<string>> {
  return performOn<string>(office, actor, { act: 'person.invite', id }, async (db, { issuer }) =>
    issuer === null
      ? { problem: null, result: await inviteIn(db, id) }
      : { problem: 'They sign in elsewhere: an invitation would give them a password here.' },
  );
}

async function inviteIn(db: Db, person: PersonId): Promise<string> {
  const token = randomBytes(24).toString('base64url');
  await addInvitation(db, hashOf(token), person, invitationHours);
  return token;
}

/** Disables or enables a person; one who is disabled is signed out at once, and their tokens end. */
export async function setDisabled(office: Office, actor: Actor, id: PersonId, disabled: boolean): Promise<Outcome<null>> {
  return performOn(office, actor, { act: disabled ? 'person.disable' : 'person.enable', id }, async (db, person) => {
    await disablePerson(db, id, disabled);
    if (disabled) {
      await endSessions(db, id);
      await revokeTokens(db, id);
    } else await unlock(db, hashOf(`name ${person.name}`));
    return (await countAdministrators(db)) === 0 ? { problem: nobodyLeft } : done;
  });
}

const nobodyLeft = 'Then nobody would be left who keeps people. Make somebody else administrator first.';

export async function giveRole(office: Office, actor: Actor, id: PersonId, grant: Grant): Promise<Outcome<null>> {
  return performOn(office, actor, { act: 'person.grant', id }, async (db) => {
    if (grant.source !== null && !(await findSource(db, grant.source as SourceId))) return { problem: 'That source is gone.' };
    await addGrant(db, id, grant);
    return { ...done, after: grant };
  });
}

export async function takeRole(office: Office, actor: Actor, id: PersonId, grant: GrantId): Promise<Outcome<null>> {
  return performOn(office, actor, { act: 'person.ungrant', id }, async (db) => {
    const was = await removeGrant(db, id, grant);
    if (!was) return { problem: 'That role was taken away already.' };
    return (await countAdministrators(db)) === 0 ? { problem: nobodyLeft } : { ...done, before: was };
  });
}

function performOn<T>(
  office: Office,
  actor: Actor,
  { act, id }: { readonly act: ActName; readonly id: PersonId },
  work: (db: Db, person: PersonRow) => Promise<Outcome<T>>,
): Promise<Outcome<T>> {
  return perform(office, actor, { act, right: 'keepPeople', source: null, object: `person ${id}` }, async (db) => {
    await holdPeople(db);
    const person = await findPerson(db, id);
    if (!person) return { problem: 'There is no such person any more.' };
    const outcome = await work(db, person);
    return outcome.problem === null ? { ...outcome, object: person.fullName } : outcome;
  });
}

const tokenStart = 'pawl_';

export interface TokenWish {
  readonly name: string;
  readonly rights: readonly Right[];
  readonly source: SourceId | null;
  readonly days: number;
}

/** Makes a token for the terminal or a pipeline. It is shown once and kept as a hash. It never gives more than its maker may. */
export async function makeToken({ store }: Office, actor: Actor, wish: TokenWish): Promise<Outcome<string>> {
  const { person } = actor;
  if (!person || isToken(actor)) return { problem: onlyInPerson };
  const token = `${tokenStart}${randomBytes(30).toString('base64url')}`;
  await inTransaction(async (db) => {
    await addToken(db, { ...wish, hash: hashOf(token), person: person.id });
    await write(
      db,
      actor,
      { act: 'token.make', source: null, object: wish.name },
      { outcome: 'done', after: { rights: wish.rights.map((right) => rights[right]), source: wish.source, days: wish.days } },
    );
  }, store);
  return { problem: null, result: token };
}

export async function endToken({ store }: Office, actor: Actor, id: TokenId): Promise<string | null> {
  if (isToken(actor)) return onlyInPerson;
  const name = actor.person && (await revokeToken(store, actor.person.id, id));
  if (name === null) return 'That token was revoked already.';
  await write(store, actor, { act: 'token.revoke', source: null, object: name }, { outcome: 'done' });
  return null;
}

/** Who comes with a token; null when it is none, has ended, or was revoked. */
export async function actorOfToken({ store }: Pick<Office, 'store'>, token: string, address: string): Promise<Actor | null> {
  const used = token.startsWith(tokenStart) ? await useToken(store, hashOf(token), tokenDaysElsewhere) : null;
  if (!used) return null;
  const only = { rights: used.rights, source: used.source };
  return { person: used, via: 'terminal', address, bounds: { grants: await listGrants(store, used.id), only } };
}

/** People of the demo, one for each role: made up, with no password; its sign-in page lets them in. */
export async function addDemoPeople({ store }: Pick<Office, 'store'>): Promise<void> {
  for (const [name, fullName, role] of demoPeople) {
    const known = await findPersonNamed(store, name);
    const id = known?.id ?? (await insertPerson(store, name, fullName));
    if (!known && id !== null) await addGrant(store, id, { role, source: null });
  }
}

export const demoPeople: readonly (readonly [string, string, Role])[] = [
  ['mila', 'Mila Quent', 'Reader'],
  ['runa', 'Runa Feld', 'Auditor'],
  ['ines', 'Ines Okker', 'Planner'],
  ['bo', 'Bo Larsk', 'Signer'],
  ['jon', 'Jon Averi', 'Operator'],
  ['siv', 'Siv Malto', 'Keeper'],
  ['ada', 'Ada Holm', 'Administrator'],
];

/** Those of the demo's people who are here, with what their role is about. */
export async function listDemoPeople({ store }: Office) {
  const people = await listPeople(store);
  return demoPeople.flatMap(([name, fullName, role]) => {
    const person = people.find((row) => row.name === name && row.disabledAt === null);
    return person ? [{ id: person.id, name, fullName, role, about: roles[role].about }] : [];
  });
}

// Tokens are random, so that one round of a plain hash is enough.
function hashOf(token: string): Buffer {
  return createHash('sha256').update(token).digest();
}
