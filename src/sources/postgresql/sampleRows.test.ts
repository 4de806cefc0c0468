import pg from 'pg';
import { expect, inject, test } from 'vitest';
import { onServer, useDatabase } from '../../../test/kit/database';
import { tableId } from '../../core/catalogue/identifiers';
import { parseConnectionString } from './connectionString';
import { makeScratch } from './scratch';

// Large tables that refer to each other in a circle, a partitioned one, and a reference that nobody declared.
const database = useDatabase(`
  create schema port;
  create type port.state as enum ('open', 'shut');
  create table port.berth (berth_no text primary key, area text);
  insert into port.berth select 'B' || n, 'area' from generate_series(1, 50) n;
  create table port.vessel (vessel_id bigint generated always as identity primary key, sister_id bigint, last_call_id bigint, name text);
  insert into port.vessel (sister_id, name) select nullif(n * 7919 % 120000, 0), repeat('name ', 20) || n from generate_series(1, 120000) n;
  alter table port.vessel add foreign key (sister_id) references port.vessel;
  create table port.call (call_id bigint primary key, vessel_id bigint references port.vessel, berth_no text, state port.state, note text,
    noted text generated always as (upper(note)) stored) partition by range (call_id);
  create table port.call_1 partition of port.call for values from (0) to (100000);
  create table port.call_2 partition of port.call for values from (100000) to (300000);
  insert into port.call (call_id, vessel_id, berth_no, state, note)
    select n, 1 + n % 120000, case when n % 1000 = 0 then 'none' else 'B' || 1 + n % 50 end, 'open', repeat('note ', 10) from generate_series(1, 200000) n;
  update port.vessel set last_call_id = 1 + vessel_id;
  alter table port.vessel add foreign key (last_call_id) references port.call (call_id);
  create table port.pilot (pilot_no text, area text);
  insert into port.pilot select 'P' || n % 119000, repeat('area ', 12) from generate_series(1, 120000) n;
  create table port.job (job_id bigint primary key, pilot_no text, note text);
  insert into port.job select n, 'P' || n % 119000, repeat('job ', 12) from generate_series(1, 120000) n;
  create view port.open_call as select * from port.call where state = 'open';
  analyze;
`);

test('a sample keeps to every reference, declared or to be, and is much smaller', { timeout: 120_000 }, async () => {
  const server = parseConnectionString(inject('server'));
  const scratch = await makeScratch(database.details, server, {
    mostBytes: 20 * 1_048_576,
    also: [
      { child: tableId('port', 'job'), columns: ['pilot_no'], parent: tableId('port', 'pilot'), parentColumns: ['pilot_no'] },
    ],
  });
  const copy = new pg.Client({ ...scratch.details, ssl: false });
  await copy.connect();
  const count = async (text: string): Promise<number> =>
    Number((await copy.query<{ n: string }>(`select count(*) as n from ${text}`)).rows[0]?.n);
  try {
    // Whatever could not be made again is told: here every constraint found its rows in order.
    expect(scratch.leftOut).toEqual([]);
    expect(scratch.sampled?.rows).toBeLessThan((scratch.sampled?.ofRows ?? 0) * 0.6);
    expect(await count('port.berth')).toBe(50);
    expect(await count('port.call_1')).toBeGreaterThan(100);
    expect(await count('port.call_2')).toBeGreaterThan(100);
    expect(await count(`port.call where noted <> upper(note) or noted is null`)).toBe(0);
    expect(
      await count(`pg_constraint where contype = 'f' and convalidated and connamespace = 'port'::regnamespace`),
    ).toBeGreaterThan(2);
    expect(await count('port.job')).toBeGreaterThan(100);
    expect(await count('port.job where pilot_no not in (select pilot_no from port.pilot)')).toBe(0);
    // Orphans of the source come along in their share.
    expect(await count(`port.call where berth_no = 'none'`)).toBeGreaterThan(0);
    expect(
      (await copy.query<{ n: string }>(`insert into port.vessel (name) values ('new') returning vessel_id as n`)).rows[0]?.n,
    ).toBe('120001');
  } finally {
    await copy.end();
    await scratch.remove();
  }
  await onServer(
    `do $$ begin if exists (select from pg_database where datname = '${scratch.details.database}') then raise 'still there'; end if; end $$`,
  );
});
