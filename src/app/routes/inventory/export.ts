import { downloadList, inFileName } from '~/app/server/download.server';
import { enter } from '~/app/server/door.server';
import type { Route } from './+types/export';
import { askedFor, linesFor } from './asked.server';

const most = 500_000;

/** A list of the inventory as a file, filtered, sorted and with the fields as it is shown: CSV, JSON or Markdown. */
export async function loader({ params, request, context }: Route.LoaderArgs) {
  const room = await enter({ params, context }, 'seeFindings');
  const asked = askedFor(room, request, params.kind);
  const { searchParams } = new URL(request.url);
  const shown = (searchParams.get('columns') ?? '').split(',');
  const known = asked.fields.map(({ name }) => name);
  const chosen = shown.filter((name) => known.includes(name));
  const columns = chosen.length > 0 ? chosen : known;
  const rows = (await linesFor(room, asked, { offset: 0, limit: most })).map(({ values }) =>
    Object.fromEntries(columns.map((name) => [name, values[name]])),
  );
  return downloadList(request, { name: `${inFileName(room.source.name)}-${asked.kind}`, columns, rows });
}
