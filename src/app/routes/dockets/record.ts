import { IsIn } from 'class-validator';
import { asked } from '~/app/server/asked.server';
import { enter } from '~/app/server/door.server';
import { idIn, notFound } from '~/app/server/ids.server';
import { docketPage } from '~/core/report/docketRecord';
import { findDocket } from '~/store/dockets/dockets';
import { recordOf } from '~/work/dockets/record';
import type { Route } from './+types/record';

class RecordShape {
  @IsIn(['html', 'json']) as: 'html' | 'json' = 'html';
}

/** The whole record of a docket as a file: a page that prints on A4, or JSON if asked for. */
export async function loader({ params, request, context }: Route.LoaderArgs) {
  const room = await enter({ params, context }, 'seeFindings');
  const docket = await findDocket(room.store, room.source.id, await idIn(params.docket, 'docket'));
  if (!docket) throw notFound(`There is no docket ${params.docket}`, 'It may have been discarded.');
  const record = await recordOf(room, docket);
  const { as } = await asked(RecordShape, request);
  return new Response(as === 'json' ? `${JSON.stringify(record, null, 1)}\n` : docketPage(record), {
    headers: {
      'Content-Type': as === 'json' ? 'application/json; charset=utf-8' : 'text/html; charset=utf-8',
      'Content-Disposition': `attachment; filename="docket-${docket.id}-record.${as}"`,
    },
  });
}

/** A file is asked for each time anew. */
export function shouldRevalidate(): boolean {
  return false;
}
