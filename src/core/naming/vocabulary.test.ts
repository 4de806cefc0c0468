import { expect, test } from 'vitest';
import type { Catalogue } from '../catalogue/model';
import { sketch } from '../../../test/kit/sketch';
import { isContracted, shortFor } from './abbreviations';
import { vocabularyOf } from './vocabulary';

const words = (catalogue: Catalogue, table: string, column: string) => {
  const found = catalogue.tables.find((t) => t.name === table);
  return found ? vocabularyOf(catalogue).columnWords(found, column) : null;
};
const tableWords = (catalogue: Catalogue, table: string) => {
  const found = catalogue.tables.find((t) => t.name === table);
  return found ? vocabularyOf(catalogue).tableWords(found) : null;
};

test('a prefix that most tables share says nothing', () => {
  const app = sketch('app_vessels: id\n app_berths: id\n app_calls: id\n app_agents: id\n audit: id');
  expect(tableWords(app, 'app_vessels')).toEqual(['vessel']);
});

test('nor does one that all columns of a table share', () => {
  const orders = sketch('orders: o_orderkey key, o_custkey, o_date\n customer: c_custkey key, c_name text, c_phone text');
  expect(words(orders, 'orders', 'o_orderkey')).toEqual(['order', 'key']);
  expect(words(orders, 'customer', 'c_name')).toEqual(['name']);
});

test('a glued name falls apart where its parts are words of the schema', () => {
  const hosts = sketch('hosts: hostid key\n items: itemid key, hostid, gridref');
  expect(words(hosts, 'items', 'hostid')).toEqual(['host', 'id']);
  expect(words(hosts, 'items', 'gridref')).toEqual(['gridref']);
});

test('digits behind a word do not make it another', () => {
  expect(tableWords(sketch('filters2: id'), 'filters2')).toEqual(['filter']);
});

test.each([
  ['category', 'category', 1],
  ['cat', 'category', 0.85],
  ['dept', 'department', 0.7],
  ['mngr', 'manager', 0.7],
  ['berth', 'vessel', 0],
  ['id', 'idle', 0.5],
])('%s is short for %s by %f', (short, long, by) => {
  expect(shortFor(short, long)).toBe(by);
});

test('a word can be made of the beginnings of several', () => {
  expect(isContracted('custord', ['customer', 'order'])).toBe(true);
  expect(isContracted('custord', ['customer', 'invoice'])).toBe(false);
});
