import { sourceAt } from '../../test/kit/source';
import { createCipheriv, randomBytes } from 'node:crypto';
import { mkdtempSync, readFileSync, statSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type pg from 'pg';
import { afterAll, beforeAll, expect, test, vi } from 'vitest';
import { useDatabase } from '../../test/kit/database';
import { sketch } from '../../test/kit/sketch';
import { evidence, profiled } from '../../test/kit/measured';
import { audit } from '../core/rules/audit';
import { inTransaction, openStore } from './db';
import { readCoverage, readFindings } from '../core/survey/boards';
import { coverageBoard } from './findings/coverageBoard';
import { findingsBoard } from './findings/findingsBoard';
import { countFindings, keepFindings, listEvents, listFindings, moveFindings } from './findings/findings';
import { migrate } from './migrate';
import { addSource, changeSource, findSource, getConnection, type NewSource } from './sources/sources';
import { askForSurvey, cancelSurvey, findSurvey, requeueSurvey, startSurvey } from './surveys/surveys';

const keyFile = join(mkdtempSync(join(tmpdir(), 'pawl-key-')), 'key');
process.env['PAWL_KEY_FILE'] = keyFile;
const { addKey, dropOldKeys, seal, unseal } = await import('./secrets');
const { sealAnew, upgradeSealed } = await import('./sealed');

const database = useDatabase();
let store: pg.Pool;
beforeAll(async () => {
  await migrate(database.url);
  store = openStore(database.url);
});
afterAll(() => store.end());

const source = sourceAt({
  name: 'harbour',
  environment: 'production',
  host: '127.0.0.1',
  port: 5432,
  database: 'harbour',
  user: 'audit',
  password: 'tell-nobody',
  tls: 'prefer',
});
const named = (name: string): NewSource => ({ ...source, name });

test('migrations run once, also when two start at the same time', async () => {
  expect(await Promise.all([migrate(database.url), migrate(database.url)])).toEqual([[], []]);
});

test('a password is sealed at rest under a key that only its owner may read', async () => {
  const id = await addSource(store, named('sealed'));
  const { rows } = await store.query<{ sealed_password: Buffer }>('select sealed_password from sources where id = $1', [id]);
  expect(rows[0]?.sealed_password.toString('latin1')).not.toContain('tell-nobody');
  expect((await getConnection(store, id)).secret).toBe('tell-nobody');
  expect(JSON.stringify(await findSource(store, id))).not.toContain('tell-nobody');
  expect(statSync(keyFile).mode & 0o777).toBe(0o600);
});

test('what was sealed cannot be changed unseen, nor moved to another row', async () => {
  const sealed = await seal(store, 'source 1 password', 'secret');
  expect(await unseal(store, 'source 1 password', sealed)).toBe('secret');
  await expect(unseal(store, 'source 2 password', sealed)).rejects.toThrow('cannot be opened');
  sealed[sealed.length - 1] = (sealed.at(-1) ?? 0) ^ 1;
  await expect(unseal(store, 'source 1 password', sealed)).rejects.toThrow('cannot be opened');
  await expect(unseal(store, 'source 1 password', Buffer.from(''))).rejects.toThrow('cannot be opened');
});

test('keys are rotated: what was sealed opens, is sealed anew, and the old key is gone', async () => {
  const id = await addSource(store, named('rotated'));
  const before = await sealedOf(id);
  await addKey(store);
  expect((await getConnection(store, id)).secret).toBe('tell-nobody');
  await inTransaction(sealAnew, store);
  await dropOldKeys(store);
  expect((await sealedOf(id)).equals(before)).toBe(false);
  expect((await getConnection(store, id)).secret).toBe('tell-nobody');
  await expect(unseal(store, `source ${id} password`, before)).rejects.toThrow('cannot be opened');
});

test('a secret makes its key with a salt of the store, and another salt makes another', async () => {
  process.env['PAWL_SECRET'] = 'correct horse';
  vi.resetModules();
  const fresh = await import('./secrets');
  try {
    const first = await fresh.seal(store, 'x', 'secret');
    await fresh.addKey(store);
    const second = await fresh.seal(store, 'x', 'secret');
    expect(second.subarray(0, 5).equals(first.subarray(0, 5))).toBe(false);
    expect([await fresh.unseal(store, 'x', first), await fresh.unseal(store, 'x', second)]).toEqual(['secret', 'secret']);
    expect((await store.query('select from sealing_keys')).rowCount).toBe(2);
  } finally {
    delete process.env['PAWL_SECRET'];
  }
});

test('what an earlier version sealed is sealed anew, bound to its row, once', async () => {
  const id = await addSource(store, named('earlier'));
  const key = Buffer.from(readFileSync(keyFile, 'utf8').trim().split('\n').at(0) ?? '', 'hex');
  const nonce = randomBytes(12);
  const cipher = createCipheriv('aes-256-gcm', key, nonce);
  const sealed = Buffer.concat([cipher.update('from before', 'utf8'), cipher.final()]);
  await store.query('update sources set sealed_password = $2 where id = $1', [
    id,
    Buffer.concat([nonce, cipher.getAuthTag(), sealed]),
  ]);
  await expect(getConnection(store, id)).rejects.toThrow('cannot be opened');
  expect(await inTransaction(upgradeSealed, store)).toBe(1);
  expect((await getConnection(store, id)).secret).toBe('from before');
  expect(await inTransaction(upgradeSealed, store)).toBe(0);
});

async function sealedOf(id: number): Promise<Buffer> {
  const { rows } = await store.query<{ sealed: Buffer }>('select sealed_password as sealed from sources where id = $1', [id]);
  return rows[0]?.sealed ?? Buffer.from('');
}

test('an empty password keeps the stored one', async () => {
  const id = await addSource(store, named('kept'));
  await changeSource(store, id, { ...named('kept'), settings: { ...source.settings, port: 5433 }, secret: '' });
  expect(await getConnection(store, id)).toMatchObject({ settings: { port: 5433 }, secret: 'tell-nobody' });
});

test('a survey is taken by one worker only, and can be asked for again once stopped', async () => {
  const id = await askForSurvey(store, { source: await addSource(store, named('taken')), depth: 'exact' });
  expect(await Promise.all([startSurvey(store, id), startSurvey(store, id)])).toEqual(expect.arrayContaining([true, false]));
  expect(await requeueSurvey(store, id, ['failed'])).toBe(false);
  await requeueSurvey(store, id, ['running']);
  await cancelSurvey(store, id);
  expect((await findSurvey(store, id))?.state).toBe('cancelled');
});

test('the database itself refuses states that do not exist', async () => {
  const id = await addSource(store, named('strict'));
  await expect(
    store.query(`insert into surveys (source_id, depth, state) values ($1, 'exact', 'dreaming')`, [id]),
  ).rejects.toThrow('ck_surveys_state');
});

const catalogue = sketch('port.log: entry text\n port.note: body text');
const findings = audit(catalogue, evidence(profiled(catalogue, 'port.log', 10), profiled(catalogue, 'port.note', 10)));

test('a finding keeps its row and state from survey to survey, and its events', async () => {
  const id = await addSource(store, named('states'));
  const [first, second] = [
    await askForSurvey(store, { source: id, depth: 'exact' }),
    await askForSurvey(store, { source: id, depth: 'exact' }),
  ];
  await keepFindings(store, { source: id, survey: first }, findings);
  const [one] = await listFindings(store, id, ['Open']);
  if (!one) throw new Error('a finding was kept');
  await moveFindings(store, [{ finding: one.id, from: 'Open', to: 'Docketed', reason: null }], {});
  await keepFindings(store, { source: id, survey: second }, findings);
  expect((await listFindings(store, id, ['Open', 'Docketed'])).map((f) => [f.identity, f.state]).sort()).toEqual([
    ['keys/missing:port.log', one.identity === 'keys/missing:port.log' ? 'Docketed' : 'Open'],
    ['keys/missing:port.note', one.identity === 'keys/missing:port.note' ? 'Docketed' : 'Open'],
  ]);
  expect((await listEvents(store, one.id)).map((event) => [event.from, event.to])).toEqual([
    [null, 'Open'],
    ['Open', 'Docketed'],
  ]);
});

test('a finding that has moved meanwhile is not moved again', async () => {
  const id = await addSource(store, named('race'));
  await keepFindings(store, { source: id, survey: await askForSurvey(store, { source: id, depth: 'exact' }) }, findings);
  const [one] = await listFindings(store, id, ['Open']);
  if (!one) throw new Error('a finding was kept');
  const move = { finding: one.id, from: 'Open', to: 'Docketed', reason: null } as const;
  await moveFindings(store, [move], {});
  await moveFindings(store, [move], {});
  expect((await listEvents(store, one.id)).length).toBe(2);
});

test('coverage counts what is open by table and concern, with the worst', async () => {
  const id = await addSource(store, named('board'));
  await keepFindings(store, { source: id, survey: await askForSurvey(store, { source: id, depth: 'exact' }) }, findings);
  expect(readCoverage(await coverageBoard(store, id)).cells).toEqual(
    expect.arrayContaining([{ tableId: 'port.log', concern: 'Keys', open: 1, held: 0, slipped: 0, worst: 'Serious' }]),
  );
});

test('the board of findings says each in words, worst first', async () => {
  const id = await addSource(store, named('lines'));
  await keepFindings(store, { source: id, survey: await askForSurvey(store, { source: id, depth: 'exact' }) }, findings);
  const lines = readFindings(await findingsBoard(store, id, ['Open']));
  expect(lines.length).toBe(findings.length);
  expect(lines[0]).toMatchObject({
    rule: 'keys/missing',
    severity: 'Serious',
    title: 'No primary key',
    place: 'port.log',
    table: 'port.log',
    scripted: true,
  });
  const byHand = findings.filter(({ proposal }) => proposal.kind === 'byHand').length;
  expect(lines.filter(({ scripted }) => !scripted)).toHaveLength(byHand);
  expect(await countFindings(store, id)).toMatchObject({ open: findings.length, byHand });
  expect(readFindings(await findingsBoard(store, id, ['Held']))).toEqual([]);
});

test('what fails half way leaves nothing behind', async () => {
  const failing = inTransaction(async (db) => {
    await addSource(db, named('half'));
    throw new Error('half way');
  }, store);
  await expect(failing).rejects.toThrow('half way');
  expect((await store.query(`select 1 from sources where name = 'half'`)).rowCount).toBe(0);
});
