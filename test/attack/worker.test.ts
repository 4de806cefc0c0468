// Workers under attack: what ends them, what they leave behind, who talks to them that should not.

import { there } from '../kit/there';
import { sourceAt } from '../kit/source';
import pg from 'pg';
import { afterAll, beforeAll, expect, test } from 'vitest';
import { askForLogin } from '../../src/jobs/loginHandover';
import { planFor } from '../../src/core/plan/plan';
import { openReading } from '../../src/sources/postgresql/connect';
import { addDocket } from '../../src/store/dockets/dockets';
import { listOwed } from '../../src/store/dockets/owedRemovals';
import { askForRehearsal, findLastRehearsal } from '../../src/store/dockets/rehearsals';
import { countWorkers } from '../../src/store/workers';
import { keepRehearsalServer } from '../../src/store/sources/rehearsalServer';
import { addSource } from '../../src/store/sources/sources';
import { addOwed } from '../../src/store/dockets/owedRemovals';
import { askForSurvey, findCatalogue, findSurvey, type SurveyState } from '../../src/store/surveys/surveys';
import { onServer, useDatabase } from '../kit/database';
import { eventually, inState, killed, useWorkshop, whileLocked, type Workshop } from '../kit/worker';
import type { RunId, SourceId, SurveyId } from '../../src/store/ids';

const audited = useDatabase(`
  create table vessel (vessel_id int primary key, imo_no text);
  insert into vessel select n, 'I' || n from generate_series(1, 300) n;
  create table slow (id int primary key, v text);
  insert into slow select n, 'v' from generate_series(1, 50) n;
  analyze;`);
const database = useDatabase();
let shop: Workshop;
let source: SourceId;
useWorkshop(database, async (opened) => {
  shop = opened;
  source = await addSource(shop.store, sourceAt({ name: 'audited', environment: 'test', ...audited.details }));
});

async function ask(of = source): Promise<SurveyId> {
  const id = await askForSurvey(shop.store, { source: of, depth: 'exact', forced: true });
  await shop.queue.enqueue('survey', id);
  return id;
}
const reached = (id: SurveyId, ...states: readonly SurveyState[]) => inState(() => findSurvey(shop.store, id), ...states);
const isAt = (id: SurveyId, doing: string) =>
  eventually(
    async () => ((await findSurvey(shop.store, id))?.doing.includes(doing) ? true : null),
    `survey ${id} to be at ${doing}`,
  );
const holding = (work: (letGo: () => Promise<void>) => Promise<void>) =>
  whileLocked(audited, 'slow in access exclusive mode', work);

test('a survey that ends one worker after another fails with words, and a person can go on with it', async () => {
  await holding(async (letGo) => {
    const id = await ask();
    for (let deaths = 0; deaths < 2; deaths++) {
      const worker = await shop.hire();
      await isAt(id, 'public.slow');
      await killed(worker, 'SIGKILL');
      await shop.store.query(`update surveys set doing = 'waiting to see' where id = $1`, [id]);
    }
    await shop.hire();
    expect((await reached(id, 'failed', 'done')).problem).toMatch(/^2 workers died over it/);
    await letGo();
  });
});

test('the statements of a worker that died are ended before another asks the same', async () => {
  await holding(async (letGo) => {
    const worker = await shop.hire();
    const id = await ask();
    await isAt(id, 'public.slow');
    await killed(worker, 'SIGKILL');
    const sessions = async () =>
      // Not by the session that holds the lock: within a transaction the list stays as it was first seen.
      (
        await shop.store.query<{ pid: number }>(
          `select pid from pg_stat_activity where application_name like 'pawl survey ${id} of %'`,
        )
      ).rows.map(({ pid }) => pid);
    const before = await sessions();
    await shop.hire();
    await eventually(async () => {
      const now = await sessions();
      return now.length > 0 && now.every((pid) => !before.includes(pid)) ? true : null;
    }, 'the old session to be ended');
    await letGo();
    await reached(id, 'done');
  });
});

test('each session listens whether we are still there', async () => {
  const client = await openReading(audited.details);
  const { rows } = await client.query<{ every: string }>(`select current_setting('client_connection_check_interval') as every`);
  expect(rows).toEqual([{ every: '2s' }]);
  await client.end();
});

test('poison in a function keeps a survey from nothing', async () => {
  const poison = useQuotes();
  await audited.run(`create function poison() returns text language sql as $poison$ select ${poison} $poison$`);
  try {
    await shop.hire();
    expect(await reached(await ask(), 'done', 'failed')).toMatchObject({ state: 'done' });
  } finally {
    await audited.run('drop function poison()');
  }
});

/** 27 kB that are one text for the server, and an endless puzzle for a careless reader. */
function useQuotes(): string {
  return `'${"''".repeat(13_500)}'`;
}

/** Asks on as many connections as the test may hold at once. */
async function hangsUp(): Promise<boolean> {
  const asked = Array.from({ length: 4 }, () => shop.store.query('select pg_sleep(0.05)'));
  return (await Promise.allSettled(asked)).some(({ status }) => status === 'rejected');
}

test('a store that hangs up does not end a worker: it comes back, and what it held is taken up again', async () => {
  await holding(async (letGo) => {
    const worker = await shop.hire();
    const id = await ask();
    await isAt(id, 'public.slow');
    await onServer(
      `select pg_terminate_backend(pid) from pg_stat_activity where datname = '${new URL(database.url).pathname.slice(1)}' and application_name in ('pawl store', 'pawl queue', 'pawl logins') and pid <> pg_backend_pid()`,
    );
    // The connections of the test were among them: it goes on when all of those have heard of it.
    await eventually(async () => ((await hangsUp()) ? null : true), 'the store to answer');
    await letGo();
    expect(await reached(id, 'done', 'failed')).toMatchObject({ state: 'done' });
    expect([worker.exitCode, worker.signalCode]).toEqual([null, null]);
    expect(await countWorkers(shop.store)).toBeGreaterThan(0);
  });
});

test('what others send over the login’s channels is passed over, and does not use a login up', async () => {
  const stranger = new pg.Client({ connectionString: database.url });
  await stranger.connect();
  const heard: string[] = [];
  stranger.on('notification', ({ payload }) => heard.push(payload ?? ''));
  await stranger.query('listen pawl_login_wanted');
  await shop.desk.offer(41 as RunId, { user: 'mender', password: 'tell-nobody' });
  for (const garbage of [
    '',
    '41',
    '41 x',
    `41 ${Buffer.from('x'.repeat(80)).toString('base64')}`,
    'NaN NaN',
    '41 pawl_login_mine',
  ])
    await stranger.query('select pg_notify($1, $2)', ['pawl_login_wanted', garbage]);
  const answered = askForLogin(database.url, shop.store, 41 as RunId);
  const channel = await eventually(async () => {
    const { rows } = await shop.store.query<{ pid: number }>(
      `select pid from pg_stat_activity where query like 'listen pawl_login_%' or query like 'select pg_notify%'`,
    );
    return rows.length > 0 ? true : null;
  }, 'the worker to listen');
  expect(channel).toBe(true);
  expect(await answered).toEqual({ user: 'mender', password: 'tell-nobody' });
  expect(heard.join(' ')).not.toContain('tell-nobody');
  expect(heard.join(' ')).not.toContain('mender');
  // A login of one run is none for another, and is given once.
  await shop.desk.offer(42 as RunId, { user: 'a', password: 'b' });
  await stranger.end();
});

test('a login too long to be handed over is refused', async () => {
  expect(await shop.desk.offer(43 as RunId, { user: 'u', password: '\u0001'.repeat(1000) })).toBe(false);
  expect(await shop.desk.offer(43 as RunId, { user: 'u', password: '🔑'.repeat(1000) })).toBe(true);
});

test('a source that insists on a login that only reads is not read with one that may more', async () => {
  const details = sourceAt({ name: 'insisting', environment: 'production', ...audited.details, fittingLogin: true });
  await shop.hire();
  const survey = await reached(await ask(await addSource(shop.store, details)), 'failed', 'done');
  expect(survey.problem).toMatch(/insists on a login that can only read.*is superuser/);
  expect(survey.login?.fitting).toContain('create role pawl_audit');
  expect(await findCatalogue(shop.store, survey.id)).toBeNull();
});

test('where the key is lost, a survey and a rehearsal fail with words that say what to do, and the worker goes on', async () => {
  const before = await shop.store.query<{ sealed: Buffer }>('select sealed_password as sealed from sources where id = $1', [
    source,
  ]);
  await shop.hire();
  const { id } = await reached(await ask(), 'done');
  const catalogue = there(await findCatalogue(shop.store, id));
  const docket = await addDocket(shop.store, source, 'without a key', 'plain');
  await shop.store.query(`update sources set sealed_password = '\\x02000102' || substr(sealed_password, 5) where id = $1`, [
    source,
  ]);
  expect((await reached(await ask(), 'failed')).problem).toMatch(/cannot be opened.*Restore PAWL_SECRET or the key file/);
  const rehearsal = there(await askForRehearsal(shop.store, docket, planFor([], catalogue, { label: 'd', mode: 'plain' })));
  await shop.queue.enqueue('rehearsal', rehearsal);
  const ended = await eventually(async () => {
    const row = await findLastRehearsal(shop.store, docket);
    return row?.state === 'failed' ? row : null;
  }, 'the rehearsal to fail');
  expect(ended.problem).toContain('cannot be opened');
  await shop.store.query('update sources set sealed_password = $2 where id = $1', [source, before.rows[0]?.sealed]);
  await reached(await ask(), 'done');
});

const name = `owed_${Math.random().toString(36).slice(2, 8)}`;
beforeAll(() => onServer(`create role ${name} login createdb createrole password 'scratch'`));
afterAll(() => onServer(`drop role ${name}`));

test('a scratch copy whose server is away stays owed until it is gone, and is shown meanwhile', async () => {
  const survey = await reached(await (async () => (await shop.hire(), ask()))(), 'done');
  const catalogue = await findCatalogue(shop.store, survey.id);
  if (!catalogue) throw new Error('The survey read no catalogue.');
  const docket = await addDocket(shop.store, source, 'owing', 'plain');
  const server = { ...audited.details, database: 'postgres', user: name, password: 'scratch' };
  const rehearsal = there(await askForRehearsal(shop.store, docket, planFor([], catalogue, { label: 'd', mode: 'plain' })));
  // What a worker leaves that could not reach the server any more.
  await onServer(
    `create role pawl_scratch_x_r${rehearsal} nologin; grant pawl_scratch_x_r${rehearsal} to ${name} with admin option`,
  );
  await onServer(`create database pawl_scratch_x_r${rehearsal} owner pawl_scratch_x_r${rehearsal}`);
  await keepRehearsalServer(shop.store, source, server);
  await addOwed(shop.store, {
    rehearsal,
    server: { ...server, password: 'wrong' },
    words: 'there',
    label: `r${rehearsal}`,
    problem: 'Its server was away.',
  });
  await shop.store.query(`update owed_removals set tried_at = now() - interval '1 hour'`);
  await eventually(async () => {
    const [row] = await listOwed(shop.store, docket);
    return row && row.problem !== 'Its server was away.' ? row : null;
  }, 'a try that fails with words');
  await shop.store.query('delete from owed_removals');
  await addOwed(shop.store, { rehearsal, server, words: 'there', label: `r${rehearsal}`, problem: 'Its server was away.' });
  await shop.store.query(`update owed_removals set tried_at = now() - interval '1 hour'`);
  await eventually(async () => ((await listOwed(shop.store, docket)).length === 0 ? true : null), 'the copy to be removed');
  const { rowCount } = await audited.run(`select from pg_database where datname = 'pawl_scratch_x_r${rehearsal}'`);
  expect(rowCount).toBe(0);
  expect(await findLastRehearsal(shop.store, docket)).not.toBeNull();
});
