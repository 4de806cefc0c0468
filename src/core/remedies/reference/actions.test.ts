import { expect, test } from 'vitest';
import { sketch } from '../../../../test/kit/sketch';
import { getTable } from '../../catalogue/lookups';
import { tableId } from '../../catalogue/identifiers';
import type { Catalogue } from '../../catalogue/model';
import { traitsOf } from '../../engines/facts';
import { engineNames } from '../../engines/name';
import type { Question } from '../question';
import type { Ground } from '../remedy';
import { deleteQuestion, updateQuestion } from './actions';
import { orphanQuestion } from './orphans';
import type { Referring } from './proposed';

const drawn = sketch(`
  port.berth:   berth_no text key
  port.booking: booking_id key, berth_no text default='north'
`);
const referring = {
  columns: ['berth_no'],
  references: { schema: 'port', table: 'berth', columns: ['berth_no'] },
  orphanRows: 3,
} as unknown as Referring;

function on(catalogue: Catalogue): Ground {
  return { catalogue, table: getTable(catalogue, tableId('port', 'booking')), chosen: {} };
}

test.each(engineNames)('%s offers what a reference of it does, and says of the rest that it is taken and not done', (name) => {
  const catalogue: Catalogue = { ...drawn, engine: { name, version: '15.0' } };
  const { actions, feigned } = traitsOf(catalogue);
  const told = ({ answers }: Question) => answers.map(({ id, refused }) => (refused === null ? id : `${id}: ${refused}`));
  const refused = feigned.map((action) => `${action}: the server takes it without a word and does not do it`);
  expect(told(deleteQuestion(referring, on(catalogue)))).toEqual([...actions.delete, ...refused]);
  expect(told(updateQuestion(referring, on(catalogue)))).toEqual([...actions.update, ...refused]);
});

test('orphans may stay where a reference can be added unchecked to this very table', () => {
  const stays = (catalogue: Catalogue, table: Ground['table']): string | null | undefined =>
    orphanQuestion(referring, { catalogue, table, chosen: {} }, 'may stay')[0]?.answers.find(({ id }) => id === 'leave')?.refused;
  for (const name of engineNames) {
    const catalogue: Catalogue = { ...drawn, engine: { name, version: '15.0' } };
    const { table } = on(catalogue);
    for (const each of [table, { ...table, kind: 'partitioned' as const }])
      expect(stays(catalogue, each) === null).toBe(traitsOf(catalogue).addedUnchecked('foreign key', each));
  }
});
