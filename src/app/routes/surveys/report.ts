import { inFileName } from '~/app/server/download.server';
import { enter } from '~/app/server/door.server';
import { notFound } from '~/app/server/ids.server';
import { reportOf } from '~/work/report';
import type { Route } from './+types/report';

/** The last survey as a page for people who do not use Pawl, as a file. */
export async function loader({ params, context }: Route.LoaderArgs) {
  const room = await enter({ params, context }, 'seeFindings');
  const page = await reportOf(room);
  if (page === null) throw notFound('There is nothing to report', 'Survey the source first.');
  return new Response(page, {
    headers: {
      'Content-Type': 'text/html; charset=utf-8',
      'Content-Disposition': `attachment; filename="${inFileName(room.source.name)}-survey.html"`,
    },
  });
}
