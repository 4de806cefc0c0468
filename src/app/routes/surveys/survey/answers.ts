import { enter, orPage } from '~/app/server/door.server';
import { idIn } from '~/app/server/ids.server';
import { bringAnswers } from '~/work/surveys';
import type { Route } from './+types/answers';

export interface Brought {
  /** Why the file was not taken; null when it was. */
  readonly problem: string | null;
  /** What a person has to know of what was taken. */
  readonly remark: string | null;
}

/** Takes a file of answers: it is the body as it is. */
export async function action({ params, request, context }: Route.ActionArgs): Promise<Brought> {
  const room = await enter({ params, context }, 'survey');
  const bytes = new Uint8Array(await request.arrayBuffer());
  const outcome = await orPage(bringAnswers(room, await idIn(params.survey, 'survey'), bytes));
  return outcome.problem === null ? { problem: null, remark: outcome.result } : { problem: outcome.problem, remark: null };
}
