import { type ChildProcess, spawn } from 'node:child_process';
import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type pg from 'pg';
import { afterAll, afterEach, beforeAll } from 'vitest';
import { jobs } from '../../src/jobs/index';
import { type LoginDesk, openLoginDesk } from '../../src/jobs/loginHandover';
import { openQueue, type Queue } from '../../src/jobs/queue';
import { openStore } from '../../src/store/db';
import { migrate } from '../../src/store/migrate';
import type { TestDatabase } from './database';

const root = join(import.meta.dirname, '..', '..');

export interface Workshop {
  readonly store: pg.Pool;
  readonly queue: Queue;
  readonly desk: LoginDesk;
  /** A real worker process; killed after the test. */
  readonly hire: () => Promise<ChildProcess>;
}

/** What jobs need, on a store of its own. `opened` is told once it is there. */
export function useWorkshop(database: TestDatabase, opened: (shop: Workshop) => Promise<void>): void {
  const keyFile = join(mkdtempSync(join(tmpdir(), 'pawl-key-')), 'key');
  process.env['PAWL_KEY_FILE'] = keyFile;
  const workers: ChildProcess[] = [];
  let shop: Workshop;
  beforeAll(async () => {
    await migrate(database.url);
    const names = jobs.map((job) => job.name);
    const store = openStore(database.url);
    shop = {
      store,
      queue: await openQueue(database.url, names, 'sender'),
      desk: openLoginDesk(database.url, store),
      hire: async () => {
        const worker = await startWorker(database.url, keyFile);
        workers.push(worker);
        return worker;
      },
    };
    await opened(shop);
  });
  afterEach(async () => {
    await Promise.all(workers.splice(0).map((worker) => killed(worker, 'SIGKILL')));
  });
  afterAll(async () => {
    await shop.desk.close();
    await shop.queue.stop();
    await shop.store.end();
  });
}

/** A real worker process on a store; resolves once it takes jobs. Kill it by its own handle. */
export function startWorker(store: string, keyFile: string): Promise<ChildProcess> {
  const worker = spawn(process.execPath, ['--import', 'tsx', 'src/jobs/worker.ts'], {
    cwd: root,
    env: { ...process.env, DATABASE_URL: store, PAWL_KEY_FILE: keyFile },
    stdio: ['ignore', 'pipe', 'pipe'],
  });
  return new Promise((resolve, reject) => {
    const said: string[] = [];
    worker.stderr.on('data', (text: Buffer) => said.push(text.toString()));
    worker.stdout.on('data', (text: Buffer) => {
      if (text.toString().includes('worker ready')) resolve(worker);
    });
    worker.on('exit', (code) => reject(new Error(`The worker ended with ${code}: ${said.join('')}`)));
  });
}

export function killed(worker: ChildProcess, signal: NodeJS.Signals): Promise<void> {
  return new Promise((resolve) => {
    if (worker.exitCode !== null || worker.signalCode !== null) return resolve();
    worker.once('exit', () => resolve());
    worker.kill(signal);
  });
}

/** Asks until the answer is not null, for at most a minute. */
export async function eventually<T>(ask: () => Promise<T | null>, what: string): Promise<T> {
  const until = Date.now() + 60_000;
  for (;;) {
    const answer = await ask();
    if (answer !== null) return answer;
    if (Date.now() > until) throw new Error(`Waited a minute for ${what}.`);
    await new Promise((resolve) => setTimeout(resolve, 100));
  }
}

/** Waits until what is found is in one of the states. */
export function inState<Row extends { readonly state: string }>(
  find: () => Promise<Row | null>,
  ...states: readonly Row['state'][]
): Promise<Row> {
  return eventually(async () => {
    const row = await find();
    return row && states.includes(row.state) ? row : null;
  }, states.join(' or '));
}

/** Holds a lock, so that a job stands still there, until it is let go of. */
export async function whileLocked(
  database: TestDatabase,
  lock: string,
  work: (letGo: () => Promise<void>) => Promise<void>,
): Promise<void> {
  await database.run(`begin; lock table ${lock}`);
  try {
    await work(async () => void (await database.run('rollback')));
  } finally {
    await database.run('rollback');
  }
}
