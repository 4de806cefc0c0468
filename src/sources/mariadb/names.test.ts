// Names that mean harm to scripts: they end lines, blocks and texts, and look like what the client itself would do. What is planned on
// them is run and taken back, by us and by the client.

import { existsSync, rmSync } from 'node:fs';
import { expect, test } from 'vitest';
import { useMariadb } from '../../../test/kit/mariadb';
import { byMariadbClient } from '../../../test/kit/mariadbClient';
import { planOfAll } from '../../../test/kit/planned';
import { mariadb } from '../../core/engines/mariadb/index';
import { carryOutPlan } from '../run/carryOut';
import { differences } from '../run/scratch';
import { openSource } from './reader';
import { fingerprintOf } from './scratch';
import { openSession } from './session';

const file = '/tmp/pawl-run';
const odd = {
  parent: `ve\nssel'; drop table loot; --`,
  key: `id\r\n"no`,
  child: `\\! touch ${file}\n\\! touch ${file}`,
  refers: `ve\nssel_id // end//`,
  note: `delimiter ;\ndelimiter ;`,
} as const;
const q = (name: string): string => `\`${name.replaceAll('`', '``')}\``;
const server = useMariadb(`
  create database yard;
  create table yard.loot (id int)`);

async function made(): Promise<void> {
  const { parent, key, child, refers, note } = odd;
  const run = await server.connection();
  for (const statement of [
    `create or replace table yard.${q(parent)} (${q(key)} varchar(20) not null, area varchar(20))`,
    `insert into yard.${q(parent)} select concat('B', seq), concat('a', seq % 5) from yard.seq_1_to_200`,
    `create or replace table yard.${q(child)} (${q(note)} int not null, ${q(refers)} varchar(20), constraint ${q('ck\n\r1')} check (${q(note)} > 0))`,
    `insert into yard.${q(child)} select seq, concat('B', 1 + seq % 200) from yard.seq_1_to_900`,
  ])
    // As one: the kit parts statements at the ends of lines.
    await run(`execute immediate x'${Buffer.from(statement).toString('hex')}'`);
}

test.each(['plain', 'quiet'] as const)('there, again and back, by us and by the client, %s', async (mode) => {
  await made();
  const details = server.details(['yard']);
  const before = await fingerprintOf(details);
  const plan = await planOfAll(await openSource(details), {
    mode,
    decision: { orphans: 'empty', repeats: 'first', nulls: 'leave' },
  });
  expect(plan.steps.map(({ operation }) => operation.kind)).toEqual(expect.arrayContaining(['addPrimaryKey']));
  const session = await openSession(details);
  for (const direction of ['forward', 'forward', 'back'] as const) await carryOutPlan(session, plan, direction);
  await session.close();
  expect(differences(before, await fingerprintOf(details))).toEqual([]);
  const heading = { title: 'D-1\n\\! touch x', source: `yard\n\\! touch ${file}`, madeAt: '2026-01-01T00:00:00Z' };
  const { forward, back } = mariadb.dialect.scripts(plan, heading);
  for (const script of [forward, forward, back]) expect(byMariadbClient(server, script)).toBe('');
  expect(differences(before, await fingerprintOf(details))).toEqual([]);
  const bare = mariadb.dialect.statementScripts(plan, heading);
  for (const script of [bare.forward, bare.back]) expect(byMariadbClient(server, script)).toBe('');
  expect(differences(before, await fingerprintOf(details))).toEqual([]);
  expect(existsSync(file)).toBe(false);
  rmSync(file, { force: true });
});

test('two names of keys are one to us just where they are one to the server', async () => {
  const { fold } = mariadb.names;
  const names = [
    'ix_area',
    'IX_AREA',
    'ix_ÁREA',
    'ix_área',
    'ix_ärea',
    'ix_straße',
    'ix_strasse',
    'ix_Ø',
    'ix_ø',
    'ix_ñ',
    'ix_n',
  ];
  const pairs = names.flatMap((one, at) => names.slice(at + 1).map((other) => [one, other] as const));
  const alike: (readonly [string, string])[] = [];
  for (const [one, other] of pairs)
    await server
      .run(`create or replace table yard.named (a int, key ${q(one)} (a), key ${q(other)} (a))`)
      .catch((error: unknown) => (String(error).includes('Duplicate key name') ? alike.push([one, other]) : 0));
  expect(alike).toEqual(pairs.filter(([one, other]) => fold(one) === fold(other)));
});
