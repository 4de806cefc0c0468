import fc from 'fast-check';
import { expect, test } from 'vitest';
import type { Concern } from '../rules/finding';
import { causes, type Cells, type Happened, turnedBetween, turnedTogether } from './standing';

const cells = (measured: readonly string[], broken: readonly string[], notMeasured: readonly string[] = []): Cells => ({
  ...{ measured, notMeasured, broken },
});
const event = (table: string, concern: Concern, from: Happened['from'], to: Happened['to']): Happened => ({
  ...{ table, concern, rule: 'keys/missing', from, to },
});
const none: ReadonlySet<string> = new Set();

test('each place that turned has one cause: what people did first, then rules and tables, then the data', () => {
  const before = cells(['a', 'b', 'c', 'gone'], ['a Keys', 'b Keys', 'c Naming', 'gone Keys'], ['shut']);
  const after = cells(['a', 'b', 'fresh', 'shut'], ['b Values', 'b References', 'fresh Keys', 'shut Keys'], ['c']);
  const happened = [
    event('a', 'Keys', 'Open', 'Held'),
    event('b', 'Keys', 'Open', 'Waived'),
    event('b', 'Values', 'Held', 'Slipped'),
  ];
  expect(turnedBetween({ before, after, happened, otherRules: none })).toEqual([
    { cause: 'mended', sound: 1, broken: 0 },
    { cause: 'slipped', sound: 0, broken: 1 },
    { cause: 'data', sound: 0, broken: 1 },
    { cause: 'tables', sound: 1, broken: 1 },
    { cause: 'waived', sound: 1, broken: 0 },
    { cause: 'measured', sound: 1, broken: 1 },
  ]);
});

test('a rule that is set otherwise is the cause where its findings came or went', () => {
  const [before, after] = [cells(['a'], []), cells(['a'], ['a Keys'])];
  const happened = [event('a', 'Keys', null, 'Open')];
  expect(turnedBetween({ before, after, happened, otherRules: new Set(['keys/missing']) })).toEqual([
    { cause: 'rules', sound: 0, broken: 1 },
  ]);
});

test('causes add up to what turned, and several surveys to their sum', () => {
  const place = fc.constantFrom('a Keys', 'a Values', 'b Keys', 'c Naming');
  const some = fc.uniqueArray(place);
  const tables = fc.subarray(['a', 'b', 'c']);
  const board = fc.record({ measured: tables, notMeasured: tables, broken: some });
  const happenings = fc.array(
    fc.record({
      ...{ table: fc.constantFrom('a', 'b'), concern: fc.constantFrom<Concern>('Keys', 'Values'), rule: fc.constant('x') },
      from: fc.constantFrom<Happened['from']>(null, 'Open', 'Waived'),
      to: fc.constantFrom<Happened['to']>('Open', 'Held', 'Slipped', 'Waived'),
    }),
  );
  fc.assert(
    fc.property(board, board, happenings, (before, after, happened) => {
      const turned = turnedBetween({ before, after, happened, otherRules: none });
      const sum = (way: 'sound' | 'broken') => turned.reduce((all, one) => all + one[way], 0);
      expect(sum('sound')).toBe(before.broken.filter((cell) => !after.broken.includes(cell)).length);
      expect(sum('broken')).toBe(after.broken.filter((cell) => !before.broken.includes(cell)).length);
      expect(new Set(turned.map(({ cause }) => cause)).size).toBe(turned.length);
      const twice = turnedTogether([turned, turned]);
      expect(twice).toEqual(turned.map(({ cause, sound, broken }) => ({ cause, sound: sound * 2, broken: broken * 2 })));
      expect(causes.filter((cause) => twice.some((one) => one.cause === cause))).toEqual(twice.map(({ cause }) => cause));
    }),
  );
});
