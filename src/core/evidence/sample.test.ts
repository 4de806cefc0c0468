import fc from 'fast-check';
import { expect, test } from 'vitest';
import { sketch } from '../../../test/kit/sketch';
import { uniqueCombinations } from './combinations';
import { summarise } from './sample';

const columnsOf = (drawing: string) => sketch(drawing).tables[0]?.columns ?? [];

/** All subsets up to four wide that repeat nowhere, of which no part does: by trying every one. */
function byBruteForce(rows: readonly (readonly (number | null)[])[], width: number): readonly string[] {
  const subsets = Array.from({ length: 2 ** width - 1 }, (_, i) =>
    Array.from({ length: width }, (_, c) => c).filter((c) => ((i + 1) >> c) & 1),
  );
  const nulls = (c: number): number => rows.filter((row) => row[c] === null).length;
  const isUnique = (set: readonly number[]): boolean => {
    const filled = rows.filter((row) => set.every((c) => row[c] !== null)).map((row) => set.map((c) => row[c]).join('/'));
    if (new Set(filled).size < filled.length || filled.length === 0) return false;
    // Wider sets only of columns that are mostly filled, and mostly filled together.
    return set.length === 1 || (set.every((c) => nulls(c) <= rows.length / 2) && filled.length * 2 >= rows.length);
  };
  const constant = (c: number): boolean => new Set(rows.map((row) => row[c]).filter((v) => v !== null)).size < 2;
  const found = subsets.filter((set) => set.length <= 4 && isUnique(set) && (set.length === 1 || !set.some(constant)));
  const minimal = found.filter((set) => !found.some((other) => other.length < set.length && other.every((c) => set.includes(c))));
  return minimal.map((set) => set.join('+')).sort();
}

const cell = fc.oneof({ weight: 9, arbitrary: fc.integer({ min: 0, max: 5 }) }, { weight: 1, arbitrary: fc.constant(null) });

test('the minimal unique combinations are those that brute force finds', () => {
  fc.assert(
    fc.property(
      fc
        .integer({ min: 1, max: 6 })
        .chain((width) =>
          fc.tuple(
            fc.constant(width),
            fc.array(fc.array(cell, { minLength: width, maxLength: width }), { minLength: 1, maxLength: 24 }),
          ),
        ),
      ([width, rows]) => {
        const columns = Array.from({ length: width }, (_, c) => {
          const values = [...new Set(rows.flatMap((row) => row[c] ?? []))];
          const codes = Int32Array.from(rows.map((row) => values.indexOf(row[c] ?? -1)));
          return { name: String(c), codes, distinct: values.length, nulls: codes.filter((code) => code < 0).length };
        });
        const found = uniqueCombinations(columns, rows.length).map((set) => set.join('+'));
        expect([...found].sort()).toEqual(byBruteForce(rows, width));
      },
    ),
    { numRuns: 400 },
  );
});

test('tells what a column holds', () => {
  const sample = summarise(columnsOf('t: id, name text, amount numeric, at timestamp'), [
    ['1', ' Alpha', '-2.5', '2026-01-01 00:00:00+00'],
    ['2', 'alpha', '3', '2026-01-02 00:00:00+00'],
    ['3', '  ', null, '2026-01-03 00:00:00+00'],
  ]);
  expect(sample.columns['name']).toMatchObject({ nulls: 0, distinct: 3, folded: 2, filled: 2, longest: 6 });
  expect(sample.columns['amount']).toMatchObject({ nulls: 1, distinct: 2, negative: 1 });
  expect(sample.columns['id']).toMatchObject({ rising: 1, agreement: 0 });
  expect(sample.uniques).toEqual([['id'], ['name'], ['at']]);
});

test('knows the forms that text has throughout', () => {
  const texts = ['12', '2026-02-28', '1.5', 'f81d4fae-7dec-11d0-a765-00a0c91e6bf6', '2026-02-28T10:00:00Z', 'yes', 'words'];
  const sample = summarise(
    columnsOf('t: v text'),
    texts.map((text) => [text]),
  );
  expect(sample.columns['v']?.forms).toEqual({ integer: 1, date: 1, decimal: 1, uuid: 1, timestamp: 1, boolean: 1 });
});

test('counts where one moment comes after the other', () => {
  const sample = summarise(columnsOf('t: starts date, ends date'), [
    ['2026-01-01', '2026-01-02'],
    ['2026-01-05', '2026-01-04'],
    ['2026-01-05', null],
  ]);
  expect(sample.ordered).toEqual([
    { first: 'starts', second: 'ends', both: 2, broken: 1 },
    { first: 'ends', second: 'starts', both: 2, broken: 1 },
  ]);
});

test('of an empty table nothing is said', () => {
  expect(summarise(columnsOf('t: id'), [])).toMatchObject({ rows: 0, uniques: [], ordered: [] });
});

test('a column may be called as what every object has', () => {
  const { columns } = summarise(columnsOf('port.odd: __proto__ text, constructor text'), [
    ['a', null],
    ['a', 'b'],
  ]);
  expect(Object.keys(columns)).toEqual(['__proto__', 'constructor']);
  expect(columns['__proto__']?.frequent).toEqual([['a', 2]]);
  expect(columns['constructor']?.nulls).toBe(1);
  expect('toString' in columns).toBe(false);
});
