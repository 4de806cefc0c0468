import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { encodeField } from '../../core/engines/answerLines';
import { firstEngine } from '../../core/engines/name';
import { type Answers, AnswersError, decoded, readAnswers } from './answers';

const [one, two] = ['q0000000000000001', 'q0000000000000002'];
const begin = `pawl|1|begin|abcdefabcdef|${firstEngine}|15.4|é|Ø|harbour`;
const whole = [begin, `${one}|3|%-`, `pawl|1|count|${one}|1`, `pawl|1|error|${two}|42501`, 'pawl|1|end|abcdefabcdef'].join('\n');

test('a file of answers tells what was answered and what was refused', () => {
  expect(readAnswers(whole)).toEqual({
    script: 'abcdefabcdef',
    engine: firstEngine,
    version: '15.4',
    database: 'harbour',
    byQuery: new Map([
      [one, { rows: [['3', null]] }],
      [two, { refused: '42501' }],
    ]),
    cut: 0,
    ended: true,
  });
});

test('fields come back as they were, whatever is in them', () => {
  fc.assert(
    fc.property(fc.array(fc.option(fc.string({ unit: 'binary' })), { minLength: 1 }), (fields) => {
      const line = [one, ...fields.map(encodeField)].join('|');
      const { byQuery } = readAnswers([begin, line, `pawl|1|count|${one}|1`, 'pawl|1|end|abcdefabcdef'].join('\n'));
      expect(byQuery.get(one)).toEqual({ rows: [fields] });
    }),
  );
});

test('what a client writes around it is passed over', () => {
  const noisy = whole.split('\n').flatMap((line) => ['Timing is on.', line, '', '(1 row)']);
  expect(readAnswers(noisy.join('\r\n'))).toEqual(readAnswers(whole));
});

describe('what a statement of the server’s own says', () => {
  const once = '5f1c9f7e';
  const told = (tab: string, ...lines: readonly string[]) =>
    [
      begin,
      `pawl|1|says|${one}|${once}|${encodeField('a|b')}|${tab}`,
      ...lines,
      `pawl|1|said|${once}`,
      `pawl|1|count|${one}|1`,
      'pawl|1|end|abcdefabcdef',
    ].join('\n');
  const rowsOf = (text: string) => {
    const answer = readAnswers(text).byQuery.get(one);
    return answer && 'rows' in answer ? answer.rows : null;
  };

  test('is taken with the name that it is of, escaped by its client or not', () => {
    const said = ['a|b\tCREATE TABLE `a|b` (', "  `n` int DEFAULT '\\n'", ')'].join('\n');
    const escaped = "a|b\tCREATE TABLE `a|b` (\\n  `n` int DEFAULT '\\\\n'\\n)";
    expect(rowsOf(told('\t', ...said.split('\n')))).toEqual([['a|b', said]]);
    expect(rowsOf(told('\\t', escaped))).toEqual([['a|b', said]]);
    expect(rowsOf(told('\t', ...said.split('\n')).replaceAll('\n', '\r\n'))).toEqual([['a|b', said]]);
  });

  test('counts without the headings that a client prints', () => {
    expect(rowsOf(told('\\t', 'Table\tCreate Table', 'a|b\tCREATE', 'pawl'))).toEqual([['a|b', 'a|b\tCREATE']]);
  });

  test('is nothing where the login may not ask, and no other answer for that', () => {
    expect(rowsOf(told('\t'))).toEqual([['a|b', '']]);
  });

  test('holds no mark, whatever it says: nobody who named a table knew the last one', () => {
    const hostile = [
      'pawl|1|said|',
      'pawl|1|said|5f1c9f7',
      `pawl|1|count|${one}|0`,
      `${two}|9`,
      'pawl|1|end|abcdefabcdef',
      begin,
    ];
    expect(rowsOf(told('\t', ...hostile))).toEqual([['a|b', hostile.join('\n')]]);
    expect(readAnswers(told('\t', ...hostile)).byQuery.has(two)).toBe(false);
  });

  test('that never ends is cut off', () => {
    const lines = told('\t', 'a|b\tCREATE').split('\n').slice(0, 3).join('\n');
    const read = readAnswers(lines);
    expect([read.byQuery.size, read.ended]).toEqual([0, false]);
  });
});

test('whatever a file holds, it is read or refused with words', () => {
  const line = fc.oneof(
    fc.string(),
    fc.constantFrom(...whole.split('\n')),
    fc.constantFrom(`${one}|`, `pawl|1|count|${one}|x`, 'pawl|1|begin', 'pawl|1|end|', 'pawl|1|error|', 'pawl|2|begin|x'),
    fc.constantFrom(`pawl|1|says|${one}|x|n|\\t`, 'pawl|1|says', 'pawl|1|said|x', 'pawl|1|said|'),
  );
  fc.assert(
    fc.property(fc.array(line), (lines) => {
      expect(outcomeOf(lines.join('\n'))).toMatch(/^(read|AnswersError: .+\.)$/s);
    }),
  );
});

function outcomeOf(text: string): string {
  try {
    readAnswers(text);
    return 'read';
  } catch (error) {
    return String(error);
  }
}

describe('a file that is cut off', () => {
  test('anywhere between two lines gives what is whole, and is known to be cut', () => {
    const lines = whole.split('\n');
    const cuts = lines.slice(1).map((_, i): Answers => readAnswers(lines.slice(0, i + 1).join('\n')));
    expect(cuts.map(({ byQuery, cut, ended }) => [byQuery.size, cut, ended])).toEqual([
      [0, 0, false],
      [0, 1, false],
      [1, 0, false],
      [2, 0, false],
    ]);
  });

  test('in the middle of its rows does not count for the question', () => {
    const { byQuery, cut } = readAnswers(whole.replace(`count|${one}|1`, `count|${one}|2`));
    expect([byQuery.has(one), cut]).toEqual([false, 1]);
  });
});

const wrong: readonly (readonly [string, string, string])[] = [
  ['is none', 'hello', 'no file of answers'],
  ['is of an engine that nobody knows', whole.replace(firstEngine, 'paper'), 'not known here: paper'],
  ['lost letters', whole.replace('é', '?'), 'Letters of the file were lost'],
  ['holds two scripts', `${whole}\n${begin.replace('abcdefabcdef', '123456123456')}`, 'two scripts'],
  ['answers a question twice', `${whole}\n${one}|4|%-\npawl|1|count|${one}|1`, `the question ${one} twice`],
];
for (const [what, text, words] of wrong)
  test(`a file that ${what} is refused with words`, () => {
    expect(() => readAnswers(text)).toThrow(AnswersError);
    expect(() => readAnswers(text)).toThrow(words);
  });

describe('a file written as', () => {
  const spelled: readonly (readonly [string, Buffer])[] = [
    ['UTF-8', Buffer.from(whole)],
    ['UTF-8 with a mark', Buffer.from(`\ufeff${whole}`)],
    ['UTF-16, as a console redirects it', Buffer.from(`\ufeff${whole}`, 'utf16le')],
    ['UTF-16 the other way round', Buffer.from(`\ufeff${whole}`, 'utf16le').swap16()],
    ['an older code page', Buffer.from(whole, 'latin1')],
  ];
  for (const [how, bytes] of spelled)
    test(`${how} is read`, () => {
      expect(readAnswers(decoded(bytes))).toEqual(readAnswers(whole));
    });

  test('something in which letters are lost is refused', () => {
    expect(() => decoded(Buffer.concat([Buffer.from([0xff]), Buffer.from(whole.replace('é', 'e'))]))).toThrow(
      'letters were lost',
    );
  });
});
