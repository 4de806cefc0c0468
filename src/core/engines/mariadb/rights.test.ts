import { expect, test } from 'vitest';
import { mayDo } from './questions/rights';

const reaches = (granted: string, schema: string) =>
  mayDo([{ schema: granted, table: '', privilege: 'SELECT' }], schema, 'SELECT');

test.each([
  ['slipway', 'slipway', true],
  ['slip%', 'slipway', true],
  ['slip%', 'slap', false],
  ['slip_ay', 'slipway', true],
  ['slip\\_ay', 'slipway', false],
  ['slip\\_ay', 'slip_ay', true],
  ['100\\%', '100%', true],
  ['100\\%', '1000', false],
  ['%way', 'slipway_way', true],
  ['a.c', 'abc', false],
  ['slip\\', 'slip', false],
  ['', 'whatever', true],
] as const)('a grant on %s and the schema %s: %s', (granted, schema, does) => {
  expect(reaches(granted, schema)).toBe(does);
});

test('a pattern that tries everything ends at once', () => {
  expect(reaches('%a'.repeat(200) + 'b', 'a'.repeat(400))).toBe(false);
}, 2_000);
