// What the inventory lists beside tables, and the rows that a person walks along.

import { afterAll, beforeAll, expect, test } from 'vitest';
import { useDatabase } from '../../../test/kit/database';
import { tableId } from '../../core/catalogue/identifiers';
import { inventory, type StockKind } from '../../core/inventory/index';
import type { Catalogue } from '../../core/catalogue/model';
import { openSource } from './reader';

const database = useDatabase(`
  create schema port;
  create table port.berth (berth_no text primary key, "Depth m" integer);
  create table port.call (call_id integer primary key, berth_no text references port.berth, note text);
  create index ix_call_berth_no on port.call (berth_no);
  insert into port.berth values ('A''1', 7), ('B2', 9);
  insert into port.call select n, case when n % 2 = 0 then 'A''1' else 'B2' end, repeat('x', 200) from generate_series(1, 20) n;
  create view port.busy as select b.berth_no, count(*) as calls from port.berth b join port.call c using (berth_no) group by 1;
  create materialized view port.kept as select * from port.busy;
  create function port.note(at date, no text) returns text language sql stable as 'select no';
  create procedure port.tidy() language sql security definer as 'delete from port.call where false';
  create function port.noted() returns trigger language plpgsql as 'begin return new; end';
  create trigger noted before insert on port.call for each row execute function port.noted();
  comment on function port.note(date, text) is 'says a berth again';
`);

let source: Awaited<ReturnType<typeof openSource>>;
let catalogue: Catalogue;

beforeAll(async () => {
  source = await openSource(database.details);
  catalogue = await source.readCatalogue();
});
afterAll(() => source.close());

const told = (kind: StockKind, ...fields: readonly string[]) =>
  inventory[kind].lines({ catalogue, evidence: {}, findings: [] }).map(({ values }) => fields.map((name) => values[name]));

test('views are listed with what they read from', () => {
  expect(told('views', 'view', 'kind', 'reads', 'columns')).toEqual([
    ['busy', 'view', 'port.berth, port.call', 2],
    ['kept', 'materialized view', 'port.busy', 2],
  ]);
});

test('routines are listed with what they take, and how many triggers call them', () => {
  expect(
    told('routines', 'name', 'kind', 'takes', 'returns', 'language', 'volatility', 'definer', 'triggers', 'comment'),
  ).toEqual([
    ['note', 'function', 'at date, no text', 'text', 'sql', 'stable', false, 0, 'says a berth again'],
    ['noted', 'function', null, 'trigger', 'plpgsql', 'volatile', false, 1, null],
    ['tidy', 'procedure', null, null, 'sql', 'volatile', true, 0, null],
  ]);
});

test('of an index it is told what it takes and how often it was used', () => {
  const [index] = told('indexes', 'name', 'size', 'scans').filter(([name]) => name === 'ix_call_berth_no');
  expect(index).toEqual(['ix_call_berth_no', expect.any(Number), 0]);
  expect(Number(index?.[1])).toBeGreaterThan(0);
});

test('rows with some values are read, whatever the values and the columns are called', async () => {
  const having = (table: string, columns: readonly string[], values: readonly string[]) =>
    source.offenders({ kind: 'having', table: tableId('port', table), columns, values }, { offset: 0, limit: 8 });
  expect(await having('berth', ['berth_no', 'Depth m'], ["A'1", '7'])).toMatchObject({ rows: [["A'1", '7']], more: false });
  const calls = await having('call', ['berth_no'], ["A'1"]);
  expect(calls.more).toBe(true);
  // Long values are cut.
  expect(calls.rows[0]?.[2]).toMatch(/^x{80}…$/);
  const howMany = (values: readonly string[], most: number) =>
    source.offenders(
      { kind: 'howMany', table: tableId('port', 'call'), columns: ['berth_no'], values, most },
      { offset: 0, limit: 1 },
    );
  expect((await howMany(["A'1"], 3)).rows).toEqual([['3']]);
  expect((await howMany(['nowhere'], 3)).rows).toEqual([['0']]);
  await expect(having('call', ['call_id'], ["1' or true"])).rejects.toThrow(/call/);
});
