// Copies of databases of all makes: what cannot be made on the copy is said, and is no reason not to rehearse.

import { expect, test } from 'vitest';
import { useMariadb } from '../../../test/kit/mariadb';
import { type TableId, tableId } from '../../core/catalogue/identifiers';
import { countOf } from '../run/perform';
import { makeScratch } from './scratch';
import { openSource } from './reader';

const server = useMariadb(`
  create database yard;
  create table yard.haul (haul_id int primary key, tonnes int not null);
  insert into yard.haul values (1, 10), (2, 25);
  create table yard.tow (tow_id int primary key, haul_id int, constraint fk_tow foreign key (haul_id) references yard.haul (haul_id));
  create function yard.doubled(n int) returns int deterministic return n * 2;
  create function yard.heavy(n int) returns int reads sql data return (select count(*) from yard.haul where tonnes > n);
  create view yard.twice as select haul_id, yard.doubled(tonnes) as tonnes from yard.haul;
  create view yard.above as select haul_id, yard.heavy(tonnes) as heavier from yard.twice;
  create view yard.plain as select haul_id from yard.haul;
  create procedure yard.tidy() delete from yard.haul where tonnes = 0;
  create user fitting identified by 'look';
  grant select, show view on yard.* to fitting;
  create user programs identified by 'look';
  grant select, show view, execute, trigger on yard.* to programs;
  grant select on mysql.proc to programs`);

const source = (user: string) => ({ ...server.details(['yard']), user, password: 'look' });
const made = (user: string, label = 'aaaaaa_r1') => makeScratch(source(user), server.details(), { mostBytes: 1e9, label });

test('views that call programs are made after them', async () => {
  const scratch = await made('programs');
  const session = await scratch.open();
  const { tables } = await session.readCatalogue();
  expect(tables.map(({ name }) => name).sort()).toEqual(['above', 'haul', 'plain', 'tow', 'twice']);
  expect(scratch.leftOut.filter((words) => words.includes('view'))).toEqual([]);
  await session.close();
  await scratch.remove();
});

test('with the login that we prescribe those that call what it may not see are left out, and said', async () => {
  const scratch = await made('fitting');
  const session = await scratch.open();
  const { tables } = await session.readCatalogue();
  expect(tables.map(({ name }) => name).sort()).toEqual(['haul', 'plain', 'tow']);
  expect(scratch.leftOut.filter((words) => words.includes('view')).map((words) => words.split(':')[0])).toEqual([
    'yard.above',
    'yard.twice',
  ]);
  await session.close();
  await scratch.remove();
});

test('a reference on a copy is told from others by where it goes there, under the names of the original', async () => {
  const scratch = await made('fitting');
  const session = await scratch.open();
  const [table, haul] = [tableId('yard', 'tow'), tableId('yard', 'haul')];
  const differs = (parent: TableId, parentColumns: readonly string[]) =>
    countOf(
      session,
      {
        ...{ kind: 'constraintDiffers', table, name: 'fk_tow' },
        wanted: { kind: 'foreign key', over: ['haul_id'], parent, parentColumns, onDelete: 'no action', onUpdate: 'no action' },
      },
      { engine: 'mariadb' },
    );
  expect([await differs(haul, ['haul_id']), await differs(table, ['haul_id']), await differs(haul, ['tonnes'])]).toEqual([
    0, 1, 1,
  ]);
  await session.close();
  await scratch.remove();
});

test('two Pawls on one server leave each other’s copies alone, whatever their age', async () => {
  const old = (Date.now() - 30 * 3_600_000).toString(36);
  await server.run(
    `create database pawl_copy_${old}_bbbbbb_r1_1; create database pawl_copy_${old}_aaaaaa_r1_1; create database pawl_copyX${old}_aaaaaa_r1_1`.replaceAll(
      '; ',
      ';\n',
    ),
  );
  const scratch = await made('fitting', 'aaaaaa_r2');
  const left = (
    await server.run(`select schema_name from information_schema.schemata where schema_name like 'pawl%' order by 1`)
  ).map(([name]) => name);
  expect(left.filter((name) => name?.includes('_r1_'))).toEqual(
    [`pawl_copy_${old}_bbbbbb_r1_1`, `pawl_copyX${old}_aaaaaa_r1_1`].sort(),
  );
  await scratch.remove();
});

test('who comes to a copy sees nothing else whose name is like it', async () => {
  const scratch = await made('fitting', 'aaaaaa_r3');
  const alike = `${scratch.owner}_1`.replaceAll('_', 'x');
  await server.run(`create database \`${alike}\``);
  await server.run(`set password for '${scratch.owner}'@'%' = password('look')`);
  const own = await openSource({ ...server.details(), user: scratch.owner, password: 'look' });
  expect((await own.readCatalogue()).schemas.map(({ name }) => name)).toEqual([`${scratch.owner}_1`]);
  await own.close();
  await server.run(`drop database \`${alike}\``);
  await scratch.remove();
});
