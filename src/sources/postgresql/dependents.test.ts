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
  create procedure port.atomic(no text) begin atomic
    insert into port.berth values (no) on conflict on constraint "pk.berth" do nothing;
  end;
`);

test('finds functions that name a constraint as a whole word, and views that rest on it', async () => {
  const reader = await openSource(database.details);
  try {
    const found = await reader.dependents(tableId('port', 'berth'), 'pk.berth');
    expect(found.map(({ kind, name, how }) => `${kind} ${name} ${how}`)).toEqual([
      'function port.keep(text) names it',
      'procedure port.atomic(text) names it',
      'view port.areas rests on it',
    ]);
    expect(await reader.dependents(tableId('port', 'log'), 'x')).toEqual([]);
  } finally {
    await reader.close();
  }
});
