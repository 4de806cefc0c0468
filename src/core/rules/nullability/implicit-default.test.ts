import { expect, test } from 'vitest';
import { foundBy } from '../../../../test/kit/found';
import { sketch } from '../../../../test/kit/sketch';

const port = sketch(`
  port.berth: berth_no text not null, depth int not null default=3
  port.note: text text
`);

test('nullability/implicit-default finds mandatory columns of a lax server, and leaves a strict one alone', () => {
  expect(foundBy('nullability/implicit-default', { ...port, strict: false })).toEqual(['port.berth: Minor, 1 column']);
  expect(foundBy('nullability/implicit-default', { ...port, strict: true })).toEqual([]);
  expect(foundBy('nullability/implicit-default', port)).toEqual([]);
});
