import { downloadList } from '~/app/server/download.server';
import { enterAll } from '~/app/server/door.server';
import { office } from '~/app/server/office.server';
import { listEntries } from '~/store/journal/journal';
import type { Route } from './+types/export';
import { filterIn } from './journalFilter.server';

const most = 100_000;
const columns = ['id', 'at', 'person', 'via', 'address', 'act', 'outcome', 'source', 'object', 'before', 'after'] as const;

/** The journal as a file, filtered as the page is: CSV, JSON or Markdown. */
export async function loader({ request, context }: Route.LoaderArgs) {
  await enterAll({ context }, 'readJournal');
  const entries = await listEntries(office().store, await filterIn(request), most);
  return downloadList(request, { name: 'journal', columns, rows: entries.map((entry) => ({ ...entry })) });
}
