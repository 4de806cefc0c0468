import { expect, test } from 'vitest';
import { sketch } from '../../../../test/kit/sketch';
import { evidence, included, probed, profiled } from '../../../../test/kit/measured';
import { keepWhatHolds, referenceCandidates } from './candidates';
import { probeQuestions } from './probes';
import { weighReferences } from './weigh';

function pairs(drawing: string, least = 0.5): readonly string[] {
  return referenceCandidates(sketch(drawing), {})
    .filter((c) => c.likeness >= least)
    .map((c) => `${c.child}.${c.columns.join('+')} -> ${c.parent}.${c.parentColumns.join('+')}`);
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
const inclusion = (orphans: number) =>
  evidence(
    profiled(port, 'public.call', 1000, { berth_id: { distinct: 50, min: '1', max: '100' } }),
    profiled(port, 'public.berth', 100, { id: { distinct: 100, min: '1', max: '100' } }),
    included(['public.call', 'berth_id'], ['public.berth', 'id'], 1000, orphans),
  );

test('is surer the fewer orphans there are, and lets go when there are many', () => {
  const sure = (orphans: number): number => weighReferences(port, inclusion(orphans))[0]?.confidence ?? 0;
  expect(sure(0)).toBeGreaterThan(0.85);
  expect(sure(30)).toBeLessThan(sure(0));
  expect(sure(900)).toBe(0);
});

test('says what made it sure, strongest first', () => {
  const parts = weighReferences(port, inclusion(0))[0]?.parts ?? [];
  expect(parts[0]?.feature).toBe('likeness');
  expect(parts.map((p) => Math.abs(p.logOdds))).toEqual(parts.map((p) => Math.abs(p.logOdds)).toSorted((a, b) => b - a));
});

test('of two parents that no name speaks of, the one that has all values though its keys have gaps is meant', () => {
  const slip = sketch('alpha: id key\n omega: id key\n log: id key, slot');
  const all = { distinct: 9000, min: '1', max: '10000' };
  const facts = evidence(
    profiled(slip, 'public.log', 20_000, { slot: { distinct: 4000, min: '1', max: '10000' } }),
    profiled(slip, 'public.alpha', 9000, { id: all }),
    profiled(slip, 'public.omega', 9000, { id: all }),
    probed(
      ['public.log', 'slot'],
      [
        ['public.alpha', 'id'],
        ['public.omega', 'id'],
      ],
    ),
    included(['public.log', 'slot'], ['public.alpha', 'id'], 20_000, 0),
    included(['public.log', 'slot'], ['public.omega', 'id'], 20_000, 400),
  );
  // As many as chance would find are no evidence at all.
  const [reference] = weighReferences(slip, facts);
  expect(reference?.parent).toBe('public.alpha');
  expect(reference?.parts.map(({ feature }) => feature)).toContain('beyondChance');
  expect(reference?.rivals[0]?.confidence ?? 0).toBeLessThan((reference?.confidence ?? 0) / 4);
});

test('small numbers that happen to be keys are no reference', () => {
  const tug = sketch('tug: id key\n plan: id key, hold_no');
  const facts = evidence(
    profiled(tug, 'public.plan', 1000, {
      hold_no: { distinct: 6, min: '1', max: '6' },
      id: { distinct: 1000, min: '1', max: '1000' },
    }),
    profiled(tug, 'public.tug', 28, { id: { distinct: 28, min: '1', max: '28' } }),
  );
  expect(probeQuestions(tug, tug.tables, facts)).toEqual([]);
  expect(referenceCandidates(tug, facts)).toEqual([]);
});

test('asks where values may point to when no name says so and the keys have gaps', () => {
  const gapped = sketch('gauge: id key\n reading: no key, ref_a');
  const facts = evidence(
    profiled(gapped, 'public.reading', 9000, {
      ref_a: { distinct: 400, min: '7', max: '990' },
      no: { distinct: 9000, min: '1', max: '9000' },
    }),
    profiled(gapped, 'public.gauge', 500, { id: { distinct: 500, min: '1', max: '1000' } }),
  );
  expect(probeQuestions(gapped, gapped.tables, facts)).toEqual([
    { kind: 'probe', table: 'public.reading', column: 'ref_a', parents: [{ table: 'public.gauge', column: 'id', enough: 18 }] },
  ]);
});

test('what a composite reference says already is not said again', () => {
  const job = sketch(`
    country: country text key
    job: job_code text key, job_country text key -> country.country
    employee: id key, job_code text, job_country text
  `);
  const facts = evidence(
    ...['public.country', 'public.job', 'public.employee'].map((t) => profiled(job, t, 40)),
    included(['public.employee', 'job_code', 'job_country'], ['public.job', 'job_code', 'job_country'], 40),
    included(['public.employee', 'job_country'], ['public.country', 'country'], 40),
  );
  const believed = weighReferences(job, facts).filter((r) => r.child === 'public.employee' && r.confidence >= 0.5);
  expect(believed.map((r) => r.columns)).toEqual([['job_code', 'job_country']]);
});

test('gives a column one parent only, the likeliest', () => {
  const two = sketch('a.berth: id key\n b.berth: id key\n b.call: id key, berth_id');
  const facts = evidence(
    included(['b.call', 'berth_id'], ['a.berth', 'id'], 100),
    included(['b.call', 'berth_id'], ['b.berth', 'id'], 100),
  );
  expect(weighReferences(two, facts).map((r) => r.parent)).toEqual(['b.berth']);
});

test('where every tenant has the same tables, a column speaks of its own tenant’s, and of few others', () => {
  const tenants = Array.from({ length: 150 }, (_, n) => `t${n}`);
  const port = sketch(
    tenants.map((schema) => `${schema}.vessel: vessel_id key, name text\n ${schema}.call: call_id key, vessel_id`).join('\n'),
  );
  const candidates = referenceCandidates(port, {}).filter(({ columns }) => columns[0] === 'vessel_id');
  for (const schema of tenants) {
    const own = candidates.filter(({ child }) => child === `${schema}.call`).toSorted((a, b) => b.likeness - a.likeness);
    expect(own[0]?.parent).toBe(`${schema}.vessel`);
    expect(own.length).toBeLessThan(10);
  }
});

test('a name that leads to very many tables leads nowhere', () => {
  const tables = Array.from({ length: 30 }, (_, n) => `port.part_${n}: id key, parent_id -> port.part_${(n + 7) % 30}.id`);
  const port = sketch([...tables, 'port.tree: id key, parent_id'].join('\n'));
  const own = referenceCandidates(port, {}).filter(({ child }) => child === 'port.tree');
  expect(own.length).toBeLessThan(10);
});

test('the same evidence with another catalogue is asked anew, also after more of it has come', () => {
  const facts = evidence();
  const of = (drawing: string, known = facts) =>
    referenceCandidates(sketch(drawing), known).map(({ child, parent }) => `${child} -> ${parent}`);
  expect(of('berth: id key\n call: id key, berth_id')).toEqual(['public.call -> public.berth']);
  expect(of('pier: id key\n stay: id key, pier_id')).toEqual(['public.stay -> public.pier']);
  const drawn = sketch('berth: id key\n call: id key, berth_id');
  const before = referenceCandidates(drawn, facts);
  const more = { ...facts, ...evidence(included(['public.call', 'berth_id'], ['public.berth', 'id'], 90, 0)) };
  keepWhatHolds(facts, more);
  expect(referenceCandidates(drawn, more)).toBe(before);
  expect(of('pier: id key\n stay: id key, pier_id', more)).toEqual(['public.stay -> public.pier']);
});
