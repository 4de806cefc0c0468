// Who gets in, and what is written down: sign-in, sessions, invitations, tokens, and the journal.

import { there } from '../kit/there';
import { execFile } from 'node:child_process';
import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { promisify } from 'node:util';
import type pg from 'pg';
import { afterAll, beforeAll, describe, expect, test } from 'vitest';
import { grantApplication } from '../../src/store/application';
import { openStore } from '../../src/store/db';
import { verifyJournal } from '../../src/store/journal/journal';
import { migrate } from '../../src/store/migrate';
import { findPersonNamed } from '../../src/store/people/people';
import { allRights } from '../../src/core/rights/rights';
import { type Actor, NotAllowed, onlyInPerson, pawlItself } from '../../src/work/actor';
import { setScreen } from '../../src/work/screens';
import type { Office } from '../../src/work/office';
import {
  acceptInvitation,
  actorOfSession,
  actorOfToken,
  addPerson,
  changePassword,
  endToken,
  giveRole,
  invite,
  inviteFirst,
  makeToken,
  setDisabled,
  signIn,
  signOutEverywhere,
  takeRole,
} from '../../src/work/people';
import { useDatabase } from '../kit/database';
import type { GrantId, PersonId, TokenId } from '../../src/store/ids';

process.env['PAWL_KEY_FILE'] = join(mkdtempSync(join(tmpdir(), 'pawl-key-')), 'key');
const database = useDatabase();
const role = { user: `app_${Math.random().toString(36).slice(2, 8)}`, password: 'only-what-it-needs' };
let store: pg.Pool;
let office: Office;
const from = { address: '10.0.0.9', agent: 'a browser' };
const password = 'one tide after another';
const admin = pawlItself('terminal');

/** Where the application comes with its own role, as it does in earnest. */
function asApplication(url: string): string {
  const own = new URL(url);
  own.username = role.user;
  own.password = role.password;
  return own.href;
}

beforeAll(async () => {
  await migrate(database.url);
  await grantApplication(database.url, role);
  store = openStore(asApplication(database.url));
  const unused = () => Promise.reject(new Error('unused'));
  office = { store, enqueue: unused, offerLogin: unused };
});
afterAll(async () => {
  await store.end();
  await database.run(`drop owned by ${role.user}; drop role ${role.user}`);
});

/** Somebody with a password, and the session that choosing it opened. */
async function personWith(name: string, granted: 'Administrator' | 'Planner' | 'Reader' = 'Planner') {
  const added = await addPerson(office, admin, { name, fullName: `The ${name}`, grants: [{ role: granted, source: null }] });
  if (added.problem !== null) throw new Error(added.problem);
  const entered = await acceptInvitation(office, { token: added.result.invitation, password, ...from });
  if ('problem' in entered) throw new Error(entered.problem);
  const actor = await actorOfSession(office, entered.token, from.address);
  return { id: added.result.id, token: entered.token, actor: actor as Actor, invitation: added.result.invitation };
}

test('the first start makes one administrator, and only where there is nobody', async () => {
  const token = (await inviteFirst(office)) ?? '';
  expect(await inviteFirst(office)).toBeNull();
  const entered = await acceptInvitation(office, { token, password, ...from });
  expect('token' in entered && (await actorOfSession(office, entered.token, 'x'))?.person?.name).toBe('admin');
});

describe('an invitation', () => {
  test('is good for one, even of two at the same moment', async () => {
    const { invitation } = await personWith('once');
    expect(await acceptInvitation(office, { token: invitation, password, ...from })).toHaveProperty('problem');
    const person = await findPersonNamed(store, 'once');
    const again = await invite(office, admin, there(person).id);
    const token = again.problem === null ? again.result : '';
    const both = await Promise.all([1, 2].map(() => acceptInvitation(office, { token, password, ...from })));
    expect(both.filter((entered) => 'token' in entered)).toHaveLength(1);
  });

  test('is void once there is a newer one, and takes no weak password', async () => {
    const added = await addPerson(office, admin, { name: 'late', fullName: 'Late', grants: [] });
    const former = there(added.problem === null ? added.result : null);
    const newer = await invite(office, admin, former.id);
    const token = newer.problem === null ? newer.result : '';
    expect(await acceptInvitation(office, { token: former.invitation, password, ...from })).toHaveProperty('problem');
    for (const weak of ['short', 'aaaaaaaaaaaaaaa', 'late late late late', 'x'.repeat(501)])
      expect(await acceptInvitation(office, { token, password: weak, ...from })).toHaveProperty('problem');
    expect(await acceptInvitation(office, { token, password, ...from })).toHaveProperty('token');
  });
});

describe('signing in', () => {
  test('keeps passwords as argon2id, and of what lets in only hashes', async () => {
    const { token, invitation } = await personWith('kept');
    const { rows } = await database.run(`select password_hash as hash from pawl.people where name = 'kept'`);
    expect(rows[0]?.['hash']).toMatch(/^\$argon2id\$v=19\$m=65536,t=3,p=1\$/);
    const all = await database.run(`select string_agg(t::text, ' ') as everything from pawl.sessions t`);
    expect(String(all.rows[0]?.['everything'])).not.toContain(token);
    expect(
      String((await database.run('select string_agg(j::text, chr(10)) as all from pawl.journal j')).rows[0]?.['all']),
    ).not.toMatch(new RegExp(`${token}|${invitation}|${password}`));
  });

  test('is slowed down by wrong tries, locked after five, and says the same whatever was wrong', async () => {
    await personWith('locked');
    const words = new Set<string>();
    const tries: number[] = [];
    for (let n = 0; n < 5; n++) {
      const started = performance.now();
      const answer = await signIn(office, { name: 'locked', password: `wrong ${n}`, ...from });
      tries.push(performance.now() - started);
      words.add('problem' in answer ? answer.problem : 'let in');
    }
    for (const name of ['locked', 'nobody', 'LOCKED ']) {
      const answer = await signIn(office, { name, password, ...from });
      words.add('problem' in answer ? answer.problem : 'let in');
    }
    expect([...words]).toEqual(['Name and password do not fit, or the account is locked for a while.']);
    expect(tries[4]).toBeGreaterThan(1_500);
    // A name that is not there takes as long: time does not tell which there are.
    let last = 0;
    for (let n = 0; n < 5; n++) {
      const started = performance.now();
      await signIn(office, { name: 'stranger', password: `wrong ${n}`, ...from });
      last = performance.now() - started;
    }
    expect(last).toBeGreaterThan(1_500);
    // Nor does the same name in another writing begin anew.
    const started = performance.now();
    await signIn(office, { name: ' Stranger', password: 'wrong', ...from });
    expect(performance.now() - started).toBeGreaterThan(1_500);
    expect(
      (await database.run(`select count(*)::int as n from pawl.journal where outcome = 'refused' and person ilike 'locked%'`))
        .rows[0],
    ).toEqual({ n: 7 });
  });

  test('is locked where the wrong tries came from: nobody is kept out by what others try elsewhere', async () => {
    const { id } = await personWith('wanted', 'Administrator');
    const enemy = { address: '10.6.6.6', agent: 'x' };
    await Promise.all(Array.from({ length: 8 }, () => signIn(office, { name: 'wanted', password: 'guess', ...enemy })));
    expect(await signIn(office, { name: 'wanted', password, ...enemy })).toHaveProperty('problem');
    expect(await signIn(office, { name: 'wanted', password, ...from })).toHaveProperty('token');
    // From very many addresses the name is locked, but not where its person came in before.
    await database.run(
      `insert into pawl.sign_in_tries (who, name, failures, locked_until) values (sha256('name wanted'), sha256('name wanted'), 100, now() + interval '5 minutes')`,
    );
    expect(await signIn(office, { name: 'wanted', password, address: '10.0.0.77', agent: 'x' })).toHaveProperty('problem');
    expect(await signIn(office, { name: 'wanted', password, ...from })).toHaveProperty('token');
    await setDisabled(office, admin, id, false);
    expect(await signIn(office, { name: 'wanted', password, ...enemy })).toHaveProperty('token');
  });

  test('from an address that tries many names is locked, but for who came in from there before', async () => {
    await personWith('neighbour');
    const hall = { address: '10.7.7.7', agent: 'x' };
    expect(await signIn(office, { name: 'neighbour', password, ...hall })).toHaveProperty('token');
    await personWith('newcomer');
    await database.run(
      `insert into pawl.sign_in_tries (who, failures, locked_until) values (sha256('address 10.7.7.7'), 50, now() + interval '5 minutes')`,
    );
    expect(await signIn(office, { name: 'newcomer', password, ...hall })).toHaveProperty('problem');
    expect(await signIn(office, { name: 'neighbour', password, ...hall })).toHaveProperty('token');
  });

  test('of one who was disabled ends at once, sessions and tokens too', async () => {
    const { id, token, actor } = await personWith('gone');
    const made = await makeToken(office, actor, { name: 'nightly', rights: ['survey'], source: null, days: 1 });
    const bearer = made.problem === null ? made.result : '';
    expect(await actorOfToken(office, bearer, 'x')).not.toBeNull();
    await setDisabled(office, admin, id, true);
    expect(await actorOfSession(office, token, 'x')).toBeNull();
    expect(await actorOfToken(office, bearer, 'x')).toBeNull();
    expect(await signIn(office, { name: 'gone', password, ...from })).toHaveProperty('problem');
    // Who is let in again makes new ones.
    await setDisabled(office, admin, id, false);
    expect(await actorOfToken(office, bearer, 'x')).toBeNull();
    expect(await signIn(office, { name: 'gone', password, ...from })).toHaveProperty('token');
  });
});

describe('a session', () => {
  test('ends when it is idle, when its time is over, and everywhere at once', async () => {
    const { token, actor } = await personWith('tired');
    const second = await signIn(office, { name: 'tired', password, ...from });
    const other = 'token' in second ? second.token : '';
    await database.run(`update pawl.sessions set seen_at = now() - interval '61 minutes' where person_id = ${actor.person?.id}`);
    expect(await actorOfSession(office, token, 'x')).toBeNull();
    await database.run(
      `update pawl.sessions set seen_at = now(), ends_at = now() - interval '1 second' where person_id = ${actor.person?.id}`,
    );
    expect(await actorOfSession(office, token, 'x')).toBeNull();
    await database.run(`update pawl.sessions set ends_at = now() + interval '1 hour' where person_id = ${actor.person?.id}`);
    expect(await actorOfSession(office, other, 'x')).not.toBeNull();
    await signOutEverywhere(office, actor);
    expect([await actorOfSession(office, token, 'x'), await actorOfSession(office, other, 'x')]).toEqual([null, null]);
  });

  test('stays alone when the password is changed, which takes the present one', async () => {
    const { token, actor } = await personWith('changer');
    const second = await signIn(office, { name: 'changer', password, ...from });
    const other = 'token' in second ? second.token : '';
    const next = 'another tide after that';
    expect(await changePassword(office, actor, { current: 'not this', next, token })).toContain('The present password');
    expect(await changePassword(office, actor, { current: password, next, token })).toBeNull();
    expect(await actorOfSession(office, other, 'x')).toBeNull();
    expect(await actorOfSession(office, token, 'x')).not.toBeNull();
    expect(await signIn(office, { name: 'changer', password: next, ...from })).toHaveProperty('token');
  });
});

test('the present password is not to be guessed in a session that was left open', async () => {
  const { token, actor } = await personWith('left');
  const guess = (current: string) => changePassword(office, actor, { current, next: 'another tide after that', token });
  for (let n = 0; n < 5; n++) expect(await guess(`wrong ${n}`)).toContain('The present password');
  expect(await guess(password)).toContain('too many wrong tries');
});

describe('a token', () => {
  test('does nothing about the account of who made it: kind by kind', async () => {
    const { id, actor, token } = await personWith('owner', 'Administrator');
    const made = await makeToken(office, actor, { name: 't', rights: [...allRights], source: null, days: 1 });
    const bearer = (await actorOfToken(office, made.problem === null ? made.result : '', 'x')) as Actor;
    const { rows } = await database.run(`select id from pawl.tokens where person_id = ${id}`);
    const next = 'another tide after that';
    expect(await changePassword(office, bearer, { current: password, next, token: '' })).toBe(onlyInPerson);
    expect(await makeToken(office, bearer, { name: 'u', rights: ['plan'], source: null, days: 1 })).toEqual({
      problem: onlyInPerson,
    });
    expect(await endToken(office, bearer, Number(rows[0]?.['id']) as TokenId)).toBe(onlyInPerson);
    await expect(signOutEverywhere(office, bearer)).rejects.toThrow(NotAllowed);
    expect(await setScreen(office, bearer, 'dossier', 500)).toBe(onlyInPerson);
    expect(await signIn(office, { name: 'owner', password, ...from })).toHaveProperty('token');
    expect(await actorOfSession(office, token, 'x')).not.toBeNull();
  });

  test('ends with a change of password where its maker asks for it', async () => {
    const { actor, token } = await personWith('tidy');
    const make = async () => {
      const made = await makeToken(office, actor, { name: 't', rights: ['survey'], source: null, days: 1 });
      return made.problem === null ? made.result : '';
    };
    const bearer = await make();
    const [one, two] = ['another tide after that', 'and yet another tide'] as const;
    expect(await changePassword(office, actor, { current: password, next: one, token })).toBeNull();
    expect(await actorOfToken(office, bearer, 'x')).not.toBeNull();
    expect(await changePassword(office, actor, { current: one, next: two, token, endTokens: true })).toBeNull();
    expect(await actorOfToken(office, bearer, 'x')).toBeNull();
  });

  test('gives no more than it says, nor than its maker may by then', async () => {
    const { id, actor } = await personWith('maker', 'Reader');
    const made = await makeToken(office, actor, {
      name: 't',
      rights: ['seeFindings', 'plan', 'keepPeople'],
      source: null,
      days: 1,
    });
    const bearer = made.problem === null ? made.result : '';
    expect(bearer).toMatch(/^pawl_[\w-]{40}$/);
    const used = (await actorOfToken(office, bearer, 'x')) as Actor;
    await expect(addPerson(office, used, { name: 'sneaked', fullName: 'S', grants: [] })).rejects.toThrow(NotAllowed);
    // One token does not make another.
    expect(await makeToken(office, used, { name: 'more', rights: ['plan'], source: null, days: 1 })).toHaveProperty('problem');
    await giveRole(office, admin, id, { role: 'Administrator', source: null });
    const later = (await actorOfToken(office, bearer, 'x')) as Actor;
    expect((await addPerson(office, later, { name: 'allowed', fullName: 'A', grants: [] })).problem).toBeNull();
    await expect(
      setDisabled(office, { ...later, bounds: { ...later.bounds, only: { rights: ['plan'], source: null } } }, id, true),
    ).rejects.toThrow(NotAllowed);
  });

  test('ends by its date, and when it is revoked; by its maker only', async () => {
    const { actor } = await personWith('ender');
    const { actor: other } = await personWith('other');
    const tokens = await Promise.all(
      ['dated', 'revoked'].map((name) => makeToken(office, actor, { name, rights: ['survey'], source: null, days: 1 })),
    );
    const [dated = '', revoked = ''] = tokens.map((made) => (made.problem === null ? made.result : ''));
    await database.run(`update pawl.tokens set ends_at = now() - interval '1 minute' where name = 'dated'`);
    expect(await actorOfToken(office, dated, 'x')).toBeNull();
    const { rows } = await database.run(`select id from pawl.tokens where name = 'revoked'`);
    expect(await endToken(office, other, Number(rows[0]?.['id']) as TokenId)).not.toBeNull();
    expect(await actorOfToken(office, revoked, 'x')).not.toBeNull();
    expect(await endToken(office, actor, Number(rows[0]?.['id']) as TokenId)).toBeNull();
    expect(await actorOfToken(office, revoked, 'x')).toBeNull();
    expect(await actorOfToken(office, `${revoked}x`, 'x')).toBeNull();
  });
});

test('nobody chooses a first password but by an invitation', async () => {
  const added = await addPerson(office, admin, { name: 'bare', fullName: 'Bare', grants: [] });
  const { id } = there(added.problem === null ? added.result : null);
  const actor: Actor = { person: { id, name: 'bare', fullName: 'Bare' }, via: 'browser', address: 'x', bounds: { grants: [] } };
  expect(await changePassword(office, actor, { current: '', next: password, token: '' })).toContain('invitation');
  expect(await signIn(office, { name: 'bare', password, ...from })).toHaveProperty('problem');
});

test('two administrators who disable each other at the same moment leave one', async () => {
  await database.run(`delete from pawl.grants where role = 'Administrator'`);
  for (let round = 0; round < 8; round++) {
    const [one, two] = [await personWith(`a-${round}`, 'Administrator'), await personWith(`b-${round}`, 'Administrator')];
    const outcomes = await Promise.all([
      setDisabled(office, one.actor, two.id, true),
      setDisabled(office, two.actor, one.id, true),
    ]);
    expect(outcomes.filter(({ problem }) => problem === null)).toHaveLength(1);
    const { rows } = await database.run(
      `select name from pawl.people join pawl.grants on person_id = people.id where role = 'Administrator' and disabled_at is null`,
    );
    expect(rows).toHaveLength(1);
    await database.run(`delete from pawl.grants where role = 'Administrator'`);
  }
  for (const name of ['last-1', 'last-2']) await personWith(name, 'Administrator');
});

test('somebody who keeps people always stays', async () => {
  const { rows } = await database.run(
    `select person_id as person, grants.id as grant from pawl.grants where role = 'Administrator' and source_id is null order by grants.id`,
  );
  const outcomes = [];
  for (const { person, grant } of rows)
    outcomes.push(await takeRole(office, admin, Number(person) as PersonId, Number(grant) as GrantId));
  expect(outcomes.filter(({ problem }) => problem !== null)).toHaveLength(1);
  expect(outcomes.at(-1)?.problem).toContain('nobody would be left');
});

describe('the journal', () => {
  test.each([
    ['changed', `update journal set person = 'nobody'`],
    ['removed', 'delete from journal'],
    ['emptied', 'truncate journal'],
    ['freed of its guards', 'alter table journal disable trigger all'],
    ['replaced', 'drop table journal'],
  ])('cannot be %s by the application’s role', async (_, statement) => {
    await expect(store.query(statement)).rejects.toMatchObject({ code: '42501' });
  });

  test('says who, when, from where, what, on what, before and after', async () => {
    const { actor } = await personWith('doer', 'Administrator');
    await addPerson(office, actor, { name: 'done', fullName: 'Done', grants: [{ role: 'Signer', source: null }] });
    const { rows } = await database.run(
      `select person, via, address, act, outcome, object, after from pawl.journal order by id desc limit 1`,
    );
    expect(rows[0]).toEqual({
      person: 'The doer',
      via: 'browser',
      address: '10.0.0.9',
      act: 'person.add',
      outcome: 'done',
      object: 'Done',
      after: { name: 'done', grants: [{ role: 'Signer', source: null }] },
    });
  });

  test('is one chain, however many write at once, and shows every change in it', async () => {
    await Promise.all(
      Array.from({ length: 20 }, (_, n) => addPerson(office, admin, { name: `crowd-${n}`, fullName: `C${n}`, grants: [] })),
    );
    const whole = await verifyJournal(store);
    expect(whole).toMatchObject({ broken: null, knowsHead: true });
    expect(whole.entries).toBeGreaterThan(40);
    expect((await verify()).stdout).toContain(`${whole.entries} entries, unbroken. Head: ${whole.head}`);

    const tamper = async (statement: string) => {
      await database.run('begin; alter table pawl.journal disable trigger all');
      await database.run(statement);
      await database.run('alter table pawl.journal enable trigger all');
      const seen = await openStoreInside();
      await database.run('rollback');
      return seen;
    };
    expect(await tamper(`update pawl.journal set object = object || '.' where id = 7`)).toBe(7);
    expect(await tamper(`update pawl.journal set at = at + interval '1 microsecond' where id = 9`)).toBe(9);
    expect(await tamper('delete from pawl.journal where id = 5')).toBe(6);
    // The end cut off leaves a whole chain; the head that was kept elsewhere tells.
    await database.run('begin; alter table pawl.journal disable trigger all');
    await database.run('delete from pawl.journal where id = (select max(id) from pawl.journal)');
    const cut = await database.run(
      `select not exists (select from pawl.journal where encode(hash, 'hex') = '${whole.head}') as missing`,
    );
    await database.run('rollback');
    expect(cut.rows[0]).toEqual({ missing: true });
    expect((await verify('--head', 'f'.repeat(64))).code).toBe(1);
  });

  async function openStoreInside(): Promise<number | null> {
    await database.run('set local search_path = pawl');
    const { broken } = await verifyJournal({ query: database.run } as unknown as pg.Pool);
    return broken === null ? null : Number(broken);
  }

  async function verify(...more: string[]): Promise<{ code: number; stdout: string }> {
    const env = { ...process.env, DATABASE_URL: database.url };
    return promisify(execFile)(process.execPath, ['bin/pawl.js', 'journal', 'verify', ...more], { env }).then(
      ({ stdout }) => ({ code: 0, stdout }),
      (error: { code: number; stdout: string }) => ({ code: error.code, stdout: error.stdout }),
    );
  }
});
