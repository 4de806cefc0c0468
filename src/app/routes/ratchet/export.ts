import { enter } from '~/app/server/door.server';
import { download } from '~/app/server/download.server';
import { listAs, listForms } from '~/core/formats/lists';
import { findingEventColumns, listHistory } from '~/store/ratchet/history';
import type { Route } from './+types/export';

const most = 500_000;

/** All that happened to the findings of a source, as a file: CSV, JSON or Markdown. */
export async function loader({ params, request, context }: Route.LoaderArgs) {
  const { source, store } = await enter({ params, context }, 'seeFindings');
  const asked = new URL(request.url).searchParams.get('as');
  const as = listForms.find((form) => form === asked) ?? 'csv';
  const events = (await listHistory(store, source.id, most)).map((event) => ({ ...event }));
  return download(`${source.name.replaceAll(/[^\w-]+/g, '-')}-history`, as, listAs(as, findingEventColumns, events));
}
