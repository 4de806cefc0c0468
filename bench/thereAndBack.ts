// Whether scripts hold: every schema of the corpus is surveyed exactly, what is proposed at 0.5 and above is scripted in
// both modes, and psql runs it forward, forward again and back on a copy. Passes when each run goes through, the second
// one changes nothing, and afterwards the dump of the schema and the checksums of the rows are what they were.
// `npm run bench:there-and-back [SCHEMA…]`, after `shared/corpus/build.sh all --nofk`. Exit code 1 when one fails.

import { execFileSync, spawnSync } from 'node:child_process';
import { mkdtempSync, readFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import pg from 'pg';
import { findPostgresBinaries } from './binaries';
import { urlOf } from './corpus';
import { connect } from './database';

interface Trial {
  readonly database: string;
  readonly mode: 'plain' | 'quiet';
  readonly repairs: 'keep-by-hand' | 'null';
}

const folder = mkdtempSync(join(tmpdir(), 'pawl-there-and-back-'));
const binaries = findPostgresBinaries();
const copy = 'pawl_there_and_back';

const admin = await connect(urlOf('postgres'));
const databases = await wanted(process.argv.slice(2));
const trials = databases.flatMap((database): readonly Trial[] => [
  { database, mode: 'plain', repairs: 'keep-by-hand' },
  { database, mode: 'quiet', repairs: 'keep-by-hand' },
  ...(database === 'legacy_200' ? ([{ database, mode: 'plain', repairs: 'null' }] as const) : []),
]);

console.log(
  '| schema | mode | repairs | steps | forward | again | back | as it was | seconds |\n|---|---|---|---|---|---|---|---|---|',
);
const failures: string[] = [];
for (const trial of trials) await thereAndBack(trial);
await admin.query(`drop database if exists ${copy}`);
await admin.end();
console.log(`\n${trials.length - failures.length} of ${trials.length} went forward, forward again and back.\n`);
for (const failure of failures) console.log(`- ${failure}`);
process.exitCode = failures.length === 0 ? 0 : 1;

/** Databases with these words in their names, or all that the corpus has for scripts but for the largest made-up ones. */
async function wanted(words: readonly string[]): Promise<readonly string[]> {
  const { rows } = await admin.query<{ datname: string }>('select datname from pg_database order by datname');
  return rows
    .map(({ datname }) => datname)
    .filter((name) => (words.length === 0 ? /^(nofk|bare)_|^legacy_200$/ : /^(nofk|bare|legacy)_/).test(name))
    .filter((name) => words.length === 0 || words.some((word) => name.includes(word)));
}

async function thereAndBack({ database, mode, repairs }: Trial): Promise<void> {
  const started = Date.now();
  const name = `${database} ${mode} ${repairs}`;
  const out = join(folder, name.replaceAll(' ', '-'));
  const steps = /^(\d+) steps/m.exec(script(database, mode, repairs, out))?.[1] ?? '?';
  await admin.query(`drop database if exists ${copy}`);
  await admin.query(`create database ${copy} template ${database}`);
  const before = await stateOf();
  const forward = psql(join(out, 'forward.sql'));
  const there = await stateOf();
  const again = forward === null ? psql(join(out, 'forward.sql')) : 'not tried';
  const changed = again === null && (await stateOf()) !== there ? 'changes something' : again;
  const back = psql(join(out, 'back.sql'));
  const same = (await stateOf()) === before ? null : 'differs';
  const results = [forward, changed, back, same];
  if (results.some((result) => result !== null)) failures.push(`${name}: ${results.filter((r) => r !== null).join('; ')}`);
  const words = results.map((result) => (result === null ? 'yes' : '**no**')).join(' | ');
  console.log(`| ${database} | ${mode} | ${repairs} | ${steps} | ${words} | ${((Date.now() - started) / 1000).toFixed(1)} |`);
}

function script(database: string, mode: string, repairs: string, out: string): string {
  const file = join(folder, `${database}.json`);
  try {
    readFileSync(file);
  } catch {
    pawl('survey', urlOf(database), '--json', file);
  }
  return pawl('script', file, '--min-confidence', '0.5', '--mode', mode, '--repairs', repairs, '--out', out);
}

function pawl(...args: readonly string[]): string {
  const { status, stderr } = spawnSync(process.execPath, ['bin/pawl.js', ...args], { encoding: 'utf8', maxBuffer: 2 ** 28 });
  if (status !== 0) throw new Error(`pawl ${args.join(' ')} ended with ${status}: ${stderr.slice(-2000)}`);
  return stderr;
}

/** What went wrong, or null. */
function psql(file: string): string | null {
  const { status, stderr } = spawnSync('psql', ['-X', '-q', '-d', urlOf(copy), '-f', file], {
    encoding: 'utf8',
    maxBuffer: 2 ** 28,
  });
  return status === 0 ? null : (stderr.split('\n').find((line) => line.includes('ERROR')) ?? stderr).slice(-500);
}

/** The dump of the schema, and a checksum of the rows of each table. */
async function stateOf(): Promise<string> {
  const dump = execFileSync(join(binaries, 'pg_dump'), ['--schema-only', '-d', urlOf(copy)], {
    encoding: 'utf8',
    maxBuffer: 2 ** 30,
  });
  const client: pg.Client = await connect(urlOf(copy));
  const { rows } = await client.query<{ name: string; sum: string }>(
    `select oid::regclass::text as name, (xpath('//sum/text()', query_to_xml(format(
       'select count(*) || '' '' || coalesce(sum(hashtextextended(r::text, 0)), 0) as sum from only %s as r', oid::regclass
     ), false, false, '')))[1]::text as sum
     from pg_class where relkind = 'r' and relnamespace::regnamespace::text !~ '^(pg_|information_schema)' order by 1`,
  );
  await client.end();
  // Newer versions write a key of their own into each dump.
  return [
    ...dump.split('\n').filter((line) => !/^\\(un)?restrict /.test(line)),
    ...rows.map((row) => `${row.name} ${row.sum}`),
  ].join('\n');
}
