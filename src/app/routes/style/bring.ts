import { enter, orPage } from '~/app/server/door.server';
import type { Brought } from '~/app/ui/BringFile';
import { HouseStyleError, readHouseStyle } from '~/input/houseStyle';
import { bringStyle } from '~/work/houseStyle';
import type { Route } from './+types/bring';

const most = 1_000_000;

/** Takes a house style from a file: it is the body as it is. */
export async function action({ params, request, context }: Route.ActionArgs): Promise<Brought> {
  const room = await enter({ params, context }, 'keepRules');
  const bytes = await request.arrayBuffer();
  if (bytes.byteLength > most) return { problem: 'A house style is smaller than that. Is it the right file?', remark: null };
  try {
    const style = await readHouseStyle(new TextDecoder().decode(bytes));
    const { problem } = await orPage(bringStyle(room, null, style, 'a file'));
    return { problem, remark: null };
  } catch (error) {
    if (error instanceof HouseStyleError) return { problem: error.message, remark: null };
    throw error;
  }
}
