// What a login cannot see the server leaves out without a word: it is said, and never taken for nothing.

import { beforeAll, expect, test } from 'vitest';
import { driftOf } from '../../core/catalogue/drift';
import { hiddenInWords, risksInWords } from '../../core/survey/login';
import { useMariadb } from '../../../test/kit/mariadb';
import { saidBy, statementError } from './errors';
import { openSource } from './reader';

const server = useMariadb(`
  create database yard;
  create table yard.berth (berth_no varchar(9) not null, primary key (berth_no));
  create table yard.visit (id int primary key, berth_no varchar(9), constraint fk_visit foreign key (berth_no) references yard.berth (berth_no), constraint ck_id check (id > 0));
  create trigger yard.noted before insert on yard.visit for each row set new.berth_no = new.berth_no;
  create view yard.seen as select id from yard.visit;
  create database other;
  create table other.secret (id int primary key);
  create role reading;
  grant select on yard.* to reading`);

const logins = {
  bare: 'grant select on yard.* to bare',
  fitting: 'grant select, show view on yard.* to fitting',
  writing: 'grant select, show view, insert, trigger, create on yard.* to writing',
  mighty: 'grant all on *.* to mighty',
  inrole: 'grant reading to inrole',
} as const;

beforeAll(async () => {
  for (const [user, grant] of Object.entries(logins)) {
    await server.run(`create user ${user} identified by 'look'`);
    await server.run(grant);
  }
  await server.run('set default role reading for inrole');
});

async function as(user: keyof typeof logins | 'nobody', databases: readonly string[] = [], password = 'look') {
  const source = await openSource({ ...server.details(databases), user, password });
  try {
    return { login: await source.login(), catalogue: await source.readCatalogue() };
  } finally {
    await source.close();
  }
}

test.each(['bare', 'fitting', 'inrole'] as const)('%s sees every constraint, and is told what it does not see', async (user) => {
  const { login, catalogue } = await as(user);
  expect(catalogue.schemas.map(({ name }) => name)).toEqual(['yard']);
  const visit = catalogue.tables.find(({ name }) => name === 'visit');
  expect(visit?.constraints.map(({ kind, name }) => `${kind} ${name}`).sort()).toEqual([
    'check ck_id',
    'foreign key fk_visit',
    'primary key PRIMARY',
  ]);
  expect(visit?.triggers).toEqual([]);
  expect(catalogue.unknown).toContain('triggers');
  expect(hiddenInWords(login)).toMatch(/cannot see .*triggers in yard/);
  expect(hiddenInWords(login)?.includes('what views say')).toBe(user !== 'fitting');
  expect(risksInWords(login)).toBeNull();
});

test('what a login may do beyond reading is told', async () => {
  const writing = await as('writing');
  expect(risksInWords(writing.login)).toMatch(/may change the rows of .*all of yard.* may make tables in 1 schema \(yard\)/);
  expect(writing.catalogue.tables.find(({ name }) => name === 'visit')?.triggers).toMatchObject([
    { name: 'noted', event: 'before insert' },
  ]);
  expect(risksInWords((await as('mighty')).login)).toMatch(/is superuser/);
  expect(writing.login.fitting).toContain("grant select, show view on `yard`.* to pawl_audit@'%'");
});

test('a database that is not there, or not for this login, is told as that', async () => {
  await expect(as('bare', ['other'])).rejects.toMatchObject({
    reason: 'notAllowed',
    message: expect.stringMatching(/no right in other/) as string,
  });
  await expect(as('mighty', ['nowhere'])).rejects.toMatchObject({ reason: 'noDatabase' });
  await expect(as('fitting', ['yard', 'nowhere'])).rejects.toThrow(/no database nowhere, or this login has no right in it/);
});

test('a wrong password is refused in words that do not repeat it', async () => {
  const refused: unknown = await as('bare', [], 'not-this-one').catch((error: unknown) => error);
  expect(refused).toMatchObject({ reason: 'wrongPassword' });
  expect(JSON.stringify([String(refused), refused])).not.toContain('not-this-one');
});

test('reading cannot change anything, and takes no longer than it may', async () => {
  const source = await openSource(server.details(), { statementMs: 300, lockMs: 1_000 });
  try {
    await expect(
      source.offenders(
        { kind: 'breaking', table: 'yard.visit' as never, claim: { kind: 'notNegative', column: 'id` or sleep(9) or `id' } },
        { offset: 0, limit: 1 },
      ),
    ).rejects.toThrow(/Unknown column/);
    expect((await server.run('select count(*) from yard.visit'))[0]?.[0]).toBe('0');
  } finally {
    await source.close();
  }
});

test('what the login that audits is not shown is no drift for the one that changes, and the other way round', async () => {
  const [audits, changes] = [(await as('fitting')).catalogue, (await as('mighty', ['yard'])).catalogue];
  const ids = audits.tables.map(({ id }) => id);
  expect(audits.tables.flatMap(({ triggers }) => triggers)).toEqual([]);
  expect(changes.tables.flatMap(({ triggers }) => triggers.map(({ name }) => name))).toEqual(['noted']);
  expect([driftOf(audits, changes, ids), driftOf(changes, audits, ids)]).toEqual([[], []]);
});

test.each([
  ['a repeat', `insert into yard.berth values ('planted'), ('planted')`, "Duplicate entry … for key 'PRIMARY'"],
  [
    'a number that is none',
    `insert into yard.visit (id) values ('planted')`,
    'Incorrect integer value … for column `yard`.`visit`.`id`',
  ],
  ['a text that is too long', `insert into yard.berth values ('planted-and-more')`, "Data too long for column 'berth_no'"],
  ['an orphan', `insert into yard.visit values (7, 'planted')`, /^Cannot add or update a child row/],
  ['a check', `insert into yard.visit values (-7, null)`, 'CONSTRAINT `ck_id` failed for `yard`.`visit`'],
  ['a program', `signal sqlstate '45000' set message_text = 'planted'`, /in words that may hold values of rows \(1644\)/],
  ['a cast', `insert into yard.visit (id) select cast('planted' as date)`, /value …$/],
] as const)('what the server says of a value is told without it: %s', async (_, statement, says) => {
  const error: unknown = await server.run(statement).then(
    () => null,
    (thrown: unknown) => thrown,
  );
  const said = saidBy(error);
  expect(said.says).toEqual(typeof says === 'string' ? says : expect.stringMatching(says));
  expect(said.says).not.toContain('planted');
  expect(statementError(error, 'Trying').message).not.toContain('planted');
  await server.run('delete from yard.berth');
});
