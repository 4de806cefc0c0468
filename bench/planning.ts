// Planning, on what a survey of a large schema found: how long it takes to script everything, and to plan a docket as its
// page does. `npm run bench:planning`, after `shared/corpus/build.sh load --legacy 1000,3000,10000`.

import { existsSync, mkdirSync } from 'node:fs';
import { readFile } from 'node:fs/promises';
import { spawnSync } from 'node:child_process';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { postgresql } from '../src/core/engines/postgresql/index';
import { planFor } from '../src/core/plan/plan';
import { readSurveyDocument } from '../src/input/surveyDocument';
import { urlOf } from './corpus';
import { median } from './database';

const folder = join(tmpdir(), 'pawl-planning');
mkdirSync(folder, { recursive: true });
const heading = { title: 'bench', source: 'bench', madeAt: '' };

console.log('| schema | findings | steps | read the file s | plan s | write scripts s | docket of 400, plan ms |');
console.log('|---|---|---|---|---|---|---|');
for (const tables of [1000, 3000, 10000]) {
  const file = surveyed(`legacy_${tables}`);
  const text = await readFile(file, 'utf8');
  let started = performance.now();
  const { catalogue, findings } = await readSurveyDocument(text);
  const readMs = performance.now() - started;
  const decided = findings
    .filter(({ proposal }) => !['byHand', 'replaceKey', 'standIns'].includes(proposal.kind))
    .map((finding) => ({ finding, decision: { orphans: 'leave', broken: 'leave', repeats: 'leave', nulls: 'leave' } }));
  started = performance.now();
  const plan = planFor(decided, catalogue, { label: 'bench', mode: 'plain' });
  const planMs = performance.now() - started;
  started = performance.now();
  postgresql.dialect.scripts(plan, heading);
  const scriptMs = performance.now() - started;
  const few = decided.filter((_, i) => i % Math.max(1, Math.floor(decided.length / 400)) === 0).slice(0, 400);
  // As a page finds it: the catalogue is there, and was planned on before.
  planFor(few, catalogue, { label: 'bench', mode: 'plain' });
  const times = Array.from({ length: 9 }, () => {
    const from = performance.now();
    planFor(few, catalogue, { label: 'bench', mode: 'plain' });
    return performance.now() - from;
  });
  const seconds = (ms: number) => (ms / 1000).toFixed(1);
  console.log(
    `| ${tables} tables | ${decided.length} | ${plan.steps.length} | ${seconds(readMs)} | ${seconds(planMs)} | ${seconds(scriptMs)} | ${median(times).toFixed(0)} |`,
  );
}

/** The survey of a database as a file; made once, as it takes minutes. */
function surveyed(database: string): string {
  const file = join(folder, `${database}.json`);
  if (existsSync(file)) return file;
  const { status, stderr } = spawnSync(process.execPath, ['bin/pawl.js', 'survey', urlOf(database), '--json', file], {
    encoding: 'utf8',
  });
  if (status !== 0) throw new Error(`The survey of ${database} ended with ${status}: ${stderr.slice(-500)}`);
  return file;
}
