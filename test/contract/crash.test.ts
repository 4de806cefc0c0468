// The server itself is killed (SIGKILL) at each step of a plan and inside of it. When it is up again, the plan goes
// on from what the catalogue shows, and ends as it does without a crash; and so it does on its way back.

import { chmodSync, mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import pg from 'pg';
import { afterAll, beforeAll, expect, test } from 'vitest';
// @ts-expect-error A script without types: it must run before there are any.
import { startPostgres } from '../../scripts/postgres.mjs';
import type { Mode } from '../../src/core/plan/cost';
import type { Plan } from '../../src/core/plan/shape';
import { type Direction, operationsOf } from '../../src/core/plan/direction';
import { carryOutPlan } from '../../src/sources/run/carryOut';
import { openSession } from '../../src/sources/postgresql/session';
import { openSource } from '../../src/sources/postgresql/reader';
import { differences } from '../../src/sources/run/scratch';
import { fingerprintOf } from '../../src/sources/postgresql/scratch';
import type { ConnectionDetails } from '../../src/sources/postgresql/details';
import { planOfAll } from '../kit/planned';

interface Server {
  url(database?: string): string;
  stop(): void;
}

const folder = mkdtempSync(join(tmpdir(), 'pawl-crash-'));
chmodSync(folder, 0o711);
let server: Server;
let details: ConnectionDetails;

async function start(): Promise<void> {
  // Durable, as a server is: what it committed has to be there after it was killed.
  server = await (startPostgres as (options: object) => Promise<Server>)({ folder: join(folder, 'postgres'), port: 5790 });
  const url = new URL(server.url());
  details = {
    host: url.hostname,
    port: Number(url.port),
    database: 'postgres',
    user: url.username,
    password: url.password,
    tls: 'off',
  };
}

beforeAll(async () => {
  await start();
  const client = new pg.Client({ connectionString: server.url() });
  await client.connect();
  await client.query(`
    create schema port;
    create table port.berth (berth_no text not null, area text);
    insert into port.berth select 'B' || n, 'area ' || n % 5 from generate_series(1, 200) n;
    create table port.booking (booking_id int primary key, berth_no text, note text);
    insert into port.booking select n, case when n % 50 = 0 then 'X' || n else 'B' || 1 + n % 200 end, 'n' || n % 7 from generate_series(1, 3000) n;
  `);
  await client.end();
}, 60_000);
afterAll(() => {
  server.stop();
  rmSync(folder, { recursive: true, force: true });
});

const planned = async (mode: Mode): Promise<Plan> =>
  planOfAll(await openSource(details), { mode, decision: { orphans: 'empty' }, schemas: ['port'] });

/** Carries a plan out; at a step the server is killed, some milliseconds into it. Returns whether it was. */
async function carryOut(plan: Plan, direction: Direction, killAt = -1, afterMs = 0): Promise<boolean> {
  const session = await openSession(details);
  let killed: Promise<void> | null = null;
  try {
    await carryOutPlan(session, plan, direction, {
      started: (step) => {
        if (step === killAt) killed = kill(afterMs);
      },
    });
  } catch (error) {
    if (killed === null) throw error;
  } finally {
    await session.close().catch(() => undefined);
  }
  if (killed === null) return false;
  await (killed as Promise<void>);
  await up();
  return true;
}

async function kill(afterMs: number): Promise<void> {
  if (afterMs > 0) await new Promise((resolve) => setTimeout(resolve, afterMs));
  process.kill(Number(readFileSync(pidFile(), 'utf8').split('\n')[0]), 'SIGKILL');
  while (await answers()) await new Promise((resolve) => setTimeout(resolve, 20));
  // Where nobody reaps it, the dead server still counts as a process, and its file would stop the next one.
  rmSync(pidFile(), { force: true });
}

async function answers(): Promise<boolean> {
  const client = new pg.Client({ connectionString: server.url() });
  client.on('error', () => undefined);
  return client.connect().then(
    () => client.end().then(() => true),
    () => false,
  );
}

let data = '';
function pidFile(): string {
  return join(data, 'postmaster.pid');
}

// Those that served sessions see that their parent is gone, and go too; until then the data cannot be opened.
async function up(): Promise<void> {
  for (let tries = 0; ; tries++) {
    try {
      return await start();
    } catch (error) {
      if (tries > 20) throw error;
      await new Promise((resolve) => setTimeout(resolve, 250));
    }
  }
}

test.each(['plain', 'quiet'] as const)(
  'the %s way ends the same, at whatever step the server is killed',
  { timeout: 240_000 },
  async (mode) => {
    const client = new pg.Client({ connectionString: server.url() });
    await client.connect();
    data = String((await client.query<{ data: string }>('select current_setting($1) as data', ['data_directory'])).rows[0]?.data);
    await client.end();

    const plan = await planned(mode);
    const before = await fingerprintOf(details);
    await carryOut(plan, 'forward');
    const mended = await fingerprintOf(details);
    await carryOut(plan, 'back');
    const steps = operationsOf(plan, 'forward').length;
    expect(steps).toBeGreaterThan(3);
    let kills = 0;
    for (let step = 2; step <= steps + 1; step += 2) {
      for (const direction of ['forward', 'back'] as const) {
        if (await carryOut(plan, direction, step, (step % 4) * 3)) kills++;
        await carryOut(plan, direction);
        expect(differences(direction === 'forward' ? mended : before, await fingerprintOf(details))).toEqual([]);
      }
    }
    expect(kills).toBeGreaterThan(3);
  },
);
