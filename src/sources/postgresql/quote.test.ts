import fc from 'fast-check';
import { expect, test } from 'vitest';
import { useDatabase } from '../../../test/kit/database';
import { literal, quote } from '../../core/engines/postgresql/quote';

const database = useDatabase();

test('the server reads a quoted name and a literal as exactly what they were', async () => {
  const text = fc
    .string({ minLength: 1, maxLength: 40, unit: 'grapheme' })
    .filter((s) => !s.includes('\0') && Buffer.byteLength(s) <= 63);
  await fc.assert(
    fc.asyncProperty(text, async (name) => {
      const { rows, fields } = await database.run(`select ${literal(name)} as ${quote(name)}`);
      expect([fields[0]?.name, Object.values(rows[0] ?? {})[0]]).toEqual([name, name]);
    }),
    { numRuns: 150 },
  );
});

test('nothing that cannot be seen is left in what is quoted, and no line can be indented within it', async () => {
  const names = [
    'fee\u202eeef',
    'a\nb',
    'tab\there',
    'back\\slash\u200b',
    'quote"\u2066',
    "it's\r\n",
    'high\u{e0041}',
    'é\u00ad',
  ];
  for (const name of names) {
    const [identifier, text] = [quote(name), literal(name)];
    expect(`${identifier}${text}`).toMatch(/^[^\p{Cc}\p{Cf}]*$/u);
    const { rows, fields } = await database.run(`select ${text} as ${identifier}`);
    expect([fields[0]?.name, Object.values(rows[0] ?? {})[0]]).toEqual([name, name]);
  }
});

test('every word the server reserves is quoted', async () => {
  const { rows } = await database.run(`select word from pg_get_keywords() where catcode in ('R', 'T')`);
  expect(rows.map((row) => String(row['word'])).filter((word) => quote(word) === word)).toEqual([]);
});
