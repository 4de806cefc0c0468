import { enter } from '~/app/server/door.server';
import { idIn, notFound } from '~/app/server/ids.server';
import { docketPage } from '~/core/report/docketRecord';
import { findDocket } from '~/store/dockets/dockets';
import { recordOf } from '~/work/dockets/record';
import type { Route } from './+types/record';

/** The whole record of a docket as a file: a page that prints on A4, or JSON if asked for. */
export async function loader({ params, request, context }: Route.LoaderArgs) {
  const room = await enter({ params, context }, 'seeFindings');
  const docket = await findDocket(room.store, room.source.id, await idIn(params.docket, 'docket'));
  if (!docket) throw notFound(`There is no docket ${params.docket}`, 'It may have been discarded.');
  const record = await recordOf(room, docket);
  const asJson = new URL(request.url).searchParams.get('as') === 'json';
  return new Response(asJson ? `${JSON.stringify(record, null, 1)}\n` : docketPage(record), {
    headers: {
      'Content-Type': asJson ? 'application/json; charset=utf-8' : 'text/html; charset=utf-8',
      'Content-Disposition': `attachment; filename="docket-${docket.id}-record.${asJson ? 'json' : 'html'}"`,
    },
  });
}

/** A file is asked for each time anew. */
export function shouldRevalidate(): boolean {
  return false;
}
