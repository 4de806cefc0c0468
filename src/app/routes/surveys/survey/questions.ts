import { enter } from '~/app/server/door.server';
import { idIn, notFound, numberIn } from '~/app/server/ids.server';
import { findScript, listScripts } from '~/store/surveys/answers';
import { findSurvey } from '~/store/surveys/surveys';
import type { Route } from './+types/questions';

/** A script of open questions, as a file. */
export async function loader({ params, context }: Route.LoaderArgs) {
  const { source, store } = await enter({ params, context }, 'survey');
  const survey = await findSurvey(store, await idIn(params.survey, 'survey'));
  const round = await numberIn(params.round, 'round');
  const known = survey?.sourceId === source.id ? await listScripts(store, survey.id) : [];
  const script = known.find((one) => one.round === round);
  const text = script && survey ? await findScript(store, survey.id, round) : null;
  if (!script || text === null) throw notFound('There is no such script', 'The survey may have asked no such round.');
  return new Response(text, {
    headers: {
      'Content-Type': 'application/sql; charset=utf-8',
      'Content-Disposition': `attachment; filename="pawl-${script.scriptId}.sql"`,
    },
  });
}
