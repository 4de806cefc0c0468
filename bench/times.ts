// How true the times are that a docket foretells for its steps: a million rows on an idle server, both ways. The
// factors in core/plan/times are fitted by the last column: a factor times its ratio would have been right here.
//
//   npm run bench:times

import { operationInWords } from '../src/core/operations/index';
import { type Mode, modes } from '../src/core/plan/cost';
import { planFor } from '../src/core/plan/plan';
import { estimateMs } from '../src/core/plan/times';
import { carryOutPlan } from '../src/sources/run/carryOut';
import { openSession } from '../src/sources/postgresql/session';
import { parseConnectionString } from '../src/sources/postgresql/connectionString';
import { openSource } from '../src/sources/postgresql/reader';
import { survey } from '../src/sources/survey';
import { connect, makeDatabase, startBenchServer } from './database';

const rows = process.argv.includes('--small') ? 100_000 : 1_000_000;

const server = await startBenchServer();
try {
  const url = await makeDatabase(server, 'times');
  const client = await connect(url);
  await client.query(`
    create table berth as select n as berth_id, 'B' || n as berth_no from generate_series(1, 2000) n;
    alter table berth add primary key (berth_id);
    create table booking as
      select n as booking_id, case when n % 100 = 0 then 9000 + n else 1 + n % 2000 end as berth_id, 'BK' || n as booking_no,
        case when n % 200 = 0 then ' ' else 'note ' || n % 90 end as note, now() as noted_at
      from generate_series(1, ${rows}) n;
    create table call (call_name text primary key, berth_id int references berth, note text);
    insert into call select 'call ' || n, 1 + n % 2000, 'note ' || n % 90 from generate_series(1, ${rows}) n;
    create table job as select n as job_id, 'call ' || 1 + n % 1000 as call_name from generate_series(1, ${rows / 10}) n;
    alter table job add primary key (job_id), add foreign key (call_name) references call;
    analyze;`);
  await client.end();
  for (const mode of modes) await measure(url, mode);
} finally {
  server.stop();
  server.remove();
}

async function measure(url: string, mode: Mode): Promise<void> {
  const source = await openSource(parseConnectionString(url));
  const { catalogue, findings, speed } = await survey(source, { depth: 'exact' }).finally(() => source.close());
  const plan = planFor(
    findings
      .filter((finding) => finding.proposal.kind !== 'byHand')
      .map((finding) => ({ finding, decision: { key: 'surrogate', orphans: 'empty', nulls: 'leave' } })),
    catalogue,
    { label: 'd1', mode },
  );
  const took: number[] = [];
  let started = 0;
  const session = await openSession(parseConnectionString(url));
  await carryOutPlan(session, plan, 'forward', {
    started: () => void (started = performance.now()),
    ended: () => void took.push(performance.now() - started),
  });
  await carryOutPlan(session, plan, 'back');
  await session.close();
  console.log(`\n${mode}: one pass reads ${(((speed.bytes / speed.ms) * 1000) / 1_048_576).toFixed(0)} MB a second\n`);
  console.log('| step | work | foretold ms | took ms | took to foretold |\n|---|---|---|---|---|');
  for (const [i, { operation, cost }] of plan.steps.entries()) {
    const foretold = estimateMs(operation, cost, catalogue, speed) ?? 0;
    // The first step is that of the checks.
    const ms = took[i + 1] ?? 0;
    if (foretold > 50 || ms > 50)
      console.log(
        `| ${operationInWords(operation)} | ${cost.work} | ${foretold.toFixed(0)} | ${ms.toFixed(0)} | ${(ms / foretold).toFixed(2)} |`,
      );
  }
}
