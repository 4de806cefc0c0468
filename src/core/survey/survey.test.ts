import { expect, test } from 'vitest';
import { type CoverageCell, readCoverage, readFindings } from './boards';
import { hiddenInWords, type LoginRisk, risksInWords } from './login';

/** A board as the store writes it: a list of values a column, line by line. */
const board = (lines: readonly Readonly<Record<string, unknown>>[], names: readonly string[]): string =>
  JSON.stringify(Object.fromEntries(names.map((name) => [name, lines.length === 0 ? null : lines.map((line) => line[name])])));

test('findings come worst first, then the surest, then by table, and two alike in the order of their numbers', () => {
  const line = (id: number, severity: string, confidence: number, table: string) => ({ id, severity, confidence, table });
  const lines = [
    line(1, 'Minor', 1, 'a'),
    line(2, 'Critical', 0.5, 'b'),
    line(5, 'Critical', 0.9, 'b'),
    line(4, 'Critical', 0.9, 'b'),
    line(3, 'Critical', 0.9, 'a'),
    line(6, 'Serious', 0.1, 'a'),
  ];
  const read = readFindings(board(lines, ['id', 'severity', 'confidence', 'table']));
  expect(read.map(({ id }) => id)).toEqual([3, 4, 5, 2, 6, 1]);
  expect(read[0]).toEqual(lines[4]);
});

test('a board without a line is empty, and not wrong', () => {
  expect(readFindings(board([], ['id', 'severity']))).toEqual([]);
  expect(readCoverage({ tables: board([], ['id']), cells: '{}' })).toEqual({ tables: [], cells: [] });
});

test('tables come by schema and name, as bytes and not by a language', () => {
  const tables = ['port.Zebra', 'cargo.seal', 'port.ånker', 'port.berth'].map((id) => {
    const [schema, name] = id.split('.');
    return { id, schema, name };
  });
  const cells: readonly Partial<CoverageCell>[] = [{ tableId: 'port.berth', open: 2 }];
  const read = readCoverage({ tables: board(tables, ['id', 'schema', 'name']), cells: board(cells, ['tableId', 'open']) });
  expect(read.tables.map(({ id }) => id)).toEqual(['cargo.seal', 'port.Zebra', 'port.berth', 'port.ånker']);
  expect(read.cells).toEqual(cells);
});

test.each<[readonly LoginRisk[], RegExp | null]>([
  [[], null],
  [[{ kind: 'superuser' }], /^auditor is superuser, and so may run programs on the server’s machine\. Whoever may make a table/],
  [[{ kind: 'writes files' }, { kind: 'makes roles' }], /may write files .* and may make and change roles\./],
  [[{ kind: 'writes', count: 1, examples: ['port.call'] }], /may change the rows of 1 table \(port\.call\)\./],
  [[{ kind: 'owns', count: 7, examples: ['a.b', 'a.c'] }], /owns 7 tables \(a\.b, a\.c and others\)\./],
  [[{ kind: 'makes tables', count: 2, examples: ['port', 'cargo'] }], /may make tables in 2 schemas \(port, cargo\)\./],
])('what a login may do beyond reading is one sentence: %o', (risks, words) => {
  const said = risksInWords({ user: 'auditor', risks });
  if (words === null) expect(said).toBeNull();
  else expect(said).toMatch(words);
});

test('what a login is not shown counts as not visible', () => {
  expect(hiddenInWords({ user: 'auditor' })).toBeNull();
  const hidden = [{ part: 'triggers', words: 'triggers (grant TRIGGER)' }] as const;
  expect(hiddenInWords({ user: 'auditor', hidden })).toBe(
    'auditor cannot see triggers (grant TRIGGER): these count as not visible, never as not there.',
  );
});
