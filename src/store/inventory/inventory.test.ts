// What the database answers to a filter is what the filter says in words of its own, whatever is typed.

import fc from 'fast-check';
import type pg from 'pg';
import { afterAll, beforeAll, expect, test } from 'vitest';
import { useDatabase } from '../../../test/kit/database';
import { sourceAt } from '../../../test/kit/source';
import { type Filter, fits, isProblem, parseFilter } from '../../core/inventory/filter';
import { inventory } from '../../core/inventory/index';
import type { Line, Value } from '../../core/inventory/stock';
import { openStore } from '../db';
import type { SourceId } from '../ids';
import { migrate } from '../migrate';
import { addSource } from '../sources/sources';
import { countLines, countStock, findLine, findPosition, keepLines, listLines } from './inventory';

const database = useDatabase();
let store: pg.Pool;
let source: SourceId;
beforeAll(async () => {
  process.env['PAWL_SECRET'] = 'between the piles';
  await migrate(database.url);
  store = openStore(database.url);
  source = await addSource(store, sourceAt({ ...database.details, name: 'audited', environment: 'test' }));
  await keepLines(store, source, 'columns', lines);
});
afterAll(async () => {
  delete process.env['PAWL_SECRET'];
  await store.end();
});

const stock = inventory.columns;
const texts = ['berth', 'Berth_No', `o'clock`, '100%', 'a_b', '\\', '"', '$1', '; drop table inventory; --', 'x y'];
const lines: readonly Line[] = Array.from({ length: 400 }, (_, i) => ({
  id: `port.t${i}`,
  table: i % 7 === 0 ? null : `port.t${i % 50}`,
  values: Object.fromEntries(
    stock.fields.map(({ name, type }, n): [string, Value] => {
      const chance = (i * 31 + n * 17) % 11;
      if (chance === 0) return [name, null];
      if (type === 'text') return [name, texts[(i + n) % texts.length] ?? ''];
      if (type === 'truth') return [name, chance % 2 === 0];
      if (type === 'share') return [name, ((i * 13) % 100) / 100];
      if (type === 'moment') return [name, `2026-0${1 + (i % 9)}-1${i % 10}T10:00:00.000Z`];
      return [name, (i * 7919) % 5000];
    }),
  ),
}));

const named = (type: string) => fc.constantFrom(...stock.fields.filter((field) => field.type === type).map(({ name }) => name));
const quoted = (text: string) => `"${text.replaceAll('"', '""')}"`;
const compare = fc.constantFrom('<', '<=', '>', '>=', '=');
const term = fc.oneof(
  fc.constantFrom(...texts).map(quoted),
  fc.tuple(named('text'), fc.constantFrom(':', '='), fc.constantFrom(...texts)).map(([f, o, v]) => `${f}${o}${quoted(v)}`),
  fc.tuple(named('text'), fc.constantFrom('none', 'any')).map(([f, v]) => `${f}:${v}`),
  fc.tuple(named('truth'), fc.constantFrom('yes', 'no')).map(([f, v]) => `${f}:${v}`),
  fc.tuple(named('number'), compare, fc.integer({ min: -2, max: 5000 })).map(([f, o, v]) => `${f}${o}${v}`),
  fc.tuple(named('share'), compare, fc.integer({ min: 0, max: 100 })).map(([f, o, v]) => `${f}${o}${v}%`),
  fc.tuple(compare, fc.constantFrom('2026-03', '2026-05-12', '2026')).map(([o, v]) => `measured${o}${v}`),
);
const filters = fc
  .array(fc.tuple(fc.boolean(), term), { maxLength: 3 })
  .map((terms) => terms.map(([not, text]) => `${not ? '-' : ''}${text}`).join(' '));

function read(text: string): Filter {
  const filter = parseFilter(text, stock);
  if (isProblem(filter)) throw new Error(`${text}: ${filter.says}`);
  return filter;
}

test('the same lines pass in the database as in memory, in the same order', () =>
  fc.assert(
    fc.asyncProperty(filters, async (text) => {
      const filter = read(text);
      const expected = lines.filter((line) => fits(filter, line, stock)).map(({ id }) => id);
      const wanted = { filter, sort: null, offset: 0, limit: 1000 };
      expect((await listLines(store, source, 'columns', wanted)).map(({ id }) => id)).toEqual(expected);
      expect(await countLines(store, source, 'columns', filter)).toBe(expected.length);
    }),
    { numRuns: 200, seed: 5 },
  ));

test('numbers are sorted as numbers, what is not there comes last either way, and pages join', async () => {
  const sorted = async (falling: boolean) => {
    const pages = [0, 150, 300].map((offset) =>
      listLines(store, source, 'columns', { filter: { terms: [] }, sort: { field: 'rows', falling }, offset, limit: 150 }),
    );
    return (await Promise.all(pages)).flat().map(({ values }) => values['rows']);
  };
  const numbers = lines
    .flatMap(({ values }) => (typeof values['rows'] === 'number' ? [values['rows']] : []))
    .sort((a, b) => a - b);
  const missing = Array.from({ length: lines.length - numbers.length }, () => null);
  expect(await sorted(false)).toEqual([...numbers, ...missing]);
  expect(await sorted(true)).toEqual([...numbers.toReversed(), ...missing]);
});

test('a line is found where the list has it, filtered and sorted or not', async () => {
  const filter = parseFilter('-table:none', stock);
  if (isProblem(filter)) throw new Error(filter.says);
  for (const sort of [null, { field: 'rows', falling: true }]) {
    const listed = await listLines(store, source, 'columns', { filter, sort, offset: 0, limit: 1000 });
    for (const at of [0, 7, listed.length - 1])
      expect(await findPosition(store, source, 'columns', { filter, sort, id: listed[at]?.id ?? '' })).toBe(at);
  }
  expect(await findPosition(store, source, 'columns', { filter, sort: null, id: 'port.nothing' })).toBeNull();
});

test('a survey puts its own in place of what was there', async () => {
  expect((await countStock(store, source)).columns).toBe(400);
  await keepLines(store, source, 'columns', lines.slice(0, 3));
  expect((await countStock(store, source)).columns).toBe(3);
  expect(await findLine(store, source, 'columns', 'port.t300')).toBeNull();
  expect(await findLine(store, source, 'columns', 'port.t2')).toEqual(lines[2]);
});
