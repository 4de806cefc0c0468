import { asked } from '~/app/server/asked.server';
import { enter, orPage } from '~/app/server/door.server';
import { idIn } from '~/app/server/ids.server';
import type { Brought } from '~/app/ui/BringFile';
import { bring } from '~/work/thread/thread';
import type { Route } from './+types/evidence';
import { Seen } from './docket/docketForm.server';

/** Takes what after.sql wrote where somebody ran a docket themselves: it is the body as it is. */
export async function action({ params, request, context }: Route.ActionArgs): Promise<Brought> {
  const room = await enter({ params, context }, 'vouch');
  const docket = await idIn(params.docket, 'docket');
  const shown = await asked(Seen, request);
  const evidence = new Uint8Array(await request.arrayBuffer());
  const { problem } = await orPage(bring(room, { kind: 'evidence', docket, shown }, evidence));
  return { problem, remark: null };
}
