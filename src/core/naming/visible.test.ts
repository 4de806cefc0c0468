import { expect, test } from 'vitest';
import { visible } from './visible';

test.each([
  ['port', 'port'],
  ['Fähre 7 – été 漢字', 'Fähre 7 – été 漢字'],
  ['port\u202elac', 'port\\u{202e}lac'],
  ['ves\u200bsel', 'ves\\u{200b}sel'],
  ['a\nb', 'a\\u{a}b'],
  ['pay\u3164', 'pay\\u{3164}'],
  ['a\u{e0041}', 'a\\u{e0041}'],
])('%j is shown as %j', (name, shown) => {
  expect(visible(name)).toBe(shown);
});

test('line breaks of a text stay where they are wanted', () => {
  expect(visible('a\n\u200eb', 'kept')).toBe('a\n\\u{200e}b');
});
