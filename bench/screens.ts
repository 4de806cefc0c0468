// What the boards of a very large source cost: ten thousand tables, twenty thousand findings. What the
// loaders of Coverage and Findings ask of the store and write to the browser; and how many frames a second
// headless Chromium draws while one scrolls. Needs the built screens (`npm run build`).
//
//   npm run bench:screens

import { spawn } from 'node:child_process';
import { type Browser, chromium, type Page } from '@playwright/test';
import { migrate } from '../src/store/migrate';
import { openStore } from '../src/store/db';
import { coverageBoard } from '../src/store/findings/coverageBoard';
import { findingsBoard } from '../src/store/findings/findingsBoard';
import { stateOf } from '../test/kit/signIn';
import { addDemoPeople } from '../src/work/people';
import { listDockets } from '../src/store/dockets/dockets';
import { searchFindings } from '../src/store/findings/findings';
import { searchNames } from '../src/store/surveys/surveyedTables';
import { findingStates } from '../src/core/ratchet/states';
import { median, makeDatabase, startBenchServer, timed } from './database';
// @ts-expect-error A script without types: it must run before there are any.
import { freePort } from '../scripts/postgres.mjs';
import playwrightConfig from '../playwright.config';
import type { SourceId } from '../src/store/ids';
import { isProblem, parseFilter } from '../src/core/inventory/filter';
import { inventory } from '../src/core/inventory/index';
import type { Line } from '../src/core/inventory/stock';
import { countLines, countStock, keepLines, listLines } from '../src/store/inventory/inventory';

const tables = 10_000;
const findings = 20_000;
const calls = 40;
const source = 1 as SourceId;

const server = await startBenchServer();
try {
  const url = await makeDatabase(server, 'boards');
  await migrate(url);
  const store = openStore(url);
  await fill();
  await addDemoPeople({ store });
  console.log('| loader | p50 ms | p95 ms | goal |\n|---|---|---|---|');
  await measure('Coverage', () => coverageBoard(store, source));
  await measure('Findings', () => findingsBoard(store, source, findingStates));
  await measure('Jump box, at each letter', () =>
    Promise.all([searchNames(store, source, 'ves', 8), searchFindings(store, source, 'ves', 8), listDockets(store, source)]),
  );
  for (const [name, q, sort] of [
    ['first page', '', null],
    ['filtered by a word', 'table_77', null],
    ['filtered by fields', 'type:text empty>5% -column:id', null],
    ['sorted by rows', '', { field: 'rows', falling: true }],
  ] as const) {
    const filter = parseFilter(q, inventory.columns);
    if (isProblem(filter)) throw new Error(filter.says);
    await measure(`Inventory of 120,000 columns, ${name}`, () =>
      Promise.all([
        listLines(store, source, 'columns', { filter, sort, offset: 0, limit: 200 }),
        countLines(store, source, 'columns', filter),
        countStock(store, source),
      ]),
    );
  }
  await store.end();
  await frames(url);

  async function fill(): Promise<void> {
    await store.query(
      `insert into sources (name, environment, kind, settings, sealed_password)
       values ('large', 'test', 'postgresql', '{"host": "h", "port": 1, "database": "d", "user": "u", "tls": "off", "weakPassword": false}', '')`,
    );
    await store.query(
      `insert into surveyed_tables (source_id, table_id, schema_name, table_name, row_count, bytes, column_names)
       select 1, 'port.table_' || n, 'port', 'table_' || n, n * 7, n * 800, array['id', 'name'] || array(select 'column_' || k from generate_series(1, 10) k) from generate_series(1, $1::int) n`,
      [tables],
    );
    await store.query(
      `insert into findings (source_id, identity, rule, concern, severity, confidence, table_id, object, facts, proposal, state, title, measured, place)
       select 1, 'f' || n, 'nullability/absent', (array['Keys', 'References', 'Uniqueness', 'Nullability', 'Values', 'Naming'])[1 + n % 6],
         (array['Critical', 'Serious', 'Moderate', 'Minor'])[1 + n % 4], 0.9, 'port.table_' || (1 + n % $2::int), '{}', '{}', '{}', 'Open',
         'Never empty but nullable', '0 empty', 'port.table_' || (1 + n % $2::int) || '(name)'
       from generate_series(1, $1::int) n`,
      [findings, tables],
    );
    await keepLines(store, source, 'columns', columnLines());
    await store.query('analyze');
  }
} finally {
  server.stop();
  server.remove();
}

/** Twelve columns a table, as a survey tells of them. */
function columnLines(): readonly Line[] {
  return Array.from({ length: tables * 12 }, (_, i): Line => {
    const [table, position] = [`table_${1 + Math.floor(i / 12)}`, i % 12];
    const name = position === 0 ? 'id' : `column_${position}`;
    const values = Object.fromEntries(inventory.columns.fields.map((field) => [field.name, null]));
    return {
      id: `port.${table}.${name}`,
      table: `port.${table}`,
      values: {
        ...values,
        ...{ schema: 'port', table, position: position + 1, column: name, type: position % 3 === 0 ? 'text' : 'integer' },
        ...{ nullable: position > 2, rows: (i * 7919) % 100_000, empty: (i % 40) / 100, variety: 0.5, how: 'exact' },
      },
    };
  });
}

async function measure(name: string, load: () => Promise<unknown>): Promise<void> {
  const took: number[] = [];
  for (let n = 0; n < calls; n++) {
    took.push(
      await timed(async () => {
        JSON.stringify(await load());
      }),
    );
  }
  const sorted = took.slice(3).sort((a, b) => a - b);
  const at = (share: number): string => (sorted[Math.floor(sorted.length * share)] ?? 0).toFixed(0);
  console.log(`| ${name} of ${tables} tables, ${findings} findings | ${at(0.5)} | ${at(0.95)} | p95 ≤ 200 |`);
}

async function frames(url: string): Promise<void> {
  const port = await (freePort as (wanted: number) => Promise<number>)(4690);
  const web = spawn(process.execPath, ['src/app/server/main.mjs'], {
    env: { ...process.env, DATABASE_URL: url, PORT: String(port), NODE_ENV: 'production', PAWL_DEMO: '1' },
    stdio: ['ignore', 'ignore', 'inherit'],
  });
  let browser: Browser | null = null;
  try {
    browser = await chromium.launch(playwrightConfig.use?.launchOptions);
    const address = `http://127.0.0.1:${port}`;
    await answering(`${address}/healthz`);
    const page = await browser.newPage({ viewport: { width: 1280, height: 800 }, storageState: await stateOf(address, 'ada') });
    console.log('\n| scrolling | frames a second | slowest frame ms | goal |\n|---|---|---|---|');
    for (const board of ['coverage', 'findings', 'inventory/columns']) {
      await page.goto(`${address}/s/1/${board}`, { waitUntil: 'networkidle' }).catch(() => undefined);
      await page.locator('.rows .virtual').first().waitFor();
      const runs: Awaited<ReturnType<typeof scroll>>[] = [];
      for (let n = 0; n < 5; n++) runs.push(await scroll(page));
      const middle = (key: 'perSecond' | 'slowest'): string => median(runs.map((run) => run[key])).toFixed(0);
      console.log(`| ${board} | ${middle('perSecond')} | ${middle('slowest')} | ≥ 50 |`);
    }
  } finally {
    await browser?.close();
    web.kill('SIGTERM');
  }
}

async function answering(address: string): Promise<void> {
  for (let tries = 0; tries < 100; tries++) {
    if ((await fetch(address).catch(() => null))?.ok) return;
    await new Promise((resolve) => setTimeout(resolve, 100));
  }
}

/** Three seconds of scrolling by 90 pixels a frame, three rows: as a hand on a wheel does that is in a hurry. */
async function scroll(page: Page): Promise<{ readonly perSecond: number; readonly slowest: number }> {
  return page.locator('.rows').evaluate(async (rows) => {
    rows.scrollTop = 0;
    const times: number[] = [await new Promise<number>(requestAnimationFrame)];
    while ((times.at(-1) ?? 0) - (times[0] ?? 0) < 3000) {
      rows.scrollTop += 90;
      times.push(await new Promise<number>(requestAnimationFrame));
    }
    return {
      perSecond: ((times.length - 1) * 1000) / ((times.at(-1) ?? 0) - (times[0] ?? 0)),
      slowest: Math.max(...times.slice(1).map((time, n) => time - (times[n] ?? time))),
    };
  });
}
