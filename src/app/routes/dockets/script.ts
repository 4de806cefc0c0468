import { enter } from '~/app/server/door.server';
import { idIn, notFound } from '~/app/server/ids.server';
import { scriptNames } from '~/core/dialects/dialect';
import { findDocket } from '~/store/dockets/dockets';
import { planDocket } from '~/work/dockets';
import type { Route } from './+types/script';

/** forward.sql, back.sql, before.sql or after.sql of a docket, as a file. */
export async function loader({ params, context }: Route.LoaderArgs) {
  const { source, store } = await enter({ params, context }, 'seeFindings');
  const docket = await findDocket(store, source.id, await idIn(params.docket, 'docket'));
  const name = scriptNames.find((script) => `${script}.sql` === params.script);
  if (!docket || !name)
    throw notFound('There is no such script', 'A docket has forward.sql, back.sql, before.sql and after.sql.');
  const { scripts } = await planDocket(store, source, docket);
  if (!scripts) throw notFound('The docket has no script yet', 'Survey the source first.');
  return new Response(scripts[name], {
    headers: {
      'Content-Type': 'application/sql; charset=utf-8',
      'Content-Disposition': `attachment; filename="docket-${docket.id}-${name}.sql"`,
    },
  });
}
