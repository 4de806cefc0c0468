// Every survey that is written can be read, whatever stands in its catalogue.

import fc from 'fast-check';
import { expect, test } from 'vitest';
import { constraintId, tableId } from '../core/catalogue/identifiers';
import type { Catalogue, Constraint, Index } from '../core/catalogue/model';
import { documentOf } from '../core/survey/document';
import { evidence } from '../../test/kit/measured';
import { sketch } from '../../test/kit/sketch';
import { readSurveyDocument } from './surveyDocument';

const table = tableId('port', 'call');
const drawn = sketch('port.call: id, berth text, since timestamp, until timestamp, note text');
const columns = ['id', 'berth', 'since', 'until', 'note'];
const name = fc.string({ unit: 'grapheme', minLength: 1, maxLength: 30 }).filter((text) => !text.includes('\0'));
const some = fc.uniqueArray(fc.constantFrom(...columns), { minLength: 1, maxLength: 3 });
const lengths = fc.dictionary(fc.constantFrom(...columns), fc.integer({ min: 1, max: 700 }), {
  minKeys: 1,
  noNullPrototype: true,
});
const text = fc.string({ unit: 'grapheme', maxLength: 40 }).filter((value) => !value.includes('\0'));

const base = { validated: true, enforced: true, deferrable: 'no' as const };
const constraint: fc.Arbitrary<Constraint> = fc
  .record({
    name,
    columns: some,
    nothing: fc.constant([] as string[]),
    text,
    prefix: lengths,
    kind: fc.integer({ min: 0, max: 4 }),
  })
  .map(({ name: own, columns: over, text: said, prefix, kind }) => {
    const id = constraintId(table, own);
    const of = { ...base, id, name: own };
    if (kind === 0) return { ...of, kind: 'primary key', columns: over, index: own, prefix };
    if (kind === 1) return { ...of, kind: 'unique', columns: over, index: own, nulls: 'alike unless all null' };
    if (kind === 2) return { ...of, kind: 'check', columns: said === '' ? [] : over, expression: said, ownRowsOnly: true };
    // Over expressions alone.
    if (kind === 3) return { ...of, kind: 'exclusion', columns: said.length % 2 ? [] : over, index: own, excludes: said };
    return {
      ...{ ...of, kind: 'foreign key', columns: over, parent: table, parentColumns: over, match: 'full' },
      ...{ onDelete: 'set default', onUpdate: 'cascade', index: null },
    };
  });
const index: fc.Arbitrary<Index> = fc
  .record({
    name,
    parts: fc.array(fc.option(fc.constantFrom(...columns)), { minLength: 1, maxLength: 3 }),
    text,
    prefix: lengths,
    included: some,
  })
  .map(({ name: own, parts, text: said, prefix, included }) => ({
    ...{ name: own, method: 'gist', unique: true, valid: false, columns: parts, included },
    ...{ predicate: said === '' ? null : said, nulls: 'alike' as const, constraint: null, plain: false, bare: false },
    ...(said.length % 2 && { prefix }),
  }));

const catalogue: fc.Arbitrary<Catalogue> = fc
  .record({
    constraints: fc.uniqueArray(constraint, { selector: ({ name: own }) => own, maxLength: 6 }),
    indexes: fc.uniqueArray(index, { selector: ({ name: own }) => own, maxLength: 4 }),
  })
  .map(({ constraints, indexes }) => ({
    ...drawn,
    tables: drawn.tables.map((own) => ({
      ...own,
      constraints: constraints.filter(
        ({ kind }, at) => kind !== 'primary key' || constraints.findIndex((c) => c.kind === kind) === at,
      ),
      indexes,
    })),
  }));

test('a catalogue with keys over parts, exclusions over expressions, partial and covering indexes comes back as it was', async () => {
  await fc.assert(
    fc.asyncProperty(catalogue, async (written) => {
      const document = documentOf({
        catalogue: written,
        evidence: evidence(),
        findings: [],
        takenAt: '2026-12-01T00:00:00Z',
        depth: 'catalogue',
      });
      expect((await readSurveyDocument(JSON.stringify(document))).catalogue).toEqual(written);
    }),
    { numRuns: 300 },
  );
});
