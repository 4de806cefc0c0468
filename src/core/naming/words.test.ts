import { expect, test } from 'vitest';
import { counted, spoken, withArticle, wordsOf, rowOf } from './words';

test.each([
  ['home_berth_id', ['home', 'berth', 'id']],
  ['homeBerthID', ['home', 'berth', 'id']],
  ['PORT-CALLS', ['port', 'call']],
  ['vessels', ['vessel']],
  ['status', ['status']],
  ['gross_tonnage', ['gross', 'tonnage']],
  ['', []],
])('%s is read as words', (identifier, words) => {
  expect(wordsOf(identifier)).toEqual(words);
});

test('numbers of things are spelt as people do', () => {
  expect([
    counted(1, 'row'),
    counted(2310, 'berth'),
    withArticle('agent'),
    withArticle('berth'),
    spoken('berth_bookings'),
  ]).toEqual(['1 row', '2,310 berths', 'an agent', 'a berth', 'berth booking']);
});

test.each([
  ['berth_bookings', 'berth booking'],
  ['tugs', 'tug'],
  ['acc_trans', 'acc_trans row'],
  ['tbl_hdr', 'tbl_hdr row'],
])('a row of %s is called a %s', (table, called) => {
  expect(rowOf(table)).toBe(called);
});
