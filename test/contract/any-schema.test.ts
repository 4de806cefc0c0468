// What schemas have that nobody here wrote: whatever is scripted goes forward, again and back with psql, in both modes,
// and leaves structure and rows as they were; what cannot be scripted is said before.

import { beforeAll, describe, expect, test } from 'vitest';
import { useDatabase } from '../kit/database';
import { runScript } from '../kit/psql';
import { stateOf } from '../kit/state';
import { postgresql } from '../../src/core/engines/postgresql/index';
import type { Mode } from '../../src/core/plan/cost';
import { planFor } from '../../src/core/plan/plan';
import { wordsOf } from '../../src/core/rules/audit';
import type { Finding } from '../../src/core/rules/finding';
import { documentOf } from '../../src/core/survey/document';
import { readSurveyDocument } from '../../src/input/surveyDocument';
import { openSource } from '../../src/sources/postgresql/reader';
import { survey, type SurveyResult } from '../../src/sources/survey';

const database = useDatabase(`
  create role anyone nologin;
  create schema heirs; create schema types; create schema wide; create schema keys; create schema owned; create schema parts;
  create schema kept; create schema names; create schema odd;
  grant create, usage on schema owned, odd to anyone;

  -- Inheritance: keys and references see a table's own rows only; NOT NULL and checks bind the heirs.
  create table heirs.craft (craft_no text, berth_no text, crew int);
  create table heirs.tug (bollard_pull int not null) inherits (heirs.craft);
  create table heirs.barge (hold_count int) inherits (heirs.craft);
  alter table heirs.barge alter craft_no set not null;
  create table heirs.berth (berth_no text primary key, name text);
  create table heirs.log (log_no int primary key, craft_no text not null);
  insert into heirs.berth select 'B' || n, 'berth ' || n from generate_series(1, 40) n;
  insert into heirs.craft select 'C' || n, 'B' || 1 + n % 40, n from generate_series(1, 60) n;
  insert into heirs.tug select 'C' || n, 'B' || 1 + n % 40, n, n from generate_series(41, 90) n;
  insert into heirs.barge select 'G' || n, 'B' || 1 + n % 50, n, n from generate_series(1, 50) n;
  insert into heirs.log select n, case when n <= 60 then 'C' || n else 'C' || 20 + n end from generate_series(1, 70) n;

  -- Types: enumerations that are spelt alike, a number without its key's type, arrays, domains, rows.
  create type types.hull as enum ('steel', 'wood', 'iron'); create type types.deck as enum ('steel', 'wood', 'iron');
  create type types.place as (x int, y int);
  create domain types.code as text check (value <> '');
  create table types.kind (hull types.hull, size int, note text, primary key (hull, size));
  create table types.ship (ship_no int primary key, hull types.deck, size int, marks int[], at types.place, code types.code, tonnage numeric);
  create table types.load (load_id bigint primary key, ship_no numeric(10) not null, at xml);
  insert into types.kind select h, s, 'x' from unnest(enum_range(null::types.hull)) h, generate_series(1, 5) s;
  insert into types.ship select n, (array['steel', 'wood', 'iron'])[1 + n % 3]::types.deck, 1 + n % 5, array[n, n], row(n, n)::types.place, 'c' || n, n from generate_series(1, 80) n;
  insert into types.load select n, 1 + n % 80, '<a/>' from generate_series(1, 120) n;

  -- Values longer than an index takes.
  create table wide.note (note_id int primary key, note_code text, title text);
  insert into wide.note select n, repeat(md5(n::text), 200), 'title ' || n from generate_series(1, 60) n;

  create table wide.page (body text); insert into wide.page select repeat(md5(n::text), 150) from generate_series(1, 40) n;
  create table wide.entry (entry_id int primary key, entry_code text);
  insert into wide.entry select n, case when n = 7 then repeat('x', 3000) else 'E-' || n end from generate_series(1, 200) n;

  -- Indexes that cannot stand behind a constraint.
  create table keys.pilot (pilot_no text, badge text, call_sign text, licence text, grade text);
  insert into keys.pilot select 'P' || n, 'b' || n, 's' || n, 'l' || n, 'g' || n % 4 from generate_series(1, 60) n;
  create unique index pilot_like on keys.pilot (pilot_no text_pattern_ops);
  create unique index pilot_badge on keys.pilot (badge desc);
  create unique index pilot_sign on keys.pilot (call_sign collate "C");
  create unique index pilot_licence on keys.pilot (lower(licence));
  create unique index pilot_some on keys.pilot (licence) where grade = 'g1';

  -- Tables of another role, keyless: a surrogate is numbered in batches.
  create table owned.entry (said text, again text); alter table owned.entry owner to anyone;
  insert into owned.entry select 'same', 'same' from generate_series(1, 50) n;
  create table owned.gang (gang_no int primary key); alter table owned.gang owner to anyone;
  create table owned.shift (shift_id int primary key, gang_no int); alter table owned.shift owner to anyone;
  insert into owned.gang select n from generate_series(1, 30) n;
  insert into owned.shift select n, case when n < 4 then 900 + n else 1 + n % 30 end from generate_series(1, 80) n;

  -- Partitioned tables.
  create table parts.call (call_no int not null, on_day date not null, vessel_no int) partition by range (on_day);
  create table parts.call_1 partition of parts.call for values from ('2026-01-01') to ('2026-07-01');
  create table parts.call_2 partition of parts.call for values from ('2026-07-01') to ('2027-01-01');
  alter table parts.call_1 alter vessel_no set not null;
  create table parts.vessel (vessel_no int primary key);
  insert into parts.vessel select n from generate_series(1, 40) n;
  insert into parts.call select n, date '2026-01-01' + n, 1 + n % 40 from generate_series(1, 200) n;

  -- Rows kept otherwise: unlogged, generated, put off, switched off, secured.
  create unlogged table kept.buoy (buoy_no text primary key);
  create table kept.check_up (check_up_id int primary key, buoy_no text);
  insert into kept.buoy select 'Y' || n from generate_series(1, 30) n;
  insert into kept.check_up select n, 'Y' || 1 + n % 30 from generate_series(1, 60) n;
  create table kept.lamp (lamp_no text primary key);
  create table kept.fix (fix_id int primary key, lamp_no text, lamp_upper text generated always as (upper(lamp_no)) stored);
  insert into kept.lamp select 'L' || n from generate_series(1, 30) n;
  insert into kept.fix select n, case when n < 4 then 'none' || n else 'L' || 1 + n % 30 end from generate_series(1, 60) n;
  alter table kept.fix enable row level security;
  create table kept.rope (rope_no int primary key, after_no int references kept.rope deferrable initially deferred, lamp_no text);
  begin; insert into kept.rope select n, 1 + n % 40, case when n < 3 then 'none' || n else 'L' || 1 + n % 30 end from generate_series(1, 40) n; commit;
  create table kept.mast (mast_id int primary key, lamp_no text); create rule mast_only as on update to kept.mast do instead nothing;
  insert into kept.mast select n, case when n < 4 then 'none' || n else 'L' || 1 + n % 30 end from generate_series(1, 60) n;
  create table kept.seen (line text); create rule seen_only as on delete to kept.seen do instead nothing;
  insert into kept.seen select 'l' || n from generate_series(1, 20) n;
  create view kept.lamps as select lamp_no from kept.lamp;
  create table kept.loose (loose_id int primary key, lamp_no text, weight int, constraint weighs check (weight < 900) not valid);
  insert into kept.loose select n, 'L' || 1 + n % 30, n from generate_series(1, 50) n;
  alter table kept.loose add constraint lit foreign key (lamp_no) references kept.lamp not valid;

  -- Names: by case, in other alphabets, as long as they can be, and a table without columns.
  create table names."Vessel" ("VesselNo" text, "vesselno" text); create table names.vessel (vessel_no text);
  insert into names."Vessel" select 'V' || n, 'v' || n from generate_series(1, 40) n;
  insert into names.vessel select 'V' || n from generate_series(1, 40) n;
  create table names."Σκάφος_που_μένει_στο_λιμάνι_όλο" ("Αριθμός_του_σκάφους_που_μένει_εδώ" text, όνομα text);
  insert into names."Σκάφος_που_μένει_στο_λιμάνι_όλο" select 'Α' || n, 'Β' || n % 7 from generate_series(1, 40) n;
  create table names.a_table_whose_name_is_exactly_as_long_as_a_name_may_be_in_here_ (a_column_whose_name_is_as_long_as_a_name_may_be_in_this_database text, b int);
  insert into names.a_table_whose_name_is_exactly_as_long_as_a_name_may_be_in_here_ select 'x' || n, n % 9 from generate_series(1, 40) n;
  create table names.empty ();

  -- A publication, an extension's table, triggers, an event trigger.
  create table odd.feed (feed_no int, berth text); insert into odd.feed select n % 20, 'b' || n % 7 from generate_series(1, 50) n;
  create table odd.sent (said text, again text); insert into odd.sent select 'same', 'same' from generate_series(1, 30) n;
  create table odd.feed_item (item_id int primary key, feed_no int, state text);
  insert into odd.feed_item select n, n % 20, case when n < 4 then 'n/a' else 'open' end from generate_series(1, 60) n;
  create publication everything for table odd.feed, odd.sent;
  create function odd.refuse() returns trigger language plpgsql as $$begin raise exception 'closed books'; end$$;
  create table odd.ledger (ledger_id int primary key, lamp_no text); insert into odd.ledger select n, 'L' || 1 + n % 30 from generate_series(1, 40) n;
  create trigger closed before update or delete on odd.ledger execute function odd.refuse();
  create table odd.seen (seen text);
  create function odd.note() returns event_trigger language plpgsql as $$begin perform 1 from pg_catalog.pg_class limit 1; end$$;
  create extension if not exists btree_gist;
  create table odd.slot (slot_no int, room text, since timestamp, until timestamp,
    exclude using gist (room with =, tsrange(since, until) with &&), exclude using gist (lower(room) with =) where (slot_no > 10));
  create index slot_parts on odd.slot (lower(room), slot_no) include (since) where slot_no is not null;
  create event trigger noting on ddl_command_end execute function odd.note();
`);

let found: SurveyResult;
beforeAll(async () => {
  const source = await openSource(database.details);
  found = await survey(source, { depth: 'exact' });
  await source.close();
}, 120_000);

const on = (table: string, rule?: string): readonly Finding[] =>
  found.findings.filter(
    (f) => `${f.object.schema}.${f.object.table}` === table && (rule === undefined || f.rule === rule) && f.confidence >= 0.5,
  );
const scripted = () =>
  found.findings
    .filter(({ confidence, proposal }) => confidence >= 0.5 && !['byHand', 'replaceKey', 'standIns'].includes(proposal.kind))
    .map((finding) => ({ finding, decision: { orphans: 'empty', repeats: 'leave', nulls: 'leave', broken: 'leave' } }));
const planned = (mode: Mode = 'plain') => planFor(scripted(), found.catalogue, { label: 'file', mode });
const operationsOn = (table: string) =>
  planned().steps.flatMap(({ operation }) => (operation.table === table ? [operation] : []));

test('what is written of it can be read again', async () => {
  const { catalogue, evidence, findings } = found;
  const document = documentOf({ catalogue, evidence, findings, takenAt: '2026-12-01T00:00:00Z', depth: 'exact' });
  const read = await readSurveyDocument(JSON.stringify(document));
  expect(read.findings).toHaveLength(findings.length);
  expect(read.catalogue.tables.map(({ constraints }) => constraints)).toEqual(
    catalogue.tables.map(({ constraints }) => constraints.map(withoutUndefined)),
  );
});

const withoutUndefined = <T>(value: T): T => JSON.parse(JSON.stringify(value)) as T;

test('an exclusion is read with its elements, left alone, and said', () => {
  const slot = found.catalogue.tables.find(({ id }) => id === 'odd.slot');
  expect(slot?.constraints.map((c) => [c.columns, c.kind === 'exclusion' && c.excludes])).toEqual([
    [[], 'lower(room) with ='],
    [['room'], 'room with =, tsrange(since, until) with &&'],
  ]);
  expect(operationsOn('odd.slot').filter(({ kind }) => kind.startsWith('remove'))).toEqual([]);
});

describe('inheritance', () => {
  test('counts the rows that a reference would hold, and those that it would find', () => {
    // Ten of the log's craft are tugs, which a reference to craft does not see.
    expect(on('heirs.log', 'references/undeclared')[0]?.facts).toMatchObject({ orphanRows: 10 });
    // Of its own rows craft has none without a berth; the barges, an heir, have ten.
    expect(on('heirs.craft', 'references/undeclared')[0]?.facts).toMatchObject({ orphanRows: 0, rows: 60 });
    expect(on('heirs.barge', 'references/undeclared')[0]?.facts).toMatchObject({ orphanRows: 10, rows: 50 });
  });

  test('takes craft_no for a key of each table, though it repeats among all of them', () => {
    const key = { kind: 'primaryKey', columns: ['craft_no'] };
    expect(['heirs.craft', 'heirs.tug'].map((table) => on(table, 'keys/missing')[0]?.proposal)).toMatchObject([key, key]);
  });

  test('judges an inherited column once, where it comes from', () => {
    expect(on('heirs.craft', 'nullability/absent').map(({ object }) => object.columns)).toEqual([['berth_no'], ['crew']]);
    expect(on('heirs.tug', 'nullability/absent')).toEqual([]);
    expect(on('heirs.barge', 'nullability/absent').map(({ object }) => object.columns)).toEqual([['hold_count']]);
  });

  test('does not number the rows of a table that others inherit from', () => {
    const craft = on('heirs.craft', 'keys/missing');
    const plan = planFor(
      craft.map((finding) => ({ finding, decision: { key: 'surrogate' } })),
      found.catalogue,
      { label: 'file', mode: 'plain' },
    );
    expect(plan.steps.map(({ operation }) => operation.kind)).toEqual(['addPrimaryKey']);
  });
});

describe('types', () => {
  test('pairs columns only where the server has an equality that a reference can use', () => {
    const pairs = found.findings.flatMap(({ object, proposal }) => (proposal.kind === 'foreignKey' ? [object.table] : []));
    expect(pairs).not.toContain('ship');
    expect(pairs).not.toContain('load');
  });

  test('takes no column for a key that cannot be compared', () => {
    const comparable = (table: string, column: string) =>
      found.catalogue.tables.find(({ id }) => id === table)?.columns.find(({ name }) => name === column)?.comparable;
    expect([comparable('types.ship', 'marks'), comparable('types.ship', 'hull'), comparable('types.ship', 'code')]).toEqual([
      true,
      true,
      true,
    ]);
    expect([comparable('types.ship', 'at'), comparable('types.load', 'at')]).toEqual([false, false]);
  });
});

test('proposes no key or unique rule over values longer than an index takes, and says what is possible', () => {
  expect(on('wide.page', 'keys/missing')[0]?.proposal.kind).toBe('surrogateKey');
  const [unique] = on('wide.entry', 'uniqueness/absent');
  expect(unique?.proposal.kind).toBe('byHand');
  expect(unique && wordsOf(unique).advice).toContain('digest');
});

test('makes no constraint of an index that orders, compares or covers otherwise', () => {
  const indexes = on('keys.pilot', 'uniqueness/index-only');
  expect(indexes.map(({ object, proposal }) => [object.name, proposal.kind])).toEqual([
    ['pilot_badge', 'byHand'],
    ['pilot_like', 'byHand'],
    ['pilot_sign', 'byHand'],
  ]);
});

describe('owners', () => {
  test('what is made belongs to the table’s owner', () => {
    const made = operationsOn('owned.entry').concat(operationsOn('owned.shift'));
    expect(made.flatMap((o) => ('owner' in o ? [[o.kind, o.owner]] : []))).toEqual([
      ['numberRows', 'anyone'],
      ['setAside', 'anyone'],
    ]);
  });

  test('who may change only some of the tables is told before anything is changed', async () => {
    await database.run(`create role hand login password 'hand' in role anyone; grant usage on schema kept to hand`);
    const before = await stateOf(database);
    const scripts = postgresql.dialect.scripts(planned(), { title: 'any', source: 'any', madeAt: '' });
    const said = await runScript({ ...database.details, user: 'hand', password: 'hand' }, scripts.forward);
    expect(said).toContain('Nothing was changed: tables that this login neither owns nor is of the role that does: among ');
    expect(await stateOf(database)).toEqual(before);
    await database.run('drop owned by hand; drop role hand');
  });
});

describe('partitioned tables', () => {
  test('have what they are split by in their key', () => {
    expect(on('parts.call', 'keys/missing')[0]?.proposal).toMatchObject({ kind: 'primaryKey', columns: ['call_no', 'on_day'] });
  });

  test('have their references checked when they are added', () => {
    const kinds = operationsOn('parts.call').map(({ kind }) => kind);
    expect(kinds).toContain('addForeignKey');
    expect(kinds).not.toContain('checkRows');
  });
});

test('does not refer to rows that a crash takes away', () => {
  expect(on('kept.check_up', 'references/undeclared')).toEqual([]);
});

test('refuses repairs that rules would turn into something else, and numbers in one go what is published without a key', () => {
  const refusals = planned().problems.map(({ message }) => message);
  expect(refusals.filter((message) => message.includes('kept.mast'))).toEqual([
    'Rules of kept.mast turn what is written to it into something else, and so would a repair. Mend its rows by hand.',
  ]);
  expect(operationsOn('odd.sent')).toContainEqual({
    kind: 'numberRows',
    table: 'odd.sent',
    column: 'id',
    batches: false,
    owner: database.details.user,
  });
});

test('does not make never empty what the server computes of what a repair empties', () => {
  const refusals = planned().problems.map(({ message }) => message);
  expect(refusals.some((message) => message.startsWith('kept.fix.lamp_upper cannot be made never empty'))).toBe(true);
});

test.each<Mode>(['plain', 'quiet'])(
  'goes forward, again and back, %s',
  async (mode) => {
    const before = await stateOf(database);
    const plan = planned(mode);
    const scripts = postgresql.dialect.scripts(plan, { title: 'any', source: 'any', madeAt: '' });
    expect(await runScript(database.details, scripts.forward)).toBe('');
    const there = await stateOf(database);
    expect(there.filter((line) => !before.includes(line)).length).toBeGreaterThan(20);
    expect(await runScript(database.details, scripts.forward)).toBe('');
    expect(await stateOf(database)).toEqual(there);
    expect(await runScript(database.details, scripts.back)).toBe('');
    expect(await stateOf(database)).toEqual(before);
  },
  120_000,
);
