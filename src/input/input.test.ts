import { expect, test } from 'vitest';
import { sketch } from '../../test/kit/sketch';
import { evidence, profiled } from '../../test/kit/measured';
import { audit } from '../core/rules/audit';
import { documentOf } from '../core/survey/document';
import { readSurveyDocument } from './surveyDocument';

const catalogue = sketch('port.log: entry text, booking_no text not null');
const facts = evidence(profiled(catalogue, 'port.log', 500, { booking_no: { distinct: 500 } }));
const document = documentOf({
  catalogue,
  evidence: facts,
  findings: audit(catalogue, facts),
  takenAt: '2026-11-24T00:00:00.000Z',
  depth: 'exact',
});

test('a survey file is read as it was written', async () => {
  const read = await readSurveyDocument(JSON.stringify(document));
  expect(read.catalogue).toEqual(catalogue);
  expect(read.findings.map(({ id, proposal }) => [id, proposal])).toEqual(
    document.findings.map(({ id, proposal }) => [id, proposal]),
  );
});

const spiked = {
  kind: 'foreign key',
  name: 'fk',
  validated: false,
  columns: ['entry'],
  parent: 'port.log',
  parentColumns: ['entry'],
  onDelete: 'no action; drop table port.log',
};

const spoilt: readonly (readonly [string, (plain: Record<string, never>) => unknown, RegExp])[] = [
  ['another format', (d) => ({ ...d, format: 'pawl-survey/9' }), /format/],
  ['a list', () => [], /must be an object/],
  ['findings that are no list', (d) => ({ ...d, findings: {} }), /findings/],
  ['a confidence above one', (d) => ({ ...d, findings: [{ ...document.findings[0], confidence: 2 }] }), /confidence/],
  [
    'columns that are no names',
    (d) => ({ ...d, findings: [{ ...document.findings[0], proposal: { kind: 'unique', columns: [7] } }] }),
    /columns/,
  ],
  [
    'a reference without a parent',
    (d) => ({ ...d, findings: [{ ...document.findings[0], proposal: { kind: 'foreignKey', columns: ['entry'] } }] }),
    /without as many parent columns/,
  ],
  [
    'an action that is a statement',
    (d) => ({ ...d, catalogue: { ...catalogue, tables: [{ ...catalogue.tables[0], constraints: [spiked] }] } }),
    /onDelete/,
  ],
  [
    'a table that is not there',
    (d) => ({ ...d, findings: [{ ...document.findings[0], object: { schema: 'x', table: 'y', columns: [] } }] }),
    /does not have/,
  ],
];

test.each(spoilt)('refuses %s, and says where', async (_, spoil, message) => {
  await expect(
    readSurveyDocument(JSON.stringify(spoil(JSON.parse(JSON.stringify(document)) as Record<string, never>))),
  ).rejects.toThrow(message);
});

test('refuses what is not JSON', async () => {
  await expect(readSurveyDocument('{')).rejects.toThrow('not JSON');
});
