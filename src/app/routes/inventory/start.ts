import { pathTo } from '~/app/ui/pathTo';
import { redirect } from 'react-router';
import { enter } from '~/app/server/door.server';
import type { Route } from './+types/start';

/** The inventory begins with the columns. */
export async function loader({ params, context }: Route.LoaderArgs) {
  const { source } = await enter({ params, context }, 'seeFindings');
  return redirect(pathTo('/s/:source/inventory/:kind', { source: source.id, kind: 'columns' }));
}
