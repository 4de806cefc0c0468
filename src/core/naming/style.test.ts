import { expect, test } from 'vitest';
import { tableId } from '../catalogue/identifiers';
import { getTable } from '../catalogue/lookups';
import { sketch } from '../../../test/kit/sketch';
import { freeName, inferStyle, isMadeBySystem, nameFor, namedConstraint, namesTaken } from './style';
import { apply } from '../operations/index';

const drawn = sketch(`
  port.berth: id key, code text unique
  port.call:  id key, berth_id -> port.berth.id
`);

function renamed(...names: readonly (readonly [string, string, string])[]) {
  return names.reduce(
    (catalogue, [table, from, to]) => apply({ kind: 'rename', table: tableId('port', table), from, to }, catalogue),
    drawn,
  );
}

test('takes the server’s own names for the style where nobody chose another', () => {
  expect(inferStyle(drawn).templates['primary key']).toBe('{table}_pkey');
});

test('reads the style off the names that are there', () => {
  const style = inferStyle(
    renamed(
      ['berth', 'berth_pkey', 'pk_berth'],
      ['call', 'call_pkey', 'pk_call'],
      ['call', 'call_berth_id_fkey', 'fk_call_berth'],
    ),
  );
  expect([style.templates['primary key'], style.templates['foreign key'], style.templates.check]).toEqual([
    'pk_{table}',
    'fk_{table}_{parent}',
    'ck_{table}_{columns}',
  ]);
});

test('gives names that are free and that the server can keep', () => {
  const style = inferStyle(drawn);
  const long = nameFor(style, { kind: 'unique', table: 'ä'.repeat(40), columns: ['b'] });
  expect(new TextEncoder().encode(long).length).toBeLessThanOrEqual(63);
  expect(freeName(style, { kind: 'unique', table: 'berth', columns: ['code'] }, namesTaken(drawn, 'port'))).not.toBe(
    'berth_code_key',
  );
});

test.each([
  ['call_berth_id_fkey', true],
  ['call_berth_id_fkey1', true],
  ['$1', true],
  ['SYS_C0012', true],
  ['fk_call_berth', false],
  ['berth_of_call', false],
])('%s: made by the system is %s', (name, made) => {
  const table = getTable(drawn, tableId('port', 'call'));
  const key = table.constraints.find((c) => c.kind === 'foreign key');
  if (!key) throw new Error('the sketch has a reference');
  expect(isMadeBySystem(inferStyle(drawn), name, namedConstraint(drawn, table, key))).toBe(made);
});
