import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import pg from 'pg';
import { afterAll, beforeAll, beforeEach, expect, test, vi } from 'vitest';
import { useDatabase } from '../../test/kit/database';
import { sourceAt } from '../../test/kit/source';
import { type Changes, openChanges } from './changes';
import { openStore } from './db';
import type { SourceId } from './ids';
import { migrate } from './migrate';
import { addSource } from './sources/sources';
import { askForSurvey } from './surveys/surveys';

process.env['PAWL_KEY_FILE'] = join(mkdtempSync(join(tmpdir(), 'pawl-key-')), 'key');
const database = useDatabase();
let store: pg.Pool;
let changes: Changes;
let [here, there]: SourceId[] = [];
const place = {
  environment: 'test',
  host: '127.0.0.1',
  port: 5432,
  database: 'harbour',
  user: 'audit',
  password: 'x',
  tls: 'off',
} as const;

beforeAll(async () => {
  await migrate(database.url);
  store = openStore(database.url);
  changes = openChanges(database.url);
  here = await addSource(store, sourceAt({ name: 'here', ...place }));
  there = await addSource(store, sourceAt({ name: 'there', ...place }));
});
afterAll(async () => {
  await changes.close();
  await store.end();
});

const patient = { timeout: 30_000 };
const listening = async (): Promise<number | undefined> =>
  (
    await store.query<{ pid: number }>(
      `select pid from pg_stat_activity where application_name = 'pawl changes' and datname = current_database() and query like 'listen%'`,
    )
  ).rows[0]?.pid;

/** The one that listens now, which is none of those before. */
const anotherThan = (before: number | undefined): Promise<number> =>
  vi.waitUntil(async () => {
    const pid = await listening();
    return pid === before ? undefined : pid;
  }, patient);

// What one test has ended goes a moment later.
beforeEach(() => vi.waitUntil(async () => (await listening()) === undefined, patient));

test('who looks at a source hears of its changes, whoever made them, and of no other’s', async () => {
  const [mine, other] = [vi.fn(), vi.fn()];
  const ends = [changes.hear(here as SourceId, mine), changes.hear(there as SourceId, other)];
  // Whoever begins to listen looks once: something may have changed before.
  await vi.waitFor(() => expect(other).toHaveBeenCalledTimes(1), patient);
  const elsewhere = new pg.Client({ connectionString: database.url, options: '-c search_path=pawl' });
  await elsewhere.connect();
  await askForSurvey(elsewhere, { source: here as SourceId, depth: 'catalogue' });
  await elsewhere.end();
  await vi.waitFor(() => expect(mine.mock.calls.length).toBeGreaterThan(1), patient);
  expect(other).toHaveBeenCalledTimes(1);
  for (const end of ends) end();
});

test('a lost connection is made again, and what was missed meanwhile is looked at', async () => {
  const told = vi.fn();
  const end = changes.hear(here as SourceId, told);
  await vi.waitFor(() => expect(told).toHaveBeenCalledTimes(1), patient);
  const before = await listening();
  await store.query('select pg_terminate_backend($1)', [before]);
  await vi.waitFor(() => expect(told.mock.calls.length).toBeGreaterThan(1), patient);
  expect(await anotherThan(before)).toBeGreaterThan(0);
  end();
});

test('while nobody listens there is no connection, and another is made for who comes next', async () => {
  const first = vi.fn();
  const end = changes.hear(here as SourceId, first);
  await vi.waitFor(() => expect(first).toHaveBeenCalledTimes(1), patient);
  end();
  await vi.waitUntil(async () => (await listening()) === undefined, patient);
  const told = vi.fn();
  const endAgain = changes.hear(here as SourceId, told);
  await vi.waitFor(() => expect(told).toHaveBeenCalledTimes(1), patient);
  endAgain();
});
