import { enter } from '~/app/server/door.server';
import { downloadList, inFileName } from '~/app/server/download.server';
import { findingEventColumns, listHistory } from '~/store/ratchet/history';
import type { Route } from './+types/export';

const most = 500_000;

/** All that happened to the findings of a source, as a file: CSV, JSON or Markdown. */
export async function loader({ params, request, context }: Route.LoaderArgs) {
  const { source, store } = await enter({ params, context }, 'seeFindings');
  const rows = (await listHistory(store, source.id, most)).map((event) => ({ ...event }));
  return downloadList(request, { name: `${inFileName(source.name)}-history`, columns: findingEventColumns, rows });
}
