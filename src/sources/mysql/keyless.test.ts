// Servers that want a primary key of every table, or make one by themselves: `npm run test:mysql`.

import { spawnSync } from 'node:child_process';
import { expect, test } from 'vitest';
import { mysql } from '../../core/engines/mysql/index';
import { useMysql } from '../../../test/kit/mariadb';
import { planOfAll } from '../../../test/kit/planned';
import { carryOutPlan } from '../run/carryOut';
import { differences } from '../run/scratch';
import { openSource } from '../mariadb/reader';
import { fingerprintOf } from '../mariadb/scratch';
import { openSession } from '../mariadb/session';

// A table without a key, one whose rows only a number tells, orphans, rows that are alike; a column with a name of ours.
const server = useMysql(`
  create database port;
  use port;
  create table berth (berth_no varchar(20) not null, area varchar(20));
  insert into berth select concat('B', seq), concat('area ', seq % 5) from seq_1_to_200;
  create table booking (booking_id int primary key, berth_no varchar(20), PAWL_row varchar(20));
  insert into booking select seq, case when seq % 50 = 0 then concat('X', seq) else concat('B', 1 + seq % 200) end, concat('n', seq % 7) from seq_1_to_3000;
  create table parked (place varchar(20), noted varchar(20));
  insert into parked select concat('P', seq % 90), 'n' from seq_1_to_100;
  create table tag (tag_no varchar(9), PAWL_row int);
  insert into tag select concat('t', seq), seq from seq_1_to_300;
  insert into tag select concat('t', seq), seq from seq_1_to_3`);
const details = () => server.details(['port']);

function byClient(script: string): void {
  const { host, port, user, password } = details();
  const { status, stderr } = spawnSync(
    'mysql',
    ['--no-defaults', `-h${host}`, `-P${port}`, `-u${user}`, '--get-server-public-key', 'port'],
    {
      input: script,
      encoding: 'utf8',
      env: { ...process.env, MYSQL_PWD: password },
    },
  );
  expect([status, stderr]).toEqual([0, '']);
}

test.each(['sql_require_primary_key', 'sql_generate_invisible_primary_key'])(
  'with %s: there, again and back, by Pawl and by the client',
  { timeout: 180_000 },
  async (setting) => {
    await server.run(`set global ${setting} = on`);
    try {
      const before = await fingerprintOf(details());
      const plan = await planOfAll(await openSource(details()), {
        mode: 'quiet',
        decision: { orphans: 'empty', repeats: 'first' },
      });
      const kinds = plan.steps.map(({ operation }) => operation.kind);
      expect(kinds).toEqual(expect.arrayContaining(['setAside', 'addPrimaryKey', 'numberRows']));
      const session = await openSession(details());
      for (const direction of ['forward', 'forward', 'back'] as const) await carryOutPlan(session, plan, direction);
      await session.close();
      expect(differences(before, await fingerprintOf(details()))).toEqual([]);

      const { forward, back } = mysql.dialect.scripts(plan, { title: 'D-1', source: 'port', madeAt: '2026-01-01T00:00:00Z' });
      for (const script of [forward, forward, back]) byClient(script);
      expect(differences(before, await fingerprintOf(details()))).toEqual([]);
    } finally {
      await server.run(`set global ${setting} = off`);
    }
  },
);
