// How long a writer waits while a docket is carried out on a table at work, the quiet way and the plain way:
// a million rows, four clients that insert and select all the time. Steps that the plan calls non-blocking must
// not hold a writer up for more than 200 ms.
//
//   npm run bench:quiet

import type { Decision } from '../src/core/remedies/question';
import pg from 'pg';
import type { Plan } from '../src/core/plan/shape';
import type { Mode } from '../src/core/plan/cost';
import { carryOutPlan, plannedSteps } from '../src/sources/run/carryOut';
import { openSession } from '../src/sources/postgresql/session';
import { parseConnectionString } from '../src/sources/postgresql/connectionString';
import { openSource } from '../src/sources/postgresql/reader';
import { planOfAll } from '../test/kit/planned';
import { connect, makeDatabase, startBenchServer } from './database';

const rows = process.argv.includes('--small') ? 100_000 : 1_000_000;
const clients = 4;

/** `--surrogate`: the key is a new column that numbers every row, the dearest of all steps. */
const decision: Decision = process.argv.includes('--surrogate') ? { key: 'surrogate' } : {};
/** `--replace`: a key that others refer to gives way to such a column, while parents and children are written. */
const replaces = process.argv.includes('--replace');

const keyless = `
  create table berth as select n as berth_id, 'B' || n as berth_no from generate_series(1, 2000) n;
  alter table berth add primary key (berth_id);
  create table booking as select n as booking_id, 1 + n % 2000 as berth_id, 'BK' || n as booking_no, 'note ' || n % 90 as note, now() as noted_at from generate_series(1, ${rows}) n;`;
const keyed = `
  create table booking (booking_name text primary key, berth_id int, note text);
  insert into booking select 'BK' || n, n % 2000, 'note ' || n % 90 from generate_series(1, ${rows}) n;
  create table stay (stay_id bigint primary key, booking_name text references booking);
  insert into stay select n, 'BK' || 1 + n % 1000 from generate_series(1, ${rows}) n;
  create index on stay (booking_name);`;
const write = replaces
  ? `with parent as (insert into booking select 'BK' || n, n % 2000, 'new' from nextval('booking_ids') n returning booking_name)
     insert into stay select nextval('booking_ids'), 'BK' || 1 + n % 1000 from parent, nextval('booking_ids') n`
  : `insert into booking select n, 1 + n % 2000, 'BK' || n, 'new', now() from nextval('booking_ids') n`;

interface Wait {
  readonly step: number;
  readonly ms: number;
}

const server = await startBenchServer();
try {
  const url = await makeDatabase(server, 'quiet');
  const client = await connect(url);
  await client.query(`
    ${replaces ? keyed : keyless}
    create sequence booking_ids start ${rows + 1};
    analyze;`);
  await client.end();
  const quiet = await measure(url, 'quiet');
  const plain = await measure(url, 'plain');
  const steps = plannedSteps(quiet.plan, 'forward');
  console.log('\n| step | longest wait of a writer, quiet ms | plain ms |\n|---|---|---|');
  for (const [i, { title }] of steps.entries())
    console.log(`| ${title} | ${longest(quiet.waits, i + 1).toFixed(0)} | ${longest(plain.waits, i + 1).toFixed(0)} |`);
  const most = (waits: readonly Wait[]): number => Math.max(...waits.map((wait) => wait.ms));
  console.log(`| **all** | ${most(quiet.waits).toFixed(0)} | ${most(plain.waits).toFixed(0)} |`);
  console.log(
    `\nquiet to plain: ${(most(quiet.waits) / most(plain.waits)).toFixed(3)}; a writer alone waits ${quiet.alone.toFixed(0)} ms at most`,
  );
} finally {
  server.stop();
  server.remove();
}

function longest(waits: readonly Wait[], step: number): number {
  return Math.max(0, ...waits.filter((wait) => wait.step === step).map((wait) => wait.ms));
}

/** Carries the whole plan out while others write, and back again; `alone`: the longest wait with nobody else at work. */
async function measure(
  url: string,
  mode: Mode,
): Promise<{ readonly plan: Plan; readonly waits: readonly Wait[]; readonly alone: number }> {
  const plan = await planOf(url, mode);
  const waits: Wait[] = [];
  let step = 0;
  let stop = false;
  const writers = Array.from({ length: clients }, () => keepWriting());
  await new Promise((resolve) => setTimeout(resolve, 3_000));
  const alone = Math.max(...waits.map((wait) => wait.ms));
  const session = await openSession(parseConnectionString(url));
  waits.length = 0;
  await carryOutPlan(session, plan, 'forward', {
    started: (at) => void (step = at),
  });
  stop = true;
  await Promise.all(writers);
  await carryOutPlan(session, plan, 'back');
  await session.close();
  return { plan, waits: [...waits], alone };

  async function keepWriting(): Promise<void> {
    const client = new pg.Client({ connectionString: url });
    await client.connect();
    while (!stop) {
      const started = performance.now();
      const at = step;
      await client.query(write);
      const ms = performance.now() - started;
      // A wait belongs to the step that it began in, or to the one that came meanwhile.
      waits.push({ step: at, ms });
      await client.query('select * from booking where ctid = $1', ['(10,1)']);
    }
    await client.end();
  }
}

async function planOf(url: string, mode: Mode): Promise<Plan> {
  const kind = replaces ? { kind: 'replaceKey' as const } : {};
  return planOfAll(await openSource(parseConnectionString(url)), { mode, decision, ...kind });
}
