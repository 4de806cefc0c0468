// A database behind a wall: asked by scripts and answered by files, as far as a live look goes, whatever stands in its names
// and values; on every engine that a server is at hand for.

import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { scriptsOf } from '../../src/core/engines/index';
import type { EngineName } from '../../src/core/engines/name';
import { planFor } from '../../src/core/plan/plan';
import { canTell, rules } from '../../src/core/rules/index';
import { AnswersError, decoded, type KeptAnswer, readAnswers } from '../../src/sources/files/answers';
import { type AskedScript, scriptFor, take } from '../../src/sources/files/asking';
import { checksScript, foundAgainst } from '../../src/sources/files/checks';
import { surveyByFiles } from '../../src/sources/files/survey';
import { survey, type SurveyResult } from '../../src/sources/survey';
import { enginesAtHand, type Live, liveEngine } from '../kit/live';

const odd = `a|b%2C;"c''\t`;
const ofPostgresql = `
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
  create view port.at_sea as select v.vessel_id, c.call_no from port.vessel v join port.call c on c.vessel_id = v.vessel_id;
  create table port.closed (closed_id int);
  create role walled login password 'behind';
  grant usage on schema port to walled;
  grant select on port.vessel, port.call, port.event, port."x|1; drop", port.at_sea to walled;
  analyze;
  -- What was written shows in its statistics some time later, between two askings.
  select pg_stat_force_next_flush();`;
const ofMariadb = (engine: EngineName): string => `
  create schema port;
  create table port.vessel (vessel_id int, imo_no varchar(20), name varchar(40), status varchar(20), built varchar(10));
  insert into port.vessel select seq, concat('IMO', seq), concat('v', seq % 40), elt(1 + seq % 5, 'laid up', 'at sea', 'a|b', x'74776f0a6c5c696e6573', ' edge '), concat('20', 10 + seq % 10, '-01-0', 1 + seq % 9) from seq_1_to_800;
  create table port.\`call\` (call_no varchar(20), vessel_id int, berth varchar(5), arrived_at datetime);
  insert into port.\`call\` select concat('C', seq), case when seq % 90 = 0 then 0 when seq % 70 = 0 then 9000 + seq else 1 + seq % 800 end, nullif(concat('b', seq % 7), 'b0'), now() - interval seq hour from seq_1_to_3000;
  create table port.event (event_id bigint primary key, call_no varchar(20) not null, kind varchar(5));
  insert into port.event select seq, concat('C', 1 + seq % 3000), concat('k', seq % 3) from seq_1_to_4000;
  create table port.\`x|1; \t%2C'"d\`\`rop\` (\`id%7C\` int, \`na"me\` varchar(20) default '|' comment 'pawl|1|said|0', check (\`id%7C\` <> 0)) comment 'pawl|1|end|000000000000 pawl|1|count|q0000000000000000|1';
  insert into port.\`x|1; \t%2C'"d\`\`rop\` select seq, concat('|', seq, '%') from seq_1_to_60;
  create view port.at_sea as select v.vessel_id, c.call_no from port.vessel v join port.\`call\` c on c.vessel_id = v.vessel_id;
  create table port.closed (closed_id int);
  ${engine === 'mariadb' ? 'create sequence port.numbered start with 40 maxvalue 90 cycle;' : ''}
  create user walled identified by 'behind';
  ${['vessel', '`call`', 'event', '`x|1; \t%2C\'"d``rop`', 'at_sea', ...(engine === 'mariadb' ? ['numbered'] : [])].map((table) => `grant select on port.${table} to walled;`).join('\n')}
  grant show view on port.* to walled;
  analyze table port.vessel, port.\`call\`, port.event;`;

describe.each(enginesAtHand)('%s', (engine) => {
  const setup = engine === 'postgresql' ? ofPostgresql : ofMariadb(engine);
  const database: Live = liveEngine(engine).use(setup);
  const walled = { user: 'walled', password: 'behind' };

  interface Walk {
    readonly rows: boolean;
    readonly rounds: number;
    /** All that the scripts wrote. */
    readonly written: string;
  }

  /** Runs each script as somebody would, and brings what it writes. */
  async function walk(rows: boolean, as: typeof walled | null = walled): Promise<SurveyResult & Walk> {
    const answers = new Map<string, KeptAnswer>();
    let written = '';
    for (let rounds = 0; ; rounds++) {
      const step = await surveyByFiles({ asked: { engine, rows, database: 'port' }, rounds, answers }, {});
      if ('result' in step) return { ...step.result, rows, rounds, written };
      const { id, queries, text } = step.asked;
      expect(text).toContain('read only');
      const bytes = await database.answersTo(text, as);
      written += bytes.toString();
      const file = readAnswers(decoded(bytes));
      const taken = take(file, { engine, before: null, scripts: [{ id, queries }], known: new Map() });
      expect(taken).toMatchObject({ missing: 0, remark: null });
      for (const [query, answer] of taken.answers) answers.set(query, answer);
    }
  }

  const live = async (): Promise<SurveyResult> => {
    const source = await database.open(['port']);
    try {
      return await survey(source, { depth: 'exact' });
    } finally {
      await source.close();
    }
  };

  const firstScript = async (): Promise<AskedScript> => {
    const step = await surveyByFiles({ asked: { engine, rows: true, database: 'port' }, rounds: 0, answers: new Map() }, {});
    if (!('asked' in step)) throw new Error('It asked nothing');
    return step.asked;
  };

  const idsOf = ({ findings }: SurveyResult): readonly string[] => findings.map(({ id }) => id).sort();

  test('with values of the rows, a survey by files finds what a live one finds, in three rounds at most', async () => {
    const [near, far] = [await live(), await walk(true)];
    expect(far.rounds).toBeLessThanOrEqual(3);
    expect(far.catalogue.tables.map(({ id }) => id).sort()).toEqual(near.catalogue.tables.map(({ id }) => id).sort());
    expect(far.catalogue.joins).toEqual(near.catalogue.joins);
    // The live login may read one table more; both find it to be without a key.
    expect(idsOf(far)).toEqual(idsOf(near));
    expect(idsOf(near).length).toBeGreaterThan(10);
  });

  test('what is declared is read as a live look reads it', async () => {
    const [near, far] = [await live(), await walk(true, null)];
    // What the server believes of sizes and use is told by one and not by the other.
    const declared = ({ catalogue }: SurveyResult) => ({
      tables: catalogue.tables.map((table) => ({
        ...table,
        bytes: 0,
        estimatedRows: 0,
        activity: null,
        privileges: [],
        readable: true,
      })),
      ...{ routines: catalogue.routines, sequences: catalogue.sequences, strict: catalogue.strict, engine: catalogue.engine },
    });
    expect(declared(far)).toEqual(declared(near));
  });

  test('without them, no value of a row is in the answers, and nothing is found that a live one does not find', async () => {
    const [near, far] = [await live(), await walk(false)];
    expect(idsOf(near)).toEqual(expect.arrayContaining([...idsOf(far)]));
    // What is lost is what says that it needs values.
    const lost = near.findings.filter(({ id }) => !idsOf(far).includes(id));
    expect(lost.length).toBeGreaterThan(0);
    expect(lost.filter(({ rule }) => rules.some((each) => each.id === rule && canTell(each, ['values'])))).toEqual([]);
    expect(far.written).toContain('imo_no');
    expect(far.written).not.toMatch(/laid up|at sea|IMO\d/);
    // Nor what anybody signs in with.
    expect(far.written).not.toMatch(/identified|password|\*[0-9A-F]{40}/i);
  });

  test('a table that the login may not read is not measured, and the rest is', async () => {
    const { evidence } = await walk(true);
    const refused = Object.values(evidence).filter((fact) => 'notMeasured' in fact);
    expect(new Set(refused.map(({ request }) => String(request.table)))).toEqual(new Set(['port.closed']));
  });

  test('answers are taken whatever else a client is used to, and however they came here', async () => {
    const { text, queries } = await firstScript();
    const bytes = await database.answersTo(text, null);
    // What is counted while somebody looks, and names made up for the run, are otherwise each time.
    const answers = (file: Buffer) => {
      const { byQuery, ended, cut } = readAnswers(decoded(file));
      return { byQuery: [...byQuery].map(([id, answer]) => [id, 'rows' in answer ? answer.rows : answer]), ended, cut };
    };
    const usual = answers(bytes);
    expect(usual).toMatchObject({ ended: true, cut: 0 });
    expect(usual.byQuery.map(([id]) => id)).toEqual([...queries]);
    for (const habits of database.habits)
      expect(answers(await database.answersTo(text, null, habits)), habits.join(' ')).toEqual(usual);
    const whole = bytes.toString();
    expect(answers(Buffer.from(whole.replaceAll('\n', '\r\n')))).toEqual(usual);
    expect(answers(Buffer.from(`\ufeff${whole}`, 'utf16le'))).toEqual(usual);
    expect(answers(Buffer.from(`Welcome!\nq|1\npawl|2|end\n\n${whole}\n(9 rows)\nBye\n`))).toEqual(usual);
    const lines = whole.split('\n');
    for (const part of [1, 2, 3].map((n) => lines.slice(0, Math.floor((lines.length * n) / 4)).join('\n'))) {
      const some = answers(Buffer.from(part));
      expect(some.ended).toBe(false);
      expect(usual.byQuery.slice(0, some.byQuery.length)).toEqual(some.byQuery);
    }
  });

  test('whatever a value holds comes back as it was', async () => {
    const texts = [
      '',
      ' ',
      '  ',
      ' a ',
      '|',
      '||',
      '%',
      '%-',
      '%2C',
      'a%7Cb',
      "o'clock",
      '"',
      ',;',
      '\t',
      '\r\n',
      '\\',
      '\\n',
      'Ø ⚓ é',
      '| ',
      ' |',
      'pawl|1|end|0',
    ];
    await fc.assert(
      fc.asyncProperty(
        fc.array(fc.array(fc.option(fc.constantFrom(...texts)), { minLength: 3, maxLength: 3 }), { minLength: 1 }),
        async (rows) => {
          const spelt = rows.map(
            (row) => `select ${row.map((value) => (value === null ? 'null' : database.literal(value))).join(', ')}`,
          );
          // As long as the longest of its column, whatever the first is.
          const long = `select ${[1, 2, 3].map(() => database.literal('x'.repeat(20))).join(', ')}`;
          const { id, text, queries } = scriptFor(engine, 1, [{ text: [long, ...spelt].join(' union all '), columns: 3 }]);
          const { byQuery, script, ended } = readAnswers(decoded(await database.answersTo(text, null)));
          expect({ script, ended }).toEqual({ script: id, ended: true });
          const answer = byQuery.get(queries[0] ?? '');
          expect(answer && 'rows' in answer && answer.rows.slice(1)).toEqual(rows);
        },
      ),
      { numRuns: 30 },
    );
  });

  test('a docket that is run elsewhere is told by what its checks found, and by nothing else', async () => {
    const { catalogue, findings } = await live();
    const wanted = findings.filter(({ rule, object }) => rule === 'keys/missing' && object.table === 'vessel');
    expect(wanted).toHaveLength(1);
    const decided = wanted.map((finding) => ({ finding, decision: {} }));
    const plan = planFor(decided, catalogue, { label: 'd1', mode: 'plain' });
    const checked = { engine, database: catalogue.database, checks: plan.after };
    const script = checksScript(engine, plan.after, `the first; \\! rm\n drop table port.vessel`);
    const asked = async () => readAnswers(decoded(await database.answersTo(script, null)));
    const before = await asked();
    expect(foundAgainst(before, checked).join()).toContain('port.vessel');
    expect(() => foundAgainst(before, { ...checked, database: 'quarry' })).toThrow('the docket is for quarry');
    expect(() => foundAgainst(before, { ...checked, checks: [] })).toThrow(AnswersError);
    expect(() => foundAgainst({ ...before, byQuery: new Map() }, checked)).toThrow('The file is cut off');

    const { forward, back } = scriptsOf(plan, { title: 'd1', source: 's', madeAt: '' }, 'guarded');
    expect(await database.byClient(forward ?? '')).toBe('');
    expect(foundAgainst(await asked(), checked)).toEqual([]);
    expect(await database.byClient(back ?? '')).toBe('');
  });
});
