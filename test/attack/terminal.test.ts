// The terminal: passwords that must not show, files that are not what they say, and what it writes.

import { execFile, spawn } from 'node:child_process';
import { mkdtempSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import fc from 'fast-check';
import { beforeAll, describe, expect, test } from 'vitest';
import { planOfFile } from '../../src/cli/planOfFile';
import { PlanArguments } from '../../src/cli/arguments';
import { SourceError } from '../../src/sources/SourceError';
import { connectionFrom } from '../../src/cli/connection';
import { postgresql } from '../../src/core/engines/postgresql/index';
import { SurveyFileError } from '../../src/input/surveyFile';
import { useDatabase } from '../kit/database';
import { drawn, placesIn, withValue } from '../kit/drawn';

const folder = mkdtempSync(join(tmpdir(), 'pawl-terminal-'));
const audited = useDatabase(`
  create table vessel (vessel_id int primary key, imo_no text);
  insert into vessel select n, 'I' || n from generate_series(1, 300) n;
  create table call (call_no text not null, vessel_id int);
  insert into call select 'C' || n, n % 300 + 1 from generate_series(1, 900) n;
  analyze;`);
const survey = join(folder, 'survey.json');

interface Ran {
  readonly code: number;
  readonly stdout: string;
  readonly stderr: string;
}

function pawl(args: readonly string[], env: Readonly<Record<string, string>> = {}, input?: string): Promise<Ran> {
  return new Promise((resolve) => {
    const child = execFile(
      process.execPath,
      ['bin/pawl.js', ...args],
      { env: { ...process.env, ...env }, maxBuffer: 1e8 },
      (error, stdout, stderr) => resolve({ code: typeof error?.code === 'number' ? error.code : 0, stdout, stderr }),
    );
    child.stdin?.end(input);
  });
}

const withoutPassword = () => {
  const url = new URL(audited.url);
  url.password = '';
  return url.href;
};

beforeAll(async () => {
  const ran = await pawl(['survey', withoutPassword(), '--json', survey], { PGPASSWORD: audited.details.password });
  expect(ran).toMatchObject({ code: 0 });
  // Its login is superuser: that is said, with statements that make a fitting one.
  expect(ran.stderr).toContain('is superuser');
  expect(ran.stderr).toContain('create role pawl_audit login nosuperuser');
});

describe('a password', () => {
  test('comes from PGPASSWORD, a password file, a service, or standard input, and then shows in no list of processes', async () => {
    const { host, port, database, user, password } = audited.details;
    const pgpass = join(folder, 'pgpass');
    writeFileSync(pgpass, `${host}:${port}:${database}:${user}:${password}\n`, { mode: 0o600 });
    const services = join(folder, 'services');
    writeFileSync(
      services,
      `[other]\nhost=nowhere\n\n[harbour]\nhost=${host}\nport=${port}\ndbname=${database}\nuser=${user}\npassword=${password}\n`,
    );
    const out = join(folder, 'other.json');
    const ways: readonly (readonly [string, Record<string, string>, string?])[] = [
      [withoutPassword(), { PGPASSFILE: pgpass }],
      ['service=harbour', { PGSERVICEFILE: services }],
      ['-', {}, audited.url],
    ];
    for (const [given, env, input] of ways) {
      const ran = await pawl(['survey', given, '--depth', 'catalogue', '--json', out], env, input);
      expect([given, ran.code, ran.stderr.includes(password)]).toEqual([given, 0, false]);
    }
    const told = await pawl(['survey', audited.url, '--depth', 'catalogue', '--json', out]);
    expect(told.stderr).toContain('shows in the list of processes');
    expect(told.stderr).not.toContain(password);
    await expect(connectionFrom('service=nobody')).rejects.toThrow(SourceError);
  });

  test('that is wrong is in no error', async () => {
    const ran = await pawl(['survey', withoutPassword(), '--json', join(folder, 'never.json')], {
      PGPASSWORD: 'wrong-and-secret',
    });
    expect(ran.code).toBe(3);
    expect(ran.stdout + ran.stderr).not.toContain('wrong-and-secret');
  });
});

test('survey files and scripts can be read by their owner only', async () => {
  expect(statSync(survey).mode & 0o777).toBe(0o600);
  const scripts = join(folder, 'scripts');
  expect(await pawl(['script', survey, '--out', scripts])).toMatchObject({ code: 0 });
  for (const name of ['forward', 'back', 'before', 'after'])
    expect(statSync(join(scripts, `${name}.sql`)).mode & 0o777).toBe(0o600);
});

test('a script names the system’s search path before anything of the database is touched', async () => {
  const scripts = join(folder, 'scripts');
  const forward = readFileSync(join(scripts, 'forward.sql'), 'utf8');
  expect(forward).toContain("\\set settings 'set local search_path = pg_catalog;");
  expect(forward.indexOf(':settings')).toBeGreaterThan(0);
  expect(forward.indexOf(':settings')).toBeLessThan(forward.indexOf('select '));
  await Promise.resolve();
});

describe('a survey file that is none', () => {
  const asked = (file: string): PlanArguments => Object.assign(new PlanArguments(), { file });

  test.each([
    ['empty', ''],
    ['no JSON', 'select 1'],
    ['nested 100,000 deep', '['.repeat(100_000) + ']'.repeat(100_000)],
    ['nested 100,000 deep in a part', `{"format":"pawl-survey/2","catalogue":${'{"a":'.repeat(100_000)}1${'}'.repeat(100_000)}}`],
    ['null', 'null'],
    ['a prototype', '{"__proto__": {"format": "pawl-survey/2"}, "constructor": 1}'],
  ])('is refused with words: %s', async (_, text) => {
    const file = join(folder, 'none.json');
    writeFileSync(file, text);
    await expect(planOfFile(asked(file))).rejects.toThrow(SurveyFileError);
    const ran = await pawl(['script', file, '--out', join(folder, 'none')]);
    expect(ran.code).toBe(3);
    expect(ran.stderr).toMatch(/^pawl: /);
    expect(ran.stderr).not.toMatch(/\n\s+at /);
  });

  test('is planned on or refused with words, whatever one place in it says', async () => {
    const whole = JSON.parse(readFileSync(survey, 'utf8')) as object;
    const places = placesIn(whole);
    const odd = [
      null,
      0,
      -1,
      1e308,
      true,
      '',
      'x'.repeat(5000),
      'a"b; drop table x; --',
      '\u0000',
      '\u202e',
      [],
      [null],
      {},
      { a: 1 },
      [[[]]],
    ];
    const kinds = new Set<string>();
    await fc.assert(
      fc.asyncProperty(fc.constantFrom(...places), fc.constantFrom(...odd), async (place, value) => {
        const file = join(folder, 'odd.json');
        writeFileSync(file, JSON.stringify(withValue(whole, place, value)));
        try {
          const { plan } = await planOfFile(asked(file));
          const text = Object.values(postgresql.dialect.scripts(plan, { title: 't', source: 's', madeAt: 'm' })).join('\n');
          expect(text).not.toMatch(/^\s*drop table x/m);
          kinds.add('planned');
        } catch (error) {
          if (!(error instanceof SurveyFileError))
            throw new Error(`${place.join('.')} = ${JSON.stringify(value)}`, { cause: error });
          kinds.add('refused');
        }
      }),
      drawn({ numRuns: 400, seed: 91 }),
    );
    expect([...kinds].sort()).toEqual(['planned', 'refused']);
  });
});

test('a process that is asked for a password without a terminal does not wait for ever', async () => {
  const child = spawn(process.execPath, ['bin/pawl.js', 'survey', withoutPassword(), '--json', join(folder, 'never.json')], {
    env: { ...process.env, PGPASSWORD: undefined, PGPASSFILE: '/nonexistent' },
    stdio: ['ignore', 'ignore', 'pipe'],
  });
  expect(await new Promise((resolve) => child.once('exit', resolve))).toBe(3);
});
