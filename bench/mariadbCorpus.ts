// MariaDB on schemas that nobody here made: how well what was dropped is found again, by the corpus's own score, and whether scripts hold:
// forward, forward again and back by the server's client, in both modes; then the dump of the schema and the checksums of the
// rows have to be what they were. `npm run bench:mariadb-corpus [WORD…]`, after `shared/corpus/build.sh all --nofk`. Exit code 1 when one
// fails; a database that is not as it was is put back from its dump. The weights are those of the product, which were fitted on the
// same schemas as PostgreSQL has them.

import { execFileSync, spawnSync } from 'node:child_process';
import { mkdtempSync, readFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { SurveyDocument } from '../src/core/survey/document';
import { corpusFolder, truthOf } from './corpus';
import { predictionOf } from './predict';

type Share = 'pk' | 'fk' | 'unique' | 'notNull';
type Score = Readonly<
  Record<Share, { readonly tp: number; readonly fp: number; readonly fn: number; readonly f1: number | null }>
>;

const { score } = (await import(join(corpusFolder, 'score.mjs'))) as { score: (truth: unknown, prediction: unknown) => Score };
const port = process.env['CORPUS_MYPORT'] ?? '3720';
const folder = mkdtempSync(join(tmpdir(), 'pawl-mariadb-corpus-'));
const login = ['--no-defaults', '-h', '127.0.0.1', '-P', port, '-u', 'root'];
const options = { encoding: 'utf8', maxBuffer: 2 ** 30 } as const;
const words = process.argv.slice(2);
const databases = execFileSync('mariadb', [...login, '-N', '-e', 'show databases'], options)
  .split('\n')
  .filter((name) => /^(truth|nofk|bare)_.*_my$/.test(name))
  .filter((name) => words.length === 0 || words.some((word) => name.includes(word)));

const scores: string[] = [];
const failures: string[] = [];
console.log('| database | mode | steps | forward | again | back | as it was | seconds |\n|---|---|---|---|---|---|---|---|');
for (const database of databases) {
  const file = join(folder, `${database}.json`);
  pawl('survey', `mariadb://root@127.0.0.1:${port}/${database}`, '--json', file);
  scores.push(scored(database, JSON.parse(readFileSync(file, 'utf8')) as SurveyDocument));
  for (const mode of ['plain', 'quiet']) thereAndBack(database, file, mode);
}
console.log(`\n${2 * databases.length - failures.length} of ${2 * databases.length} went forward, forward again and back.\n`);
for (const failure of failures) console.log(`- ${failure}`);
console.log(
  '\n| database | references F1 (found, false, missed) | primary keys F1 | uniques F1 | NOT NULL F1 |\n|---|---|---|---|---|',
);
for (const line of scores) console.log(line);
process.exitCode = failures.length === 0 ? 0 : 1;

function thereAndBack(database: string, file: string, mode: string): void {
  const started = Date.now();
  const out = join(folder, `${database}-${mode}`);
  const steps = /^(\d+) steps/m.exec(pawl('script', file, '--min-confidence', '0.5', '--mode', mode, '--out', out))?.[1] ?? '?';
  const dump = execFileSync('mariadb-dump', [...login, '--skip-comments', database], options);
  const before = stateOf(database);
  const forward = run(database, join(out, 'forward.sql'));
  const there = stateOf(database);
  const again = forward === null ? run(database, join(out, 'forward.sql')) : 'not tried';
  const changed = again === null && stateOf(database) !== there ? 'changes something' : again;
  const back = run(database, join(out, 'back.sql'));
  const same = stateOf(database) === before ? null : 'differs';
  const results = [forward, changed, back, same];
  if (same !== null) {
    execFileSync('mariadb', [...login, '-e', `drop database ${database}; create database ${database}`]);
    execFileSync('mariadb', [...login, database], { ...options, input: dump });
  }
  if (results.some((result) => result !== null))
    failures.push(`${database} ${mode}: ${results.filter((result) => result !== null).join('; ')}`);
  const told = results.map((result) => (result === null ? 'yes' : '**no**')).join(' | ');
  console.log(`| ${database} | ${mode} | ${steps} | ${told} | ${((Date.now() - started) / 1000).toFixed(1)} |`);
}

function scored(database: string, survey: SurveyDocument): string {
  const [, name = ''] = /^[a-z]+_(.*)$/.exec(database) ?? [];
  const { fk, pk, unique, notNull } = score(truthOf(name), predictionOf(survey));
  const two = (value: number | null): string => (value === null || Number.isNaN(value) ? '–' : value.toFixed(2));
  return `| ${database} | ${two(fk.f1)} (${fk.tp}, ${fk.fp}, ${fk.fn}) | ${two(pk.f1)} | ${two(unique.f1)} | ${two(notNull.f1)} |`;
}

function pawl(...args: readonly string[]): string {
  const { status, stderr } = spawnSync(process.execPath, ['bin/pawl.js', ...args], {
    ...options,
    env: { ...process.env, MYSQL_PWD: '' },
  });
  if (status !== 0) throw new Error(`pawl ${args.join(' ')} ended with ${status}: ${stderr.slice(-2000)}`);
  return stderr;
}

/** What went wrong, or null. */
function run(database: string, file: string): string | null {
  const { status, stderr } = spawnSync('mariadb', [...login, '--abort-source-on-error', '--show-warnings', database], {
    ...options,
    input: readFileSync(file),
  });
  return status === 0 ? null : (stderr.split('\n').find((line) => line.includes('ERROR')) ?? stderr).slice(-500);
}

/** The dump of the schema, counters apart, and a checksum of the rows of each table. */
function stateOf(database: string): string {
  const dump = execFileSync('mariadb-dump', [...login, '--no-data', '--skip-comments', '--skip-dump-date', database], options);
  const tables = [...dump.matchAll(/^CREATE TABLE `((?:[^`]|``)+)`/gm)].map(([, name = '']) => `\`${name}\``);
  const sums =
    tables.length === 0
      ? ''
      : execFileSync('mariadb', [...login, '-N', '-e', `checksum table ${tables.join(', ')}`, database], options);
  return `${dump.replaceAll(/ AUTO_INCREMENT=\d+/g, '')}\n${sums}`;
}
