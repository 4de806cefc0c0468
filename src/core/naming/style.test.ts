import { expect, test } from 'vitest';
import { tableId } from '../catalogue/identifiers';
import { getTable } from '../catalogue/lookups';
import { sketch } from '../../../test/kit/sketch';
import { named, namedConstraint } from './named';
import { freeName, isMadeBySystem, nameFor, nameUnder, styleOf } from './style';
import { namesTaken } from './taken';
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
  expect(styleOf(drawn).templates['primary key'].text).toBe('{table}_pkey');
});

test('reads the style off the names that are there', () => {
  const style = styleOf(
    renamed(
      ['berth', 'berth_pkey', 'pk_berth'],
      ['call', 'call_pkey', 'pk_call'],
      ['call', 'call_berth_id_fkey', 'fk_call_berth'],
    ),
  );
  expect([style.templates['primary key'].text, style.templates['foreign key'].text, style.templates.check.text]).toEqual([
    'pk_{table}',
    'fk_{table}_{parent}',
    'ck_{table}_{columns}',
  ]);
});

test('gives names that are free and that the server can keep', () => {
  const style = styleOf(drawn);
  const berth = getTable(drawn, tableId('port', 'berth'));
  const long = nameFor(style, named(drawn, { ...berth, name: 'ä'.repeat(40) }, { kind: 'unique', columns: ['b'] }));
  expect(new TextEncoder().encode(long).length).toBeLessThanOrEqual(63);
  expect(freeName(style, named(drawn, berth, { kind: 'unique', columns: ['code'] }), namesTaken(drawn, 'port'))).not.toBe(
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
  expect(isMadeBySystem(styleOf(drawn), { ...namedConstraint(drawn, table, key), name })).toBe(made);
});

test('what was adopted goes before what prevails, kind by kind; what cannot be read counts as not adopted', () => {
  const style = styleOf(drawn, { 'primary key': '{table}_key_of', unique: 'uq_{nothing}' });
  expect([style.templates['primary key'].text, style.templates.unique.text]).toEqual(['{table}_key_of', '{table}_{columns}_key']);
  expect([...style.adopted]).toEqual(['primary key']);
});

test('a check says what it means in its own words where the style leaves them to it', () => {
  const style = styleOf(drawn, { check: 'ck_{table}_{meaning}' });
  const berth = getTable(drawn, tableId('port', 'berth'));
  const under = (name: string) => nameUnder(style, named(drawn, berth, { kind: 'check', name, columns: ['code'] }));
  expect([under('ck_berth_code_is_short'), under('berth_code_check'), under('ck_berth')]).toEqual([
    'ck_berth_code_is_short',
    'ck_berth_code',
    'ck_berth_code',
  ]);
});
