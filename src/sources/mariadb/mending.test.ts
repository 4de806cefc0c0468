// Generated schemas with faults, on a real server: everything that has a script is mended, nothing of it is found again, a second
// run changes nothing, and going back restores what SHOW CREATE TABLE says, and every row. PAWL_SEEDS asks for more.

import fc from 'fast-check';
import { expect, test } from 'vitest';
import { quote } from '../../core/engines/mariadb/quote';
import type { Plan } from '../../core/plan/shape';
import { planFor } from '../../core/plan/plan';
import { answeredBy } from '../../../test/kit/answered';
import { useMariadb, useMysql } from '../../../test/kit/mariadb';
import { carryOutPlan } from '../run/carryOut';
import { provePlan } from '../run/prove';
import { differences } from '../run/scratch';
import { survey, type SurveyResult } from '../survey';
import { openSource } from './reader';
import { fingerprintOf } from './scratch';
import { openSession } from './session';

const server = process.env['PAWL_TEST_ENGINE'] === 'mysql' ? useMysql() : useMariadb();
const seeds = Number(process.env['PAWL_SEEDS'] ?? 100);
const seed = Number(process.env['PAWL_SEED'] ?? 1);
const database = 'the `g"; --';

const table = fc.record({
  suffix: fc.constantFrom('', ' Log', '"; drop', "'s", '_é', '`', ' \\! \\'),
  rows: fc.integer({ min: 3, max: 120 }),
  key: fc.constantFrom('primary', 'unique', 'indexed', 'none'),
  numbered: fc.boolean(),
  repeats: fc.integer({ min: 0, max: 2 }),
  parent: fc.nat(3),
  orphans: fc.integer({ min: 0, max: 5 }),
  /** A reference that is declared, or was and left its index behind; rows may have gone past it. */
  declared: fc.constantFrom('yes', 'once', 'no'),
  mandatory: fc.boolean(),
  nulls: fc.integer({ min: 0, max: 3 }),
  berth: fc.constantFrom('null', "''", "'N/A'", "'north'"),
  wrong: fc.integer({ min: 0, max: 2 }),
  negative: fc.boolean(),
  /** Columns that have to be said whole when they change: with a comment, a check of their own, an encoding, a moment. */
  said: fc.constantFrom(
    'varchar(20)',
    "varchar(20) character set latin1 comment 'it''s \\\\ here, (so)'",
    "varchar(20) collate utf8mb4_bin default 'a,b'",
    'varchar(20) check (char_length(`said`) < 20)',
  ),
  moment: fc.constantFrom(
    'datetime',
    'timestamp null',
    'timestamp null default null on update current_timestamp()',
    "date default '2026-02-03'",
  ),
  engine: fc.constantFrom('InnoDB', 'InnoDB', 'InnoDB', 'MyISAM'),
});
const schema = fc.array(table, { minLength: 1, maxLength: 4 });
const choices = fc.record({
  mode: fc.constantFrom('plain' as const, 'quiet' as const),
  orphans: fc.constantFrom('empty', 'remove', 'parents', 'leave'),
  onDelete: fc.constantFrom('no action', 'restrict', 'cascade', 'set null'),
  onUpdate: fc.constantFrom('no action', 'cascade', 'set null'),
  key: fc.constantFrom('surrogate', 'natural'),
  repeats: fc.constantFrom('first', 'last', 'complete', 'leave'),
  nulls: fc.constantFrom('constant', 'column', 'default', 'leave'),
  broken: fc.constantFrom('leave', 'empty', 'constant', 'remove'),
});
const typed = { 'nulls typed': 'filled', 'broken typed': '0', 'orphans typed': 'vessel-1' };
type Drawn = typeof schema extends fc.Arbitrary<infer T> ? T : never;

const nouns = ['vessel', 'berth', 'manifest', 'pilot'];

function statementsFor(drawn: Drawn): readonly string[] {
  const name = (n: number): string => `${quote(database)}.${quote(`${nouns[n]}${drawn[n]?.suffix ?? ''}`)}`;
  const made = drawn.flatMap((t, n) => {
    const key = `${nouns[n]}_no`;
    const parent = t.parent % drawn.length;
    const holds = t.key !== 'none' && !(t.key === 'indexed');
    const repeats = holds ? 0 : Math.min(t.repeats, t.rows - 2);
    const nulls = t.mandatory ? 0 : t.nulls;
    const keys = [...(t.numbered ? ['row_id int unsigned not null auto_increment primary key first'] : [])];
    const declaredKey =
      t.key === 'primary'
        ? t.numbered
          ? `unique key (${key})`
          : `primary key (${key})`
        : t.key === 'unique'
          ? `unique key ${quote(`uq ${n}`)} (${key})`
          : t.key === 'indexed'
            ? `key (${key})`
            : '';
    return [
      `create table ${name(n)} (${key} varchar(20) ${holds ? 'not null' : ''}, ${nouns[parent]}_ref_no varchar(20) ${t.mandatory ? 'not null' : ''}, status varchar(9) default 'open', noted_on date, basin_name varchar(20), weight int, said ${t.said}, moment ${t.moment}${declaredKey === '' ? '' : `, ${declaredKey}`}) engine = ${t.engine}`,
      ...keys.map(
        (column) =>
          `alter table ${name(n)} add column ${column.replace(' primary key first', t.key === 'primary' && !t.numbered ? ' unique' : ' primary key first')}`,
      ),
      `insert into ${name(n)} (${key}, ${nouns[parent]}_ref_no, status, noted_on, basin_name, weight, said, moment) select concat('${nouns[n]}-', case when seq <= ${repeats} then ${t.rows} else seq end),
         case when seq <= ${t.orphans} then concat('none-', seq) when seq > ${t.rows - nulls} then null else concat('${nouns[parent]}-', 1 + seq % ${drawn[parent]?.rows ?? 1}) end,
         elt(1 + seq % 3, 'open', 'shut', 'shut'), date '2026-01-01' + interval seq day, case when seq <= ${t.wrong} then ${t.berth} else concat('basin ', seq % 7) end, case when ${t.negative} and seq = 3 then -1 else seq % 50 end,
         concat('s', seq), date '2026-03-01' + interval seq day
         from seq_1_to_${t.rows}`,
    ];
  });
  const references = drawn.flatMap((t, n) => {
    const parent = t.parent % drawn.length;
    const target = drawn[parent];
    if (
      t.declared === 'no' ||
      !target ||
      !['primary', 'unique'].includes(target.key) ||
      t.engine !== 'InnoDB' ||
      target.engine !== 'InnoDB'
    )
      return [];
    return [
      `set statement foreign_key_checks = 0 for alter table ${name(n)} add constraint ${quote(`once ${n}`)} foreign key (${nouns[parent]}_ref_no) references ${name(parent)} (${nouns[parent]}_no)`,
      ...(t.declared === 'once' ? [`alter table ${name(n)} drop foreign key ${quote(`once ${n}`)}`] : []),
    ];
  });
  return [
    `drop database if exists ${quote(database)}`,
    `create database ${quote(database)}`,
    `use ${quote(database)}`,
    ...made,
    ...references,
  ];
}

async function look(): Promise<SurveyResult> {
  const source = await openSource(server.details([database]));
  try {
    return await survey(source, { depth: 'exact', schemas: [database] });
  } finally {
    await source.close();
  }
}

async function carriedOut(plan: Plan, drawn: string, mended: (left: readonly string[]) => void): Promise<boolean> {
  const session = await openSession(server.details([database]));
  let changed = 0;
  const listener = { ended: (_: number, outcome: { readonly changed: boolean }) => void (changed += outcome.changed ? 1 : 0) };
  try {
    try {
      await carryOutPlan(session, plan, 'forward', listener);
    } catch (error) {
      // What was typed may be no key of the parent: that is seen before anything is done.
      if (String(error).includes('Nothing was changed')) return false;
      throw error;
    }
    for await (const { outcome, title } of provePlan(session, plan)) expect(outcome, title).not.toBe('accepted');
    mended((await look()).findings.map(({ id }) => id));
    changed = 0;
    await carryOutPlan(session, plan, 'forward', listener);
    expect(changed, drawn).toBe(0);
    await carryOutPlan(session, plan, 'back', listener);
    return true;
  } finally {
    await session.close();
  }
}

test(
  `all remedies forward leave no such finding, back leaves nothing changed (${seeds} schemas)`,
  { timeout: 1_800_000 },
  async () => {
    const kinds = new Set<string>();
    const carriers = new Set<string>();
    await server.run("set sql_mode = 'STRICT_TRANS_TABLES'");
    await fc.assert(
      fc.asyncProperty(schema, choices, async (drawn, { mode, ...decision }) => {
        for (const statement of statementsFor(drawn)) await server.run(statement);
        const before = await fingerprintOf(server.details([database]));
        const { findings, catalogue } = await look();
        const chosen = findings.filter((finding) => finding.proposal.kind !== 'byHand');
        const decided = chosen.map((finding) => ({
          finding,
          decision: answeredBy(finding, catalogue, { ...decision, ...typed }),
        }));
        const plan = planFor(decided, catalogue, { label: 'd1', mode });
        for (const { operation } of plan.steps) kinds.add(operation.kind);
        for (const operation of [...plan.steps.map((step) => step.operation), ...plan.back])
          if (operation.also) carriers.add(operation.kind);
        const ids = new Set<string>(plan.steps.map((step) => step.finding));
        await carriedOut(plan, JSON.stringify(plan.steps.map(({ operation }) => operation.kind)), (left) =>
          expect(left.filter((id) => ids.has(id))).toEqual([]),
        );
        expect(differences(before, await fingerprintOf(server.details([database])))).toEqual([]);
      }),
      { numRuns: seeds, seed },
    );
    if (seeds < 60) return;
    expect([...kinds]).toEqual(expect.arrayContaining(['setAside', 'addForeignKey', 'addCheck', 'setNotNull', 'numberRows']));
    expect([...carriers]).toEqual(expect.arrayContaining(['addPrimaryKey', 'dropNotNull', 'numberRows', 'setNotNull']));
  },
);
