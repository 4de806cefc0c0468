import { enter, orPage } from '~/app/server/door.server';
import type { Brought } from '~/app/ui/BringFile';
import { bring } from '~/work/thread/thread';
import type { Route } from './+types/bring';

const most = 1_000_000;

/** Takes a house style from a file: it is the body as it is. */
export async function action({ params, request, context }: Route.ActionArgs): Promise<Brought> {
  const room = await enter({ params, context }, 'keepRules');
  const bytes = new Uint8Array(await request.arrayBuffer());
  if (bytes.byteLength > most) return { problem: 'A house style has at most a megabyte. Is it the right file?', remark: null };
  const { problem } = await orPage(bring(room, { kind: 'style' }, bytes));
  return { problem, remark: null };
}
