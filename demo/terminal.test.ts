// The demo from the terminal, on whatever version of PostgreSQL there is: the same findings everywhere, mended both ways, and
// taken back to what it was. Without pg_dump, which reads no newer servers.

import { execFile } from 'node:child_process';
import { mkdtempSync, readFileSync } from 'node:fs';
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
