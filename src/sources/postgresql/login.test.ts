import { afterAll, beforeAll, expect, test } from 'vitest';
import { onServer, useDatabase } from '../../../test/kit/database';
import { risksInWords } from '../../core/survey/login';
import { openSource } from './reader';

const name = `look_${Math.random().toString(36).slice(2, 8)}`;
const database = useDatabase(`
  create schema port;
  create table port.call (id int, note text);
  create table port."Odd; name" (id int);
`);
beforeAll(async () => {
  await onServer(`create role ${name} login password 'look'`);
  await database.run(
    `revoke create on schema public from public; grant usage on schema port to ${name}; grant select on port.call to ${name}`,
  );
});
afterAll(async () => {
  await database.run(`drop owned by ${name}`);
  await onServer(`drop role ${name}`);
});

async function report() {
  const source = await openSource({ ...database.details, user: name, password: 'look' });
  try {
    return await source.login();
  } finally {
    await source.close();
  }
}

test('a login that only reads has nothing said against it', async () => {
  expect((await report()).risks).toEqual([]);
});

test.each([
  [
    'grant update (note) on port.call to ROLE',
    'revoke update (note) on port.call from ROLE',
    'may change the rows of 1 table (port.call)',
  ],
  ['grant create on schema port to ROLE', 'revoke create on schema port from ROLE', 'may make tables in 1 schema (port)'],
  [
    'alter table port.call owner to ROLE',
    'alter table port.call owner to current_user; grant select on port.call to ROLE',
    'owns 1 table (port.call)',
  ],
  [
    'grant pg_execute_server_program to ROLE',
    'revoke pg_execute_server_program from ROLE',
    'may run programs on the server’s machine',
  ],
  ['grant pg_write_server_files to ROLE', 'revoke pg_write_server_files from ROLE', 'may write files on the server’s machine'],
  ['alter role ROLE superuser', 'alter role ROLE nosuperuser', 'is superuser'],
])('%s is said', async (give, take, words) => {
  await database.run(give.replaceAll('ROLE', name));
  expect(risksInWords(await report())).toContain(`${name} ${words}`);
  await database.run(take.replaceAll('ROLE', name));
  expect((await report()).risks).toEqual([]);
});

test('the statements that are offered make a login that reads everything and has nothing said against it', async () => {
  const role = `made_${name}`;
  await database.run((await report()).fitting.replaceAll('pawl_audit', role));
  await database.run(`alter role ${role} password 'made'`);
  const source = await openSource({ ...database.details, user: role, password: 'made' });
  const catalogue = await source.readCatalogue();
  expect(catalogue.tables.map(({ name: table, readable }) => [table, readable])).toEqual([
    ['Odd; name', true],
    ['call', true],
  ]);
  expect((await source.login()).risks).toEqual([]);
  await source.close();
  await database.run(`drop owned by ${role}`);
  await onServer(`drop role ${role}`);
});
