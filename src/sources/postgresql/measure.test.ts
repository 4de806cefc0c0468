import { afterAll, beforeAll, expect, test } from 'vitest';
import { useDatabase } from '../../../test/kit/database';
import type { TableId } from '../../core/catalogue/identifiers';
import type { Catalogue } from '../../core/catalogue/model';
import type { Claim } from '../../core/evidence/claims';
import type { Fact } from '../../core/evidence/evidence';
import type { EvidenceRequest } from '../../core/evidence/requests';
import type { Source } from '../source';
import { survey } from '../survey';
import { openSource } from './reader';

// Every kind of request against data small enough to count by eye, in types whose equality is not that of their text.
const database = useDatabase(`
  create schema port;
  create domain port.code as varchar(8);
  create collation port.caseless (provider = icu, locale = 'und-u-ks-level2', deterministic = false);
  create type port.grade as enum ('low', 'high');
  create table port.berth (berth_no port.code primary key, length_m numeric);
  insert into port.berth values ('A1', 10), ('A2', 10.0), ('A3', 20), ('A4', null);
  create table port.pair (a int, b text, primary key (a, b));
  insert into port.pair values (1, 'x'), (1, 'y'), (2, 'x');
  create table port.visit (
    id int, berth_no text, a int, b text, amount numeric(8, 2), padded char(6), caseless text collate port.caseless, tag uuid, file bytea,
    note text, starts date, ends date, at timestamptz, gone timestamptz, grade port.grade, doc json, big bigint);
  insert into port.visit values
    (1, 'A1', 1, 'x', 1.0,  'ab',  'Tide', 'f81d4fae-7dec-11d0-a765-00a0c91e6bf6', '\\x01', ' Same ', '2026-01-01', '2026-01-02', '2026-01-01 10:00+00', null, 'low', '{}', 9007199254740993),
    (2, 'A1', 1, 'z', 1.00, 'ab ', 'TIDE', 'f81d4fae-7dec-11d0-a765-00a0c91e6bf7', '\\x02', 'same',   '2026-01-05', '2026-01-04', '2026-01-01 11:00+01', null, 'low', '{}', 9007199254740992),
    (3, 'ZZ', 2, 'x', 2.5,  'cd',  'ebb',  'f81d4fae-7dec-11d0-a765-00a0c91e6bf8', '\\x03', '   ',    '2026-01-06', null,         '2026-01-03 10:00+00', '2026-02-01', 'high', null, 5),
    (4, 'ZZ', 9, null, -3,  'ef',  'flow', 'f81d4fae-7dec-11d0-a765-00a0c91e6bf9', '\\x04', 'N/A',    '2026-01-07', '2026-01-07', '2026-01-04 10:00+00', '2026-02-01', 'high', '{}', 6),
    (4, null, null, null, null, null, null, null, null, null, null, null, null, null, null, null, null);
`);
let source: Source;
let catalogue: Catalogue;
beforeAll(async () => {
  source = await openSource(database.details);
  catalogue = await source.readCatalogue();
});
afterAll(() => source.close());

const visit = 'port.visit' as TableId;
const ask = async (...requests: readonly EvidenceRequest[]) =>
  (await source.measure(requests, catalogue, { depth: 'exact' })).map((fact) =>
    'result' in fact ? fact.result : fact.notMeasured,
  );
const repeats = (columns: readonly string[], more: object = {}): EvidenceRequest => ({
  kind: 'repeats',
  table: visit,
  columns,
  ...more,
});

test('a profile counts nulls and blanks, and bounds numbers that identify, and days', async () => {
  const [profile] = await ask({ kind: 'profile', table: visit });
  expect(profile).toMatchObject({
    rows: 5,
    columns: {
      id: { nulls: 0, blanks: null, min: '1', max: '4' },
      note: { nulls: 1, blanks: 1, min: null },
      starts: { nulls: 1, min: '2026-01-01', max: '2026-01-07' },
      big: { nulls: 1, max: null },
    },
  });
});

test('a sample of a small table is the whole of it, whatever the types', async () => {
  const [fact] = await source.measure([{ kind: 'sample', table: visit }], catalogue, { depth: 'exact' });
  expect(fact).toMatchObject({
    how: { kind: 'exact' },
    result: {
      rows: 5,
      columns: { note: { nulls: 1, filled: 3, distinct: 4 }, doc: { nulls: 2, distinct: null }, grade: { distinct: 2 } },
    },
  });
});

test.each([
  [
    'numbers are equal whatever their spelling',
    ['amount'],
    { rows: 5, nullRows: 1, surplus: 1, repeatedValues: 1, repeatedRows: 2 },
  ],
  ['padding does not count', ['padded'], { surplus: 1 }],
  ['a collation that ignores case is asked, not the bytes', ['caseless'], { surplus: 1 }],
  ['moments are equal in any zone', ['at'], { surplus: 1, repeatedRows: 2 }],
  ['large whole numbers keep their last digit', ['big'], { surplus: 0 }],
  ['uuids', ['tag'], { surplus: 0, nullRows: 1 }],
  ['several columns, rows with a null left out', ['a', 'b'], { rows: 5, nullRows: 2, surplus: 0 }],
  ['several columns that repeat together', ['berth_no', 'at'], { nullRows: 1, surplus: 1, repeatedValues: 1, repeatedRows: 2 }],
  ['bytes and enumerations', ['file', 'grade'], { surplus: 0 }],
] as const)('repeats: %s', async (_, columns, expected) => {
  expect((await ask(repeats(columns)))[0]).toMatchObject(expected);
});

test('repeats of several sets are counted in one pass, folded and among live rows too', async () => {
  expect(await ask(repeats(['id']), repeats(['note'], { folded: true }), repeats(['berth_no'], { live: 'gone' }))).toEqual([
    { rows: 5, nullRows: 0, surplus: 1, repeatedValues: 1, repeatedRows: 2 },
    { rows: 5, nullRows: 1, surplus: 1, repeatedValues: 1, repeatedRows: 2 },
    { rows: 3, nullRows: 1, surplus: 1, repeatedValues: 1, repeatedRows: 2 },
  ]);
});

test('orphans are counted by rows and by values, of single and composite references', async () => {
  const single: EvidenceRequest = {
    kind: 'inclusion',
    table: visit,
    columns: ['berth_no'],
    parent: 'port.berth' as TableId,
    parentColumns: ['berth_no'],
  };
  const pair: EvidenceRequest = {
    kind: 'inclusion',
    table: visit,
    columns: ['a', 'b'],
    parent: 'port.pair' as TableId,
    parentColumns: ['a', 'b'],
  };
  expect(await ask(single)).toEqual([{ rows: 5, nullRows: 1, orphanRows: 2, orphanValues: 1 }]);
  expect(await ask(pair)).toEqual([{ rows: 5, nullRows: 2, orphanRows: 1, orphanValues: 1 }]);
});

test('a probe says which share of the values each parent lacks', async () => {
  const parents = [{ table: 'port.berth' as TableId, column: 'berth_no' }];
  expect(await ask({ kind: 'probe', table: visit, column: 'berth_no', parents })).toEqual([{ tested: 2, missing: [0.5] }]);
});

test('claims are counted by the rows that they speak of and those that break them', async () => {
  const claims: readonly Claim[] = [
    { kind: 'notNegative', column: 'amount' },
    { kind: 'ordered', first: 'starts', second: 'ends' },
    { kind: 'noneOf', column: 'note', values: ['N/A', "o'clock"] },
    { kind: 'oneOf', column: 'berth_no', values: ['A1', 'A2'] },
    { kind: 'ofForm', column: 'b', form: 'integer' },
  ];
  expect(await ask(...claims.map((claim): EvidenceRequest => ({ kind: 'violations', table: visit, claim })))).toEqual([
    { rows: 4, broken: 1 },
    { rows: 3, broken: 1 },
    { rows: 4, broken: 1 },
    { rows: 4, broken: 2 },
    { rows: 3, broken: 3 },
  ]);
});

test('a table over its budget is reported as measured in part', async () => {
  const { evidence } = await survey(source, {
    depth: 'exact',
    budget: { connections: 1, workers: 0, rest: 0, secondsPerTable: 0, secondsPerSurvey: null, hours: null },
  });
  expect(evidence['profile port.visit']).toMatchObject({ notMeasured: expect.stringContaining('budget of 0 seconds') as string });
});

test('several connections share the work and find the same', async () => {
  const findings = async (connections: number) =>
    (
      await survey(source, {
        depth: 'exact',
        budget: { connections, workers: 0, rest: 0, secondsPerTable: null, secondsPerSurvey: null, hours: null },
        openAnother: () => openSource(database.details),
      })
    ).findings;
  expect(await findings(3)).toEqual(await findings(1));
});

// The server counts with a delay; from 15 on it can be told not to wait.
async function counted(pairs: number): Promise<void> {
  const { rows } = await database.run(`select to_regproc('pg_stat_force_next_flush') is not null as known`);
  if (rows[0]?.['known'] === true) await database.run('select pg_stat_force_next_flush()');
  const until = Date.now() + 20_000;
  const seen = async () =>
    (await database.run(`select n_tup_ins from pg_stat_user_tables where relid = 'port.pair'::regclass`)).rows[0]?.['n_tup_ins'];
  while (Number(await seen()) < pairs && Date.now() < until) await new Promise((resolve) => setTimeout(resolve, 50));
}

test('what has not changed since an exact survey is not read again', async () => {
  await counted(3);
  const first = await survey(source, { depth: 'exact' });
  const earlier = { at: first.takenAt, catalogue: first.catalogue, facts: Object.values(first.evidence) };
  const second = await survey(source, { depth: 'exact', earlier });
  expect([...second.reused].sort()).toEqual(['port.berth', 'port.pair', 'port.visit']);
  expect(second.findings).toEqual(first.findings);
  await database.run(`insert into port.pair values (3, 'w')`);
  await counted(4);
  const third = await survey(source, { depth: 'exact', earlier });
  expect([...third.reused].sort()).toEqual(['port.berth', 'port.visit']);
  expect(third.evidence['profile port.pair']).toMatchObject({ result: { rows: 4 } });
});

test('a survey that is stopped after any fact and gone on with finds what an undisturbed one finds', async () => {
  const undisturbed = await survey(source, { depth: 'exact' });
  const facts = Object.keys(undisturbed.evidence).length;
  for (let stopAfter = 1; stopAfter < facts; stopAfter += 3) {
    const stop = new AbortController();
    const kept: Fact[] = [];
    // On a connection of its own, as in life: a cancellation that comes late finds nobody else's statement.
    const own = await openSource(database.details);
    const stopped = survey(own, {
      depth: 'exact',
      signal: stop.signal,
      onFacts: async (more) => {
        kept.push(...more);
        if (kept.length >= stopAfter) stop.abort();
        await Promise.resolve();
      },
    });
    await stopped.catch(() => undefined);
    await own.close();
    const resumed = await survey(source, { depth: 'exact', known: { catalogue: undisturbed.catalogue, facts: kept } });
    expect(resumed.findings).toEqual(undisturbed.findings);
  }
});
