import fc from 'fast-check';
import { expect, test } from 'vitest';
import type { TableId } from '../catalogue/identifiers';
import { getTable } from '../catalogue/lookups';
import { sketch } from '../catalogue/sketch';
import { candidateKeys, combinations, keyQuestions } from './keys';
import { evidence, profiled, repeating } from './measured';

const booking = sketch('port.booking: booking_no text not null, remark text, weight numeric, starts timestamp not null');
const table = getTable(booking, 'port.booking' as TableId);

test('ranks what is named as the identifier before what is unique by chance', () => {
  const facts = evidence(
    profiled(booking, 'port.booking', 500, {
      booking_no: { distinct: 500 },
      starts: { distinct: 500 },
      remark: { distinct: 500 },
      weight: { distinct: 500 },
    }),
  );
  expect(candidateKeys(table, facts).map((key) => key.columns)).toEqual([['booking_no'], ['starts']]);
});

test('never counts a column that repeats', () => {
  const facts = evidence(profiled(booking, 'port.booking', 500, { booking_no: { distinct: 499 } }));
  expect(candidateKeys(table, facts)).toEqual([]);
});

test('says how many rows lack a candidate', () => {
  const facts = evidence(profiled(booking, 'port.booking', 500, { booking_no: { distinct: 497, nulls: 3 } }));
  expect(candidateKeys(table, facts)[0]).toMatchObject({ columns: ['booking_no'], nullRows: 3 });
});

test('asks about pairs only when no single column holds, and only about plausible ones', () => {
  const release = sketch('cargo.release: manifest_no text not null, release_seq int not null, officer text not null, note text');
  const own = getTable(release, 'cargo.release' as TableId);
  const profile = profiled(release, 'cargo.release', 200, {
    manifest_no: { distinct: 100 },
    release_seq: { distinct: 2 },
    officer: { distinct: 4 },
    note: { distinct: 150 },
  });
  expect(keyQuestions(own, evidence(profile), 'exact')).toEqual([
    { kind: 'repeats', table: 'cargo.release', columns: ['manifest_no', 'release_seq'] },
  ]);
  const known = evidence(profile, repeating('cargo.release', ['manifest_no', 'release_seq'], 200));
  expect(keyQuestions(own, known, 'exact')).toEqual([]);
  expect(candidateKeys(own, known)[0]?.columns).toEqual(['manifest_no', 'release_seq']);
});

test('has nothing to ask of an empty table', () => {
  expect(keyQuestions(table, evidence(profiled(booking, 'port.booking', 0)), 'exact')).toEqual([]);
});

test('combinations are all subsets of a size, each once', () => {
  fc.assert(
    fc.property(fc.uniqueArray(fc.integer(), { maxLength: 7 }), fc.integer({ min: 0, max: 4 }), (whole, size) => {
      const sets = combinations(whole, size);
      expect(new Set(sets.map((set) => JSON.stringify(set))).size).toBe(sets.length);
      expect(sets.every((set) => set.length === size)).toBe(true);
      const choose = (n: number, k: number): number => (k === 0 ? 1 : (choose(n, k - 1) * (n - k + 1)) / k);
      expect(sets.length).toBe(Math.max(0, choose(whole.length, size)));
    }),
  );
});
