// The checks after a docket, asked where the docket was run: a script that writes what it finds, and what is made of that.

import { printedBy } from '../../core/engines/dialect';
import { engineNamed } from '../../core/engines/index';
import type { EngineName } from '../../core/engines/name';
import type { Query } from '../../core/engines/questions';
import { type Check, describeCheck } from '../../core/operations/check';
import { type Answers, AnswersError, queryId, scriptId } from './answers';

/** The checks as a script. `title` is the docket. */
export function checksScript(engine: EngineName, checks: readonly Check[], title: string): string {
  const asked = asking(engine, checks);
  return printedBy(engineNamed(engine).dialect, {
    script: scriptOf(asked),
    title: `checks after the docket ${title}`,
    queries: [...asked].map(([id, { query }]) => ({ id, query })),
    answers: `pawl-${scriptOf(asked)}.txt`,
  });
}

export interface Checked {
  readonly engine: EngineName;
  readonly database: string;
  readonly checks: readonly Check[];
}

/**
 * What speaks against the docket, in words; empty when nothing does. Throws AnswersError where the answers are not those to
 * these checks, of this database, in whole.
 */
export function foundAgainst(brought: Answers, { engine, database, checks }: Checked): readonly string[] {
  const asked = asking(engine, checks);
  if (brought.script !== scriptOf(asked))
    throw new AnswersError(
      'These are answers to something else than the checks after this docket as it is now. Download after.sql anew, run it, and bring what it writes.',
    );
  if (brought.database !== database)
    throw new AnswersError(`These are answers of the database ${brought.database}; the docket is for ${database}.`);
  const missing = [...asked.keys()].filter((id) => !brought.byQuery.has(id)).length;
  if (missing > 0)
    throw new AnswersError(`The file is cut off: ${missing} of ${asked.size} checks have no answer. Run after.sql again.`);
  return [...asked].flatMap(([id, { check }]) => {
    const answer = brought.byQuery.get(id);
    if (!answer || 'refused' in answer) return [`${describeCheck(check)}: not answered (${answer?.refused})`];
    const [[count] = []] = answer.rows;
    return count === '0' ? [] : [`${describeCheck(check)}: ${count ?? 'nothing'}`];
  });
}

function asking(
  engine: EngineName,
  checks: readonly Check[],
): ReadonlyMap<string, { readonly check: Check; readonly query: Query }> {
  const { check: written } = engineNamed(engine).dialect;
  return new Map(
    checks.map((check) => {
      const query: Query = { text: written(check), columns: 1 };
      return [queryId(query), { check, query }];
    }),
  );
}

function scriptOf(asked: ReadonlyMap<string, unknown>): string {
  return scriptId([...asked.keys()]);
}
