import { planDocket } from '~/app/server/dockets.server';
import { idIn, notFound, sourceIn } from '~/app/server/ids.server';
import { scriptNames } from '~/core/dialects/dialect';
import { db } from '~/store/db';
import { findDocket } from '~/store/dockets/dockets';
import type { Route } from './+types/script';

/** forward.sql, back.sql, before.sql or after.sql of a docket, as a file. */
export async function loader({ params }: Route.LoaderArgs) {
  const source = await sourceIn(params);
  const docket = await findDocket(db(), source.id, await idIn(params.docket, 'docket'));
  const name = scriptNames.find((script) => `${script}.sql` === params.script);
  if (!docket || !name)
    throw notFound('There is no such script', 'A docket has forward.sql, back.sql, before.sql and after.sql.');
  const { scripts } = await planDocket(source, docket);
  if (!scripts) throw notFound('The docket has no script yet', 'Survey the source first.');
  return new Response(scripts[name], {
    headers: {
      'Content-Type': 'application/sql; charset=utf-8',
      'Content-Disposition': `attachment; filename="docket-${docket.id}-${name}.sql"`,
    },
  });
}
