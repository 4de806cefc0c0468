import { expect, test } from 'vitest';
import { sketch } from '../../../test/kit/sketch';
import { evidence } from '../../../test/kit/measured';
import type { Catalogue } from '../catalogue/model';
import { engines } from '../engines/index';
import { firstEngine } from '../engines/name';
import { audit } from '../rules/audit';
import { type Dictionary, entryProblem, learnShort, noDictionary, readerBy, rememberDictionary, spellingOf } from './dictionary';
import { isTemplateProblem, parseTemplate, render } from './template';
import { vocabularyOf } from './vocabulary';

const house: Dictionary = {
  short: { vsl: 'vessel', eta: 'expected time of arrival' },
  plurals: { quay: 'quais' },
};

function worded(drawing: string, dictionary = house): Catalogue {
  const catalogue = sketch(drawing);
  rememberDictionary(catalogue, dictionary);
  return catalogue;
}

test.each([
  ['vsl_no', ['vessel', 'no']],
  ['VslEta', ['vessel', 'expected', 'time', 'of', 'arrival']],
  ['quais', ['quay']],
  ['vessels', ['vessel']],
])('%s is read as %j', (name, words) => {
  expect(readerBy(house)(name)).toEqual(words);
});

test.each([
  ['{table:whole}', 'vsl_call', 'vessel_call'],
  ['{table:short}', 'vessel_call', 'vsl_call'],
  ['{table:whole:pascal}', 'VSLCall', 'VesselCall'],
  ['{table:plural}', 'port_quay', 'port_quais'],
  ['{table:singular}', 'PortQuais', 'PortQuay'],
  ['{table:whole}', 'eta_log', 'expected_time_of_arrival_log'],
  ['{table:short}', 'berth', 'berth'],
])('%s says %s as %s', (text, name, said) => {
  const template = parseTemplate(text);
  if (isTemplateProblem(template)) throw new Error(template.says);
  const rules = { ...engines[firstEngine].names, dictionary: house };
  const none = [''];
  const of = {
    ...{ schema: none, columns: none, parent: none, keys: none, role: none, meaning: none, words: none, n: none },
    table: [name],
  };
  expect(render(template, of, { rules, ambiguous: false })).toBe(said);
});

test('without words of its own a house spells as the engine has it', () => {
  const catalogue = worded('vessel: id key', noDictionary);
  expect(spellingOf(catalogue)).toBe(engines[firstEngine].names);
});

test('a column that says a parent in short is known to speak of it', () => {
  const drawing = 'vessel: id key\n call: id key, vsl_id';
  const call = (catalogue: Catalogue) => catalogue.tables.find(({ name }) => name === 'call') ?? catalogue.tables[0];
  const read = (catalogue: Catalogue) => {
    const table = call(catalogue);
    return table ? vocabularyOf(catalogue).columnWords(table, 'vsl_id') : null;
  };
  expect(read(sketch(drawing))).toEqual(['vsl', 'id']);
  expect(read(worded(drawing))).toEqual(['vessel', 'id']);
});

test('what is short for what is learnt from references first, and from names that let one think so', () => {
  const learnt = learnShort(
    worded(
      `customer: id key, name text
       department: id key
       stowage: id key
       orders: id key, cust_id -> customer.id, stow_no int
       visit: id key, cust_id -> customer.id, stow_date date
       crane: id key, dept_id -> department.id, stow_plan text, date text, name text`,
    ),
  );
  expect(learnt.map(({ short, whole, references }) => [short, whole, references])).toEqual([
    ['cust', 'customer', 2],
    ['dept', 'department', 1],
    ['stow', 'stowage', 0],
  ]);
});

test('what the house says already is not learnt again', () => {
  const said = worded('vessel: id key\n call: id key, vsl_id -> vessel.id');
  expect(learnShort(said)).toEqual([]);
});

test('one thing under two names is found once the house says that they are one, and the rarer is renamed', () => {
  const drawing = ['a', 'b', 'c'].map((name) => `${name}: id key, vessel_no text`).join('\n') + '\n d: id key, vsl_no text';
  const found = (catalogue: Catalogue) =>
    audit(catalogue, evidence(), { only: new Set(['naming/inconsistent']) }).map(({ id, proposal }) => [id, proposal]);
  expect(found(sketch(drawing))).toEqual([]);
  expect(found(worded(drawing))).toEqual([
    [
      'naming/inconsistent:public.d(vsl_no) -> name',
      { kind: 'rename', columns: ['vsl_no'], from: 'vsl_no', to: 'vessel_no', object: 'column' },
    ],
  ]);
  // Two of each: nobody can say which is meant.
  expect(found(worded('a: id key, vessel_no text\n b: id key, vsl_no text'))).toEqual([]);
});

test.each([
  ['short', 'vsl', 'vessel', null],
  ['short', 'eta', 'expected time', null],
  ['short', 'Vsl', 'vessel', /small letters/],
  ['short', 'vsl', '', /one to 4 words/],
  ['short', 'vsl', 'a b c d e', /one to 4 words/],
  ['short', 'vsl', 'vsl', /itself/],
  ['short', 'no', 'no of call', /itself/],
  ['plurals', 'quay', 'two words', /one word/],
  ['short', "v'; drop", 'vessel', /small letters/],
] as const)('%s: %s for %s is %s', (list, from, to, problem) => {
  const says = entryProblem(list, from, to);
  if (problem === null) expect(says).toBeNull();
  else expect(says).toMatch(problem);
});
