// Names that mean harm: they end lines, texts and statements, hide, turn the order of what is read, and stand at the limit of
// length. What is planned on them is run and taken back, by us and by psql.

import pg from 'pg';
import { beforeAll, expect, test } from 'vitest';
import type { Catalogue } from '../../src/core/catalogue/model';
import { postgresql } from '../../src/core/engines/postgresql/index';
import { unseen } from '../../src/core/naming/visible';
import { operationInWords } from '../../src/core/operations/index';
import { planFor } from '../../src/core/plan/plan';
import type { Decision } from '../../src/core/remedies/question';
import { wordsOf } from '../../src/core/rules/audit';
import { openSource } from '../../src/sources/postgresql/reader';
import { differences } from '../../src/sources/run/scratch';
import { fingerprintOf } from '../../src/sources/postgresql/scratch';
import { survey, type SurveyResult } from '../../src/sources/survey';
import { useDatabase } from '../kit/database';
import { runScript } from '../kit/psql';

const schema = 'fee\u202eeef';
const parent = `ve\nssel'; drop table loot; --`;
const key = 'id"\u200b\\';
const child = `\\! touch /tmp/pwned\t${'ø'.repeat(20)}`;
const childKey = `no\r\n:'x' \u2028\\gset`;
const q = (name: string): string => pg.escapeIdentifier(name);

const database = useDatabase(`
  create table loot (id int);
  create schema ${q(schema)};
  create table ${q(schema)}.${q(parent)} (${q(key)} int primary key, ${q('co\u202ede')} text not null);
  insert into ${q(schema)}.${q(parent)} select n, E'C\\n''' || n from generate_series(1, 200) n;
  create table ${q(schema)}.${q(child)} (${q(childKey)} int not null, ${q(`ve\nssel'; drop table loot; -- id`)} int, ${q('grade\u0007')} text);
  insert into ${q(schema)}.${q(child)} select n, n % 200 + 1, case when n % 9 > 0 then 'g' end from generate_series(1, 900) n;
  alter table ${q(schema)}.${q(child)} add constraint ${q('fk\n; drop')} foreign key (${q(`ve\nssel'; drop table loot; -- id`)}) references ${q(schema)}.${q(parent)} not valid;
  analyze;`);
let seen: SurveyResult;

beforeAll(async () => {
  const source = await openSource(database.details);
  seen = await survey(source, { depth: 'exact' });
  await source.close();
});

const typed = (kind: string): Decision => (kind === 'nulls' ? { nulls: 'value', 'nulls.typed': "a\nb'\u202e" } : {});
const planned = (mode: 'plain' | 'quiet') =>
  planFor(
    seen.findings
      .filter(({ proposal }) => !['byHand', 'replaceKey'].includes(proposal.kind))
      .map((finding) => ({
        finding,
        decision: typed(finding.proposal.kind),
      })),
    seen.catalogue,
    { label: 'names', mode },
  );

test('every one of them is audited, and said without anything in it that hides', () => {
  expect(seen.findings.length).toBeGreaterThan(3);
  for (const finding of seen.findings) {
    const { title, message, consequence, evidence } = wordsOf(finding);
    expect([title, message, consequence, ...evidence.map(({ text }) => text)].filter((text) => unseen.test(text))).toEqual([]);
  }
  expect(namesOf(seen.catalogue)).toEqual(expect.arrayContaining([parent, child, childKey, key]));
});

test.each(['plain', 'quiet'] as const)(
  'their %s scripts are readable, run twice forward and twice back, and leave all as it was',
  async (mode) => {
    const plan = planned(mode);
    expect(plan.steps.length).toBeGreaterThan(2);
    const scripts = postgresql.dialect.scripts(plan, { title: `t\n\\! id`, source: 's\u202e', madeAt: 'm' });
    for (const text of Object.values<string>({ ...scripts })) expect(text.replaceAll('\n', '')).not.toMatch(unseen);
    expect(plan.steps.map(({ operation }) => operationInWords(operation)).length).toBe(plan.steps.length);
    const before = await fingerprintOf(database.details);
    for (const name of ['before', 'forward', 'forward', 'after', 'back', 'back'] as const)
      expect([name, await runScript(database.details, scripts[name])]).toEqual([name, '']);
    expect(differences(before, await fingerprintOf(database.details))).toEqual([]);
    expect((await database.run(`select to_regclass('public.loot') is not null as there`)).rows).toEqual([{ there: true }]);
  },
);

function namesOf({ tables }: Catalogue): readonly string[] {
  return tables.flatMap((table) => [table.name, ...table.columns.map(({ name }) => name)]);
}
