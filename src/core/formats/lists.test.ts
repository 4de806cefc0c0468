import { expect, test } from 'vitest';
import { listAs } from './lists';

const rows = [
  { name: '=cmd()', rows: 12 },
  { name: 'a "b", c\nd', rows: null },
  { name: '|x|<script>[a](b)`', rows: -3 },
];

test('CSV: quoted where it must be, and nothing that a spreadsheet would compute', () => {
  expect(listAs('csv', ['name', 'rows'], rows)).toBe('name,rows\r\n\'=cmd(),12\r\n"a ""b"", c\nd",\r\n|x|<script>[a](b)`,-3\r\n');
});

test('Markdown: one line a row, and nothing that is read as markup', () => {
  expect(listAs('md', ['name', 'rows'], rows)).toBe(
    [
      '| name | rows |',
      '| --- | --- |',
      String.raw`| =cmd\(\) | 12 |`,
      '| a "b", c d |  |',
      String.raw`| \|x\|\<script\>\[a\]\(b\)${'\\`'} | \-3 |`,
      '',
    ].join('\n'),
  );
});

test('JSON: the rows as they are', () => {
  expect(JSON.parse(listAs('json', ['name', 'rows'], rows))).toEqual(rows);
});
