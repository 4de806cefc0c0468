// The store itself fails under Pawl: it is full, it is killed and comes back, it is yesterday's beside a source of today, the
// clock of who looks at it jumps, and two of everything work on it. Nothing is lost, done twice, or told as it is not.

import { execFileSync } from 'node:child_process';
import { chmodSync, mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import pg from 'pg';
import { afterAll, afterEach, beforeAll, beforeEach, expect, test } from 'vitest';
// @ts-expect-error A script without types: it must run before there are any.
import { startPostgres } from '../../scripts/postgres.mjs';
// @ts-expect-error Likewise.
import { findPostgresBinaries } from '../../scripts/packages.mjs';
import { planFor } from '../../src/core/plan/plan';
import { openLoginDesk } from '../../src/jobs/loginHandover';
import { openQueue, type Queue } from '../../src/jobs/queue';
import { jobs } from '../../src/jobs/index';
import { plannedSteps } from '../../src/sources/run/carryOut';
import { differences } from '../../src/sources/run/scratch';
import { survey } from '../../src/sources/survey';
import { openStore } from '../../src/store/db';
import { addDocket, findDocket, freezeDocket, moveDocket } from '../../src/store/dockets/dockets';
import { askForRun, findRun, listSteps } from '../../src/store/dockets/runs';
import { listStanding } from '../../src/store/findings/findings';
import type { DocketId, RunId, SourceId, SurveyId } from '../../src/store/ids';
import { migrate } from '../../src/store/migrate';
import { addSchedule } from '../../src/store/sources/schedules';
import { addSource } from '../../src/store/sources/sources';
import { askForSurvey, findSurvey, listSurveys } from '../../src/store/surveys/surveys';
import { askForWhatIsDue } from '../../src/work/schedules';
import { useDatabase } from '../kit/database';
import { sourceAt } from '../kit/source';
import { eventually, inState, killed, startWorker, whileLocked } from '../kit/worker';

const audited = useDatabase(`
  create table berth (berth_no text not null, area text);
  insert into berth select 'B' || n, 'area ' || n % 5 from generate_series(1, 60) n;
  create table pilot (pilot_no text not null);
  insert into pilot select 'P' || n from generate_series(1, 90) n;
  create table slow (id int primary key, v text);
  insert into slow select n, 'v' from generate_series(1, 50) n;
  analyze;
`);

const folder = mkdtempSync(join(tmpdir(), 'pawl-faults-'));
chmodSync(folder, 0o711);
const keyFile = join(folder, 'key');
process.env['PAWL_KEY_FILE'] = keyFile;

interface Server {
  url(database?: string): string;
  stop(): void;
}
let server: Server;
const start = async () =>
  void (server = await (startPostgres as (options: object) => Promise<Server>)({ folder: join(folder, 'postgres'), port: 5795 }));

/** A store, and who works with it: `web` servers only send, workers are hired. */
interface House {
  readonly url: string;
  readonly store: pg.Pool;
  readonly queue: Queue;
  readonly hire: () => Promise<Awaited<ReturnType<typeof startWorker>>>;
  readonly leave: () => Promise<void>;
}

/** Who was not left yet, when a test fails. */
const open = new Set<() => Promise<void>>();

async function houseAt(url: string): Promise<House> {
  const store = openStore(url);
  const names = jobs.map((job) => job.name);
  const queue = await openQueue(url, names, 'sender');
  const workers: Awaited<ReturnType<typeof startWorker>>[] = [];
  const hire = async () => {
    const worker = await startWorker(url, keyFile);
    workers.push(worker);
    return worker;
  };
  const leave = async () => {
    open.delete(leave);
    await Promise.all(workers.map((worker) => killed(worker, 'SIGKILL')));
    await queue.stop();
    await store.end();
  };
  open.add(leave);
  return { url, store, queue, hire, leave };
}

let house: House;
let source: SourceId;
beforeAll(start, 60_000);
beforeEach(async () => {
  const name = `store_${Math.random().toString(36).slice(2)}`;
  await onStore(server.url('postgres'), `create database ${name}`);
  await migrate(server.url(name));
  house = await houseAt(server.url(name));
  source = await addSource(house.store, sourceAt({ name: 'audited', environment: 'test', ...audited.details }));
});
afterEach(async () => {
  for (const leave of open) await leave();
});
afterAll(() => {
  server.stop();
  rmSync(folder, { recursive: true, force: true });
});

async function onStore(url: string, text: string): Promise<void> {
  const client = new pg.Client({ connectionString: url });
  await client.connect();
  try {
    await client.query(text);
  } finally {
    await client.end();
  }
}

async function ask(of = house): Promise<SurveyId> {
  const id = await askForSurvey(of.store, { source, depth: 'exact', forced: true });
  await of.queue.enqueue('survey', id);
  return id;
}

const ends = (id: SurveyId, of = house) => inState(() => findSurvey(of.store, id), 'done', 'failed');
const count = async (what: string, of = house) =>
  Number((await of.store.query<{ n: string }>(`select count(*) as n from ${what}`)).rows[0]?.n);

async function planned(of: House): Promise<DocketId> {
  const reader = await audited.open();
  const { findings, catalogue } = await survey(reader, { depth: 'exact' }).finally(() => reader.close());
  const docket = await addDocket(of.store, source, 'Keys', 'plain');
  const decided = findings.filter(({ rule }) => rule === 'keys/missing').map((finding) => ({ finding, decision: {} }));
  const plan = planFor(decided, catalogue, { label: `d${docket}`, mode: 'plain' });
  expect(plan.problems).toEqual([]);
  await moveDocket(of.store, docket, ['Draft'], 'Signed');
  await freezeDocket(of.store, docket, plan, catalogue);
  return docket;
}

/** What a person who runs it does: the login goes to whichever worker takes it. */
async function run(docket: DocketId, of: House, direction: 'forward' | 'back' = 'forward'): Promise<RunId> {
  const { store, queue } = of;
  expect(await moveDocket(store, docket, ['Signed', 'Stopped', 'Done'], 'Running')).toBe(true);
  const { rows } = await store.query<{ plan: Parameters<typeof plannedSteps>[0] }>(`select plan from dockets where id = $1`, [
    docket,
  ]);
  const plan = rows[0]?.plan;
  if (!plan) throw new Error('The docket has no plan.');
  const { user, password } = audited.details;
  const id = await askForRun(store, { docket, direction, user, steps: plannedSteps(plan, direction) });
  const desk = openLoginDesk(of.url, store);
  try {
    await desk.offer(id, { user, password });
    await queue.enqueue('run', id);
    await inState(() => findRun(store, id), 'done', 'stopped');
  } finally {
    await desk.close();
  }
  return id;
}

const keys = async () =>
  Number(
    (
      await audited.run(`select count(*) as n from pg_constraint
        where contype = 'p' and conrelid in ('berth'::regclass, 'pilot'::regclass)`)
    ).rows[0]?.['n'],
  );

test('two web servers and two workers on one store: each survey is read once, whoever hands it over how often', async () => {
  const other = await houseAt(house.url);
  try {
    await Promise.all([house.hire(), other.hire()]);
    const asked = await Promise.all([ask(house), ask(other), ask(house), ask(other)]);
    // Each hands over what the other asked for as well.
    await Promise.all(asked.flatMap((id) => [house.queue.enqueue('survey', id), other.queue.enqueue('survey', id)]));
    for (const id of asked) expect((await ends(id)).state).toBe('done');
    expect(await count('surveys where catalogue is not null')).toBe(asked.length);
    expect(await count('(select 1 from surveys where attempts > 1) s')).toBe(0);
    // The same findings, seen four times, stand there once.
    const standing = await listStanding(house.store, source);
    expect(standing.length).toBeGreaterThan(0);
    expect(new Set(standing.map(({ identity }) => identity)).size).toBe(standing.length);
  } finally {
    await other.leave();
    await house.leave();
  }
}, 120_000);

test('the store is full: the survey fails with words, and goes well once there is room', async () => {
  await onStore(
    house.url,
    `create function pawl.full() returns trigger language plpgsql as $$
       begin raise exception 'could not extend file: No space left on device' using errcode = 'disk_full'; end $$;
     create trigger full_disk before insert on pawl.findings for each statement execute function pawl.full()`,
  );
  await house.hire();
  const failed = await ends(await ask());
  expect(failed.state).toBe('failed');
  expect(failed.problem).toMatch(/store|space|full/i);
  expect(await count('findings')).toBe(0);
  await onStore(house.url, 'drop trigger full_disk on pawl.findings');
  expect((await ends(await ask())).state).toBe('done');
  expect(await count('findings')).toBeGreaterThan(0);
}, 120_000);

test('the store is full while a docket runs: it stops, nothing is done twice, and it goes on when there is room', async () => {
  const docket = await planned(house);
  await onStore(
    house.url,
    `create function pawl.full() returns trigger language plpgsql as $$
       begin
         if new.state = 'done' then raise exception 'could not extend file: No space left on device' using errcode = 'disk_full'; end if;
         return new;
       end $$;
     create trigger full_disk before update on pawl.run_steps for each row execute function pawl.full()`,
  );
  await house.hire();
  const stopped = await findRun(house.store, await run(docket, house));
  expect(stopped?.state).toBe('stopped');
  expect((await findDocket(house.store, source, docket))?.state).toBe('Stopped');
  await onStore(house.url, 'drop trigger full_disk on pawl.run_steps');
  const again = await findRun(house.store, await run(docket, house));
  expect(again).toMatchObject({ state: 'done', problem: null });
  expect(await keys()).toBe(2);
  await run(docket, house, 'back');
  expect(await keys()).toBe(0);
}, 120_000);

test('the store is killed in the middle of a survey, and comes back: the survey goes on and ends once', async () => {
  await house.hire();
  const id = await ask();
  await whileLocked(audited, 'slow in access exclusive mode', async (letGo) => {
    const stands = async () => ((await findSurvey(house.store, id))?.doing.includes('slow') ? true : null);
    await eventually(stands, 'the survey to stand at the lock');
    await restart();
    await letGo();
  });
  expect((await ends(id)).state).toBe('done');
  expect(await count('surveys where catalogue is not null')).toBe(1);
  // Who was there before it was killed works on, with nobody starting it anew.
  expect((await ends(await ask())).state).toBe('done');
  expect(await listSurveys(house.store, source)).toHaveLength(2);
}, 180_000);

async function restart(): Promise<void> {
  const client = new pg.Client({ connectionString: house.url });
  client.on('error', () => undefined);
  await client.connect();
  const { rows } = await client.query<{ data: string }>(`select current_setting('data_directory') as data`);
  const pidFile = join(String(rows[0]?.data), 'postmaster.pid');
  process.kill(Number(readFileSync(pidFile, 'utf8').split('\n')[0]), 'SIGKILL');
  await client.end().catch(() => undefined);
  rmSync(pidFile, { force: true });
  for (let tries = 0; ; tries++) {
    try {
      return await start();
    } catch (error) {
      if (tries > 20) throw error;
      await new Promise((resolve) => setTimeout(resolve, 250));
    }
  }
}

test('a clock that jumps an hour ahead and back asks for each due survey once', async () => {
  const at = (time: string) => new Date(`2099-11-27T${time}:00Z`);
  await addSchedule(house.store, source, {
    ...{ cron: '30 * * * *', zone: 'UTC', depth: 'exact', keptBy: 'Ada', nextAt: at('02:30') },
  });
  const asked: number[] = [];
  const enqueue = async (_: 'survey', id: number) => {
    asked.push(id);
    await house.store.query(`update surveys set state = 'done', finished_at = now() where id = $1`, [id]);
  };
  const looks = async (time: string) => {
    await askForWhatIsDue({ store: house.store, enqueue }, at(time));
    return asked.length;
  };
  expect(await looks('02:31')).toBe(1);
  // An hour ahead: what is due then is asked for, once; back again, nothing is asked for a second time.
  expect(await looks('03:31')).toBe(2);
  expect(await looks('02:32')).toBe(2);
  expect(await looks('03:31')).toBe(2);
  // And when the hour has come round, it goes on.
  expect(await looks('04:31')).toBe(3);
  expect(new Set(asked).size).toBe(3);
});

test("yesterday's store beside today's source: what a docket did meanwhile is not done twice, and each tells what is", async () => {
  const before = await audited.fingerprint();
  const docket = await planned(house);
  const name = `yesterday_${Math.random().toString(36).slice(2)}`;
  await onStore(server.url('postgres'), `create database ${name}`);
  const program = (tool: string) => join(String((findPostgresBinaries as () => string)()), tool);
  const dump = execFileSync(program('pg_dump'), ['--no-owner', house.url], { maxBuffer: 2 ** 28 });
  execFileSync(program('psql'), ['--quiet', '--set=ON_ERROR_STOP=1', server.url(name)], {
    input: dump,
    stdio: ['pipe', 'ignore', 'inherit'],
  });

  await house.hire();
  expect((await findRun(house.store, await run(docket, house)))?.state).toBe('done');
  const after = await audited.fingerprint();

  const yesterday = await houseAt(server.url(name));
  try {
    await yesterday.hire();
    // It finds its own work in force, does none of it again, and says so of each step.
    const again = await run(docket, yesterday);
    expect(await findRun(yesterday.store, again)).toMatchObject({ state: 'done', problem: null });
    const changing = (await listSteps(yesterday.store, again, { rows: true })).filter(
      ({ outcome }) => !outcome?.includes('all zero'),
    );
    expect(changing.map(({ outcome }) => outcome).filter((outcome) => !outcome?.includes('already'))).toEqual([]);
    expect(changing.length).toBeGreaterThan(0);
    expect(await keys()).toBe(2);
    // What this store knows of no run of its was there before it: its way back leaves that alone, and nothing of its own stays.
    await run(docket, yesterday, 'back');
    expect(differences(after, await audited.fingerprint())).toEqual([]);
  } finally {
    await yesterday.leave();
  }
  expect(await findRun(house.store, await run(docket, house, 'back'))).toMatchObject({ state: 'done', problem: null });
  expect(differences(before, await audited.fingerprint())).toEqual([]);
}, 180_000);
