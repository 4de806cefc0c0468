// Open questions as a script, and what is brought as its answers.

import { engineNamed, type EngineName } from '../../core/engines/index';
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
  const text = engineNamed(engine).dialect.questions({
    script: id,
    round,
    queries: [...byId].map(([query, asked]) => ({ id: query, query: asked })),
    answers: `pawl-${id}.txt`,
  });
  return { round, id, text, queries };
}

export interface Taken {
  /** Those that are new. */
  readonly answers: ReadonlyMap<string, KeptAnswer>;
  /** What a person has to know of them; null when all is well. */
  readonly remark: string | null;
}

export interface Expected {
  readonly engine: EngineName;
  /** Of the database that was answered for before; null when this is the first. */
  readonly before: Pick<Answers, 'version' | 'database'> | null;
  /** Ids of the scripts that were asked, the open one last. */
  readonly scripts: readonly string[];
  readonly known: ReadonlyMap<string, KeptAnswer>;
}

/** Holds what was brought against what was asked. Throws AnswersError, with nothing taken. */
export function take(brought: Answers, { engine, before, scripts, known }: Expected): Taken {
  if (brought.engine !== engine)
    throw new AnswersError(
      `These are answers of ${engineNamed(brought.engine).title}, and ${engineNamed(engine).title} was asked.`,
    );
  if (!scripts.includes(brought.script))
    throw new AnswersError(
      `These are answers to another script (${brought.script.slice(0, 40)}). The open one is ${scripts.at(-1) ?? 'none'}: run that, and bring what it writes.`,
    );
  if (before && before.database !== brought.database)
    throw new AnswersError(
      `These are answers of the database ${brought.database}, and those before were of ${before.database}. Run the script where the first was run.`,
    );
  const contradicted = [...brought.byQuery].find(([id, answer]) => {
    const was = known.get(id);
    return was !== undefined && JSON.stringify(was) !== JSON.stringify(answer);
  });
  if (contradicted)
    throw new AnswersError(
      `The file answers the question ${contradicted[0]} otherwise than the one that was brought before. What was brought first is kept; begin a new survey if the database has changed.`,
    );
  const answers = new Map([...brought.byQuery].filter(([id]) => !known.has(id)));
  return { answers, remark: remarkOn(brought, answers.size) };
}

function remarkOn({ byQuery, cut, ended }: Answers, fresh: number): string | null {
  if (byQuery.size > 0 && fresh === 0) return 'These answers were brought before: nothing in them is new.';
  if (ended && cut === 0) return null;
  return `The file is cut off: ${byQuery.size} answers are whole and were taken, the rest is asked again.`;
}
