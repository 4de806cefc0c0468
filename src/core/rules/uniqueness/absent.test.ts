import { expect, test } from 'vitest';
import { sketch } from '../../../../test/kit/sketch';
import type { Fact } from '../../evidence/evidence';
import { evidence, included, profiled, repeating } from '../../../../test/kit/measured';
import { audit } from '../audit';

const found = (drawing: string, ...facts: readonly (Fact | readonly Fact[])[]) =>
  audit(sketch(drawing), evidence(...facts))
    .filter((f) => f.rule === 'uniqueness/absent')
    .map((f) => f.object.columns);

test('finds an identifier that never repeats and that nothing keeps unique', () => {
  const drawing = 'port.vessel: id key, imo_no text, name text, length numeric';
  expect(
    found(
      drawing,
      profiled(sketch(drawing), 'port.vessel', 300, {
        imo_no: { distinct: 300 },
        name: { distinct: 299 },
        length: { distinct: 300 },
      }),
    ),
  ).toEqual([['imo_no']]);
});

test('finds a line number that never repeats under its parent', () => {
  const drawing = 'cargo.manifest: manifest_no text key\n cargo.line: id key, manifest_no text, line_no';
  const profile = profiled(
    sketch(drawing),
    'cargo.line',
    90,
    { manifest_no: { distinct: 30 }, line_no: { distinct: 3 } },
    undefined,
    [['manifest_no', 'line_no']],
  );
  const refers = [
    profiled(sketch(drawing), 'cargo.manifest', 30),
    included(['cargo.line', 'manifest_no'], ['cargo.manifest', 'manifest_no'], 90),
  ];
  expect(found(drawing, profile, ...refers, repeating('cargo.line', ['manifest_no', 'line_no'], 90))).toEqual([
    ['manifest_no', 'line_no'],
  ]);
  expect(found(drawing, profile, ...refers, repeating('cargo.line', ['manifest_no', 'line_no'], 90, 4))).toEqual([]);
});

test('leaves alone what is declared, what refers elsewhere, and what has too few rows to tell', () => {
  const declared = 'port.vessel: id key, imo_no text unique';
  const refers = 'port.berth: berth_no text key\n port.post: id key, berth_no text';
  const few = 'port.vessel: id key, imo_no text';
  expect(found(declared, profiled(sketch(declared), 'port.vessel', 300, { imo_no: { distinct: 300 } }))).toEqual([]);
  const counted = included(['port.post', 'berth_no'], ['port.berth', 'berth_no'], 300);
  expect(found(refers, profiled(sketch(refers), 'port.post', 300, { berth_no: { distinct: 300 } }), counted)).toEqual([]);
  expect(found(few, profiled(sketch(few), 'port.vessel', 5, { imo_no: { distinct: 5 } }))).toEqual([]);
});
