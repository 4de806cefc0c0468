// Speed, each as a ratio to what the server itself needs for a comparable piece of work, in one run on
// one machine; medians of five. Prints a table. `npm run bench:speed -- [name…] [--small | --scale=X]`;
// --small takes tables of a tenth, to try the benchmark itself.

import { spawn, spawnSync } from 'node:child_process';
import { readFileSync } from 'node:fs';
import type pg from 'pg';
// @ts-expect-error A script without types: it must run before there are any.
import { frugalHeap } from '../scripts/programs.mjs';
import type { TableId } from '../src/core/catalogue/identifiers';
import type { EvidenceRequest } from '../src/core/evidence/requests';
import { findPostgresBinaries } from './binaries';
import { parseConnectionString } from '../src/sources/postgresql/connectionString';
import { openSource } from '../src/sources/postgresql/reader';
import { gentleBudget, unboundedBudget, usualBudget, type Budget } from '../src/sources/budget';
import type { Source } from '../src/sources/source';
import { survey } from '../src/sources/survey';
import { bundled, connect, median, ratios, startBenchServer, timed } from './database';

const small = process.argv.includes('--small');
const only = process.argv.slice(2).filter((arg) => !arg.startsWith('--'));
/** Of the sizes that the goals are set for: `--scale=0.4` takes two fifths of the rows. */
const scale = small ? 0.1 : Number(process.argv.find((arg) => arg.startsWith('--scale='))?.slice(8) ?? 1);
const times = small ? 3 : 5;
const childRows = Math.round(5_000_000 * scale);
const parentRows = Math.round(500_000 * scale);
const serial = 'set max_parallel_workers_per_gather = 0; set jit = off;';

const rows: (readonly [what: string, ratio: string, goal: string, note: string])[] = [];
const server = await startBenchServer();
try {
  if (wants('table')) await inOwnDatabase(oneLargeTable);
  if (wants('references')) await inOwnDatabase(references);
  if (wants('catalogue')) await inOwnDatabase(catalogue);
  if (wants('load')) await inOwnDatabase(load);
  if (wants('growth')) await growth();
} finally {
  server.stop();
  server.remove();
}
console.log('\n| what | ratio | goal | of |\n|---|---|---|---|');
for (const row of rows) console.log(`| ${row.join(' | ')} |`);

/** What one benchmark makes is not in the way of the next. */
async function inOwnDatabase(work: (url: string, client: pg.Client) => Promise<void>): Promise<void> {
  const url = server.url('bench');
  await remake('bench');
  const client = await connect(url, serial);
  await work(url, client);
  await client.end();
}

async function remake(database: string): Promise<void> {
  const admin = await connect(server.url());
  await admin.query(`drop database if exists ${database}`);
  await admin.query(`create database ${database}`);
  await admin.end();
}

function wants(name: string): boolean {
  return only.length === 0 || only.includes(name);
}

function say(what: string, ratio: number, goal: string, note: string): void {
  rows.push([what, ratio.toFixed(3), goal, note]);
  console.log(`${what}: ${ratio.toFixed(3)} (goal ${goal}) ${note}`);
}

/** A parent, and a child of twelve columns with orphans, a natural key, an almost unique text. */
async function makeLarge(client: pg.Client): Promise<void> {
  await client.query(`
    create table parent as select n as id, 'P' || n as code from generate_series(1, ${parentRows}) n;
    alter table parent add primary key (id);
    create table child as
      select n as id, 'C' || lpad((n::bigint * 7919 % 100000000)::text, 12, '0') as code, (n % 50000)::int as grp, (n / 50000)::int as line,
        case when n % 36000 = 0 then 90000000 + n else 1 + (random() * ${parentRows - 1})::int end as parent_id,
        'user' || n || '@example.org' as email, (array['open', 'shut', 'held', 'lost'])[1 + n % 4] as status, (random() * 100000)::numeric(10, 2) as amount,
        now() - random() * interval '900 days' as noted_at, case when n % 10 = 0 then null else 'note ' || n % 1000 end as note,
        (random() * 1000)::int as quantity, current_date - (random() * 900)::int as due_on
      from generate_series(1, ${childRows}) n;
    analyze parent; analyze child;
  `);
}

async function oneLargeTable(url: string, client: pg.Client): Promise<void> {
  await makeLarge(client);
  const source = await openSource(parseConnectionString(url));
  const all = await source.readCatalogue();
  const child = 'public.child' as TableId;
  const measure = (requests: readonly EvidenceRequest[]) => source.measure(requests, all, { depth: 'exact' });
  const count = () => client.query('select count(*) from child');

  const profile = await ratios(times, () => measure([{ kind: 'profile', table: child }]), count);
  say('nulls, blanks and bounds of all columns', profile.ratio, '≤ 5', 'count(*)');
  // Most of a sample's time goes by here, not on the server: what the server spends is asked of the system.
  const spent: { readonly sample: number; readonly count: number }[] = [];
  for (let n = 0; n < times; n++) {
    const before = [cpuMsOf(await backendOf(client)), cpuMsOf(await auditorOf(client))];
    await count();
    await measure([{ kind: 'sample', table: child }]);
    spent.push({
      count: cpuMsOf(await backendOf(client)) - (before[0] ?? 0),
      sample: cpuMsOf(await auditorOf(client)) - (before[1] ?? 0),
    });
  }
  say(
    'falsifying columns and sets that repeat',
    median(spent.map((s) => s.sample / Math.max(1, s.count))),
    '≤ 0.3',
    'count(*), server CPU',
  );

  const ddl = async () => {
    await client.query('begin');
    await client.query('alter table child add primary key (id)');
    await client.query('alter table child add unique (code)');
    await client.query('alter table child add unique (grp, line)');
    await client.query('rollback');
  };
  const auditAlone = () => auditOnly(url, ['public.child']);
  const audit = await ratios(Math.min(times, 5), auditAlone, ddl);
  say('exact audit of the table, keys included', audit.ratio, '≤ 0.6', 'the DDL that proves the same');
  const distinct = await timed(() =>
    client.query(
      `select ${all.tables
        .find((t) => t.id === child)
        ?.columns.map((c) => `count(distinct "${c.name}")`)
        .join(', ')} from child`,
    ),
  );
  say('the same', audit.measuredMs / distinct, '≤ 0.167', 'one count(distinct) a column (one run)');

  const request: EvidenceRequest = {
    kind: 'inclusion',
    table: child,
    columns: ['parent_id'],
    parent: 'public.parent' as TableId,
    parentColumns: ['id'],
  };
  await client.query(
    'create table clean as select id, case when parent_id > 80000000 then 1 else parent_id end as parent_id, code, grp, line, email, status, amount, noted_at, note, quantity, due_on from child; analyze clean',
  );
  const addKey = async () => {
    await client.query('begin');
    await client.query('alter table clean add foreign key (parent_id) references parent (id)');
    await client.query('rollback');
  };
  // As in a survey: the rows and the empty references are counted already.
  const [profiled] = await measure([{ kind: 'profile', table: child }]);
  const known = () => profiled ?? null;
  const orphans = await ratios(times, () => source.measure([request], all, { depth: 'exact', known }), addKey);
  say('orphans counted exactly', orphans.ratio, '≤ 1.0', 'ADD FOREIGN KEY');
  const shared = await ratios(times, () => source.measure([request], all, { depth: 'exact', known, workers: 2 }), addKey);
  say('the same with two parallel workers', shared.ratio, '≤ 0.6', 'ADD FOREIGN KEY');
  await source.close();
  await client.query('drop table clean');
}

async function backendOf(client: pg.Client): Promise<number> {
  return (await client.query<{ pid: number }>('select pg_backend_pid() as pid')).rows[0]?.pid ?? 0;
}

async function auditorOf(client: pg.Client): Promise<number> {
  const { rows: found } = await client.query<{ pid: number }>(
    `select pid from pg_stat_activity where application_name = 'pawl' and datname = current_database() order by backend_start limit 1`,
  );
  return found[0]?.pid ?? 0;
}

/** User and system time of a process so far, in ms: fields 14 and 15 of /proc/PID/stat, in ticks of 10 ms. */
function cpuMsOf(pid: number): number {
  const fields = readFileSync(`/proc/${pid}/stat`, 'utf8').split(') ')[1]?.split(' ') ?? [];
  return (Number(fields[11]) + Number(fields[12])) * 10;
}

async function auditOnly(url: string, tables: readonly string[], budget: Budget = unboundedBudget): Promise<void> {
  const source = await openSource(parseConnectionString(url));
  try {
    await survey(source, { depth: 'exact', tables: new Set(tables as TableId[]), budget });
  } finally {
    await source.close();
  }
}

/** Forty tables of ten columns whose ids have gaps, 120 references between them that no name speaks of. */
async function references(url: string, client: pg.Client): Promise<void> {
  const size = Math.round(120_000 * scale);
  await client.query('create schema gaps');
  const planted: (readonly [string, string, string])[] = [];
  for (let t = 0; t < 40; t++) {
    const refs = Array.from({ length: 3 }, (_, k) => `ref_${k}`);
    await client.query(
      `create table gaps.t${t} (id int primary key, ${refs.map((r) => `${r} int`).join(', ')}, a int, b numeric, c text, d date, e text, f int)`,
    );
    await client.query(`insert into gaps.t${t} (id, a, b, c, d, e, f)
      select n * 1 + ${t}, (random() * 500)::int, random() * 100, 'text ' || n % 700, current_date - n % 800, 'T${t}-' || n, n % 12
      from generate_series(1, ${size + t * 500}) n where n % 97 <> ${(t * 7) % 97}`);
  }
  for (let t = 0; t < 40; t++) {
    for (let k = 0; k < 3; k++) {
      const parent = (t * 11 + k * 13 + 5) % 40;
      if (parent === t) continue;
      planted.push([`t${t}`, `ref_${k}`, `t${parent}`]);
      await client.query(`create temp table keys as select row_number() over () - 1 as n, id from gaps.t${parent}`);
      await client.query(`update gaps.t${t} as child set ref_${k} = keys.id
        from keys, (select count(*) as many from keys) as p
        where keys.n = (hashint4(child.id * ${k + 3}) & 2147483647) % p.many`);
      await client.query('drop table keys');
    }
  }
  await client.query('vacuum analyze');
  const counts = async () => {
    for (let t = 0; t < 40; t++) await client.query(`select count(*) from gaps.t${t}`);
  };
  let found = 0;
  let forReferences = 0;
  const discover = async () => {
    const source = await openSource(parseConnectionString(url));
    forReferences = 0;
    const watched: Source = {
      ...source,
      measure: async (requests, catalogue, options) => {
        const started = performance.now();
        const facts = await source.measure(requests, catalogue, options);
        if (requests.every(({ kind }) => ['profile', 'sample', 'probe', 'inclusion'].includes(kind)))
          forReferences += performance.now() - started;
        return facts;
      },
    };
    const { findings } = await survey(watched, { depth: 'exact', schemas: ['gaps'], budget: unboundedBudget });
    await source.close();
    const seen = new Set(
      findings.flatMap((f) =>
        f.proposal.kind === 'foreignKey' ? [`${f.object.table} ${f.object.columns.join()} ${f.proposal.references.table}`] : [],
      ),
    );
    found = planted.filter((p) => seen.has(p.join(' '))).length;
  };
  const parts: number[] = [];
  const whole: number[] = [];
  for (let n = 0; n < times; n++) {
    const counted = await timed(counts);
    whole.push((await timed(discover)) / counted);
    parts.push(forReferences / counted);
  }
  const of = `the tables' count(*); ${found} of ${planted.length} planted found`;
  say('undeclared references among 400 columns: profiles, samples, probes, joins', median(parts), '≤ 25', of);
  say('the same, all else measured too', median(whole), '', of);
}

/** Ten thousand tables, a hundred and twenty thousand columns. */
async function catalogue(url: string, client: pg.Client): Promise<void> {
  const tables = small ? 1000 : 10_000;
  for (let from = 0; from < tables; from += 500) {
    await client.query(`do $$ begin for t in ${from}..${Math.min(from + 499, tables - 1)} loop
      execute format('create table t%s (id int primary key, parent_id int ${from > 0 ? 'references t%s' : ''}, a text not null, b text unique, c int, d date, e numeric(9, 2), f timestamptz, g text, h bool, i int, j text)', t, greatest(0, t - 500));
      execute format('create index on t%s (parent_id)', t); end loop; end $$`);
  }
  await client.query('analyze');
  const reader = await bundled('bench/readCatalogue.ts');
  // As the worker is started.
  const read = () => spawnSync(process.execPath, [...(frugalHeap as readonly string[]), reader, url], { encoding: 'utf8' });
  const dump = () =>
    spawnSync(`${findPostgresBinaries()}/pg_dump`, ['--schema-only', '-f', '/dev/null', url], { encoding: 'utf8' });
  const pairs: { readonly ms: number; readonly mb: number; readonly dumpMs: number }[] = [];
  for (let n = 0; n < times; n++) {
    const dumpMs = await timed(() => Promise.resolve(dump()));
    const said = JSON.parse(read().stdout) as { ms: number; mb: number };
    pairs.push({ ...said, dumpMs });
  }
  say(`catalogue of ${tables} tables`, median(pairs.map((p) => p.ms / p.dumpMs)), '≤ 0.25', 'pg_dump --schema-only');
  rows.push(['peak memory of the reader, MB', median(pairs.map((p) => p.mb)).toFixed(0), '≤ 150', `${tables} tables`]);
}

/** What is left of a saturating pgbench beside a survey that goes on and on. */
async function load(url: string, client: pg.Client): Promise<void> {
  await makeLarge(client);
  const bin = findPostgresBinaries();
  spawnSync(`${bin}/pgbench`, ['-i', '-s', '20', '-q', url]);
  const bench = () =>
    new Promise<number>((resolve) => {
      const run = spawn(`${bin}/pgbench`, ['-c', '4', '-j', '1', '-T', '30', '-n', url]);
      let said = '';
      run.stdout.on('data', (text: Buffer) => (said += text.toString()));
      run.on('close', () => resolve(Number(/tps = ([\d.]+)/.exec(said)?.[1] ?? 0)));
    });
  for (const [name, budget, goal] of [
    ['gentle budget', gentleBudget, '≥ 0.95'],
    ['usual budget', usualBudget, '≥ 0.75'],
  ] as const) {
    // Long enough that statements and rests of a large table take turns; each stretch alone serves the two beside it.
    const shares: number[] = [];
    let before = await bench();
    for (let n = 0; n < 5; n++) {
      const stop = new AbortController();
      const surveying = auditForever(url, budget, stop.signal);
      const beside = await bench();
      stop.abort();
      await surveying;
      const after = await bench();
      shares.push(beside / ((before + after) / 2));
      before = after;
    }
    say(`pgbench beside a survey, ${name}`, mean(shares), goal, 'pgbench alone, before and after');
  }
}

function mean(values: readonly number[]): number {
  return values.reduce((sum, value) => sum + value, 0) / values.length;
}

async function auditForever(url: string, budget: Budget, signal: AbortSignal): Promise<void> {
  while (!signal.aborted) {
    const source = await openSource(parseConnectionString(url));
    await survey(source, {
      depth: 'exact',
      budget,
      signal,
      tables: new Set(['public.child', 'public.parent'] as TableId[]),
    }).catch(() => undefined);
    await source.close().catch(() => undefined);
  }
}

/** Ten times the rows, and ten times the tables. */
async function growth(): Promise<void> {
  const measure = async (tables: number, rowsEach: number): Promise<number> => {
    await remake('grown');
    const url = server.url('grown');
    const client = await connect(url);
    for (let t = 0; t < tables; t++) {
      await client.query(`create table part_${t} (id int primary key, part_${Math.max(0, t - 1)}_id int, code text, amount numeric, noted timestamptz);
        insert into part_${t} select n, 1 + n % ${rowsEach}, 'c' || n, n / 7.0, now() - n * interval '1 minute' from generate_series(1, ${rowsEach}) n`);
    }
    await client.query('vacuum analyze');
    await client.end();
    const run = async () => {
      const source = await openSource(parseConnectionString(url));
      await survey(source, { depth: 'exact', budget: unboundedBudget });
      await source.close();
    };
    return median([await timed(run), await timed(run), await timed(run)]);
  };
  const rowsOnce = await measure(4, Math.round(100_000 * scale));
  const rowsTenfold = await measure(4, Math.round(1_000_000 * scale));
  say('survey of 10 times the rows', rowsTenfold / rowsOnce, '≤ 11', 'of the time');
  const once = await measure(100, 200);
  const tenfold = await measure(1000, 200);
  say('survey of 10 times the tables', tenfold / once, '≤ 11', 'of the time');
}
