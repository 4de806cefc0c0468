import { expect, test } from 'vitest';
import { sketch } from '../../../test/kit/sketch';
import { profiled } from '../../../test/kit/measured';
import { foundBy } from '../../../test/kit/found';
import { waiverOf, usualPolicy } from './policy';

const port = sketch('port.log: entry text\n port.log_old: entry text\n port.tug: name text');
const facts = port.tables.map((table) => profiled(port, table.id, 50));
const under = (policy: Partial<typeof usualPolicy>) =>
  foundBy('keys/missing', port, facts, { policies: { 'keys/missing': { ...usualPolicy, ...policy } } });

test('a rule can be switched off, or count for less', () => {
  expect(under({ on: false })).toEqual([]);
  expect(under({ severity: 'Minor' }).every((found) => found.includes('Minor'))).toBe(true);
});

test.each([
  ['port.tug', 2],
  ['port.log*', 1],
  ['*', 0],
  ['port.l*_o*d', 2],
  ['nothing.*', 3],
])('what is waived is not found: %s', (object, left) => {
  expect(under({ waivers: [{ object, reason: 'kept as it is' }] })).toHaveLength(left);
});

test('a threshold that is set takes the place of the rule’s own', () => {
  const call = sketch('berth: id key\n call 300: id key, berth_id -> berth.id');
  const found = (rows: number) =>
    foundBy('references/unindexed', call, [], { policies: { 'references/unindexed': { ...usualPolicy, thresholds: { rows } } } });
  expect(found(200)).toHaveLength(1);
  expect(found(500)).toHaveLength(0);
});

test('a waiver until a day holds on that day and not on the next', () => {
  const policy = { ...usualPolicy, waivers: [{ object: 'port.log', reason: 'a log', until: '2026-12-31', by: 'Bo' }] };
  expect(waiverOf(policy, ['port.log'], '2026-12-31T23:00:00Z')?.by).toBe('Bo');
  expect(waiverOf(policy, ['port.log'], '2027-01-01T00:00:00Z')).toBeNull();
});
