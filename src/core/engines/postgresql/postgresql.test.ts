import fc from 'fast-check';
import { expect, test } from 'vitest';
import { tableId } from '../../catalogue/identifiers';
import { postgresql } from './index';
import { comment, literal, quote } from './quote';
import { useDatabase } from '../../../../test/kit/database';

const table = tableId('port', 'call');
const database = useDatabase();

test('writes a reference over several lines, with its name', () => {
  expect(
    postgresql.dialect
      .stages(
        {
          kind: 'addForeignKey',
          table,
          name: 'fk_call_berth',
          columns: ['berth_no'],
          parent: tableId('port', 'berth'),
          parentColumns: ['berth_no'],
          onDelete: 'no action',
          onUpdate: 'no action',
          match: 'simple',
          deferrable: 'no',
          rows: 'new only',
        },
        'plain',
      )
      .flatMap((stage) => stage.statements),
  ).toEqual([
    'alter table port.call\n  add constraint fk_call_berth\n  foreign key (berth_no)\n  references port.berth (berth_no)\n  on delete no action\n  on update no action\n  not valid',
  ]);
});

test.each([
  ['vessel', 'vessel'],
  ['order', '"order"'],
  ['Vessel', '"Vessel"'],
  ['a"b', '"a""b"'],
  ['"; drop table x; --', '"""; drop table x; --"'],
  ['é', '"é"'],
  ['1st', '"1st"'],
])('quotes %s', (name, quoted) => {
  expect(quote(name)).toBe(quoted);
});

test('no comment can be ended by what it says', () => {
  expect(comment('a\nb\r\u2028c')).toBe('-- a\\u{a}b\\u{d}\\u{2028}c');
});

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
