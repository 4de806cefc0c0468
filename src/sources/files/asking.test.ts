import { describe, expect, test } from 'vitest';
import { firstEngine } from '../../core/engines/name';
import { type Answers, AnswersError, type KeptAnswer } from './answers';
import { type Expected, scriptFor, take, withoutTheRest } from './asking';

const { id, queries, text } = scriptFor(firstEngine, 2, [
  { text: 'select 1', columns: 1 },
  { text: 'select 2', columns: 1 },
  { text: 'select 1', columns: 1 },
]);
const [first = '', second = ''] = queries;
const count = (value: string): KeptAnswer => ({ rows: [[value]] });

function brought(byQuery: Readonly<Record<string, KeptAnswer>>, more: Partial<Answers> = {}): Answers {
  const answers = new Map(Object.entries(byQuery));
  return { script: id, engine: firstEngine, version: '15', database: 'harbour', byQuery: answers, cut: 0, ended: true, ...more };
}

function expecting(known: Readonly<Record<string, KeptAnswer>> = {}, more: Partial<Expected> = {}): Expected {
  const scripts = [
    { id: 'aaaaaaaaaaaa', queries: ['q'] },
    { id, queries },
  ];
  return {
    engine: firstEngine,
    before: { database: 'harbour', version: '15' },
    scripts,
    known: new Map(Object.entries(known)),
    ...more,
  };
}

test('a script asks each question once, and is named by what it asks', () => {
  expect(queries).toHaveLength(2);
  expect(text).toContain('open questions, round 2');
  expect(scriptFor(firstEngine, 3, [{ text: 'select 1', columns: 1 }]).id).not.toBe(id);
});

test('a whole file answers all that is open', () => {
  expect(take(brought({ [first]: count('1'), [second]: count('2') }), expecting())).toMatchObject({ missing: 0, remark: null });
});

describe('a file that is cut off', () => {
  const part = brought({ [first]: count('1') }, { ended: false });

  test('keeps the script open, with what it holds taken', () => {
    const { answers, missing, remark } = take(part, expecting());
    expect([...answers.keys()]).toEqual([first]);
    expect(missing).toBe(1);
    expect(remark).toContain('Taken of it: 1 answer; still open: 1');
  });

  test('that is brought again brings nothing new', () => {
    const { answers, remark } = take(part, expecting({ [first]: count('1') }));
    expect(answers.size).toBe(0);
    expect(remark).toContain('nothing in them is new');
  });

  test('gives way to a whole one that says otherwise', () => {
    const { answers, missing, remark } = take(
      brought({ [first]: count('9'), [second]: count('2') }),
      expecting({ [first]: count('1') }),
    );
    expect(answers.get(first)).toEqual(count('9'));
    expect([missing, remark]).toEqual([0, 'Otherwise than in the file that was cut off: 1 answer. The whole one counts.']);
  });

  test('can be gone on without', () => {
    const given = withoutTheRest({ id, queries }, new Map([[first, count('1')]]));
    expect([...given]).toEqual([[second, { refused: 'not brought' }]]);
  });
});

const refused: readonly (readonly [string, Answers, Expected, string])[] = [
  ['of a script that was never asked', brought({}, { script: 'bbbbbbbbbbbb' }), expecting(), `The open one is ${id}`],
  [
    'of another database',
    brought({}, { database: 'quarry' }),
    expecting(),
    'of the database quarry, and those before were of harbour',
  ],
  [
    'that contradict what an earlier round said',
    brought({ q: count('2') }, { script: 'aaaaaaaaaaaa' }),
    expecting({ q: count('1') }),
    'What was brought first is kept',
  ],
  [
    'that were cut off and say otherwise than those before',
    brought({ [first]: count('2') }, { ended: false }),
    expecting({ [first]: count('1') }),
    'What was brought first is kept',
  ],
];
for (const [what, answers, expected, words] of refused)
  test(`answers ${what} are refused with words, and nothing is taken`, () => {
    expect(() => take(answers, expected)).toThrow(AnswersError);
    expect(() => take(answers, expected)).toThrow(words);
  });
