// Open questions as a script, and what is brought as its answers.

import { counted } from '../../core/naming/words';
import { printedBy } from '../../core/engines/dialect';
import { engineNamed } from '../../core/engines/index';
import type { EngineName } from '../../core/engines/name';
import type { Query } from '../../core/engines/questions';
import { type Answers, AnswersError, type KeptAnswer, queryId, scriptId } from './answers';

export interface AskedScript {
  readonly round: number;
  /** What its answers name. */
  readonly id: string;
  readonly text: string;
  readonly queries: readonly string[];
}

/** Each question once, in the order in which they came up. */
export function scriptFor(engine: EngineName, round: number, open: readonly Query[]): AskedScript {
  const byId = new Map(open.map((query) => [queryId(query), query]));
  const queries = [...byId.keys()];
  const id = scriptId(queries);
  const text = printedBy(engineNamed(engine).dialect, {
    script: id,
    title: `open questions, round ${round}`,
    queries: [...byId].map(([query, asked]) => ({ id: query, query: asked })),
    answers: `pawl-${id}.txt`,
  });
  return { round, id, text, queries };
}

export interface Taken {
  /** Those that are new, or otherwise than in a file that was cut off. */
  readonly answers: ReadonlyMap<string, KeptAnswer>;
  /** How many questions of the open script are not answered yet: while there are any, it stays open. */
  readonly missing: number;
  /** What a person has to know of them; null when all is well. */
  readonly remark: string | null;
}

/** A script that somebody is to run. */
export interface OpenScript {
  readonly id: string;
  readonly queries: readonly string[];
}

export interface Expected {
  readonly engine: EngineName;
  /** Of the database that was answered for before; null when this is the first. */
  readonly before: Pick<Answers, 'version' | 'database'> | null;
  /** Those that were asked, the open one last. */
  readonly scripts: readonly OpenScript[];
  readonly known: ReadonlyMap<string, KeptAnswer>;
}

/** Holds what was brought against what was asked. Throws AnswersError, with nothing taken. */
export function take(brought: Answers, { engine, before, scripts, known }: Expected): Taken {
  const open = scripts.at(-1) ?? { id: 'none', queries: [] };
  if (brought.engine !== engine)
    throw new AnswersError(
      `These are answers of ${engineNamed(brought.engine).title}, and ${engineNamed(engine).title} was asked.`,
    );
  if (!scripts.some(({ id }) => id === brought.script))
    throw new AnswersError(
      `These are answers to another script (${brought.script.slice(0, 40)}). The open one is ${open.id}: run that, and bring what it writes.`,
    );
  if (before && before.database !== brought.database)
    throw new AnswersError(
      `These are answers of the database ${brought.database}, and those before were of ${before.database}. Run the script where the first was run.`,
    );
  const missing = open.queries.filter((id) => !known.has(id) && !brought.byQuery.has(id)).length;
  // A run that came to its end counts more than one that was cut off.
  const counts = brought.script === open.id && missing === 0 && brought.ended && brought.cut === 0;
  const others = [...brought.byQuery].filter(([id, answer]) => isOtherwise(answer, known.get(id)));
  if (others[0] && !counts)
    throw new AnswersError(
      `The file answers the question ${others[0][0]} otherwise than the one that was brought before. What was brought first is kept; begin a new survey if the database has changed.`,
    );
  const answers = new Map([...others, ...[...brought.byQuery].filter(([id]) => !known.has(id))]);
  return { answers, missing, remark: remarkOn(brought, { fresh: answers.size, missing, replaced: others.length }) };
}

function isOtherwise(answer: KeptAnswer, was: KeptAnswer | undefined): boolean {
  return was !== undefined && JSON.stringify(was) !== JSON.stringify(answer);
}

function remarkOn(
  { byQuery, cut, ended }: Answers,
  { fresh, missing, replaced }: { readonly fresh: number; readonly missing: number; readonly replaced: number },
): string | null {
  if (byQuery.size > 0 && fresh === 0) return 'These answers were brought before: nothing in them is new.';
  if (missing > 0)
    return `The file is cut off${ended && cut === 0 ? ' at its beginning' : ''}. Taken of it: ${counted(fresh, 'answer')}; still open: ${missing}. Run the script again and bring the whole file, or go on without the rest.`;
  if (replaced > 0) return `Otherwise than in the file that was cut off: ${counted(replaced, 'answer')}. The whole one counts.`;
  return null;
}

/** The code under which a question is kept that nobody is going to answer. */
export const notBrought = 'not brought';

/** What is open of a script, as questions that nobody answers. */
export function withoutTheRest({ queries }: OpenScript, known: ReadonlyMap<string, KeptAnswer>): ReadonlyMap<string, KeptAnswer> {
  return new Map(queries.filter((id) => !known.has(id)).map((id) => [id, { refused: notBrought }]));
}
