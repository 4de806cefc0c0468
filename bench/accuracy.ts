// Accuracy on the tuning corpus, by the corpus's own score: what a survey from the terminal proposes
// against what the makers of each schema declared. Prints tables. `npm run bench:accuracy`, after
// `shared/corpus/build.sh all --nofk` has loaded the corpus.

import { execFileSync, spawnSync } from 'node:child_process';
import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { SurveyDocument } from '../src/core/survey/document';
import { corpusFolder, legacies, schemas, type Truth, truthOf, urlOf } from './corpus';
import { predictionOf } from './predict';

const folder = mkdtempSync(join(tmpdir(), 'pawl-accuracy-'));

for (const kind of ['nofk', 'bare'] as const) {
  const pairs = schemas.flatMap((schema) => {
    const truth = join(folder, `${schema}.truth.json`);
    writeFileSync(truth, JSON.stringify(truthOf(schema)));
    return [truth, written(`${kind}-${schema}`, predictionOf(surveyed(`${kind}_${schema}`)))];
  });
  console.log(`\n## ${kind === 'nofk' ? 'Only foreign keys dropped' : 'Everything dropped'}\n`);
  console.log(score(pairs));
}

console.log('\n## NOT NULL reported as Serious or worse, everything dropped\n');
console.log(
  score(
    schemas.flatMap((schema) => [
      join(folder, `${schema}.truth.json`),
      written(`serious-${schema}`, predictionOf(read(`bare_${schema}`), { leastSeverity: 'Serious' })),
    ]),
  ),
);

console.log('\n## How far confidence keeps its word (references, both kinds)\n');
console.log('| confidence | proposed | right |\n|---|---|---|');
for (const [from, to] of [
  [0.5, 0.7],
  [0.7, 0.9],
  [0.9, 1.01],
] as const) {
  const found = ['nofk', 'bare'].flatMap((kind) =>
    schemas.flatMap((schema) => judged(read(`${kind}_${schema}`), truthOf(schema))),
  );
  const within = found.filter((f) => f.confidence >= from && f.confidence < to);
  console.log(`| ${from} to ${Math.min(1, to)} | ${within.length} | ${within.filter((f) => f.right).length} |`);
}

for (const legacy of legacies) planted(legacy);

/** Every planted fault with its exact count: found, missed, or counted otherwise. */
function planted(name: string): void {
  const truth = truthOf(name);
  const { findings } = surveyed(name);
  const faults = truth.planted;
  if (!faults) return;
  const at = (table: string, columns: readonly string[]) =>
    findings.filter((f) => f.object.table === table && f.object.columns.join() === columns.join());
  const number = (evidence: unknown, key: string) => (evidence as Record<string, unknown>)[key];
  const check = (what: string, all: readonly { readonly ok: boolean; readonly text: string }[]): void => {
    console.log(
      `| ${what} | ${all.length} | ${all.filter((one) => one.ok).length} | ${
        all
          .filter((one) => !one.ok)
          .map((one) => one.text)
          .join('; ') || 'none'
      } |`,
    );
  };
  console.log(
    `\n## ${name}: planted faults reported with their exact count\n\n| fault | planted | exact | not so |\n|---|---|---|---|`,
  );
  check(
    'orphans',
    faults.orphans.map((o) => ({
      ok: at(o.childTable, o.childColumns).some((f) => number(f.evidence, 'orphanRows') === o.rows),
      text: `${o.childTable}(${o.childColumns.join()}) ${o.rows}`,
    })),
  );
  // One row that repeats another makes two rows that share a value.
  check(
    'repeats',
    faults.duplicates.map((d) => ({
      ok: at(d.table, d.columns).some((f) => number(f.evidence, 'repeatedRows') === d.rows + 1),
      text: `${d.table}(${d.columns.join()})`,
    })),
  );
  check(
    'nulls',
    faults.nulls.map((n) => ({
      ok: at(n.table, [n.column]).some((f) => number(f.evidence, 'nulls') === n.rows),
      text: `${n.table}.${n.column}`,
    })),
  );
}

function judged(survey: SurveyDocument, truth: Truth) {
  const right = new Set(
    truth.fks.map((fk) => `${fk.childTable}(${[...fk.childColumns].sort().join()})${fk.parentTable}`.toLowerCase()),
  );
  return survey.findings.flatMap(({ object, proposal, confidence }) => {
    if (proposal.kind !== 'foreignKey') return [];
    const { references, columns } = proposal;
    const key =
      `${object.schema}.${object.table}(${[...columns].sort().join()})${references.schema}.${references.table}`.toLowerCase();
    return [{ confidence, right: right.has(key) }];
  });
}

function surveyed(database: string): SurveyDocument {
  execFileSync(process.execPath, ['bin/pawl.js', 'survey', urlOf(database), '--json', fileOf(database)], {
    stdio: ['ignore', 'ignore', 'ignore'],
  });
  return read(database);
}

function read(database: string): SurveyDocument {
  return JSON.parse(readFileSync(fileOf(database), 'utf8')) as SurveyDocument;
}

function fileOf(database: string): string {
  return join(folder, `${database}.json`);
}

function written(name: string, content: unknown): string {
  const file = join(folder, `${name}.prediction.json`);
  writeFileSync(file, JSON.stringify(content));
  return file;
}

function score(pairs: readonly string[]): string {
  return spawnSync(process.execPath, [join(corpusFolder, 'score.mjs'), ...pairs], { encoding: 'utf8' }).stdout;
}
