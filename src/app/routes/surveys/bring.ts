import { enter, orPage } from '~/app/server/door.server';
import { readSurveyDocument } from '~/input/surveyDocument';
import { SurveyFileError } from '~/input/surveyFile';
import { bringSurvey } from '~/work/brought';
import type { Route } from './+types/bring';

/** Takes a survey file into the record of a source: it is the body as it is. Answers with JSON, for a terminal. */
export async function action({ params, request, context }: Route.ActionArgs) {
  const room = await enter({ params, context }, 'survey');
  try {
    const outcome = await orPage(bringSurvey(room, await readSurveyDocument(await request.text())));
    return outcome.problem === null
      ? Response.json({ problem: null, ...outcome.result })
      : Response.json({ problem: outcome.problem }, { status: 409 });
  } catch (error) {
    if (error instanceof SurveyFileError) return Response.json({ problem: error.message }, { status: 422 });
    throw error;
  }
}
