// Accuracy, by the corpus's own score: what a survey proposes against what the makers of each schema declared, each schema judged by models
// that were fitted without it, a row a schema. Prints tables. `npm run bench:accuracy`, after `shared/corpus/build.sh all --nofk` and
// `tsx bench/buildKinds.ts` have loaded the schemas.
//
//   --half            only the cases in which a random half is declared, five seeds each
//   --models=FOLDER   keeps the fitted models there, and takes those that are there already

import { existsSync, mkdirSync, mkdtempSync, readFileSync } from 'node:fs';
import { spawnSync } from 'node:child_process';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { judgeKeysBy, type KeyModels } from '../src/core/evidence/keyWeights';
import { judgeMandatoryBy, type MandatoryModel } from '../src/core/evidence/mandatoryWeights';
import { judgeBy, type ReferenceModel } from '../src/core/evidence/references/weights';
import { audit } from '../src/core/rules/audit';
import { documentOf, type SurveyDocument } from '../src/core/survey/document';
import { corpusFolder, type Truth, truthOf } from './corpus';
import {
  type Case,
  childKey,
  familyOf,
  faultyCase,
  faultySchema,
  hardlyDeclared,
  madeSchemas,
  realSchemas,
  surveyWith,
} from './examples';
import { predictionOf } from './predict';
import { type Loss, losses } from './stripped';

type Share = 'pk' | 'fk' | 'unique' | 'notNull';
interface Count {
  readonly tp: number;
  readonly fp: number;
  readonly fn: number;
  readonly p: number | null;
  readonly r: number | null;
  readonly f1: number | null;
}
type Score = Readonly<Record<Share, Count>> & { readonly name: string; readonly undeclared: boolean };

const { score } = (await import(join(corpusFolder, 'score.mjs'))) as { score: (truth: unknown, prediction: unknown) => Score };
const given = process.argv.find((arg) => arg.startsWith('--models='))?.slice('--models='.length);
const folder = given ?? mkdtempSync(join(tmpdir(), 'pawl-accuracy-'));
mkdirSync(folder, { recursive: true });
const half = process.argv.includes('--half');
const seeds = [1, 2, 3, 4, 5];
const shares = ['fk', 'pk', 'unique', 'notNull'] as const;

const models = {
  references: fitted<ReferenceModel>('fit'),
  keys: fitted<KeyModels>('fitKeys'),
  mandatory: fitted<MandatoryModel>('fitMandatory'),
};
const said: { readonly confidence: number; readonly right: boolean }[] = [];

for (const loss of losses) {
  if (half !== loss.startsWith('half')) continue;
  print(`${loss} dropped`, await scoredAll(realSchemas, loss));
  print(`${loss} dropped, made-up kinds`, await scoredAll(madeSchemas, loss));
}
printCalibration();
if (!half) await planted();

/** Models for each family of schemas, fitted without it. */
function fitted<Kind>(bench: string): Readonly<Record<string, Kind>> {
  const file = join(folder, `${bench}.json`);
  if (existsSync(file)) return JSON.parse(readFileSync(file, 'utf8')) as Record<string, Kind>;
  const run = spawnSync(process.execPath, ['--import', 'tsx', join(import.meta.dirname, `${bench}.ts`), '--models', file], {
    stdio: 'inherit',
  });
  if (run.status !== 0) throw new Error(`bench/${bench}.ts failed: see above.`);
  return JSON.parse(readFileSync(file, 'utf8')) as Record<string, Kind>;
}

function judgeWithout(schema: string): void {
  const family = familyOf(schema);
  const without = <Kind>(all: Readonly<Record<string, Kind>>): Kind => (all[family] ?? all['']) as Kind;
  judgeBy(without(models.references));
  judgeKeysBy(without(models.keys));
  judgeMandatoryBy(without(models.mandatory));
}

async function scoredAll(schemas: readonly string[], loss: Loss): Promise<readonly Score[]> {
  const found: Score[] = [];
  for (const schema of schemas) found.push(...(await scored(schema, loss)));
  return found;
}

async function scored(schema: string, loss: Loss): Promise<readonly Score[]> {
  const found: Score[] = [];
  for (const seed of half ? seeds : [1]) {
    judgeWithout(schema);
    const one = await surveyWith(schema, loss, seed);
    const truth = truthOf(schema);
    const open = new Set(one.open.map((fk) => childKey(fk.childTable, fk.childColumns)));
    const isDeclared = (fk: Truth['fks'][number]): boolean =>
      !open.has(childKey(fk.childTable, fk.childColumns)) &&
      truth.fks.some((other) => childKey(other.childTable, other.childColumns) === childKey(fk.childTable, fk.childColumns));
    const prediction = predictionOf(documentWith(one));
    const fks = prediction.fks.filter((fk) => !isDeclared(fk));
    const result = score({ ...truth, fks: one.open }, { ...prediction, fks });
    const undeclared = truth.fks.length === 0;
    found.push({ ...result, name: half ? `${schema} ${seed}` : schema, undeclared });
    if (!undeclared && !hardlyDeclared.includes(schema)) {
      const right = new Set(one.open.map((fk) => `${childKey(fk.childTable, fk.childColumns)} ${fk.parentTable}`));
      said.push(
        ...fks.map((fk) => ({
          confidence: fk.confidence ?? 1,
          right: right.has(`${childKey(fk.childTable, fk.childColumns)} ${fk.parentTable}`),
        })),
      );
    }
  }
  return found;
}

function documentWith(one: Case): SurveyDocument {
  return documentOf({ ...one, findings: audit(one.catalogue, one.evidence, { at: one.takenAt }), depth: 'exact' });
}

function print(title: string, scores: readonly Score[]): void {
  console.log(
    `\n## ${title}\n\n| schema | references F1 (precision) | found, false, missed | primary keys F1 | uniques F1 | NOT NULL F1 |\n|---|---|---|---|---|---|`,
  );
  for (const one of half ? [] : scores)
    console.log(
      `| ${one.name} | ${one.undeclared ? 'none declared' : `${two(one.fk.f1)} (${two(one.fk.p)})`} | ${one.fk.tp}, ${one.fk.fp}, ${one.fk.fn} | ${two(one.pk.f1)} | ${two(one.unique.f1)} | ${two(one.notNull.f1)} |`,
    );
  const of = (share: Share): readonly Score[] =>
    scores.filter((one) => (share === 'fk' ? !one.undeclared : one[share].tp + one[share].fn > 0));
  const all = shares.map((share) => micro(of(share).map((one) => one[share])));
  const middle = shares.map((share) => median(of(share).flatMap((one) => one[share].f1 ?? [])));
  const [fk, ...rest] = all;
  console.log(
    `| **all together** | **${two(fk?.f1)} (${two(fk?.p)})** | ${fk?.tp}, ${fk?.fp}, ${fk?.fn} | ${rest.map(({ f1 }) => `**${two(f1)}**`).join(' | ')} |`,
  );
  console.log(
    `| **median of ${half ? 'schemas and seeds' : 'schemas'}** | **${two(middle[0])}** | | ${middle
      .slice(1)
      .map((f1) => `**${two(f1)}**`)
      .join(' | ')} |`,
  );
}

function micro(counts: readonly Count[]): Count {
  const sum = (of: (count: Count) => number): number => counts.reduce((total, count) => total + of(count), 0);
  const [tp, fp, fn] = [sum((c) => c.tp), sum((c) => c.fp), sum((c) => c.fn)];
  return { tp, fp, fn, p: tp / (tp + fp), r: tp / (tp + fn), f1: (2 * tp) / (2 * tp + fp + fn) };
}

function median(values: readonly number[]): number {
  const sorted = [...values].sort((a, b) => a - b);
  return ((sorted[Math.floor((sorted.length - 1) / 2)] ?? 0) + (sorted[Math.ceil((sorted.length - 1) / 2)] ?? 0)) / 2;
}

function two(value: number | null | undefined): string {
  return value === null || value === undefined || Number.isNaN(value) ? '–' : value.toFixed(2);
}

function printCalibration(): void {
  console.log('\n## How far confidence keeps its word (references)\n\n| said | proposed | right | share |\n|---|---|---|---|');
  for (const [from, to] of [
    [0.5, 0.6],
    [0.6, 0.7],
    [0.7, 0.8],
    [0.8, 0.9],
    [0.9, 1.01],
  ] as const) {
    const within = said.filter(({ confidence }) => confidence >= from && confidence < to);
    const right = within.filter((one) => one.right).length;
    console.log(`| ${from} to ${Math.min(1, to)} | ${within.length} | ${right} | ${two(right / within.length)} |`);
  }
}

/** Every planted fault with its exact count: found, missed, or counted otherwise. */
async function planted(): Promise<void> {
  judgeWithout(faultySchema);
  const faults = truthOf(faultySchema).planted;
  if (!faults) return;
  const { findings } = documentWith(await faultyCase());
  const at = (table: string, columns: readonly string[]) =>
    findings.filter((f) => f.object.table === table && f.object.columns.join() === columns.join());
  const number = (evidence: unknown, key: string): unknown => (evidence as Record<string, unknown>)[key];
  console.log(
    `\n## ${faultySchema}: planted faults reported with their exact count\n\n| fault | planted | exact | not so |\n|---|---|---|---|`,
  );
  const check = (what: string, all: readonly { readonly ok: boolean; readonly text: string }[]): void => {
    const missed = all.filter((one) => !one.ok).map((one) => one.text);
    console.log(`| ${what} | ${all.length} | ${all.length - missed.length} | ${missed.join('; ') || 'none'} |`);
  };
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
