// Several questions at once: what each asks, is answered and is refused is its own, whatever the others do.

import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { type Answered, type Asking, attempt, keeping, NotAnswered, oneOf, type Query, rowsOf, together } from './questions';

const query = (text: string): Query => ({ text, columns: 1 });

interface Put {
  /** What was asked at once, turn by turn. */
  readonly turns: readonly (readonly string[])[];
  readonly problem: unknown;
}

/** Answers each query by its own text, but for those that are refused: as a reader does. */
function put(asking: Asking<void>, refused: readonly string[] = []): Put {
  const turns: (readonly string[])[] = [];
  try {
    let next = asking.next();
    while (!next.done) {
      turns.push(next.value.map(({ text }) => text));
      next = handed(asking, next.value, refused);
    }
    return { turns, problem: null };
  } catch (problem) {
    return { turns, problem };
  }
}

function handed(asking: Asking<void>, queries: readonly Query[], refused: readonly string[]) {
  const answers: Answered[] = [];
  for (const { text, mayFail } of queries) {
    const problem = refused.includes(text) ? new NotAnswered(`${text} is refused`, false) : null;
    if (problem && !mayFail) return asking.throw(problem);
    answers.push({ rows: problem ? [] : [[text]], names: [], ...(problem && { refused: problem }) });
  }
  return asking.next(answers);
}

/** Asks its texts one after the other, and keeps what comes back. */
function* chain(texts: readonly string[], kept: string[]): Asking<void> {
  for (const text of texts) {
    const [value] = yield* oneOf(query(text));
    kept.push(value ?? '');
  }
}

describe('together', () => {
  test('what can be asked at once is asked at once, and each part is handed its own', () => {
    const [first, second, third]: [string[], string[], string[]] = [[], [], []];
    const parts = [chain(['a1', 'a2', 'a3'], first), chain(['b1'], second), chain(['c1', 'c2'], third)];
    expect(put(together(parts))).toEqual({ turns: [['a1', 'b1', 'c1'], ['a2', 'c2'], ['a3']], problem: null });
    expect([first, second, third]).toEqual([['a1', 'a2', 'a3'], ['b1'], ['c1', 'c2']]);
  });

  test('however many there are and however long, nothing is lost, mixed up or asked twice', () => {
    fc.assert(
      fc.property(fc.array(fc.nat({ max: 6 }), { maxLength: 8 }), (lengths) => {
        const texts = lengths.map((length, part) => Array.from({ length }, (_, n) => `${part}.${n}`));
        const kept = lengths.map((): string[] => []);
        const { turns, problem } = put(together(texts.map((own, part) => chain(own, kept[part] as string[]))));
        expect(problem).toBeNull();
        expect(kept).toEqual(texts);
        expect(turns.flat().sort()).toEqual(texts.flat().sort());
        expect(turns).toHaveLength(Math.max(0, ...lengths));
      }),
    );
  });

  test('nothing to ask is no turn', () => {
    expect(put(together([]))).toEqual({ turns: [], problem: null });
    expect(put(together([chain([], [])]))).toEqual({ turns: [], problem: null });
  });

  test('what one part is refused and bears does not reach the others', () => {
    const kept: string[] = [];
    let says: string | null = null;
    const borne = keeping(attempt(chain(['a1', 'a2'], [])), (problem) => (says = problem));
    expect(put(together([borne, chain(['b1', 'b2'], kept)]), ['a1'])).toEqual({ turns: [['a1', 'b1'], ['b2']], problem: null });
    expect(says).toBe('a1 is refused');
    expect(kept).toEqual(['b1', 'b2']);
  });

  test('what a part does not bear comes out, with nothing asked after it', () => {
    const { turns, problem } = put(together([chain(['a1', 'a2'], []), chain(['b1', 'b2'], [])]), ['a1']);
    expect(turns).toEqual([['a1', 'b1']]);
    expect(problem).toEqual(new NotAnswered('a1 is refused', false));
  });

  test('parts of parts are asked in the same turn, and bear what is theirs', () => {
    const [kept, beside]: [string[], string[]] = [[], []];
    const says: (string | null)[] = [];
    const inner = together([
      keeping(attempt(chain(['i1'], [])), (problem) => void says.push(problem)),
      chain(['j1', 'j2'], kept),
    ]);
    expect(put(together([inner, chain(['b1'], beside)]), ['i1'])).toEqual({ turns: [['i1', 'j1', 'b1'], ['j2']], problem: null });
    expect([says, kept, beside]).toEqual([['i1 is refused'], ['j1', 'j2'], ['b1']]);
  });

  test('rows that are taken as they come are taken by whoever asked', () => {
    const seen: string[] = [];
    function* streaming(): Asking<void> {
      yield [{ ...query('s'), each: ([value]) => void seen.push(value ?? '') }];
    }
    const asking = together([streaming(), chain(['b1'], [])]);
    const next = asking.next();
    (next.value as readonly Query[])[0]?.each?.(['row']);
    expect(seen).toEqual(['row']);
  });
});

describe('the row of a count', () => {
  test('is the first that came', () => {
    const kept: string[] = [];
    put(chain(['one'], kept));
    expect(kept).toEqual(['one']);
  });

  test('is missed in words where none came', () => {
    function* none(): Asking<void> {
      yield* oneOf(query('nothing'));
    }
    const asking = none();
    asking.next();
    expect(() => asking.next([{ rows: [], names: [] }])).toThrow('answered a count with no row');
  });

  test('many rows are handed over whole', () => {
    let all: readonly (readonly (string | null)[])[] = [];
    const asking = keeping(rowsOf(query('all')), (rows) => (all = rows));
    asking.next();
    asking.next([{ rows: [['1'], ['2'], [null]], names: [] }]);
    expect(all).toEqual([['1'], ['2'], [null]]);
  });
});
