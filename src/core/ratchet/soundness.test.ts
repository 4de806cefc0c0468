import fc from 'fast-check';
import { expect, test } from 'vitest';
import { tableId } from '../catalogue/identifiers';
import { concerns, severities } from '../rules/finding';
import type { CoverageCell, SurveyedTable } from '../survey/boards';
import { soundnessOf } from './soundness';

const table = (name: string, rows: number | null, notMeasured: string | null = null): SurveyedTable => ({
  ...{ id: tableId('port', name), schema: 'port', name, rows, bytes: 0, notMeasured },
});
const cell = (name: string, concern: CoverageCell['concern'], worst: CoverageCell['worst']): CoverageCell => ({
  ...{ tableId: tableId('port', name), concern, worst, open: worst === null ? 0 : 1, held: 0, slipped: 0 },
});

test('a table and concern is sound while nothing of Moderate or worse is open there', () => {
  const tables = [table('vessel', 900), table('call', 99), table('log', null), table('shut', 10, 'no right to read it')];
  const cells = [
    cell('vessel', 'Keys', 'Critical'),
    cell('vessel', 'Naming', 'Minor'),
    cell('call', 'References', 'Moderate'),
    cell('call', 'Keys', null),
    cell('shut', 'Keys', 'Critical'),
  ];
  const cellsInAll = 3 * concerns.length;
  expect(soundnessOf({ tables, cells })).toEqual({
    share: 1 - 2 / cellsInAll,
    byRows: 1 - 999 / (1000 * concerns.length),
    broken: 2,
    places: cellsInAll,
    notMeasured: 1,
  });
});

test('of nothing that was measured nothing is said', () => {
  expect(soundnessOf({ tables: [table('shut', 1, 'no right')], cells: [] })).toMatchObject({ share: null, byRows: null });
});

test('it lies between none and all, falls with each finding that opens, and is the same by rows where all have as many', () => {
  const finding = fc.record({
    name: fc.constantFrom('a', 'b', 'c'),
    concern: fc.constantFrom(...concerns),
    worst: fc.constantFrom(...severities),
  });
  const unique = fc.uniqueArray(finding, { selector: ({ name, concern }) => `${name} ${concern}` });
  fc.assert(
    fc.property(unique, fc.integer({ min: 1, max: 1e9 }), (found, rows) => {
      const tables = ['a', 'b', 'c'].map((name) => table(name, rows));
      const of = (some: typeof found) => soundnessOf({ tables, cells: some.map((f) => cell(f.name, f.concern, f.worst)) });
      const { share, byRows } = of(found);
      expect(share).toBeGreaterThanOrEqual(0);
      expect(share).toBeLessThanOrEqual(of(found.slice(1)).share ?? 0);
      expect(byRows).toBeCloseTo(share ?? 0, 9);
    }),
  );
});
