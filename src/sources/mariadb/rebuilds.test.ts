// One rebuild of a table serves several of its remedies: on a real server, there, again and back, and when one of them fails.

import { expect, test } from 'vitest';
import { tableId } from '../../core/catalogue/identifiers';
import { mariadb } from '../../core/engines/mariadb/index';
import type { Operation } from '../../core/operations/index';
import { useMariadb } from '../../../test/kit/mariadb';
import { planOfAll } from '../../../test/kit/planned';
import { carryOutPlan, carryOutWhatHolds } from '../run/carryOut';
import { perform } from '../run/perform';
import { differences } from '../run/scratch';
import type { Session } from '../run/session';
import { openSource } from './reader';
import { fingerprintOf } from './scratch';
import { openSession } from './session';

const server = useMariadb(`
  create database port;
  use port;
  create table pass (pass_no varchar(20) not null, gate varchar(20), \`no\\te's\` varchar(20) default 'x, "y"' comment 'said, by', weight int unsigned);
  insert into pass select concat('P', seq), concat('g', seq % 5), concat('n', seq % 9), seq % 70 from seq_1_to_400;
  create table noted (said varchar(20), at datetime(3), kind varchar(9), weight decimal(9,2));
  insert into noted select concat('s', seq % 40), date '2026-01-01' + interval seq % 30 day, 'x', seq % 50 from seq_1_to_400;
  create table old (no int primary key, code varchar(20) not null, area int, depth int);
  insert into old select seq, concat('c', seq), seq % 3, seq % 5 from seq_1_to_50`);
const details = () => server.details(['port']);

async function inSession<T>(work: (session: Session) => Promise<T>): Promise<T> {
  const session = await openSession(details());
  try {
    return await work(session);
  } finally {
    await session.close();
  }
}

const planned = async () => planOfAll(await openSource(details()), { mode: 'quiet' });

test('a key and columns that are never empty take one rebuild of each table, there and back', { timeout: 120_000 }, async () => {
  const plan = await planned();
  const carrying = plan.steps.flatMap(({ operation: o }) => (o.also ? [`${o.kind} ${o.table} ${o.also.length}`] : []));
  expect(carrying).toEqual(expect.arrayContaining([expect.stringMatching(/^addPrimaryKey port\.pass 3$/)]));
  expect(carrying).toEqual(expect.arrayContaining([expect.stringMatching(/^numberRows port\.noted 4$/)]));
  const before = await fingerprintOf(details());
  await inSession(async (session) => {
    const said: string[] = [];
    const listener = { ended: (_: number, { words }: { readonly words: string }) => void said.push(words) };
    await carryOutPlan(session, plan, 'forward', listener);
    expect(said.filter((words) => words.includes('by the rebuild of a step before'))).toHaveLength(
      plan.steps.filter(({ operation }) => operation.carried).length,
    );
    await carryOutPlan(session, plan, 'back');
  });
  expect(differences(before, await fingerprintOf(details()))).toEqual([]);
});

test('a remedy that fails after another rebuilt its table for it is undone alone', { timeout: 120_000 }, async () => {
  const plan = await planned();
  const [first, second] = plan.steps.filter(({ operation }) => operation.table === 'port.noted' && operation.carried);
  if (!first || !second) throw new Error('nothing is carried');
  const impossible: Operation = {
    kind: 'setDefault',
    table: first.operation.table,
    column: 'weight',
    value: { kind: 'constant', text: 'heavy' },
    before: null,
  };
  const step = { ...first, operation: impossible, proofs: [] };
  const before = await fingerprintOf(details());
  await inSession(async (session) => {
    const { plan: held, failed } = await carryOutWhatHolds(session, { ...plan, steps: [...plan.steps, step] });
    expect(failed.map(({ finding }) => finding)).toEqual([first.finding]);
    const empty = "select column_name from information_schema.columns where table_name = 'noted' and is_nullable = 'YES'";
    const rows = await session.read(empty);
    expect(rows).toEqual([['column' in first.operation ? first.operation.column : '']]);
    await carryOutPlan(session, held, 'back');
  });
  expect(differences(before, await fingerprintOf(details()))).toEqual([]);
});

test('what a rebuild carries is left out of it with its remedy', { timeout: 120_000 }, async () => {
  const plan = await planned();
  const before = await fingerprintOf(details());
  // A null that came after the survey.
  await server.run("insert into port.pass (pass_no, gate, `no\\te's`, weight) values ('P0', null, 'n1', 1)");
  await inSession(async (session) => {
    const { plan: held, failed } = await carryOutWhatHolds(session, plan);
    expect(failed.map(({ finding, rows }) => [finding, rows])).toEqual([[expect.stringContaining('gate'), 1]]);
    expect(held.steps.some(({ operation }) => operation.kind === 'addPrimaryKey' && operation.also?.length === 2)).toBe(true);
    await carryOutPlan(session, held, 'back');
  });
  await server.run("delete from port.pass where pass_no = 'P0'");
  expect(differences(before, await fingerprintOf(details()))).toEqual([]);
});

test('another key in the place of one carries too', async () => {
  const old = tableId('port', 'old');
  const filled = (column: string): Operation => ({
    ...{ kind: 'setNotNull', table: old, column },
    definition: { before: 'int(11) DEFAULT NULL', after: 'int(11) NOT NULL' },
  });
  const replaced: Operation = {
    ...{
      kind: 'replaceKey',
      table: old,
      name: 'PRIMARY',
      columns: ['code'],
      former: ['no'],
      unique: 'uq_old_no',
      references: [],
    },
    also: [filled('area'), filled('depth')],
  };
  const { also: _, ...alone } = replaced;
  expect(mariadb.dialect.plans?.together([alone, filled('area')])[0]?.also).toEqual([filled('area')]);
  await inSession((session) => perform(session, replaced, { engine: 'mariadb', mode: 'plain' }));
  const [shown] = await server.run('show create table port.old');
  expect(shown?.[1]).toMatch(/`area` int\(11\) NOT NULL[^]*`depth` int\(11\) NOT NULL[^]*PRIMARY KEY \(`code`\)/);
});
