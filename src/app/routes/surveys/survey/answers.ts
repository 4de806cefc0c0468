import { enter, orPage } from '~/app/server/door.server';
import { idIn } from '~/app/server/ids.server';
import type { Brought } from '~/app/ui/BringFile';
import { bring } from '~/work/thread/thread';
import type { Route } from './+types/answers';

/** Takes a file of answers: it is the body as it is. */
export async function action({ params, request, context }: Route.ActionArgs): Promise<Brought> {
  const room = await enter({ params, context }, 'survey');
  const survey = await idIn(params.survey, 'survey');
  const came = await orPage(bring(room, { kind: 'answers', survey }, new Uint8Array(await request.arrayBuffer())));
  return came.problem === null ? { problem: null, remark: came.remark } : { problem: came.problem, remark: null };
}
