import { enter, orPage } from '~/app/server/door.server';
import { idIn } from '~/app/server/ids.server';
import type { Brought } from '~/app/ui/BringFile';
import { bringAnswers } from '~/work/surveys';
import type { Route } from './+types/answers';

/** Takes a file of answers: it is the body as it is. */
export async function action({ params, request, context }: Route.ActionArgs): Promise<Brought> {
  const room = await enter({ params, context }, 'survey');
  const bytes = new Uint8Array(await request.arrayBuffer());
  const outcome = await orPage(bringAnswers(room, await idIn(params.survey, 'survey'), bytes));
  return outcome.problem === null ? { problem: null, remark: outcome.result } : { problem: outcome.problem, remark: null };
}
