// What comes in between: the session is ended at every statement, the server is killed within a step, somebody who read a table
// long ago has not gone. Each time the plan goes on from what the catalogue shows, and ends as it does without.

import mysql from 'mysql2';
import { afterEach, expect, test, vi } from 'vitest';
import type { Mode } from '../../core/plan/cost';
import { type Direction, operationsOf } from '../../core/plan/direction';
import type { Plan } from '../../core/plan/shape';
import { useMariadb, useMysql } from '../../../test/kit/mariadb';
import { planOfAll } from '../../../test/kit/planned';
import { carryOutPlan } from '../run/carryOut';
import { differences, type Fingerprint } from '../run/scratch';
import { openSource } from './reader';
import { fingerprintOf } from './scratch';
import { openSession } from './session';

// Names that want to be something else; orphans, repeats, a column never empty, one that is unique, a reference without parents.
const useServer = process.env['PAWL_TEST_ENGINE'] === 'mysql' ? useMysql : useMariadb;
const server = useServer(
  `
  create database port;
  use port;
  create table berth (berth_no varchar(20) not null, area varchar(20));
  insert into berth select concat('B', seq), concat('area ', seq % 5) from seq_1_to_200;
  create table \`Book'ing; \\! echo\` (booking_id int primary key, berth_no varchar(20), \`no\\te\` varchar(20));
  insert into \`Book'ing; \\! echo\` select seq, case when seq % 50 = 0 then concat('X', seq) else concat('B', 1 + seq % 200) end, concat('n', seq % 7) from seq_1_to_3000;
  create table seal (seal_no varchar(20), booking_id int, kind varchar(9) default 'wire', foreign key (booking_id) references \`Book'ing; \\! echo\` (booking_id));
  insert into seal select concat('S', seq), 1 + seq % 400, 'wire' from seq_1_to_300;
  create table parked (place varchar(20), noted varchar(20));
  insert into parked select concat('P', seq % 90), 'n' from seq_1_to_100`,
  // What it committed has to be there after it was killed.
  { durable: true },
);
const details = () => server.details(['port']);

afterEach(() => {
  vi.restoreAllMocks();
});

const planned = async (mode: Mode): Promise<Plan> =>
  planOfAll(await openSource(details()), { mode, decision: { orphans: 'empty', repeats: 'first' } });

async function carryOut(plan: Plan, direction: Direction, started?: (step: number) => void): Promise<void> {
  const session = await openSession(details());
  try {
    await carryOutPlan(session, plan, direction, started ? { started } : {});
  } finally {
    await session.close().catch(() => undefined);
  }
}

// What is kept is numbered, with gaps where it was tried twice; what of it counts is what comes back.
const numbered = /^rows of \S*pawl_kept_\S* are not the same$/;
const equal = (a: Fingerprint, b: Fingerprint) => expect(differences(a, b).filter((line) => !numbered.test(line))).toEqual([]);

/** Forward and back once, for what each end looks like. */
async function ends(plan: Plan): Promise<{ readonly before: Fingerprint; readonly mended: Fingerprint }> {
  const before = await fingerprintOf(details());
  await carryOut(plan, 'forward');
  const mended = await fingerprintOf(details());
  await carryOut(plan, 'back');
  equal(await fingerprintOf(details()), before);
  return { before, mended };
}

interface Driver {
  readonly threadId: number;
  query(...args: unknown[]): unknown;
}

/** Has the server end the session at its n-th statement that changes something: before it, or while it runs. */
function endSessionAt(n: number, moment: 'before' | 'during'): { readonly struck: () => boolean } {
  const driver = (mysql as unknown as { readonly Connection: { readonly prototype: Driver } }).Connection.prototype;
  // eslint-disable-next-line @typescript-eslint/unbound-method -- called with its connection below
  const query = driver.query;
  let [seen, struck] = [0, false];
  vi.spyOn(driver, 'query').mockImplementation(function (this: Driver, ...args: unknown[]) {
    const text = String((args[0] as { readonly sql?: string }).sql ?? args[0]);
    const changes = /^(alter|create|drop|rename|begin|set statement|prepare|execute|insert|update|delete|commit)\b/i.test(text);
    if (!changes || seen++ !== n) return query.apply(this, args);
    struck = true;
    const end = (): Promise<unknown> => server.run(`kill ${this.threadId}`).catch(() => undefined);
    if (moment === 'before') return void end().then(() => void query.apply(this, args));
    const running = query.apply(this, args);
    void end();
    return running;
  });
  return { struck: () => struck };
}

test.each([
  ['plain', 'before'],
  ['quiet', 'during'],
] as const)(
  'a session that ends %s, %s any statement, leaves what the next one can go on with',
  { timeout: 400_000 },
  async (mode, moment) => {
    const plan = await planned(mode);
    const kinds = new Set(plan.steps.map(({ operation }) => operation.kind));
    for (const kind of ['setAside', 'addPrimaryKey', 'addForeignKey', 'createIndex', 'setNotNull'] as const)
      expect(kinds).toContain(kind);
    const { before, mended } = await ends(plan);
    let n: number;
    // Every second or third statement of some two hundred: the plain way is the quiet one's with less between.
    const stride = mode === 'quiet' ? 2 : 3;
    for (n = 0; n < 500; n += stride) {
      const turn = n / stride;
      const ended = endSessionAt(n, moment);
      const first = await carryOut(plan, 'forward').then(
        () => 'through',
        () => 'interrupted',
      );
      vi.restoreAllMocks();
      if (!ended.struck()) break;
      // Every other time it goes back from where it was, as somebody who gave up would have it.
      if (turn % 2 === 0) {
        await carryOut(plan, 'forward');
        if (turn % 6 === 0) equal(await fingerprintOf(details()), mended);
      }
      await carryOut(plan, 'back');
      if (turn % 5 === 0 || first === 'through') equal(await fingerprintOf(details()), before);
    }
    expect(n).toBeGreaterThan(plan.steps.length);
    await carryOut(plan, 'back');
    equal(await fingerprintOf(details()), before);
  },
);

// Before 10.6 the server itself can lose the table that it was altering: traits say so, and no client can help it.
const losesTables = process.env['PAWL_MARIADB_HOME']?.endsWith('10.5') === true;

test.skipIf(losesTables).each(['plain', 'quiet'] as const)(
  'the %s way ends the same, at whatever step the server is killed',
  { timeout: 400_000 },
  async (mode) => {
    const plan = await planned(mode);
    const { before, mended } = await ends(plan);
    const steps = operationsOf(plan, 'forward').length;
    let kills = 0;
    for (let step = 2; step <= steps + 1; step += 3) {
      for (const direction of ['forward', 'back'] as const) {
        let killed: Promise<void> | null = null;
        const outcome = await carryOut(plan, direction, (at) => {
          if (at === step) killed = after((step % 4) * 3).then(server.killAndStart);
        }).then(
          () => 'through',
          () => 'interrupted',
        );
        await (killed as Promise<void> | null);
        if (outcome === 'interrupted') kills++;
        await carryOut(plan, direction);
        equal(await fingerprintOf(details()), direction === 'forward' ? mended : before);
      }
    }
    expect(kills).toBeGreaterThan(3);
  },
);

test(
  'somebody who read a table and has not gone holds a quiet step up, which lets others pass, and is done when that one goes',
  { timeout: 120_000 },
  async () => {
    const plan = await planned('quiet');
    const { mended } = await ends(plan);
    const reader = await server.connection();
    await reader('start transaction');
    await reader('select count(*) from port.berth');
    const running = carryOut(plan, 'forward');
    running.catch(() => undefined);
    // Others come while it waits, and are not kept waiting for as long as the reader stays.
    const other = await server.connection();
    let longest = 0;
    for (let n = 0; n < 20; n++) {
      const from = performance.now();
      await other('select count(*) from port.berth');
      longest = Math.max(longest, performance.now() - from);
      await after(200);
    }
    expect(longest).toBeLessThan(5_000);
    await reader('commit');
    await running;
    equal(await fingerprintOf(details()), mended);
    await carryOut(plan, 'back');
  },
);

test('somebody who never goes ends a plain step, in words, with nothing of it done', { timeout: 300_000 }, async () => {
  const plan = await planned('plain');
  const before = await fingerprintOf(details());
  const reader = await server.connection();
  await reader('start transaction');
  await reader('select count(*) from port.berth');
  await expect(carryOut(plan, 'forward')).rejects.toThrow(/lock/i);
  await reader('commit');
  await carryOut(plan, 'back');
  equal(await fingerprintOf(details()), before);
});

function after(ms: number): Promise<void> {
  return new Promise((resolve) => setTimeout(resolve, ms));
}
