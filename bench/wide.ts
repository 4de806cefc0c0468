// A survey of very many small tables, and a second one after a hundredth of them changed: seconds, Node's CPU a table, memory.
// `npm run bench:wide -- [--tables=10000] [--rows=100]` (a million rows in all), run as JavaScript, as the terminal's survey is.

import { spawnSync } from 'node:child_process';
// @ts-expect-error A script without types: it must run before there are any.
import { frugalHeap } from '../scripts/programs.mjs';
import { parseConnectionString } from '../src/sources/postgresql/connectionString';
import { openSource } from '../src/sources/postgresql/reader';
import { survey, type SurveyOptions, type SurveyResult } from '../src/sources/survey';
import { connect, makeDatabase, startBenchServer } from './database';

// As its programs are started: the heap is as it is from the beginning.
const flags = frugalHeap as readonly string[];
if (!flags.every((flag) => process.execArgv.includes(flag)))
  process.exit(spawnSync(process.execPath, [...flags, ...process.argv.slice(1)], { stdio: 'inherit' }).status ?? 1);

const tables = numberAfter('tables', 10_000);
const rows = numberAfter('rows', 100);
const told: string[] = [];
const server = await startBenchServer();
try {
  const url = await makeDatabase(server, 'wide');
  await fill(url);
  const { catalogue, evidence, takenAt } = await surveyed(url, 'first', {});
  const client = await connect(url);
  for (let t = 0; t < tables; t += 100) await client.query(`update part_${t} set amount = amount + 1 where id % 10 = 0`);
  await client.end();
  const earlier = { at: takenAt, catalogue, facts: Object.values(evidence) };
  await surveyed(url, 'second, a hundredth of the tables changed', { earlier });
  console.log(
    `\n| ${tables} tables of ${rows} rows | seconds | CPU ms a table | MB at most | findings | reused |\n|---|---|---|---|---|---|\n${told.join('\n')}`,
  );
} finally {
  server.stop();
  server.remove();
}

function numberAfter(name: string, usual: number): number {
  return Number(process.argv.find((arg) => arg.startsWith(`--${name}=`))?.split('=')[1] ?? usual);
}

/** Every table refers to one before it; a third of them say so. */
async function fill(url: string): Promise<void> {
  const client = await connect(url);
  for (let from = 0; from < tables; from += 200) {
    const lines = Array.from({ length: Math.min(200, tables - from) }, (_, i) => {
      const t = from + i;
      const parent = Math.max(0, t - 1 - (t % 7));
      const declared = t % 3 === 0 && t > 0 ? ` references part_${parent}` : '';
      return `create table part_${t} (id int primary key, part_${parent}_id int${declared}, status text, code text, amount numeric,
          noted timestamptz, remark text, due date);
        insert into part_${t} select n, 1 + n % ${rows}, (array['open', 'shut', 'held'])[1 + n % 3], 'C${t}-' || n, n / 7.0,
          now() - n * interval '1 minute', case when n % 3 = 0 then 'note ' || n end, current_date + n from generate_series(1, ${rows}) n;`;
    });
    await client.query(lines.join('\n'));
  }
  await client.query('analyze');
  await client.end();
}

async function surveyed(url: string, which: string, options: Partial<SurveyOptions>): Promise<SurveyResult> {
  const source = await openSource(parseConnectionString(url));
  const started = performance.now();
  const before = process.cpuUsage();
  const result = await survey(source, { depth: 'exact', ...options });
  const { user, system } = process.cpuUsage(before);
  await source.close();
  const seconds = (performance.now() - started) / 1000;
  const cpu = (user + system) / 1000 / tables;
  const mb = process.resourceUsage().maxRSS / 1024;
  told.push(
    `| ${which} | ${seconds.toFixed(0)} | ${cpu.toFixed(1)} | ${mb.toFixed(0)} | ${result.findings.length} | ${result.reused.size} |`,
  );
  console.log(told.at(-1));
  return result;
}
