// Sets of columns that can identify rows: those that a sample lets stand, and the wider ones that makers of tables use.

import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { evidence, profiled } from '../../../test/kit/measured';
import { sketch } from '../../../test/kit/sketch';
import type { TableId } from '../catalogue/identifiers';
import { getTable, includesColumns } from '../catalogue/lookups';
import { sampleOf } from './evidence';
import { declaresUnique, distinctSets, rolesOf, uniqueSets, usualSets, withReferences } from './keySets';
import type { Sample } from './sample';

const harbour = sketch(`
  port.vessel: vessel_id key, name text
  port.berth: berth_no text key, length_m numeric
  port.mooring: vessel_id int not null, berth_no text not null, line_no int not null, weight_kg numeric, noted text
  port.stay: vessel_id int not null, seq int not null, note text
`);

const tableOf = (id: string) => getTable(harbour, id as TableId);

/** What a sample of a hundred rows says of a table: which sets do not repeat, and which columns have nulls. */
function sampled(table: string, uniques: readonly (readonly string[])[], nulls: Readonly<Record<string, number>> = {}): Sample {
  const columns = Object.fromEntries(Object.entries(nulls).map(([name, count]) => [name, { distinct: 5, nulls: count }]));
  const known = evidence(profiled(harbour, table, 100, columns, undefined, uniques));
  const sample = sampleOf(known, table as TableId);
  if (!sample) throw new Error('No sample was taken.');
  return sample.result;
}

const setsOf = (table: string, uniques: readonly (readonly string[])[], nulls?: Readonly<Record<string, number>>) =>
  uniqueSets(harbour, tableOf(table), sampled(table, uniques, nulls));

test('columns play the parts that their names and references give them', () => {
  expect(Object.fromEntries(rolesOf(harbour, tableOf('port.mooring')))).toMatchObject({
    vessel_id: { refers: true, ordinal: false },
    berth_no: { refers: true, ordinal: false },
    line_no: { ordinal: true },
    weight_kg: { refers: false, ordinal: false },
    noted: { refers: false, ordinal: false },
  });
  const known = withReferences(rolesOf(harbour, tableOf('port.mooring')), new Set(['noted']));
  expect(known.get('noted')).toMatchObject({ refers: true });
});

test('both ends of a link are meant with what numbers them, though a part of that happens not to repeat', () => {
  const sets = setsOf('port.mooring', [['vessel_id', 'line_no']]);
  expect(sets[0]).toEqual(['vessel_id', 'line_no']);
  expect(sets).toContainEqual(['vessel_id', 'berth_no', 'line_no']);
  expect(sets).not.toContainEqual(['vessel_id', 'berth_no']);
});

test('a parent and an ordinal are a set, whatever else stands between', () => {
  expect(setsOf('port.stay', [['seq', 'vessel_id']])).toContainEqual(['seq', 'vessel_id']);
  expect(usualSets(tableOf('port.stay'), sampled('port.stay', []), rolesOf(harbour, tableOf('port.stay')))).toContainEqual([
    'vessel_id',
    'seq',
  ]);
});

test('a column with nulls, or of a type that identifies nothing, is in no wider set', () => {
  const sets = setsOf('port.mooring', [['vessel_id', 'line_no']], { berth_no: 3 });
  expect(sets.filter((set) => set.includes('berth_no'))).toEqual([]);
  expect(sets.filter((set) => set.includes('weight_kg'))).toEqual([]);
});

test('what is declared unique counts before what a sample says', () => {
  expect(setsOf('port.vessel', [['name']])[0]).toEqual(['vessel_id']);
  expect(declaresUnique(tableOf('port.vessel'))).toBe(false);
});

describe('whatever does not repeat', () => {
  const names = tableOf('port.mooring').columns.map(({ name }) => name);
  const uniques = fc.array(fc.subarray(names, { minLength: 1, maxLength: 4 }), { maxLength: 5 });

  test('each set contains one that does not, is told once, and wider ones follow the order of the columns', () => {
    fc.assert(
      fc.property(uniques, (parts) => {
        const sets = setsOf('port.mooring', parts);
        const own = (set: readonly string[]) => [...set].sort().join();
        expect(new Set(sets.map(own)).size).toBe(sets.length);
        for (const set of sets) expect(parts.some((part) => includesColumns(set, part))).toBe(true);
        for (const part of distinctSets(parts)) expect(sets.map(own)).toContain(own(part));
        const wider = sets.filter((set) => !parts.map(own).includes(own(set)));
        for (const set of wider) expect(set).toEqual(names.filter((name) => set.includes(name)));
      }),
    );
  });
});
