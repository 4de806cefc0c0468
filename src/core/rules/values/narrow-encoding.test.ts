import { expect, test } from 'vitest';
import { foundBy } from '../../../../test/kit/found';
import { sketch, withColumns } from '../../../../test/kit/sketch';

const port = sketch(`
  port.berth: berth_no key, name text
  port.vessel: vessel_id key, name text
`);

test('values/narrow-encoding finds what it is for, and leaves the rest alone', () => {
  const encoded = withColumns(port, ({ id, family }) =>
    family === 'text' ? { characterSet: id.startsWith('port.berth') ? 'utf8mb3' : 'utf8mb4' } : {},
  );
  expect(foundBy('values/narrow-encoding', encoded)).toEqual(['port.berth: Minor, utf8mb3']);
});
