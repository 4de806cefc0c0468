import { expect, test } from 'vitest';
import { foundBy } from '../../../../test/kit/found';
import { sketch, withTables } from '../../../../test/kit/sketch';

const port = sketch(`
  port.berth: berth_no key, notice text; unique index notice
  port.vessel: vessel_id key, name text; unique index name
`);

test('uniqueness/prefix finds what it is for, and leaves the rest alone', () => {
  const indexed = withTables(port, (table) => ({
    indexes: table.indexes.map((index) =>
      table.name === 'berth' && index.columns.includes('notice') ? { ...index, prefix: { notice: 20 } } : index,
    ),
  }));
  const [found, ...more] = foundBy('uniqueness/prefix', indexed);
  expect(more).toEqual([]);
  expect(found).toMatch(/^port\.berth\(notice\).*: Moderate, /);
});
