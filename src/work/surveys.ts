// Surveys as people ask for them.

import type { Depth } from '../core/evidence/requests';
import { AnswersError, decoded, readAnswers } from '../sources/files/answers';
import { type OpenScript, take, withoutTheRest } from '../sources/files/asking';
import { sourceKind } from '../sources/index';
import { findAnswered, keepAnswers, listAnswers, listScripts } from '../store/surveys/answers';
import { askForSurvey, cancelSurvey, findSurvey, findUnfinished, requeueSurvey } from '../store/surveys/surveys';
import type { Db } from '../store/db';
import { lockSource } from '../store/sources/sources';
import { nameOf } from './actor';
import type { Room } from './enter';
import { done, type Outcome, perform } from './perform';
import type { SurveyId } from '../store/ids';

/** Asks a worker for a survey, or leads to the one that runs already. The answer is its id. */
export async function survey(
  { office, actor, source }: Room,
  { depth, forced = false }: { readonly depth: Depth; readonly forced?: boolean },
): Promise<Outcome<SurveyId>> {
  let isNew = false;
  const act = { act: 'survey.ask', right: 'survey', source, object: 'survey' } as const;
  const outcome = await perform<SurveyId>(office, actor, act, async (store) => {
    // One after the other, so that two at once do not both find none.
    if (!(await lockSource(store, source.id))) return { problem: 'The source was removed.' };
    const running = await findUnfinished(store, source.id);
    isNew = running === null;
    const id =
      running?.id ??
      (await askForSurvey(store, {
        source: source.id,
        depth: sourceKind(source.kind).byFiles ? 'exact' : depth,
        forced,
        by: nameOf(actor),
      }));
    return { problem: null, result: id, object: `survey ${id}`, after: { depth, forced, already: running !== null } };
  });
  if (outcome.problem === null && isNew) await office.enqueue('survey', outcome.result);
  return outcome;
}

export function cancel({ office, actor, source }: Room, id: SurveyId): Promise<Outcome<null>> {
  return perform(office, actor, { act: 'survey.cancel', right: 'survey', source, object: `survey ${id}` }, async (store) => {
    if ((await findSurvey(store, id))?.sourceId !== source.id) return { problem: 'It is a survey of another source.' };
    await cancelSurvey(store, id);
    return done;
  });
}

/** Takes a file of answers: the survey goes on once nothing is open. The result is a remark on them, or null. */
export async function bringAnswers(room: Room, id: SurveyId, bytes: Uint8Array): Promise<Outcome<string | null>> {
  const { office, actor, source } = room;
  const act = { act: 'survey.answers', right: 'survey', source, object: `survey ${id}` } as const;
  let goesOn = false;
  const outcome = await perform<string | null>(office, actor, act, async (store) => {
    const survey = await findSurvey(store, id);
    if (survey?.sourceId !== source.id) return { problem: 'It is a survey of another source.' };
    if (survey.state !== 'waiting') return { problem: 'The survey does not wait for answers.' };
    const asked = sourceKind(source.kind).byFiles?.(source.settings);
    if (!asked) return { problem: 'The survey does not wait for answers.' };
    try {
      const { answers, missing, remark } = take(readAnswers(decoded(bytes)), {
        engine: asked.engine,
        before: await findAnswered(store, id),
        scripts: await openScripts(store, id),
        known: await listAnswers(store, id),
      });
      if (answers.size === 0) return { problem: remark ?? 'The file answers nothing that was asked.' };
      await keepAnswers(store, id, answers, nameOf(actor));
      goesOn = missing === 0;
      if (goesOn) await requeueSurvey(store, id, ['waiting']);
      return { problem: null, result: remark, after: { answers: answers.size, missing } };
    } catch (error) {
      if (error instanceof AnswersError) return { problem: error.message };
      throw error;
    }
  });
  if (outcome.problem === null && goesOn) await office.enqueue('survey', id);
  return outcome;
}

/** Goes on with one that waits, without the answers that are still open. */
export async function goOnWithout({ office, actor, source }: Room, id: SurveyId): Promise<Outcome<null>> {
  const act = { act: 'survey.answers', right: 'survey', source, object: `survey ${id}` } as const;
  const outcome = await perform<null>(office, actor, act, async (store) => {
    const survey = await findSurvey(store, id);
    if (survey?.sourceId !== source.id) return { problem: 'It is a survey of another source.' };
    const open = (await openScripts(store, id)).at(-1);
    if (survey.state !== 'waiting' || !open) return { problem: 'The survey does not wait for answers.' };
    const given = withoutTheRest(open, await listAnswers(store, id));
    await keepAnswers(store, id, given, nameOf(actor));
    await requeueSurvey(store, id, ['waiting']);
    return { problem: null, result: null, after: { without: given.size } };
  });
  if (outcome.problem === null) await office.enqueue('survey', id);
  return outcome;
}

async function openScripts(store: Db, survey: SurveyId): Promise<readonly OpenScript[]> {
  return (await listScripts(store, survey)).map(({ scriptId, queries }) => ({ id: scriptId, queries }));
}

/** Goes on with one that failed or was cancelled. */
export async function resume({ office, actor, source }: Room, id: SurveyId): Promise<Outcome<boolean>> {
  const act = { act: 'survey.resume', right: 'survey', source, object: `survey ${id}` } as const;
  const outcome = await perform<boolean>(office, actor, act, async (store) => {
    if ((await findSurvey(store, id))?.sourceId !== source.id) return { problem: 'It is a survey of another source.' };
    return { problem: null, result: await requeueSurvey(store, id, ['failed', 'cancelled']) };
  });
  if (outcome.problem === null && outcome.result) await office.enqueue('survey', id);
  return outcome;
}
