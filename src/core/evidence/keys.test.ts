import { expect, test } from 'vitest';
import type { TableId } from '../catalogue/identifiers';
import { getTable } from '../catalogue/lookups';
import { sketch } from '../../../test/kit/sketch';
import { expectedRepeats } from './keyFeatures';
import { bestKey, candidateKeys, keyQuestions, nearlyKeys } from './keys';
import { evidence, profiled, repeating } from '../../../test/kit/measured';
import { sampleOf } from './evidence';

const booking = sketch('port.booking: booking_no text not null, remark text, weight numeric, starts timestamp not null');
const table = getTable(booking, 'port.booking' as TableId);
const sampled = { kind: 'sample', rows: 500 } as const;

test('ranks what is named as the identifier before what is unique by chance', () => {
  const facts = evidence(
    profiled(booking, 'port.booking', 500, {
      booking_no: { distinct: 500 },
      starts: { distinct: 500 },
      remark: { distinct: 500 },
      weight: { distinct: 500 },
    }),
  );
  const ranked = candidateKeys(booking, table, facts).map((key) => key.columns[0]);
  expect(ranked[0]).toBe('booking_no');
  expect(bestKey(booking, table, facts)?.columns).toEqual(['booking_no']);
});

test('never counts a column that repeats', () => {
  const facts = evidence(profiled(booking, 'port.booking', 500, { booking_no: { distinct: 499 } }));
  expect(candidateKeys(booking, table, facts)).toEqual([]);
  expect(nearlyKeys(booking, table, facts)).toEqual([['booking_no']]);
});

test('says how many rows lack a candidate, and does not propose it then', () => {
  const facts = evidence(profiled(booking, 'port.booking', 500, { booking_no: { distinct: 497, nulls: 3 } }));
  expect(candidateKeys(booking, table, facts)[0]).toMatchObject({ columns: ['booking_no'], nullRows: 3 });
  expect(bestKey(booking, table, facts)).toBeNull();
});

test('verifies what a sample of a large table lets stand, single columns first, and only at exact depth', () => {
  const release = sketch('cargo.release: manifest_no text not null, release_seq int not null, officer text not null, note text');
  const own = getTable(release, 'cargo.release' as TableId);
  const pair = ['manifest_no', 'release_seq'];
  const profile = profiled(
    release,
    'cargo.release',
    200,
    { manifest_no: { distinct: 100 }, release_seq: { distinct: 2 }, officer: { distinct: 4 }, note: { distinct: 200 } },
    sampled,
    [pair],
  );
  expect(keyQuestions(release, own, evidence(profile), 'sampled')).toEqual([]);
  // A note that repeats nowhere is no key: it is not worth a look at the whole table.
  expect(keyQuestions(release, own, evidence(profile), 'exact').map((q) => q.columns)).toEqual([pair]);
  const known = evidence(profile, repeating('cargo.release', pair, 5000));
  expect(keyQuestions(release, own, known, 'exact')).toEqual([]);
  expect(bestKey(release, own, known)?.columns).toEqual(pair);
});

test('a set that only a sample lets stand is no candidate yet', () => {
  const facts = evidence(profiled(booking, 'port.booking', 500, {}, sampled, [['remark', 'starts']]));
  expect(candidateKeys(booking, table, facts)).toEqual([]);
});

test('an empty table has a key by its name alone, or none', () => {
  const empty = sketch('port.tug: tug_id not null, name text\n port.note: body text');
  const of = (id: string) => bestKey(empty, getTable(empty, id as TableId), evidence(profiled(empty, id, 0)))?.columns ?? null;
  expect(of('port.tug')).toEqual(['tug_id']);
  expect(of('port.note')).toBeNull();
});

test('repeats to be expected by chance are pairs of rows times the agreement of each column', () => {
  const facts = evidence(profiled(booking, 'port.booking', 101, { remark: { distinct: 10 }, booking_no: { distinct: 50 } }));
  const sample = sampleOf(facts, table.id)?.result;
  expect(sample && expectedRepeats(sample, ['remark', 'booking_no'])).toBeCloseTo((101 * 100) / 2 / 10 / 50);
});

test('the same evidence with another catalogue is judged anew', () => {
  const facts = evidence(profiled(booking, 'port.booking', 500, { booking_no: { distinct: 500 } }));
  const first = candidateKeys(booking, table, facts);
  expect(candidateKeys(booking, table, facts)).toBe(first);
  expect(candidateKeys({ ...booking }, table, facts)).not.toBe(first);
});
