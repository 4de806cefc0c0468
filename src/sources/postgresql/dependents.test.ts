import { expect, test } from 'vitest';
import { useDatabase } from '../../../test/kit/database';
import { tableId } from '../../core/catalogue/identifiers';
import { openSource } from './reader';

const database = useDatabase(`
  create schema port;
  create table port.berth (berth_no text constraint "pk.berth" primary key, area text);
  create table port.log (note text);
  create view port.areas as select berth_no, area, count(*) from port.berth group by berth_no;
  create view port.numbers as select berth_no from port.berth;
  create function port.keep(no text) returns void language sql as
    'insert into port.berth values (no) on conflict on constraint "pk.berth" do nothing';
  create function port.other() returns text language sql return 'pk.berths and xpk.berth and pk-berth';
  create table port.tug ("Pull" integer, power integer generated always as ("Pull" * 2) stored);
  create view port.strong as select "Pull" from port.tug where "Pull" > 60;
  create function port.weigh() returns bigint language sql as 'select sum("Pull") from port.tug';
  create function port.weigh_others() returns bigint language sql as 'select count(*) as "Pull" from port.berth';
  create function port.noted() returns trigger language plpgsql as 'begin return new; end';
  create trigger pulled after update of "Pull" on port.tug for each row execute function port.noted();
  alter table port.tug enable row level security;
  create policy strong_only on port.tug using ("Pull" > 60);
  create procedure port.atomic(no text) begin atomic
    insert into port.berth values (no) on conflict on constraint "pk.berth" do nothing;
  end;
`);

test('finds functions that name a constraint as a whole word, and views that rest on it', async () => {
  const reader = await openSource(database.details);
  try {
    const found = await reader.dependents(tableId('port', 'berth'), { kind: 'constraint', name: 'pk.berth' });
    expect(found.map(({ kind, name, how }) => `${kind} ${name} ${how}`)).toEqual([
      'function port.keep(text) names it',
      'procedure port.atomic(text) names it',
      'view port.areas rests on it',
    ]);
    expect(await reader.dependents(tableId('port', 'log'), { kind: 'constraint', name: 'x' })).toEqual([]);
  } finally {
    await reader.close();
  }
});

test('finds whatever rests on a column, and the functions that say it beside its table', async () => {
  const reader = await openSource(database.details);
  try {
    const found = await reader.dependents(tableId('port', 'tug'), { kind: 'column', name: 'Pull' });
    expect(found.map(({ kind, name, how }) => `${kind} ${name} ${how}`)).toEqual([
      'function port.weigh() names it',
      'generated column port.tug.power rests on it',
      'policy strong_only of port.tug rests on it',
      'trigger pulled of port.tug rests on it',
      'view port.strong rests on it',
    ]);
  } finally {
    await reader.close();
  }
});
