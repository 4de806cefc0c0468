// The demo from the terminal, on whatever version of PostgreSQL there is: the same findings everywhere, mended both ways, and
// taken back to what it was. Without pg_dump, which reads no newer servers.

import { execFile } from 'node:child_process';
import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { promisify } from 'node:util';
import pg from 'pg';
import { afterAll, beforeAll, expect, inject, test } from 'vitest';
import type { SurveyDocument } from '../src/core/survey/document';
import { dropDatabase } from '../test/kit/database';
import { stateOf } from '../test/kit/state';
import { auditor, createHarbour, owner } from './harbour/create';

const root = join(import.meta.dirname, '..');
const name = `harbour_t_${process.pid}`;
const out = mkdtempSync(join(tmpdir(), 'pawl-terminal-'));
const file = join(out, 'survey.json');
let client: pg.Client;

beforeAll(async () => {
  await createHarbour(inject('server'), name);
  const url = new URL(inject('server'));
  url.pathname = `/${name}`;
  client = new pg.Client({ connectionString: url.href });
  await client.connect();
}, 240_000);

afterAll(async () => {
  await client.end();
  await dropDatabase(name);
});

async function run(program: string, args: readonly string[], as: { readonly user: string; readonly password: string }) {
  const { hostname, port } = new URL(inject('server'));
  const env = { ...process.env, PGHOST: hostname, PGPORT: port, PGUSER: as.user, PGPASSWORD: as.password, PGDATABASE: name };
  return (await promisify(execFile)(program, [...args], { cwd: root, env, maxBuffer: 2 ** 26 })).stdout;
}

test('has the same 115 findings on every version', async () => {
  const { hostname, port } = new URL(inject('server'));
  const url = `postgresql://${auditor.user}@${hostname}:${port}/${name}`;
  await run(process.execPath, ['bin/pawl.js', 'survey', url, '--json', file], auditor);
  const { findings } = JSON.parse(readFileSync(file, 'utf8')) as SurveyDocument;
  expect(findings.length).toBe(115);
}, 120_000);

test('a pipeline fails when the schema got worse than its baseline, and says by what', async () => {
  const { hostname, port } = new URL(inject('server'));
  const url = `postgresql://${auditor.user}@${hostname}:${port}/${name}`;
  const [baseline, later, next] = ['baseline', 'later', 'next'].map((one) => join(out, `${one}.json`));
  const [sarif, junit, markdown] = ['a.sarif', 'a.xml', 'a.md'].map((one) => join(out, one));
  const pawl = (args: readonly string[]) => run(process.execPath, ['bin/pawl.js', ...args], auditor);
  const survey = (...more: readonly string[]) => pawl(['survey', url, '--depth', 'catalogue', '--json', later ?? '', ...more]);

  await pawl(['survey', url, '--depth', 'catalogue', '--json', baseline ?? '']);
  expect(await survey('--against', baseline ?? '')).toContain('Not worse than the baseline');

  await client.query('alter table port.vessel rename to ship; create table port.lamp (lamp_no text, height text)');
  try {
    const failed = survey(
      '--against',
      baseline ?? '',
      '--sarif',
      sarif ?? '',
      '--junit',
      junit ?? '',
      '--markdown',
      markdown ?? '',
    );
    const { code, stdout } = await failed.then(
      () => ({ code: 0, stdout: '' }),
      (error: { code: number; stdout: string }) => error,
    );
    expect(code).toBe(1);
    expect(stdout).toMatch(/New:\n {2}\S+ +keys\/missing {2}port\.lamp/);
    // What is only called otherwise is nothing new.
    expect(stdout).not.toContain('port.ship(');
    const results = (JSON.parse(readFileSync(sarif ?? '', 'utf8')) as { runs: { results: { baselineState: string }[] }[] })
      .runs[0]?.results;
    expect(results?.some(({ baselineState }) => baselineState === 'new')).toBe(true);
    expect(readFileSync(junit ?? '', 'utf8')).toContain('<failure ');
    expect(readFileSync(markdown ?? '', 'utf8')).toContain('## New');
    // A severity that nothing new reaches does not fail.
    await survey('--against', baseline ?? '', '--fail-on', 'slipped');
    await pawl(['baseline', later ?? '', '--before', baseline ?? '', '--out', next ?? '']);
    await survey('--against', next ?? '');
    const compared = await pawl(['compare', baseline ?? '', later ?? '']).catch((error: { stdout: string }) => error.stdout);
    expect(compared).toMatch(/table port\.lamp is new[^]*table port\.ship was called port\.vessel/);
  } finally {
    await client.query('drop table port.lamp; alter table port.ship rename to vessel');
  }
  await expect(pawl(['survey', url])).rejects.toMatchObject({ code: 2 });
  await expect(pawl(['survey', url, '--json', later ?? '', '--fail-on', 'new'])).rejects.toMatchObject({ code: 2 });
}, 240_000);

test('the example for a pipeline lets a migration pass that makes nothing worse, and stops one that does', async () => {
  const { hostname, port, username, password } = new URL(inject('server'));
  const lint = (migration: string) => {
    const [schema, file] = ['schema.sql', 'migration.sql'].map((one) => join(out, one)) as [string, string];
    writeFileSync(schema, 'create table berth (berth_no text primary key, area text);');
    writeFileSync(file, migration);
    const login = { PGHOST: hostname, PGPORT: port, PGUSER: username, PGPASSWORD: decodeURIComponent(password) };
    return promisify(execFile)('sh', [join(root, 'docs/examples/lint-migration.sh'), schema, file], {
      cwd: out,
      env: { ...process.env, ...login, PAWL: `${process.execPath} ${join(root, 'bin/pawl.js')}` },
    });
  };
  const booking = 'create table booking (booking_no text primary key, berth_no text references berth)';
  await lint(`${booking}; create index ix_booking_berth_no on booking (berth_no);`);
  const worse = await lint('create table booking (booking_no text, berth_no text);').catch((error: unknown) => error);
  expect(worse).toMatchObject({ code: 1 });
  expect(readFileSync(join(out, 'lint.md'), 'utf8')).toMatch(/keys\/missing/);
  const left = await client.query("select 1 from pg_database where datname like 'lint\\_%'");
  expect(left.rowCount).toBe(0);
}, 120_000);

test('what its names follow is learned, and what does not is found once that is its style', async () => {
  const { hostname, port } = new URL(inject('server'));
  const url = `postgresql://${auditor.user}@${hostname}:${port}/${name}`;
  const [style, styled] = [join(out, 'style.json'), join(out, 'styled.json')];
  const said = await run(process.execPath, ['bin/pawl.js', 'style', 'infer', file, '--out', style], auditor);
  expect(said).toContain('98 % of 42 primary keys read pk_{table}; 1 does not:');
  await run(
    process.execPath,
    ['bin/pawl.js', 'survey', url, '--depth', 'catalogue', '--style', style, '--json', styled],
    auditor,
  );
  const { findings } = JSON.parse(readFileSync(styled, 'utf8')) as SurveyDocument;
  expect(findings.filter(({ rule }) => rule === 'naming/style').map(({ object }) => object.name)).toEqual([
    'uq_crew_pass_locker',
    'ux_surge_warning_no',
  ]);
}, 120_000);

test.each(['plain', 'quiet'])(
  'is mended and taken back, %s',
  async (mode) => {
    const scripts = join(out, mode);
    await run(process.execPath, ['bin/pawl.js', 'script', file, '--mode', mode, '--repairs', 'null', '--out', scripts], auditor);
    const psql = (script: string) => run('psql', ['-X', '-q', '-f', join(scripts, script)], owner);
    const state = () => stateOf({ run: (text) => client.query(text) });
    const before = await state();
    await psql('forward.sql');
    const there = await state();
    expect(there).not.toEqual(before);
    expect(await psql('forward.sql')).toContain('in force already');
    expect(await state()).toEqual(there);
    await psql('back.sql');
    expect(await state()).toEqual(before);
  },
  240_000,
);
