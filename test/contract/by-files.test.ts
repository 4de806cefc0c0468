// A database behind a wall: asked by scripts and answered by files, as far as a live look goes, whatever stands in its names
// and values.

import { describe, expect, test } from 'vitest';
import { firstEngine } from '../../src/core/engines/name';
import { rules } from '../../src/core/rules/index';
import { planFor } from '../../src/core/plan/plan';
import { AnswersError, decoded, type KeptAnswer, readAnswers } from '../../src/sources/files/answers';
import { take } from '../../src/sources/files/asking';
import { checksScript, foundAgainst } from '../../src/sources/files/checks';
import { surveyByFiles } from '../../src/sources/files/survey';
import { survey, type SurveyResult } from '../../src/sources/survey';
import { useDatabase } from '../kit/database';
import { answersTo, runScript } from '../kit/psql';
import { scriptsOf } from '../../src/core/engines/index';

const odd = `a|b%2C;"c''\t`;
const database = useDatabase(`
  create schema port; create schema "${odd.replaceAll("''", "'").replaceAll('"', '""')}";
  create table port.vessel (vessel_id int, imo_no text, name text, status text, built text);
  insert into port.vessel select n, 'IMO' || n, 'v' || n % 40, (array['laid up', 'at sea', 'a|b', E'two\\nlines', ' edge '])[1 + n % 5], '20' || 10 + n % 10 || '-01-0' || 1 + n % 9 from generate_series(1, 800) n;
  create table port.call (call_no text, vessel_id int, berth text, arrived_at timestamptz);
  insert into port.call select 'C' || n, case when n % 90 = 0 then 0 when n % 70 = 0 then 9000 + n else 1 + n % 800 end, nullif('b' || n % 7, 'b0'), now() - n * interval '1 hour' from generate_series(1, 3000) n;
  create table port.event (event_id bigint primary key, call_no text not null, kind text);
  insert into port.event select n, 'C' || 1 + n % 3000, 'k' || n % 3 from generate_series(1, 4000) n;
  create table port."x|1; drop" ("id%7C" int, "na""me" text);
  insert into port."x|1; drop" select n, '|' || n || '%' from generate_series(1, 60) n;
  comment on table port."x|1; drop" is E'pawl|1|end|000000000000\\npawl|1|count|q0000000000000000|1';
  create table port.closed (closed_id int);
  create role walled login password 'behind';
  grant usage on schema port to walled;
  grant select on port.vessel, port.call, port.event, port."x|1; drop" to walled;
  analyze;`);
const asWalled = () => ({ ...database.details, user: 'walled', password: 'behind' });

interface Walk {
  readonly rows: boolean;
  readonly rounds: number;
}

/** Runs each script as somebody would, and brings what it writes. */
async function walk(rows: boolean): Promise<SurveyResult & Walk> {
  const answers = new Map<string, KeptAnswer>();
  for (let rounds = 0; ; rounds++) {
    const step = await surveyByFiles({ engine: firstEngine, rows, rounds, answers }, {});
    if ('result' in step) return { ...step.result, rows, rounds };
    const { id, queries, text } = step.asked;
    expect(text).toContain('read only');
    const file = readAnswers(decoded(await answersTo(asWalled(), text)));
    const taken = take(file, { engine: firstEngine, before: null, scripts: [{ id, queries }], known: new Map() });
    expect(taken).toMatchObject({ missing: 0, remark: null });
    for (const [query, answer] of taken.answers) answers.set(query, answer);
  }
}

const live = async (): Promise<SurveyResult> => {
  const source = await database.open();
  try {
    return await survey(source, { depth: 'exact' });
  } finally {
    await source.close();
  }
};

const idsOf = ({ findings }: SurveyResult): readonly string[] => findings.map(({ id }) => id).sort();

test('with values of the rows, a survey by files finds what a live one finds, in three rounds at most', async () => {
  const [near, far] = [await live(), await walk(true)];
  expect(far.rounds).toBeLessThanOrEqual(3);
  expect(far.catalogue.tables.map(({ id }) => id).sort()).toEqual(near.catalogue.tables.map(({ id }) => id).sort());
  // The live login may read one table more; both find it to be without a key.
  expect(idsOf(far)).toEqual(idsOf(near));
  expect(idsOf(near).length).toBeGreaterThan(10);
});

test('without them, no value of a row is in the answers, and nothing is found that a live one does not find', async () => {
  const [near, far] = [await live(), await walk(false)];
  expect(idsOf(near)).toEqual(expect.arrayContaining([...idsOf(far)]));
  // What is lost is what says that it needs values.
  const lost = near.findings.filter(({ id }) => !idsOf(far).includes(id));
  expect(lost.length).toBeGreaterThan(0);
  expect(lost.filter(({ rule }) => !rules.find(({ id }) => id === rule)?.readsValues)).toEqual([]);
  const asked = await surveyByFiles({ engine: firstEngine, rows: false, rounds: 0, answers: new Map() }, {});
  if (!('asked' in asked)) throw new Error('It asked nothing');
  const answers = new Map<string, KeptAnswer>();
  let written = '';
  for (let step = asked, rounds = 1; 'asked' in step && rounds <= 3; rounds++) {
    const bytes = await answersTo(asWalled(), step.asked.text);
    written += bytes.toString();
    for (const [query, answer] of readAnswers(decoded(bytes)).byQuery) answers.set(query, answer);
    step = (await surveyByFiles({ engine: firstEngine, rows: false, rounds, answers }, {})) as typeof asked;
  }
  expect(written).toContain('imo_no');
  expect(written).not.toMatch(/laid up|at sea|IMO\d/);
});

test('a table that the login may not read is not measured, and the rest is', async () => {
  const { evidence } = await walk(true);
  const refused = Object.values(evidence).filter((fact) => 'notMeasured' in fact);
  expect(new Set(refused.map(({ request }) => String(request.table)))).toEqual(new Set(['port.closed']));
});

describe('a docket that is run elsewhere', () => {
  test('is told by what its checks found, and by nothing else', async () => {
    const { catalogue, findings } = await live();
    const wanted = findings.filter(({ rule, object }) => rule === 'keys/missing' && object.table === 'vessel');
    expect(wanted).toHaveLength(1);
    const decided = wanted.map((finding) => ({ finding, decision: {} }));
    const plan = planFor(decided, catalogue, { label: 'd1', mode: 'plain' });
    const checked = { engine: firstEngine, database: catalogue.database, checks: plan.after };
    const script = checksScript(firstEngine, plan.after, `the first; \\! rm\n drop table port.vessel`);
    const before = readAnswers(decoded(await answersTo(database.details, script)));
    expect(foundAgainst(before, checked).join()).toContain('port.vessel');
    expect(() => foundAgainst(before, { ...checked, database: 'quarry' })).toThrow('the docket is for quarry');
    expect(() => foundAgainst(before, { ...checked, checks: [] })).toThrow(AnswersError);
    expect(() => foundAgainst({ ...before, byQuery: new Map() }, checked)).toThrow('The file is cut off');

    const { forward, back } = scriptsOf(plan, { title: 'd1', source: 's', madeAt: '' }, 'guarded');
    expect(await runScript(database.details, forward ?? '')).toBe('');
    expect(foundAgainst(readAnswers(decoded(await answersTo(database.details, script))), checked)).toEqual([]);
    expect(await runScript(database.details, back ?? '')).toBe('');
  });
});
