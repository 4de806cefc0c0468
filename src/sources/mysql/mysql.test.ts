// What only a MySQL server says: run by `npm run test:mysql`, as no stable Debian has one.

import { expect, test } from 'vitest';
import { hiddenInWords } from '../../core/survey/login';
import { useMysql } from '../../../test/kit/mariadb';
import { openSource } from '../mariadb/reader';

const boat = 'boat\\no "x`y';
const server = useMysql(`
  create database yard;
  create table yard.\`boat\\no "x\`\`y\` (id int primary key, \`kind é\` varchar(20), len int, twice int as (len * 2));
  create view yard.seen as select \`kind é\` from yard.\`boat\\no "x\`\`y\`;
  create trigger yard.noted before insert on yard.\`boat\\no "x\`\`y\` for each row set new.len = 1;
  create table yard.kit (
    kit_no int unsigned not null auto_increment primary key, code char(36) default (uuid()), said varchar(9) not null default 'it''s', price decimal(9, 2) default 1.5,
    state enum('new', 'used'), facts json, at timestamp(3) not null default current_timestamp(3) on update current_timestamp(3), unseen int invisible, boat_id int,
    key ix_said (said) invisible, key ix_twice ((boat_id * 2)), key ix_price (price desc),
    constraint ck_price check (price > 0), constraint ck_idle check (price < 100) not enforced,
    constraint fk_boat foreign key (boat_id) references yard.\`boat\\no "x\`\`y\` (id) on delete cascade);
  create user looker identified by 'look';
  grant select on yard.* to looker`);

const read = async () => {
  const source = await openSource(server.details(['yard']));
  try {
    return { source: await source.readCatalogue(), dependents: await dependentsIn(source) };
  } finally {
    await source.close();
  }
};

async function dependentsIn(source: Awaited<ReturnType<typeof openSource>>) {
  const { tables } = await source.readCatalogue();
  const table = tables.find(({ name }) => name === boat);
  return table ? source.dependents(table.id, { kind: 'column', name: 'len' }) : null;
}

test('defaults, kinds and what is not seen are read as they were declared', async () => {
  const { source } = await read();
  const kit = source.tables.find(({ name }) => name === 'kit');
  const told = (name: string) => kit?.columns.find((column) => column.name === name);
  expect(kit?.columns.map(({ name, default: standard }) => [name, standard])).toEqual([
    ['kit_no', null],
    ['code', '(uuid())'],
    ['said', "'it''s'"],
    ['price', "'1.50'"],
    ['state', null],
    ['facts', null],
    ['at', 'CURRENT_TIMESTAMP(3)'],
    ['unseen', null],
    ['boat_id', null],
  ]);
  expect(told('kit_no')).toMatchObject({ declaredType: 'int unsigned', identity: 'by default', fillsItself: true });
  expect(told('state')?.values).toEqual(['new', 'used']);
  expect(told('facts')?.family).toBe('json');
  expect(told('at')?.onUpdate).toBe('current_timestamp(3)');
  expect(told('unseen')?.invisible).toBe(true);
  expect(source.tables.find(({ name }) => name === boat)?.columns.at(-1)?.generated).toBe('(`len` * 2)');
});

test('references, checks that do not hold, and indexes that are not used are told apart', async () => {
  const { source } = await read();
  const kit = source.tables.find(({ name }) => name === 'kit');
  const constraint = (name: string) => kit?.constraints.find((one) => one.name === name);
  expect(constraint('fk_boat')).toMatchObject({ onDelete: 'cascade', onUpdate: 'no action', index: 'PRIMARY' });
  expect(constraint('ck_price')).toMatchObject({ enforced: true });
  expect(constraint('ck_idle')).toMatchObject({ enforced: false });
  expect(kit?.indexes.map(({ name, ignored = false, plain, columns }) => [name, ignored, plain, columns])).toEqual(
    expect.arrayContaining([
      ['ix_said', true, true, ['said']],
      ['ix_twice', false, false, [null]],
      ['ix_price', false, false, ['price']],
    ]),
  );
});

test('what speaks of a column is found, whatever it is called', async () => {
  expect((await read()).dependents?.map(({ kind, name }) => `${kind} ${name}`)).toEqual([
    `generated column yard.${boat}.twice`,
    `trigger noted of yard.${boat}`,
  ]);
});

test('a login that may only select sees every constraint, and is told what it does not see', async () => {
  const source = await openSource({ ...server.details(['yard']), user: 'looker', password: 'look', tls: 'prefer' });
  try {
    const { tables, unknown } = await source.readCatalogue();
    expect(tables.find(({ name }) => name === 'kit')?.constraints.map(({ kind }) => kind)).toContain('foreign key');
    expect(unknown).toEqual(expect.arrayContaining(['triggers', 'definitions', 'routines']));
    const hidden = hiddenInWords(await source.login());
    expect(hidden).toMatch(/triggers in yard/);
    expect(hidden).toMatch(/grant SHOW_ROUTINE/);
  } finally {
    await source.close();
  }
});

test('as MariaDB it is not read, and its own address is told', async () => {
  await expect(openSource({ ...server.details(), server: 'mariadb' })).rejects.toThrow(
    /which is no MariaDB\. Add it as MySQL; at a terminal its address starts with mysql:\/\//,
  );
});
