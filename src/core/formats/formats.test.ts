// What earlier versions stored is read as what it is today. The samples were written by them: the survey of the demo, and plans
// of large dockets of it with what was decided.

import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { gunzipSync } from 'node:zlib';
import { beforeAll, expect, test } from 'vitest';
import { firstEngine } from '../engines/name';
import { readSurveyDocument, type ReadSurvey } from '../../input/surveyDocument';
import { engines, scriptsOf } from '../engines/index';
import { afterPlan, planFor } from '../plan/plan';
import { completeDecision } from '../remedies/question';
import { questionsFor } from '../remedies/index';
import { tableOf } from '../rules/audit';
import type { Finding } from '../rules/finding';
import { catalogueFrom, currentFormat, decisionFrom, type Stored, planFrom, proposalFrom } from './index';

const golden = join(import.meta.dirname, '../../../test/golden');
const unpacked = (name: string): string => gunzipSync(readFileSync(join(golden, name))).toString();

interface Sample {
  readonly decisions: Readonly<Record<string, Stored>>;
  readonly plan: Stored & { readonly mode: 'plain' | 'quiet' };
}
const samples = JSON.parse(unpacked('plans-1.json.gz')) as readonly Sample[];
const document = JSON.parse(unpacked(`${firstEngine}/survey.json.gz`)) as {
  readonly catalogue: Stored;
  readonly findings: readonly Stored[];
};
let survey: ReadSurvey;
beforeAll(async () => {
  survey = await readSurveyDocument(unpacked(`${firstEngine}/survey.json.gz`));
});

const heading = { title: 'kept', source: 'harbour', madeAt: '' };
const decided = (finding: Finding, { decisions }: Sample) =>
  decisionFrom(decisions[finding.id] ?? {}, 1, tableOf(finding.object));

test.each([0, 1, 2])('a plan of the first format is written as it was signed: docket %i', (n) => {
  const sample = samples[n] as Sample;
  const chosen = survey.findings.filter(({ id }) => id in sample.decisions);
  const planned = planFor(
    chosen.map((finding) => ({ finding, decision: decided(finding, sample) })),
    survey.catalogue,
    { label: 'kept', mode: sample.plan.mode },
  );
  // It notes nothing of what was there before, nor whether what is there is what it would make.
  const { record: _, label: __, ...rest } = planned;
  const anew = { ...rest, before: rest.before.filter(({ kind }) => !kind.endsWith('Differs')) };
  const stored = planFrom(sample.plan, 1);
  expect(stored.engine).toBe(Object.keys(engines)[0]);
  expect(scriptsOf(stored, heading, 'guarded')).toEqual(scriptsOf(anew, heading, 'guarded'));
  expect(afterPlan(stored, survey.catalogue)).toEqual(afterPlan(anew, survey.catalogue));
});

test('what was decided stays decided', () => {
  const lost = samples.flatMap((sample) =>
    survey.findings
      .filter(({ id }) => id in sample.decisions)
      .flatMap((finding) => {
        const chosen = decided(finding, sample);
        const complete = completeDecision(questionsFor(finding, survey.catalogue, chosen), chosen);
        return Object.keys(complete)
          .filter((question) => question in chosen && complete[question] !== chosen[question])
          .map((question) => `${finding.id} ${question}`);
      }),
  );
  expect(lost).toEqual([]);
});

test('a catalogue of the first format says what nulls mean and what fills itself', () => {
  const { tables } = catalogueFrom(document.catalogue, 1);
  const keys = tables.flatMap(({ constraints }) => constraints.filter(({ kind }) => kind === 'unique'));
  expect(new Set(keys.map((key) => 'nulls' in key && key.nulls))).toEqual(new Set(['distinct']));
  expect(tables.flatMap(({ columns }) => columns).some(({ fillsItself }) => fillsItself)).toBe(true);
  expect(JSON.stringify(tables)).not.toContain('nullsDistinct');
});

test('a proposal of the first format takes what it needs from its facts, and one of today nothing', () => {
  const stored = { kind: 'nulls', columns: ['grade'] };
  expect(proposalFrom(stored, 1, { nulls: 3 })).toEqual({ ...stored, rows: 3 });
  const today = { ...stored, rows: 4 };
  expect(proposalFrom(today, currentFormat, { nulls: 3 })).toBe(today);
});

test('what was brought up to date once is left as it is', () => {
  const once = catalogueFrom(document.catalogue, 1);
  expect(catalogueFrom(once as unknown as Stored, 1)).toEqual(once);
  for (const { plan, decisions } of samples) {
    const planned = planFrom(plan, 1);
    expect(planFrom(planned as unknown as Stored, 1)).toEqual(planned);
    for (const finding of survey.findings) {
      const decision = decisionFrom(decisions[finding.id] ?? {}, 1, tableOf(finding.object));
      expect(decisionFrom(decision, 1, tableOf(finding.object))).toEqual(decision);
    }
  }
  for (const { proposal, facts } of document.findings) {
    const known = proposalFrom(proposal as Stored, 1, facts);
    expect(proposalFrom(known as unknown as Stored, 1, facts)).toEqual(known);
  }
});

test('an upgrade takes anything', () => {
  for (const odd of [
    {},
    { tables: 7 },
    { tables: [null, [], { columns: 'x' }] },
    { steps: [{ operation: null }] },
  ] as readonly Stored[]) {
    expect(() => catalogueFrom(odd, 1)).not.toThrow();
    expect(() => planFrom(odd, 1)).not.toThrow();
    expect(() => proposalFrom(odd, 1, odd)).not.toThrow();
  }
});
