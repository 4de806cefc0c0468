import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { tableId } from '../catalogue/identifiers';
import { engineNamed } from '../engines/index';
import { engineNames } from '../engines/name';
import { columnsIn, expressionInWords, isExpression, partsOf } from './expression';

const columns = ['tons', 'Left at', 'entered_at', 'code', 'or'];

describe('what a person types', () => {
  test.each([
    ['tons > 0', 'tons > 0'],
    ['TONS >= 0 AND not (code IS NULL)', 'tons >= 0 and not (code is null)'],
    ['"Left at" is null or "Left at" >= entered_at', 'Left at is null or Left at >= entered_at'],
    ['length(trim(code)) between 2 and 3+1', 'char_length(trim(code)) between 2 and 3 + 1'],
    ["code not in ('a', 'it''s')", "code not in ('a', 'it''s')"],
    ["case when tons > 1.5 then lower(code) else 'x' end <> 'y'", "case when tons > 1.5 then lower(code) else 'x' end <> 'y'"],
    ['tons != - -1 * 2', 'tons <> - - 1 * 2'],
    ['`or` = 1', 'or = 1'],
  ])('is read: %s', (text, words) => {
    const parts = partsOf(text, columns);
    if (typeof parts === 'string') throw new Error(parts);
    expect(expressionInWords(parts)).toBe(words);
    expect(isExpression(parts)).toBe(true);
    expect(columnsIn(parts).length).toBeGreaterThan(0);
  });

  test.each([
    ['', /Type a condition/],
    ['1 = 1', /at least one column/],
    ['tons', null],
    ['tons >', /its end stands there/],
    ['tons > 0)', /\) stands there/],
    ['(tons > 0', /\) should/],
    ['tons > 0; drop table x', /cannot be read from/],
    ['tons > (select 1)', /select is no column/],
    ['tons > 0 -- and more', /no comments/],
    ['tons /* */ > 0', /no comments/],
    ["code = 'a' union", /union is no column/],
    ['pg_sleep(9) is null and tons > 0', /pg_sleep is no column/],
    ["code = 'open", /cannot be read from/],
    ["code = E'x'", /E is no column/],
    ['tons > 0x1f', /cannot be read from/],
    ['tons > 1e9', /cannot be read from/],
    ['tons is 3', /null or true or false should/],
    ['code like', /its end/],
    ['tons not 3', /stands there/],
    [`${'('.repeat(50)}tons${')'.repeat(50)} > 0`, /40 deep/],
    ['tons @> 3', /cannot be read from/],
    ['tons::text = 3', /cannot be read from/],
    ['"no such" > 3', /no such is no column/],
  ])('is not taken, or is: %s', (text, why) => {
    const parts = partsOf(text, columns);
    if (why === null) expect(typeof parts).not.toBe('string');
    else expect(parts).toMatch(why);
  });
});

/** What a server is given, without what stands in quotes. */
function bareText(written: string): string {
  return written.replaceAll(/E?'(?:[^'\\]|''|\\.)*'|"(?:[^"]|"")*"|`(?:[^`]|``)*`/g, ' q ');
}

test('whatever is typed, nothing reaches a server but names and texts in quotes, and words and signs that are known', () => {
  const piece = fc.oneof(
    fc.constantFrom(
      'tons',
      'code',
      '"Left at"',
      'and',
      'or',
      'not',
      '(',
      ')',
      '>',
      '=',
      '1',
      "'x'",
      "'",
      '"',
      '--',
      ';',
      '/*',
      'lower(',
      ',',
    ),
    fc.string({ maxLength: 4 }),
    fc.string({ unit: 'binary', maxLength: 3 }).map((text) => `'${text.replaceAll("'", "''")}'`),
  );
  const known =
    /^(?:q|[.]|select count|from|where|alter table|add constraint|ck|check|algorithm|copy|instant|inplace|nocopy|lock|none|shared|port|call|and|or|not|is|null|in|between|like|case|when|then|else|end|true|false|(?:pg_catalog\.)?(?:lower|upper|b?trim|char_length|abs|round|floor|coalesce|nullif|concat|mod)|tons|code|entered_at|\d+(?:\.\d+)?|[-=<>+*/%(),]|<>|<=|>=|\s)*$/;
  const table = tableId('port', 'call');
  let taken = 0;
  fc.assert(
    fc.property(fc.array(piece, { maxLength: 9 }), (pieces) => {
      const parts = partsOf(pieces.join(' '), columns);
      if (typeof parts === 'string') return;
      taken++;
      const claim = { kind: 'condition', parts } as const;
      for (const { dialect } of engineNames.map(engineNamed)) {
        const [stage] = dialect.stages({ kind: 'addCheck', table, name: 'ck', claim, rows: 'checked' }, 'plain');
        expect(bareText(dialect.check({ kind: 'breaking', table, claim }))).toMatch(known);
        expect(bareText(stage?.statements[0] ?? '')).toMatch(known);
      }
    }),
    { numRuns: 4_000, seed: 5 },
  );
  expect(taken).toBeGreaterThan(20);
});

test('parts that nobody typed are no condition', () => {
  expect(isExpression([{ column: 'a' }, { sign: '; drop table x' }])).toBe(false);
  expect(isExpression([{ column: 'a' }, { column: 'b' }])).toBe(false);
  expect(isExpression([{ column: 'a' }, { sign: '>' }, { value: "x' or 1=1" }])).toBe(true);
});
