import fc from 'fast-check';
import { expect, test } from 'vitest';
import { JsonError, jsonIn } from './json';

test('what JSON says is read as it is', () => {
  fc.assert(
    fc.property(fc.jsonValue({ maxDepth: 5, stringUnit: 'grapheme' }), (value) => {
      const text = JSON.stringify(value);
      fc.pre(!text.includes('\\u0000'));
      expect(jsonIn(text)).toEqual(JSON.parse(text));
    }),
  );
});

test.each([
  ['200,000 levels', '['.repeat(200_000), /nested/],
  ['levels that close again', '[{"a":'.repeat(60) + '1' + '}]'.repeat(60), /nested/],
  ['a zero byte', '{"a":"\\u0000"}', /zero byte/],
  ['a zero byte behind a backslash', '"\\\\\\u0000"', /zero byte/],
  ['the first half of a sign', '"\\ud83d"', /half of a sign/],
  ['the first half, then something else', '"\\ud83dx"', /half of a sign/],
  ['the second half of a sign', '"\\uDE00"', /half of a sign/],
  ['halves that are turned round', '"\\ude00\\ud83d"', /half of a sign/],
  ['a half as a name', '{"\\ud800":1}', /half of a sign/],
  ['no JSON', '{', /not JSON/],
  ['nothing', '', /not JSON/],
] as const)('%s is refused in words', (_, text, words) => {
  expect(() => jsonIn(text)).toThrow(JsonError);
  expect(() => jsonIn(text)).toThrow(words);
});

test.each([
  ['brackets within a text', JSON.stringify('['.repeat(500)), '['.repeat(500)],
  ['a backslash before a u', '"\\\\u0000"', '\\u0000'],
  ['both halves of a sign', '"\\ud83d\\ude00"', '😀'],
  ['sixty megabytes of text', JSON.stringify('x'.repeat(60_000_000)), 'x'.repeat(60_000_000)],
] as const)('%s is taken', (_, text, value) => {
  expect(jsonIn(text) === value).toBe(true);
});
