import { pathTo } from '~/app/ui/pathTo';
import { redirect } from 'react-router';
import { actorIn } from '~/app/server/door.server';
import { office } from '~/app/server/office.server';
import { sourcesFor } from '~/work/sources';
import type { Route } from './+types/route';

/** Straight to work: the first source, or the place to add one. */
export async function loader({ context }: Route.LoaderArgs) {
  const [first] = await sourcesFor(office(), actorIn({ context }));
  return redirect(first ? pathTo('/s/:source/coverage', { source: first.id }) : '/sources');
}
