import { download } from '~/app/server/download.server';
import { csv } from '~/core/formats/csv';
import { enterAll } from '~/app/server/door.server';
import { office } from '~/app/server/office.server';
import { listEntries } from '~/store/journal/journal';
import type { Route } from './+types/export';
import { filterIn } from './journalFilter.server';

const most = 100_000;
const columns = ['id', 'at', 'person', 'via', 'address', 'act', 'outcome', 'source', 'object', 'before', 'after'] as const;

/** The journal as a file, filtered as the page is: CSV or JSON. */
export async function loader({ request, context }: Route.LoaderArgs) {
  await enterAll({ context }, 'readJournal');
  const entries = await listEntries(office().store, await filterIn(request), most);
  return new URL(request.url).searchParams.get('as') === 'json'
    ? download('journal', 'json', `${JSON.stringify(entries, null, 1)}\n`)
    : download('journal', 'csv', csv(columns, entries as unknown as readonly Readonly<Record<string, unknown>>[]));
}
