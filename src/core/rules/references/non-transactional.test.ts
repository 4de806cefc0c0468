import { expect, test } from 'vitest';
import { foundBy } from '../../../../test/kit/found';
import { sketch, withTables } from '../../../../test/kit/sketch';

const port = sketch(`
  port.berth: berth_no key
  port.vessel: vessel_id key
  yard.shed: shed_no key
`);
const kept = (engine: string, holds: boolean) => ({
  storage: { engine, transactional: holds, keepsReferences: holds, clustered: holds },
});

test('references/non-transactional finds a table among others, and leaves alone those of a schema that has none other', () => {
  const stored = withTables(port, ({ name }) => (name === 'vessel' ? kept('InnoDB', true) : kept('MyISAM', false)));
  expect(foundBy('references/non-transactional', stored)).toEqual(['port.berth: Serious, MyISAM']);
});
