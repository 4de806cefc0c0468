import { expect, test } from 'vitest';
import { apply } from '../../operations/index';
import { tableId } from '../../catalogue/identifiers';
import { sketch } from '../../../../test/kit/sketch';
import { audit } from '../audit';

const drawn = sketch(`
  port.berth: id key
  port.tug:   id key
  port.call:  id key, berth_id -> port.berth.id
`);
const rename = (table: string, from: string, to: string, catalogue = drawn) =>
  apply({ kind: 'rename', table: tableId('port', table), from, to }, catalogue);
const found = (catalogue = drawn) =>
  audit(catalogue, {})
    .filter((f) => f.rule === 'naming/generated')
    .map((f) => f.proposal);

test('finds names that the server made where the house makes its own', () => {
  const house = rename('berth', 'berth_pkey', 'pk_berth', rename('tug', 'tug_pkey', 'pk_tug'));
  expect(found(house)).toContainEqual({ kind: 'rename', columns: ['id'], from: 'call_pkey', to: 'pk_call' });
});

test('leaves the server’s own names alone where the house keeps them', () => {
  expect(found()).toEqual([]);
});

test('finds a numbered name even there', () => {
  expect(found(rename('call', 'call_berth_id_fkey', 'call_berth_id_fkey1'))).toEqual([
    { kind: 'rename', columns: ['berth_id'], from: 'call_berth_id_fkey1', to: 'call_berth_id_fkey' },
  ]);
});
