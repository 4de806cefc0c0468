import { afterAll, describe, expect, inject, test } from 'vitest';
import { onServer, useDatabase } from '../../../test/kit/database';
import { tableId } from '../../core/catalogue/identifiers';
import { getTable } from '../../core/catalogue/lookups';
import { audit } from '../../core/rules/audit';
import { survey } from '../survey';
import { openReading, readingLimits } from './connect';
import { parseConnectionString } from './connectionString';
import { sourceOver } from '../reader';
import { openSource, readerOver } from './reader';

const reader = `reader_${process.pid}`;
// NULLS NOT DISTINCT exists from PostgreSQL 15 on.
const nullsDistinct = Number(process.env['PAWL_TEST_SERVER'] ?? 15) < 15;
const database = useDatabase(`
  create schema port;
  create table port.berth (berth_no varchar(6) primary key, depth numeric(4, 1) check (depth > 0), lighted boolean default true);
  create table port.call (
    call_id bigint generated always as identity constraint pk_call primary key,
    berth_no varchar(6) references port.berth on delete set null deferrable initially deferred,
    noted timestamptz not null default now(), title text collate "C", span int generated always as (1 + 1) stored,
    constraint uq_call unique ${nullsDistinct ? '' : 'nulls not distinct'} (berth_no, noted)
  );
  alter table port.call add constraint ck_later check (call_id > 0) not valid;
  create unique index ix_call_title on port.call (lower(title)) include (noted) where title is not null;
  comment on table port.call is 'A visit';
  create table port.reading (at date not null, level int) partition by range (at);
  create table port.reading_2026 partition of port.reading for values from ('2026-01-01') to ('2027-01-01');
  create unlogged table port.draft (id int);
  create view port.visits as select * from port.call;
  create function port.touch() returns trigger language plpgsql as 'begin return new; end';
  create trigger touched before update on port.call for each row execute function port.touch();
  create role ${reader} login password 'look';
  grant usage on schema port to ${reader};
  grant select on port.berth to ${reader};
`);
afterAll(() => onServer(`drop role if exists ${reader}`).catch(() => undefined));

async function read(details = database.details) {
  const source = await openSource(details);
  try {
    return await source.readCatalogue();
  } finally {
    await source.close();
  }
}

describe('the catalogue', () => {
  test('holds tables of every kind', async () => {
    const { tables, schemas } = await read();
    expect(schemas.map((s) => s.name)).toContain('port');
    expect(Object.fromEntries(tables.map((t) => [t.name, [t.kind, t.persistence]]))).toMatchObject({
      berth: ['table', 'permanent'],
      reading: ['partitioned', 'permanent'],
      reading_2026: ['partition', 'permanent'],
      draft: ['table', 'unlogged'],
      visits: ['view', 'permanent'],
    });
    expect(tables.find((t) => t.name === 'reading_2026')?.inherits).toEqual(['port.reading']);
  });

  test('holds columns with all that they declare', async () => {
    const call = getTable(await read(), tableId('port', 'call'));
    expect(call.comment).toBe('A visit');
    expect(
      call.columns.map((c) => [
        c.name,
        c.declaredType,
        c.family,
        c.length,
        c.nullable,
        c.identity,
        c.default,
        c.generated,
        c.collation,
      ]),
    ).toEqual([
      ['call_id', 'bigint', 'integer', null, false, 'always', null, null, null],
      ['berth_no', 'character varying(6)', 'text', 6, true, null, null, null, null],
      ['noted', 'timestamp with time zone', 'timestamp', null, false, null, 'now()', null, null],
      ['title', 'text', 'text', null, true, null, null, null, 'C'],
      ['span', 'integer', 'integer', null, true, null, null, '(1 + 1)', null],
    ]);
    expect(getTable(await read(), tableId('port', 'berth')).columns[1]).toMatchObject({
      family: 'decimal',
      precision: 4,
      scale: 1,
    });
  });

  test('holds constraints, indexes, sequences and triggers', async () => {
    const catalogue = await read();
    const call = getTable(catalogue, tableId('port', 'call'));
    expect(call.constraints.find((c) => c.kind === 'foreign key')).toMatchObject({
      name: 'call_berth_no_fkey',
      columns: ['berth_no'],
      parent: 'port.berth',
      parentColumns: ['berth_no'],
      onDelete: 'set null',
      onUpdate: 'no action',
      deferrable: 'initially deferred',
      match: 'simple',
    });
    expect(call.constraints.find((c) => c.name === 'ck_later')).toMatchObject({
      kind: 'check',
      validated: false,
      expression: '(call_id > 0)',
    });
    expect(call.constraints.find((c) => c.name === 'uq_call')).toMatchObject({
      kind: 'unique',
      nulls: nullsDistinct ? 'distinct' : 'alike',
      index: 'uq_call',
    });
    expect(call.indexes.find((i) => i.name === 'ix_call_title')).toMatchObject({
      unique: true,
      valid: true,
      columns: [null],
      included: ['noted'],
      constraint: null,
      predicate: '(title IS NOT NULL)',
    });
    expect(catalogue.sequences).toMatchObject([
      { schema: 'port', name: 'call_call_id_seq', ownedBy: 'port.call.call_id', last: null },
    ]);
    expect(call.triggers).toEqual([{ name: 'touched', function: 'port.touch', enabled: true }]);
  });

  test('takes the same number of queries however many tables there are', async () => {
    const count = async (): Promise<number> => {
      const client = await openReading(database.details);
      let queries = 0;
      const query = client.query.bind(client) as (...args: unknown[]) => unknown;
      client.query = ((...args: unknown[]) => (queries++, query(...args))) as typeof client.query;
      const source = sourceOver(readerOver(client, readingLimits, () => client.end()));
      await source.readCatalogue();
      await source.close();
      return queries;
    };
    const before = await count();
    await database.run(Array.from({ length: 60 }, (_, i) => `create table public.many_${i} (id int)`).join(';'));
    expect(await count()).toBe(before);
    await database.run(Array.from({ length: 60 }, (_, i) => `drop table public.many_${i}`).join(';'));
  });
});

describe('a session', () => {
  test('cannot write, by the server’s own switch, and says who it is', async () => {
    const client = await openReading(database.details);
    const { rows } = await client.query<Record<string, string>>(
      `select current_setting('default_transaction_read_only') as readonly, current_setting('statement_timeout') as patience, current_setting('lock_timeout') as lock, current_setting('application_name') as name`,
    );
    expect(rows[0]).toEqual({ readonly: 'on', patience: '10min', lock: '2s', name: 'pawl' });
    await expect(client.query('create table port.never (id int)')).rejects.toThrow('read-only');
    await client.end();
  });

  test.each([
    ['unreachable', { port: 1 }, /Nothing answers at 127.0.0.1:1/],
    ['unreachable', { host: 'no-such-host.invalid' }, /There is no host/],
    ['wrongPassword', { password: 'secret-and-wrong' }, /refused the password of/],
    ['noDatabase', { database: 'nowhere' }, /has no database nowhere/],
    ['tlsRefused', { tls: 'verify' }, /could not agree on TLS/],
  ] as const)('says in plain words: %s', async (reason, wrong, message) => {
    const attempt = openSource({ ...database.details, ...wrong });
    await expect(attempt).rejects.toThrow(message);
    await expect(attempt).rejects.toMatchObject({ reason });
    await attempt.catch((error: Error) => expect(`${error.message} ${error.stack}`).not.toContain('secret-and-wrong'));
  });

  test('reports a table that it may not read as not measured', async () => {
    const source = await openSource({ ...database.details, user: reader, password: 'look' });
    const { evidence, catalogue } = await survey(source, { depth: 'exact' });
    await source.close();
    expect(getTable(catalogue, tableId('port', 'call')).readable).toBe(false);
    expect(evidence['profile port.call']).toMatchObject({
      notMeasured: expect.stringContaining('may not read port.call') as string,
    });
    expect(evidence['profile port.berth']).toMatchObject({ how: { kind: 'exact' } });
  });

  test('tells a connection that dies from one that is cancelled', async () => {
    const source = await openSource(database.details);
    await database.run(
      `select pg_terminate_backend(pid) from pg_stat_activity where application_name = 'pawl' and datname = current_database()`,
    );
    await expect(source.readCatalogue()).rejects.toMatchObject({ reason: 'lost' });
    await source.close().catch(() => undefined);
  });

  test('stops what runs when it is cancelled, and keeps what was measured', async () => {
    const source = await openSource(database.details);
    const cancelled = new AbortController();
    const facts: unknown[] = [];
    const running = survey(source, {
      depth: 'exact',
      signal: cancelled.signal,
      onFacts: async (more) => {
        await Promise.resolve();
        facts.push(...more);
        cancelled.abort();
      },
    });
    await expect(running).rejects.toMatchObject({ reason: 'cancelled' });
    expect(facts.length).toBeGreaterThan(0);
    await source.close();
  });
});

describe('hostile names', () => {
  const names = [
    '"; drop table victim; --',
    'a.b',
    'select',
    'with space',
    'Ünï',
    `q'uote`,
    '$pawl$',
    'n'.repeat(63),
    'percent%s',
    'back\\slash',
  ];
  const hostile = useDatabase(
    names
      .map((name) => {
        const quoted = `"${name.replaceAll('"', '""')}"`;
        return `create schema ${quoted}; create table ${quoted}.${quoted} (${quoted} text, note text); insert into ${quoted}.${quoted} select n::text, 'same' from generate_series(1, 60) n;`;
      })
      .join(''),
  );

  test('are read, measured and judged like any other', async () => {
    const source = await openSource(hostile.details);
    const { evidence, findings } = await survey(source, { depth: 'exact' });
    await source.close();
    expect(Object.values(evidence).filter((fact) => 'notMeasured' in fact)).toEqual([]);
    expect(
      findings
        .filter((f) => f.rule === 'keys/missing')
        .map((f) => f.object.table)
        .sort(),
    ).toEqual(names.toSorted());
  });
});

describe('unusual databases', () => {
  const empty = useDatabase();
  const views = useDatabase(
    'create schema seen; create view seen.one as select 1 as id; create table public.bare (); create table public.none (id int, name text)',
  );

  test('an empty one has nothing to find', async () => {
    const source = await openSource(empty.details);
    expect((await survey(source, { depth: 'exact' })).findings).toEqual([]);
    await source.close();
  });

  test.each(['catalogue', 'sampled', 'exact'] as const)(
    'views, tables without columns and without rows are no trouble at depth %s',
    async (depth) => {
      const source = await openSource(views.details);
      const { catalogue, evidence } = await survey(source, { depth });
      await source.close();
      expect(
        audit(catalogue, evidence)
          .map((f) => f.id)
          .sort(),
      ).toEqual(['keys/missing:public.bare', 'keys/missing:public.none']);
    },
  );

  test('a schema that is not there is refused by name', async () => {
    const source = await openSource(views.details);
    await expect(survey(source, { depth: 'exact', schemas: ['nope'] })).rejects.toThrow('no schema nope. It has');
    await source.close();
  });
});

describe('a reference that only a view and a function tell of', () => {
  const told = useDatabase(`
    create schema port;
    create table port.vessel (id int primary key, name text);
    create table port.remark (no int primary key, about int, subject int);
    insert into port.vessel select n, 'V' || n from generate_series(1, 60) n;
    insert into port.remark select n, 1 + n % 60, 1 + n * 7 % 60 from generate_series(1, 200) n;
    create view port.spoken as select r.no, v.name from port.remark r join port.vessel v on v.id = r.about;
    create function port.told(int) returns bigint language sql as 'select count(*) from port.remark, port.vessel where vessel.id = remark.subject';
  `);

  test('is found, and says how', async () => {
    const source = await openSource(told.details);
    const { catalogue, findings } = await survey(source, { depth: 'exact' });
    await source.close();
    expect(catalogue.joins).toEqual([
      { left: 'port.remark.about', right: 'port.vessel.id' },
      { left: 'port.remark.subject', right: 'port.vessel.id' },
    ]);
    expect(findings.filter((f) => f.rule === 'references/undeclared').map((f) => f.object.columns.join())).toEqual([
      'about',
      'subject',
    ]);
  });
});

test.each([
  [
    'postgresql://me:p%40ss@db:5433/har%20bour?sslmode=require',
    { host: 'db', port: 5433, database: 'har bour', user: 'me', password: 'p@ss', tls: 'require' },
  ],
  ['postgres://me@[::1]/x', { host: '::1', port: 5432, database: 'x', user: 'me', password: '', tls: 'prefer' }],
])('reads the connection string %s', (text, details) => {
  expect(parseConnectionString(text)).toEqual(details);
});

test.each([
  'mysql://a:secret@h/d',
  'postgresql://h/d',
  'not at all',
  'postgresql://u:secret@h',
  'postgresql://u:secret@h/d?sslmode=maybe',
  'postgresql://u:secret%zz@h/d',
])('refuses %s without repeating it', (text) => {
  expect(() => parseConnectionString(text)).toThrow(/The connection string/);
  try {
    parseConnectionString(text);
  } catch (error) {
    expect(String(error)).not.toContain('secret');
  }
});

test('the test server is on loopback', () => {
  expect(new URL(inject('server')).hostname).toBe('127.0.0.1');
});
