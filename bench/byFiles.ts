// The same databases asked live and by files: what is found, held against each other by the identities of findings.
// `npm run bench:by-files [URL…]`; without any, the corpus's databases of MariaDB (after `shared/corpus/build.sh all --nofk`). Exit code 1
// where something is found by files with values that a live look does not find.

import { execFileSync, spawnSync } from 'node:child_process';
import { mkdtempSync, readFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { EngineName } from '../src/core/engines/name';
import { decoded, type KeptAnswer, readAnswers } from '../src/sources/files/answers';
import { surveyByFiles } from '../src/sources/files/survey';
import { kindFor } from '../src/sources/index';
import { usualLimits } from '../src/sources/kind';
import { survey, type SurveyResult } from '../src/sources/survey';

const port = process.env['CORPUS_MYPORT'] ?? '3720';
const given = process.argv.slice(2);
const urls = given.length > 0 ? given : corpus();

console.log(
  '| database | live | by files, with values | without values | rounds | seconds live, by files |\n|---|---|---|---|---|---|',
);
for (const url of urls) {
  const started = Date.now();
  const { near, engine } = await live(url);
  const looked = Date.now();
  const far = await walk(url, engine, true);
  const walked = Date.now();
  if (idsOf(far.result).some((id) => !idsOf(near).includes(id))) process.exitCode = 1;
  const blind = await walk(url, engine, false);
  const seconds = [looked - started, walked - looked].map((ms) => (ms / 1000).toFixed(1)).join(', ');
  console.log(
    `| ${near.catalogue.database} | ${near.findings.length} | ${against(near, far.result)} | ${against(near, blind.result)} | ${far.rounds} | ${seconds} |`,
  );
}

function corpus(): readonly string[] {
  const login = ['--no-defaults', '-h', '127.0.0.1', '-P', port, '-u', 'root', '-N', '-e', 'show databases'];
  return execFileSync('mariadb', login, { encoding: 'utf8' })
    .split('\n')
    .filter((name) => /^(truth|nofk|bare)_.*_my$/.test(name))
    .map((name) => `mariadb://root@127.0.0.1:${port}/${name}`);
}

async function live(url: string): Promise<{ readonly near: SurveyResult; readonly engine: EngineName }> {
  const kind = kindFor(url);
  if (!kind?.open || !kind.commandLine) throw new Error(`${url} is no address of a source.`);
  const asking = { input: () => Promise.resolve(''), warn: () => undefined, secret: () => Promise.resolve('') };
  const { settings, secret } = await kind.commandLine.connection(url, asking);
  const source = await kind.open(settings, secret, usualLimits);
  try {
    return { near: await survey(source, { depth: 'exact' }), engine: kind.engineOf(settings) };
  } finally {
    await source.close();
  }
}

async function walk(url: string, engine: EngineName, rows: boolean) {
  const answers = new Map<string, KeptAnswer>();
  const database = new URL(url).pathname.slice(1);
  for (let rounds = 0; ; rounds++) {
    const step = await surveyByFiles({ asked: { engine, database, rows }, rounds, answers }, {});
    if ('result' in step) return { rounds, result: step.result };
    for (const [query, answer] of readAnswers(decoded(answersTo(url, step.asked.text))).byQuery) answers.set(query, answer);
  }
}

function answersTo(url: string, script: string): Buffer {
  const { protocol, hostname, port: at, username, password, pathname } = new URL(url);
  const options = { input: script, maxBuffer: 2 ** 30, cwd: mkdtempSync(join(tmpdir(), 'pawl-by-files-')) };
  if (protocol.startsWith('postgres')) {
    spawnSync('psql', ['-X', '-q', url, '-f', '-'], options);
    return readFileSync(join(options.cwd, /^\\o (\S+)$/m.exec(script)?.[1] ?? ''));
  }
  const client = protocol.replace(':', '');
  const login = ['-h', hostname, '-P', at, '-u', username, ...(client === 'mysql' ? ['--get-server-public-key'] : [])];
  const args = ['--no-defaults', ...login, '--batch', '--skip-column-names', '--force', `--database=${pathname.slice(1)}`];
  return spawnSync(client, args, { ...options, env: { ...process.env, MYSQL_PWD: decodeURIComponent(password) } }).stdout;
}

function against(near: SurveyResult, far: SurveyResult): string {
  const [there, found] = [new Set(idsOf(near)), new Set(idsOf(far))];
  const lost = [...there].filter((id) => !found.has(id));
  const more = [...found].filter((id) => !there.has(id));
  for (const id of lost) console.error(`  lost: ${id}`);
  for (const id of more) console.error(`  more: ${id}`);
  return `${near.findings.length - lost.length} the same, ${lost.length} lost, ${more.length} more`;
}

function idsOf({ findings }: SurveyResult): readonly string[] {
  return findings.map(({ id }) => id);
}
