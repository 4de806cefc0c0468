import { expect, test } from 'vitest';
import { sketch } from '../catalogue/sketch';
import { evidence, included, profiled } from './measured';
import { referenceCandidates, weighReferences } from './references';

function pairs(drawing: string): readonly string[] {
  return referenceCandidates(sketch(drawing), {}).map(
    (c) => `${c.child}.${c.columns.join('+')} -> ${c.parent}.${c.parentColumns.join('+')}`,
  );
}

test.each([
  ['the table’s name and its key’s', 'berth: id key\n call: id key, berth_id', ['public.call.berth_id -> public.berth.id']],
  ['a role before them', 'berth: id key\n vessel: id key, home_berth_id', ['public.vessel.home_berth_id -> public.berth.id']],
  ['a plural table', 'vessels: id key\n call: call_no key, vessel_id', ['public.call.vessel_id -> public.vessels.id']],
  [
    'a key that carries its table’s name',
    'manifest: manifest_no text key\n line: id key, manifest_no text',
    ['public.line.manifest_no -> public.manifest.manifest_no'],
  ],
  [
    'a row of the same table',
    'inspection: inspection_id key, previous_inspection_id',
    ['public.inspection.previous_inspection_id -> public.inspection.inspection_id'],
  ],
  [
    'a composite key by all its names',
    'slot: warehouse_code text key, slot_no key\n stay: id key, warehouse_code text, slot_no',
    ['public.stay.warehouse_code+slot_no -> public.slot.warehouse_code+slot_no'],
  ],
])('takes a column for a reference by %s', (_, drawing, expected) => {
  expect(pairs(drawing)).toEqual(expected);
});

test.each([
  ['of another type', 'berth: id key\n call: id key, berth_id text'],
  ['that is declared', 'berth: id key\n call: id key, berth_id -> berth.id'],
  ['of a word alone', 'berth: id key\n call: id key, level, id_of_nothing'],
])('leaves a column alone %s', (_, drawing) => {
  expect(pairs(drawing)).toEqual([]);
});

const port = sketch('berth: id key\n call: id key, berth_id');
const inclusion = (orphans: number, values = 50) =>
  evidence(
    profiled(port, 'public.call', 1000),
    included(['public.call', 'berth_id'], ['public.berth', 'id'], 1000, orphans, values),
  );

test('is surer the fewer orphans there are, and lets go when there are many', () => {
  const sure = (orphans: number): number => weighReferences(port, inclusion(orphans))[0]?.confidence ?? 0;
  expect(sure(0)).toBeGreaterThan(0.9);
  expect(sure(30)).toBeLessThan(sure(0));
  expect(sure(900)).toBe(0);
});

test('gives a column one parent only, the likeliest', () => {
  const two = sketch('a.berth: id key\n b.berth: id key\n b.call: id key, berth_id');
  const facts = evidence(
    included(['b.call', 'berth_id'], ['a.berth', 'id'], 100),
    included(['b.call', 'berth_id'], ['b.berth', 'id'], 100),
  );
  expect(weighReferences(two, facts).map((r) => r.parent)).toEqual(['b.berth']);
});
