// MariaDB: speed, each figure as a ratio to what the server itself needs for a comparable piece of work, in one run on one
// machine; and how long writers wait while a docket is carried out. Medians of three. Prints a table.
//
//   npm run bench:mariadb -- [catalogue | table | wait | load …] [--small]

import { execFile, spawnSync } from 'node:child_process';
import { chmodSync, mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { promisify } from 'node:util';
import { type Connection, createConnection } from 'mysql2';
// @ts-expect-error A script without types: it must run before there are any.
import { startMariadb } from '../scripts/mariadb.mjs';
// @ts-expect-error A script without types, too.
import { frugalHeap as frugal } from '../scripts/programs.mjs';
import type { TableId } from '../src/core/catalogue/identifiers';
import type { EvidenceRequest } from '../src/core/evidence/requests';
import { operationInWords } from '../src/core/operations/index';
import type { Plan } from '../src/core/plan/shape';
import { type Budget, gentleBudget, unboundedBudget, usualBudget } from '../src/sources/budget';
import { rowsOf } from '../src/sources/mariadb/connect';
import { parseConnectionString } from '../src/sources/mariadb/connectionString';
import { openSource } from '../src/sources/mariadb/reader';
import { openSession } from '../src/sources/mariadb/session';
import { carryOutPlan } from '../src/sources/run/carryOut';
import { survey } from '../src/sources/survey';
import { planOfAll } from '../test/kit/planned';
import { bundled, median, ratios, timed } from './database';

interface Server {
  url(database?: string): string;
  stop(): Promise<void>;
  remove(): void;
}

/** As its programs are started. */
const frugalHeap = frugal as readonly string[];

const small = process.argv.includes('--small');
const only = process.argv.slice(2).filter((arg) => !arg.startsWith('--'));
const scale = small ? 0.1 : 1;
const times = 3;
const table = 'bench.child' as TableId;
const clients = 4;

const rows: (readonly [what: string, ratio: string, goal: string, of: string])[] = [];
const folder = mkdtempSync(join(tmpdir(), 'pawl-bench-'));
chmodSync(folder, 0o711);
// As much memory for pages as the measured pages had; all else as the server comes.
const server = await (startMariadb as (options: object) => Promise<Server>)({
  ...{ folder: join(folder, 'mariadb'), port: 5794, durable: true, quiet: true, settings: ['--innodb-buffer-pool-size=1G'] },
});
try {
  for (const [name, work] of Object.entries({ catalogue, table: oneLargeTable, wait, load })) {
    if (only.length > 0 && !only.includes(name)) continue;
    const client = await connect();
    await rowsOf(client, 'drop database if exists bench');
    await rowsOf(client, 'create database bench');
    await rowsOf(client, 'use bench');
    await work(client);
    client.destroy();
  }
} finally {
  await server.stop();
  server.remove();
}
console.log('\n| what | ratio | goal | of |\n|---|---|---|---|');
for (const row of rows) console.log(`| ${row.join(' | ')} |`);

function connect(database?: string): Promise<Connection> {
  const { host, port, user, password } = parseConnectionString(server.url());
  const connection = createConnection({ host, port, user, password, rowsAsArray: true, ...(database && { database }) });
  return new Promise((resolve, reject) => connection.connect((error) => (error ? reject(error) : resolve(connection))));
}

function say(what: string, figure: number, goal: string, of: string): void {
  rows.push([what, figure.toFixed(figure > 10 ? 0 : 3), goal, of]);
  console.log(`${what}: ${figure.toFixed(3)} (goal ${goal}) ${of}`);
}

/** Ten thousand tables, a hundred and twenty thousand columns. */
async function catalogue(client: Connection): Promise<void> {
  const tables = 10_000 * scale;
  for (let t = 0; t < tables; t++) {
    const parent =
      t < 500 ? '' : `, key (parent_id)${t % 2 === 0 ? `, foreign key (parent_id) references t${t - 500} (id)` : ''}`;
    await rowsOf(
      client,
      `create table t${t} (id int primary key, parent_id int, a varchar(80) not null, b varchar(40) unique, c int, d date, e decimal(9, 2), f datetime, g varchar(20), h tinyint(1), i int, j text${parent})`,
    );
  }
  const reader = await bundled('bench/readCatalogue.ts');
  const url = server.url('bench');
  const { host, port, user, password } = parseConnectionString(url);
  const dump = () =>
    spawnSync(
      'mariadb-dump',
      ['--no-defaults', '--no-data', '--single-transaction', '-h', host, '-P', String(port), '-u', user, 'bench'],
      { env: { ...process.env, MYSQL_PWD: password }, stdio: 'ignore' },
    );
  const pairs: { readonly ms: number; readonly mb: number; readonly dumpMs: number }[] = [];
  for (let n = 0; n < times; n++) {
    const dumpMs = await timed(() => Promise.resolve(dump()));
    const said = JSON.parse(spawnSync(process.execPath, [...frugalHeap, reader, url], { encoding: 'utf8' }).stdout) as {
      ms: number;
      mb: number;
    };
    pairs.push({ ...said, dumpMs });
  }
  const of = '`mariadb-dump --no-data --single-transaction`';
  say(`catalogue of ${tables} tables`, median(pairs.map((p) => p.ms / p.dumpMs)), '≤ 0.25', of);
  say('peak memory of the reader, MB', median(pairs.map((p) => p.mb)), '≤ 150', `${tables} tables`);
}

/** A parent, and a child of twelve columns with orphans, a natural key, an almost unique text. */
async function makeLarge(client: Connection): Promise<void> {
  const [parents, children] = [500_000 * scale, 2_000_000 * scale];
  await rowsOf(client, 'create table parent (id int primary key, code varchar(20))');
  await rowsOf(client, `insert into parent select seq, concat('P', seq) from seq_1_to_${parents}`);
  await rowsOf(
    client,
    `create table child (id int not null, code varchar(14) not null, grp int not null, line int not null, parent_id int, email varchar(60), status varchar(8), amount decimal(10, 2), noted_at datetime, note varchar(40), quantity int, due_on date)`,
  );
  await rowsOf(
    client,
    `insert into child select seq, concat('C', lpad(seq * 7919 % 100000000, 12, '0')), seq % 50000, seq div 50000,
       case when seq % 36000 = 0 then 90000000 + seq else 1 + floor(rand(seq) * ${parents - 1}) end, concat('user', seq, '@example.org'),
       elt(1 + seq % 4, 'open', 'shut', 'held', 'lost'), rand(seq + 1) * 100000, '2026-01-01' + interval seq % 77760000 second,
       case when seq % 10 = 0 then null else concat('note ', seq % 1000) end, seq % 1000, '2026-01-01' + interval seq % 900 day
     from seq_1_to_${children}`,
  );
  await rowsOf(client, 'analyze table parent, child');
}

async function oneLargeTable(client: Connection): Promise<void> {
  await makeLarge(client);
  const source = await openSource(parseConnectionString(server.url('bench')));
  const all = await source.readCatalogue();
  const measure = (requests: readonly EvidenceRequest[]) => source.measure(requests, all, { depth: 'exact' });

  const count = () => rowsOf(client, 'select count(*) from child');
  const profile = await ratios(times, () => measure([{ kind: 'profile', table }]), count);
  say('nulls, blanks, bounds of all columns', profile.ratio, '≤ 6', '`count(*)`');

  const pairs: number[] = [];
  for (let n = 0; n < times; n++) {
    const proven = await timed(() =>
      rowsOf(
        client,
        'alter table child add primary key (id), add unique u1 (code), add unique u2 (grp, line), algorithm=inplace, lock=none',
      ),
    );
    // The way back is not part of it.
    await rowsOf(client, 'alter table child drop key u1, drop key u2, drop primary key');
    pairs.push((await timed(() => audit(unboundedBudget))) / proven);
  }
  say('exact audit of a table of 2 million rows, keys included', median(pairs), '≤ 0.6', 'the ALTERs that prove the same');

  const request: EvidenceRequest = {
    kind: 'inclusion',
    table,
    columns: ['parent_id'],
    parent: 'bench.parent' as TableId,
    parentColumns: ['id'],
  };
  await rowsOf(client, 'create table clean like child');
  await rowsOf(client, 'insert into clean select * from child where parent_id < 90000000 or parent_id is null');
  const [profiled] = await measure([{ kind: 'profile', table }]);
  const orphans: number[] = [];
  for (let n = 0; n < times; n++) {
    const added = await timed(() =>
      rowsOf(client, 'alter table clean add constraint f foreign key (parent_id) references parent (id)'),
    );
    await rowsOf(client, 'alter table clean drop foreign key f, drop key f');
    orphans.push((await timed(() => source.measure([request], all, { depth: 'exact', known: () => profiled ?? null }))) / added);
  }
  say('orphans, child without index', median(orphans), '≤ 0.25', 'the ALTER that adds the reference checked');
  await source.close();
}

async function audit(budget: Budget, signal?: AbortSignal): Promise<void> {
  const source = await openSource(parseConnectionString(server.url('bench')));
  try {
    await survey(source, { depth: 'exact', tables: new Set([table]), budget, ...(signal && { signal }) });
  } finally {
    await source.close();
  }
}

/** The longest that one of four clients, which insert and select all the time, waits while a docket is carried out quietly. */
async function wait(client: Connection): Promise<void> {
  const many = 1_000_000 * scale;
  await rowsOf(client, 'create table berth (berth_id int primary key, berth_no varchar(20))');
  await rowsOf(client, "insert into berth select seq, concat('B', seq) from seq_1_to_2000");
  await rowsOf(
    client,
    'create table booking (booking_id int, berth_id int, booking_no varchar(20), note varchar(40), noted_at datetime)',
  );
  await rowsOf(
    client,
    `insert into booking select seq, 1 + seq % 2000, concat('BK', seq), concat('note ', seq % 90), now() from seq_1_to_${many}`,
  );
  await rowsOf(client, `create sequence booking_ids start with ${many + 1}`);
  await rowsOf(client, 'analyze table berth, booking');
  const plan = await planOf();
  const longest = new Map<number, number>();
  let [step, stop, alone] = [-1, false, 0];
  const keepWriting = async (): Promise<void> => {
    const writer = await connect('bench');
    while (!stop) {
      const [started, at] = [performance.now(), step];
      await rowsOf(
        writer,
        "insert into booking select n, 1 + n % 2000, concat('BK', n), 'new', now() from (select nextval(booking_ids) as n) as next",
      );
      const ms = performance.now() - started;
      if (at === -1) alone = Math.max(alone, ms);
      else longest.set(at, Math.max(longest.get(at) ?? 0, ms));
      await rowsOf(writer, 'select * from booking limit 1');
    }
    writer.destroy();
  };
  const writers = Array.from({ length: clients }, keepWriting);
  await new Promise((resolve) => setTimeout(resolve, 3_000));
  const session = await openSession(parseConnectionString(server.url('bench')));
  step = 0;
  await carryOutPlan(session, plan, 'forward', { started: (at) => void (step = at) });
  stop = true;
  await Promise.all(writers);
  await session.close();
  console.log('\n| step | blocks | longest wait of a writer, ms |\n|---|---|---|');
  // The checks before are the first step, and change nothing.
  const measured = plan.steps.map((planned, i) => ({ ...planned, ms: longest.get(i + 2) ?? 0 }));
  for (const { operation, cost, ms } of measured)
    console.log(`| ${operationInWords(operation)} | ${cost.blocks} | ${ms.toFixed(0)} |`);
  const beside = measured.filter(({ cost: { blocks } }) => blocks !== 'writers' && blocks !== 'everyone').map(({ ms }) => ms);
  say(
    'longest wait in a step beside the work, ms',
    Math.max(...beside),
    '< 200',
    `a writer alone waits ${alone.toFixed(0)} ms at most`,
  );
}

async function planOf(): Promise<Plan> {
  return planOfAll(await openSource(parseConnectionString(server.url('bench'))), { mode: 'quiet' });
}

/** What is left of four clients that look up and change rows as fast as they can, beside a survey that goes on and on. */
async function load(client: Connection): Promise<void> {
  await makeLarge(client);
  await rowsOf(
    client,
    'create table account (id int primary key, branch int not null, balance int not null, filler char(80), key (branch))',
  );
  await rowsOf(client, "insert into account select seq, seq % 200, 0, '' from seq_1_to_500000");
  for (const [name, budget, goal] of [
    ['gentle', gentleBudget, '≥ 0.95'],
    ['usual', usualBudget, '≥ 0.75'],
  ] as const) {
    const shares: number[] = [];
    let before = await transactions();
    for (let n = 0; n < times; n++) {
      const stop = new AbortController();
      const surveying = auditForever(budget, stop.signal);
      const beside = await transactions();
      stop.abort();
      await surveying;
      const after = await transactions();
      shares.push(beside / ((before + after) / 2));
      before = after;
    }
    say(`load kept beside a survey, ${name} budget`, median(shares), goal, 'the same clients alone, before and after');
  }
}

async function auditForever(budget: Budget, signal: AbortSignal): Promise<void> {
  while (!signal.aborted) await audit(budget, signal).catch(() => undefined);
}

/** How many transactions a process of its own gets done. */
async function transactions(): Promise<number> {
  const program = await bundled('bench/transactions.ts');
  const { stdout } = await promisify(execFile)(process.execPath, [
    program,
    server.url('bench'),
    String(clients),
    small ? '5' : '30',
  ]);
  return Number(stdout);
}
