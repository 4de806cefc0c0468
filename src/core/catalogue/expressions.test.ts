import { expect, test } from 'vitest';
import { isWhole, renamedIn, spelledAlike } from './expressions';

const quote = (name: string): string => (/^[a-z_]+$/.test(name) ? name : `"${name}"`);

test.each([
  ['(tons > 0)', 'tons', 'weight', '(weight > 0)'],
  ['((tons > 0) AND (tons < (tons_max)))', 'tons', 'weight', '((weight > 0) AND (weight < (tons_max)))'],
  [`(kind <> 'tons'::text)`, 'tons', 'weight', `(kind <> 'tons'::text)`],
  [`(length(length) > 0)`, 'length', 'length_m', `(length(length_m) > 0)`],
  [`("Tons" > tons)`, 'Tons', 'tons_gross', '(tons_gross > tons)'],
  [`(tons > 0)`, 'tons', 'Order', '("Order" > 0)'],
  [`((place).tons > tons)`, 'tons', 'weight', '((place).tons > weight)'],
  [`(note <> E'it\\'s tons'::text AND tons > 0)`, 'tons', 'weight', `(note <> E'it\\'s tons'::text AND weight > 0)`],
  [`(date > '2000-01-01'::date)`, 'date', 'day', `(day > '2000-01-01'::date)`],
])('%s with %s as %s', (expression, from, to, wanted) => {
  expect(renamedIn(expression, quote(from), quote(to))).toBe(wanted);
  expect(renamedIn(wanted, quote(to), quote(from))).toBe(expression);
});

test.each([
  ['(tons > 0)', true],
  [`((kind)::text = ANY ((ARRAY['a'::character varying, 'b;'::character varying])::text[]))`, true],
  [`nextval('port."odd'' seq"'::regclass)`, true],
  [`(note <> E'it\\'s -- no comment'::text)`, true],
  [`("a; b" > 0)`, true],
  ['(true)); drop table port.call; --', false],
  ['true) not valid, add check (true', false],
  ['(tons > 0) -- and so on', false],
  ['(tons > 0 /* and so on', false],
  [`('open > 0)`, false],
  ['("open > 0)', false],
  ['$$open$$', false],
  ['(tons > 0', false],
  [' ', false],
])('%s is one expression: %s', (expression, whole) => {
  expect(isWhole(expression)).toBe(whole);
});

test('a list of texts is the same in both spellings of the server', () => {
  const [first, again] = [
    `((c)::text = ANY ((ARRAY['a'::character varying, 'b(''c'::character varying])::text[]))`,
    `((c)::text = ANY (ARRAY[('a'::character varying)::text, ('b(''c'::character varying)::text]))`,
  ];
  expect([first, again].map(spelledAlike)).toEqual([again, again]);
});
