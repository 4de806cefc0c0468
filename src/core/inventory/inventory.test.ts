import { describe, expect, test } from 'vitest';
import { evidence, profiled } from '../../../test/kit/measured';
import { sketch } from '../../../test/kit/sketch';
import { audit } from '../rules/audit';
import { fits, isProblem, numberIn, parseFilter } from './filter';
import { fieldsFor, inventory, stockKinds } from './index';
import { withEarlier } from './take';
import type { Line } from './stock';
import { tableId } from '../catalogue/identifiers';
import { knownOf } from './known';

const catalogue = sketch(`
  port.berth:   berth_no text key, area_code text not null
  port.booking: id key, berth_no text not null -> port.berth.berth_no, note text
  port.odd:     b|c text
`);
const seen = evidence(
  profiled(catalogue, 'port.berth', 12),
  profiled(catalogue, 'port.booking', 40, { note: { nulls: 10, distinct: 5 } }),
);
const taken = { catalogue, evidence: seen, findings: audit(catalogue, seen) };
const lines = inventory.columns.lines(taken);
const line = (id: string): Line => {
  const found = lines.find((one) => one.id === id);
  if (!found) throw new Error(`There is no line ${id}`);
  return found;
};

test('every column is a line, in the order of its table, with what is declared and measured', () => {
  expect(lines).toHaveLength(catalogue.tables.flatMap(({ columns }) => columns).length);
  expect(line('port.booking.berth_no').values).toMatchObject({
    schema: 'port',
    table: 'booking',
    position: 2,
    role: '→ berth',
    refers: 'port.berth(berth_no)',
    rows: 40,
    empty: 0,
  });
  expect(line('port.berth.berth_no').values).toMatchObject({ role: 'key, 1 child', children: 1, nullable: false });
});

test.each(stockKinds)('a line of %s has a value for each of its fields and no other, and an id of its own', (kind) => {
  const stock = inventory[kind];
  const all = stock.lines(taken);
  const names = stock.fields.map(({ name }) => name).sort();
  for (const { values } of all) expect(Object.keys(values).sort()).toEqual(names);
  expect(new Set(all.map(({ id }) => id)).size).toBe(all.length);
  expect(stock.fields.some(({ usual }) => usual)).toBe(true);
});

test('whoever may see no rows is shown no values of them', () => {
  const all = fieldsFor('columns', true).map(({ name }) => name);
  expect(all.filter((name) => !fieldsFor('columns', false).some((field) => field.name === name))).toEqual([
    'smallest',
    'largest',
  ]);
});

test('what a survey left out keeps what was measured of it before', () => {
  const bare = inventory.columns.lines({ ...taken, evidence: {} });
  const merged = withEarlier(bare, lines, new Set([tableId('port', 'berth')]));
  expect(merged.find(({ id }) => id === 'port.booking.id')?.values['rows']).toBe(40);
  expect(merged.find(({ id }) => id === 'port.berth.berth_no')?.values['rows']).toBe(
    bare.find(({ id }) => id === 'port.berth.berth_no')?.values['rows'],
  );
  // A column of that name and another type is another column.
  const retyped = bare.map((one) => (one.id === 'port.booking.id' ? { ...one, values: { ...one.values, type: 'bigint' } } : one));
  expect(withEarlier(retyped, lines, new Set()).find(({ id }) => id === 'port.booking.id')?.values['how']).toBeNull();
});

test('of a column it is known who refers by it, and which others have its name', () => {
  const [berth] = catalogue.tables;
  const column = berth?.columns[0];
  if (!berth || !column) throw new Error('There is no berth.');
  const known = knownOf(catalogue, { table: berth, column, evidence: seen });
  expect(known.inWords).toEqual([expect.stringContaining('port.booking(berth_no) refers to it')]);
  expect(known.namesakes).toMatchObject([{ table: 'port.booking', same: true }]);
});

describe('a filter', () => {
  const { fields } = inventory.columns;
  const passing = (text: string): readonly string[] => {
    const filter = parseFilter(text, { fields });
    if (isProblem(filter)) throw new Error(filter.says);
    return lines.filter((one) => fits(filter, one, { fields })).map(({ id }) => id);
  };

  test.each([
    ['', 6],
    ['BERTH', 3],
    ['table=booking', 3],
    ['table:book -column:note', 2],
    ['column:berth_no|note', 3],
    ['nullable:yes', 2],
    ['rows>12', 4],
    ['rows>=12 rows<=40', 5],
    ['rows=12', 2],
    ['role:none table:berth', 1],
    ['refers:any', 1],
    ['column="b|c"', 1],
    ['table:"odd"', 1],
    ['-berth', 3],
    ['empty<5%', 4],
  ])('%s', (text, count) => expect(passing(text)).toHaveLength(count));

  test.each([
    ['colour:red', 0, 'There is no field colour. Is it column, collation, comment?'],
    ['berth rows:many', 11, 'rows is a number: rows>10k.'],
    ['nullable:perhaps', 9, 'nullable is yes or no: nullable:yes.'],
    ['type>3', 5, 'type is a text: type:3 looks within it, type=3 for all of it.'],
    ['type:', 5, 'A value is missing here.'],
    ['"open', 0, 'The quote that begins here is not closed.'],
    ['measured>yesterday', 9, 'measured is a day: measured>2026-01-31.'],
    ['x'.repeat(1001), 1000, 'A filter has 1000 characters at most.'],
  ])('%s says where and what is wrong', (text, at, says) => expect(parseFilter(text, { fields })).toEqual({ at, says }));

  test.each([
    ['10k', 'number', 10_000],
    ['1.5M', 'number', 1_500_000],
    ['-3', 'number', -3],
    ['2kB', 'bytes', 2048],
    ['1GB', 'bytes', 1_073_741_824],
    ['5%', 'share', 0.05],
    ['5', 'share', 0.05],
    ['5%', 'number', null],
    ['1GB', 'number', null],
    ['1e3', 'number', null],
    ['', 'number', null],
  ] as const)('the number %s of a %s', (text, type, number) => expect(numberIn(text, type)).toBe(number));
});

test.each([
  ['up', { start: '1', increment: '1', maximum: '100', last: '26' }, 0.252525],
  ['down', { start: '-1', increment: '-1', maximum: '-1', minimum: '-101', last: '-26' }, 0.25],
  ['down, to where nobody has read', { start: '-1', increment: '-1', maximum: '-1', last: '-26' }, null],
  ['up, and not yet', { start: '1', increment: '1', maximum: '100', last: null }, null],
] as const)('a sequence that counts %s is used up so far', (_, counts, used) => {
  const sequence = { schema: 'port', name: 'no', ownedBy: null, type: 'bigint', cycles: false, ...counts };
  const [told] = inventory.sequences.lines({ ...taken, catalogue: { ...catalogue, sequences: [sequence] } });
  expect(told?.values['used']).toBe(used);
});
