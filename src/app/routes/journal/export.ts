import { enterAll } from '~/app/server/door.server';
import { office } from '~/app/server/office.server';
import { type Entry, listEntries } from '~/store/journal/journal';
import type { Route } from './+types/export';
import { filterIn } from './journalFilter.server';

const most = 100_000;
const columns = ['id', 'at', 'person', 'via', 'address', 'act', 'outcome', 'source', 'object', 'before', 'after'] as const;

/** The journal as a file, filtered as the page is: CSV (RFC 4180) or JSON. */
export async function loader({ request, context }: Route.LoaderArgs) {
  await enterAll({ context }, 'readJournal');
  const entries = await listEntries(office().store, await filterIn(request), most);
  const json = new URL(request.url).searchParams.get('as') === 'json';
  return new Response(json ? `${JSON.stringify(entries, null, 1)}\n` : csv(entries), {
    headers: {
      'Content-Type': json ? 'application/json; charset=utf-8' : 'text/csv; charset=utf-8',
      'Content-Disposition': `attachment; filename="journal.${json ? 'json' : 'csv'}"`,
    },
  });
}

function csv(entries: readonly Entry[]): string {
  const rows = entries.map((entry) => columns.map((column) => cell(entry[column])).join(','));
  return [columns.join(','), ...rows, ''].join('\r\n');
}

// A text that a spreadsheet would take for a formula is marked as a text.
function cell(value: unknown): string {
  const text = textOf(value);
  const plain = /^[=+\-@\t\r]/.test(text) ? `'${text}` : text;
  return /[",\r\n]/.test(plain) ? `"${plain.replaceAll('"', '""')}"` : plain;
}

function textOf(value: unknown): string {
  if (value === null || value === undefined) return '';
  return typeof value === 'string' ? value : JSON.stringify(value);
}
