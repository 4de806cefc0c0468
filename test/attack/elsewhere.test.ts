// Sign-in with somebody else who keeps the people: a real provider as stand-in, and what may go wrong on the way.

import { there } from '../kit/there';
import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type pg from 'pg';
import { afterAll, beforeAll, expect, test } from 'vitest';
import { openStore } from '../../src/store/db';
import { migrate } from '../../src/store/migrate';
import { findPersonNamed, listGrants } from '../../src/store/people/people';
import { pawlItself } from '../../src/work/actor';
import { finishElsewhere, startElsewhere } from '../../src/work/elsewhere';
import type { Office } from '../../src/work/office';
import {
  actorOfSession,
  actorOfToken,
  addPerson,
  changePassword,
  invite,
  makeToken,
  setDisabled,
  signIn,
} from '../../src/work/people';
import { useDatabase } from '../kit/database';
import { type Kept, type StandIn, startProvider } from '../kit/provider';

process.env['PAWL_KEY_FILE'] = join(mkdtempSync(join(tmpdir(), 'pawl-key-')), 'key');
const database = useDatabase();
const origin = 'http://127.0.0.1:4999';
const from = { address: '10.0.0.7', agent: 'a browser' };
let store: pg.Pool;
let office: Office;
let provider: StandIn;

/** What the provider says of its people; changed by tests. */
const people: Kept = {
  ines: { name: 'Ines Okker', preferred_username: 'ines', groups: ['dba', 'everybody'] },
  guest: { name: 'A Guest', preferred_username: 'guest', groups: ['everybody'] },
  twin: { name: 'Another', preferred_username: 'local', groups: ['audit'] },
  odd: { name: 'Odd\u202e\u0000Name', preferred_username: '../Ödd <b>', groups: ['audit'] },
};

beforeAll(async () => {
  await migrate(database.url);
  store = openStore(database.url);
  const unused = () => Promise.reject(new Error('unused'));
  office = { store, enqueue: unused, offerLogin: unused };
  provider = await startProvider(origin, people);
  Object.assign(process.env, provider.environment);
});
afterAll(async () => {
  await store.end();
  await provider.stop();
});

/** A browser at the provider: signs in as somebody, agrees, and returns the address that it is sent back to. */
async function walk(start: string, login: string): Promise<URL> {
  const jar = new Map<string, string>();
  let at = new URL(start);
  let form: URLSearchParams | null = null;
  for (let steps = 0; steps < 20; steps++) {
    if (at.origin === origin) return at;
    const answer: Response = await fetch(at, {
      method: form ? 'post' : 'get',
      headers: { cookie: [...jar].map(([name, value]) => `${name}=${value}`).join('; ') },
      redirect: 'manual',
      ...(form && { body: form }),
    });
    for (const cookie of answer.headers.getSetCookie()) {
      const [, name = '', value = ''] = /^([^=]+)=([^;]*)/.exec(cookie) ?? [];
      jar.set(name, value);
    }
    const location = answer.headers.get('location');
    if (location) {
      at = new URL(location, at);
      form = null;
      continue;
    }
    const page = await answer.text();
    const prompt = /name="prompt" value="(\w+)"/.exec(page)?.[1];
    if (!prompt) throw new Error(`The provider stopped at ${at.href}: ${page.slice(0, 400)}`);
    at = new URL(/action="([^"]+)"/.exec(page)?.[1] ?? '', at);
    form = new URLSearchParams(prompt === 'login' ? { prompt, login, password: 'any' } : { prompt });
  }
  throw new Error('The provider goes round in circles.');
}

let browser = '';
async function start(leadsTo = '/s/1/findings'): Promise<string> {
  const left = await startElsewhere(office, { origin, leadsTo });
  browser = left.browser;
  return left.address;
}
const finish = (url: URL, by = browser) => finishElsewhere(office, { url, browser: by, ...from });

test('somebody in a group that is mapped gets in, with the role of the group, to where they wanted', async () => {
  const back = await walk(await start(), 'ines');
  const entered = await finish(back);
  expect(entered).toMatchObject({ leadsTo: '/s/1/findings' });
  const actor = 'token' in entered ? await actorOfSession(office, entered.token, 'x') : null;
  expect(actor?.person).toMatchObject({ name: 'ines', fullName: 'Ines Okker' });
  expect(actor?.bounds.grants).toMatchObject([{ role: 'Administrator', source: null, byGroup: 'dba' }]);
});

test('what comes back is good once, and only with what was sent', async () => {
  const back = await walk(await start(), 'ines');
  const forged = new URL(back);
  forged.searchParams.set('state', 'guessed');
  expect(await finish(forged)).toHaveProperty('problem');
  const otherCode = new URL(back);
  otherCode.searchParams.set('code', 'stolen');
  expect(await finish(otherCode)).toHaveProperty('problem');
  // The state is used up by the first try, whatever came of it.
  expect(await finish(back)).toHaveProperty('problem');
  const again = await walk(await start(), 'ines');
  expect(await finish(again)).toHaveProperty('token');
  expect(await finish(again)).toHaveProperty('problem');
});

test('a code that was given to one sign-in is of no use to another', async () => {
  const mine = await walk(await start(), 'ines');
  // Nor is the whole of it: who left is who comes back, else one could be made to act as somebody else.
  expect(await finish(mine, 'another browser')).toHaveProperty('problem');
  const theirs = await walk(await start(), 'ines');
  const mixed = new URL(theirs);
  mixed.searchParams.set('code', mine.searchParams.get('code') ?? '');
  expect(await finish(mixed)).toHaveProperty('problem');
});

test('groups count as they are now: who left them has no role, who is in none does not get in', async () => {
  const ines = people['ines'] as Kept[string];
  ines.groups = ['audit'];
  expect(await finish(await walk(await start(), 'ines'))).toHaveProperty('token');
  const person = await findPersonNamed(store, 'ines');
  expect((await listGrants(store, there(person).id)).map(({ role }) => role)).toEqual(['Auditor']);
  ines.groups = ['nonsense'];
  expect(await finish(await walk(await start(), 'ines'))).toHaveProperty('problem');
  expect(await finish(await walk(await start(), 'guest'))).toHaveProperty('problem');
  expect(await findPersonNamed(store, 'guest')).toBeNull();
});

test('a name that is somebody else’s here does not become theirs, and odd ones are made plain', async () => {
  const added = await addPerson(office, pawlItself('terminal'), {
    name: 'local',
    fullName: 'Local',
    grants: [{ role: 'Administrator', source: null }],
  });
  expect(added.problem).toBeNull();
  expect(await finish(await walk(await start(), 'twin'))).toHaveProperty('problem');
  expect(await finish(await walk(await start(), 'odd'))).toHaveProperty('token');
  const { rows } = await database.run(`select name, full_name from pawl.people where subject = 'odd'`);
  expect(rows[0]).toEqual({ name: '..---dd--b-'.replace(/^[^a-z0-9]+/, ''), full_name: 'OddName' });
});

test('who is disabled here stays out', async () => {
  (people['ines'] as Kept[string]).groups = ['dba'];
  const person = await findPersonNamed(store, 'ines');
  await setDisabled(office, pawlItself('terminal'), there(person).id, true);
  expect(await finish(await walk(await start(), 'ines'))).toHaveProperty('problem');
});

test('who signs in elsewhere has no password here, by no way, and a token of theirs makes none', async () => {
  (people['ines'] as Kept[string]).groups = ['dba'];
  const found = there(await findPersonNamed(store, 'ines'));
  await setDisabled(office, pawlItself('terminal'), found.id, false);
  const entered = await finish(await walk(await start(), 'ines'));
  const actor = there('token' in entered ? await actorOfSession(office, entered.token, 'x') : null);
  const made = await makeToken(office, actor, { name: 't', rights: ['seeFindings'], source: null, days: 30 });
  const bearer = made.problem === null ? made.result : '';
  const next = 'one tide after another';
  for (const by of [actor, there(await actorOfToken(office, bearer, 'x'))])
    expect(await changePassword(office, by, { current: '', next, token: '' })).not.toBeNull();
  expect(await invite(office, pawlItself('terminal'), found.id)).toHaveProperty('problem');
  expect(await signIn(office, { name: 'ines', password: next, ...from })).toHaveProperty('problem');
  await expect(database.run(`update pawl.people set password_hash = 'x' where name = 'ines'`)).rejects.toThrow(
    'ck_people_elsewhere',
  );
  // Whoever was not there for days may have left.
  await database.run(`update pawl.people set signed_in_at = now() - interval '8 days' where name = 'ines'`);
  expect(await actorOfToken(office, bearer, 'x')).toBeNull();
  expect(await finish(await walk(await start(), 'ines'))).toHaveProperty('token');
  expect(await actorOfToken(office, bearer, 'x')).not.toBeNull();
});

test('without a provider, what comes back is told so', async () => {
  const issuer = process.env['PAWL_OIDC_ISSUER'];
  delete process.env['PAWL_OIDC_ISSUER'];
  expect(await finish(new URL(`${origin}/sign-in/return?code=x&state=y`))).toEqual({
    problem: 'There is no other way in here. Sign in with your name and password.',
  });
  process.env['PAWL_OIDC_ISSUER'] = issuer;
});

test('what was refused is in the journal, with the reason', async () => {
  const { rows } = await database.run(
    `select count(*)::int as n from pawl.journal where outcome = 'refused' and act = 'person.signIn' and after ? 'reason'`,
  );
  expect(Number(rows[0]?.['n'])).toBeGreaterThan(5);
});
