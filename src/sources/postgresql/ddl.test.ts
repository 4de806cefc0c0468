import { expect, test } from 'vitest';
import { useDatabase } from '../../../test/kit/database';
import { tableId } from '../../core/catalogue/identifiers';
import { openSource } from './reader';
import { fingerprintOf } from './scratch';

const database = useDatabase(`
  create schema port;
  create table port."Berth; --" (berth_no text primary key, area text, length_m int, constraint "ck 'l" check (length_m > 0));
  create table port.booking (id int primary key, berth_no text constraint fk_berth references port."Berth; --" on delete cascade deferrable);
  create index "ix; drop" on port.booking (lower(berth_no)) where id > 0;
`);

test.each([
  [tableId('port', 'Berth; --'), 'Berth; --_pkey', 2],
  [tableId('port', 'Berth; --'), "ck 'l", 1],
  [tableId('port', 'booking'), 'fk_berth', 1],
  [tableId('port', 'booking'), 'ix; drop', 1],
])('what %s has as %s is dropped and made again as it was', async (table, name, statements) => {
  const reader = await openSource(database.details);
  const ddl = await reader.ddl(table, name).finally(() => reader.close());
  if (!ddl) throw new Error('it is there');
  expect(ddl.drop.split(';\n')).toHaveLength(statements);
  const before = await fingerprintOf(database.details);
  await database.run(ddl.drop);
  expect(await fingerprintOf(database.details)).not.toEqual(before);
  await database.run(ddl.create);
  expect(await fingerprintOf(database.details)).toEqual(before);
});

test('of what is not there nothing is said', async () => {
  const reader = await openSource(database.details);
  expect(await reader.ddl(tableId('port', 'booking'), 'none').finally(() => reader.close())).toBeNull();
});
