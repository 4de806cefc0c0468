import { expect, test } from 'vitest';
import { foundBy } from '../../../../test/kit/found';
import { sketch } from '../../../../test/kit/sketch';

const port = sketch(`
  port.berth: berth_no key, area text, name text unique; index area
  port.vessel: vessel_id key, area text, name text; foreign area -> port.berth.area; foreign name -> port.berth.name
`);

test('references/parent-only-indexed finds a reference to what may repeat, and leaves one to a key alone', () => {
  expect(foundBy('references/parent-only-indexed', port)).toEqual([
    expect.stringMatching(/^port\.vessel\(area\).*Serious, area$/),
  ]);
});
