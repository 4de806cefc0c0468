// A docket over the whole of each schema that nobody here made, on a copy, by psql: passes when the server's catalogue is then
// what the core said it would be, a second run changes nothing, and the way back brings the first catalogue again.

import { spawnSync } from 'node:child_process';
import { mkdtempSync, readdirSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { driftOf } from '../src/core/catalogue/drift';
import type { Catalogue } from '../src/core/catalogue/model';
import { scriptsOf } from '../src/core/engines/index';
import type { Adopted } from '../src/core/naming/style';
import { afterPlan, planFor } from '../src/core/plan/plan';
import type { Finding } from '../src/core/rules/finding';
import { parseConnectionString } from '../src/sources/postgresql/connectionString';
import { openSource } from '../src/sources/postgresql/reader';
import { corpusFolder, urlOf } from './corpus';
import { connect } from './database';

const copy = 'pawl_thereandback';

/** `what` is counted in the table that is printed. Sets exit code 1 when a schema fails. */
export async function onEverySchema(
  what: string,
  findingsOf: (catalogue: Catalogue) => readonly Finding[],
  adopted: Adopted = {},
): Promise<void> {
  const wanted = process.argv.slice(2);
  const schemas = readdirSync(join(corpusFolder, 'truth'))
    .map((file) => file.replace(/\.json$/, ''))
    .filter((name) => !name.endsWith('_my') && (wanted.length === 0 || wanted.includes(name)));
  const folder = mkdtempSync(join(tmpdir(), 'pawl-there-and-back-'));
  const admin = await connect(urlOf('postgres'));
  console.log(
    `| schema | ${what} | refused | forward | as foretold | again | back | as it was | seconds |\n|---|---|---|---|---|---|---|---|---|`,
  );
  for (const schema of schemas) {
    const started = Date.now();
    await admin.query(`drop database if exists ${copy}`);
    await admin.query(`create database ${copy} template truth_${schema}`);
    const before = await read();
    const findings = findingsOf(before);
    const decided = findings.map((finding) => ({ finding, decision: {} }));
    const plan = planFor(decided, before, { label: 'd1', mode: 'plain', adopted });
    const { forward, back } = scriptsOf(plan, { title: what, source: schema, madeAt: '' }, 'guarded');
    const foretold = afterPlan(plan, before);
    const ids = new Set([...before.tables, ...foretold.tables].map(({ id }) => id));
    const results = [
      psql(folder, forward ?? ''),
      first(driftOf(foretold, await read(), ids)),
      psql(folder, forward ?? '') ?? first(driftOf(foretold, await read(), ids)),
      psql(folder, back ?? ''),
      first(driftOf(before, await read(), ids)),
    ];
    const words = results.map((result) => (result === null ? 'yes' : `**no**: ${result}`)).join(' | ');
    console.log(
      `| ${schema} | ${findings.length} | ${plan.problems.length} | ${words} | ${((Date.now() - started) / 1000).toFixed(1)} |`,
    );
    for (const { message } of plan.problems.slice(0, 3)) console.log(`- ${message}`);
    if (results.some((result) => result !== null)) process.exitCode = 1;
  }
  await admin.query(`drop database if exists ${copy}`);
  await admin.end();
}

async function read(): Promise<Catalogue> {
  const source = await openSource(parseConnectionString(urlOf(copy)));
  return source.readCatalogue().finally(() => source.close());
}

function first(differences: readonly string[]): string | null {
  return differences.length === 0 ? null : `${differences.length}, ${differences[0]}`;
}

/** What went wrong, or null. */
function psql(folder: string, script: string): string | null {
  const file = join(folder, 'script.sql');
  writeFileSync(file, script);
  const { status, stderr } = spawnSync('psql', ['-X', '-q', '-d', urlOf(copy), '-f', file], {
    encoding: 'utf8',
    maxBuffer: 2 ** 28,
  });
  return status === 0 ? null : (stderr.split('\n').find((line) => line.includes('ERROR')) ?? stderr).slice(-300);
}
