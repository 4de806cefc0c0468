import { download, inFileName } from '~/app/server/download.server';
import { enter } from '~/app/server/door.server';
import { styleToday } from '~/work/houseStyle';
import type { Route } from './+types/export';

/** The house style as a file. */
export async function loader({ params, context }: Route.LoaderArgs) {
  const { source, store } = await enter({ params, context }, 'seeFindings');
  const name = `${inFileName(source.name)}-house-style`;
  return download(name, 'json', `${JSON.stringify(await styleToday(store, source.id), null, 1)}\n`);
}
