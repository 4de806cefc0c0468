import { enter, orPage } from '~/app/server/door.server';
import { bring } from '~/work/thread/thread';
import type { Route } from './+types/bring';

/** Takes a survey file into the record of a source: it is the body as it is. Answers with JSON, for a terminal. */
export async function action({ params, request, context }: Route.ActionArgs) {
  const room = await enter({ params, context }, 'survey');
  const came = await orPage(bring(room, { kind: 'survey' }, new Uint8Array(await request.arrayBuffer())));
  return came.problem === null
    ? Response.json({ problem: null, ...came.survey })
    : Response.json({ problem: came.problem }, { status: came.unreadable ? 422 : 409 });
}
