// A reader that has the answers that somebody brought, and none to what nobody has asked yet.

import { engineNamed } from '../../core/engines/index';
import type { Answered, Query } from '../../core/engines/questions';
import type { AskedByFiles } from '../kind';
import { type Ask, Later, sourceOver } from '../reader';
import type { Source } from '../source';
import { SourceError } from '../SourceError';
import { type KeptAnswer, queryId } from './answers';
import { notBrought } from './asking';

export const needsValues =
  'It needs values of the rows, which nobody allowed to be written into the answers. Allow it at the source, and survey again.';

/** A source that is asked by files: what is not answered yet is thrown as Later. */
export function answeredSource(
  { engine, database, rows: values }: AskedByFiles,
  answers: ReadonlyMap<string, KeptAnswer>,
): Source {
  // Answered at once: nothing here waits for anybody.
  const ask: Ask = (query) => Promise.resolve().then(() => answerTo(query, answers, values));
  return sourceOver({
    engine,
    ...(engineNamed(engine).databasesAreSchemas && { schemas: [database] }),
    byFiles: { values },
    ask,
    inOneSnapshot: (_, work) => work(ask),
    cancel: () => Promise.resolve(),
    close: () => Promise.resolve(),
  });
}

function answerTo(query: Query, answers: ReadonlyMap<string, KeptAnswer>, values: boolean): Answered {
  const answer = answers.get(queryId(query));
  if (!answer && query.givesData && !values) throw new SourceError(needsValues, 'notAllowed');
  if (!answer) throw new Later([query]);
  if ('refused' in answer && answer.refused === notBrought)
    throw new SourceError('Nobody brought the answer. Survey again, and bring all that the script writes.', 'other');
  if ('refused' in answer) throw new SourceError(`The server refused with the code ${answer.refused}.`, 'refused');
  const { rows } = answer;
  if (query.columns > 0 && rows.some((row) => row.length !== query.columns))
    throw new SourceError('An answer has not as many fields as were asked for.', 'other');
  if (query.each) for (const row of rows) query.each(row);
  return { rows: query.each ? [] : rows, names: [] };
}
