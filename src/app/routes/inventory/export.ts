import { IsString, MaxLength } from 'class-validator';
import { asked } from '~/app/server/asked.server';
import { downloadList, inFileName } from '~/app/server/download.server';
import { enter } from '~/app/server/door.server';
import type { Route } from './+types/export';
import { askedFor, linesFor } from './asked.server';

const most = 500_000;

class ColumnsShape {
  /** With commas between them; all where none is asked for. */
  @IsString() @MaxLength(10_000) columns = '';
}

/** A list of the inventory as a file, filtered, sorted and with the fields as it is shown: CSV, JSON or Markdown. */
export async function loader({ params, request, context }: Route.LoaderArgs) {
  const room = await enter({ params, context }, 'seeFindings');
  const list = await askedFor(room, request, params.kind);
  const shown = (await asked(ColumnsShape, request)).columns.split(',');
  const known = list.fields.map(({ name }) => name);
  const chosen = shown.filter((name) => known.includes(name));
  const columns = chosen.length > 0 ? chosen : known;
  const rows = (await linesFor(room, list, { offset: 0, limit: most })).map(({ values }) =>
    Object.fromEntries(columns.map((name) => [name, values[name]])),
  );
  return downloadList(request, { name: `${inFileName(room.source.name)}-${list.kind}`, columns, rows });
}
