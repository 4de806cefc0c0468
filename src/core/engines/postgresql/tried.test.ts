import { expect, test } from 'vitest';
import { notTriedInWords, untried } from '../facts';

test.each([
  ['15.18', null],
  ['18.0', null],
  ['12.22', null],
  ['18', null],
  ['19.1', 'tried on PostgreSQL 12 to 18, not on 19.1'],
  ['11.4', 'not on 11.4'],
])('whether somebody has tried %s', (version, words) => {
  const said = notTriedInWords({ name: 'postgresql', version });
  if (words === null) expect(said).toBeNull();
  else expect(said).toContain(words);
});

test('of what nobody has tried that is said, whatever its version', () => {
  expect(untried({ title: 'Paper', tried: null }, '1.0')).toContain('Nobody has tried Pawl on a server of Paper yet');
  expect(untried({ title: 'Paper', tried: ['1.0', '1.0'] }, '1.0')).toBeNull();
});
