import { entering } from '~/app/server/door.server';
import type { TableId } from '~/core/catalogue/identifiers';
import { referencesTo } from '~/core/catalogue/lookups';
import type { Table } from '~/core/catalogue/model';
import { type Answered, askSource } from '~/work/askSource';
import { rowsAsked } from './asked.server';
import type { Route } from './+types/children';

/** Counted up to here. */
const most = 1_000;
/** Tables up to here are looked through; larger ones only by an index. */
const fewRows = 100_000;
const mostReferences = 20;

interface Counted {
  readonly table: TableId;
  readonly columns: readonly string[];
  readonly rows: number;
  /** True where there are as many or more. */
  readonly atLeast: boolean;
}
export type ChildCounts = Answered<{ readonly counts: readonly Counted[] }>;

/** How many children a row has by each reference; the row is told by the values of its keys. What would take long is left out. */
export function loader({ params, request, context }: Route.LoaderArgs): Promise<ChildCounts> {
  return entering({ params, context }, 'seeRows', async (room) => {
    const asked = await rowsAsked(room, request);
    if ('ok' in asked) return asked;
    const { catalogue, table, columns, values } = asked;
    const gentle = referencesTo(catalogue, table.id)
      .filter(({ child }) => child.readable)
      .filter(({ key, child }) => key.parentColumns.every((name) => columns.includes(name)) && isQuick(child, key.columns))
      .slice(0, mostReferences);
    return askSource<{ readonly counts: readonly Counted[] }>(room, 'seeRows', request.signal, async (reader) => {
      const counts: Counted[] = [];
      for (const { child, key } of gentle) {
        const of = key.parentColumns.map((name) => values[columns.indexOf(name)] ?? '');
        const question = { kind: 'howMany', table: child.id, columns: key.columns, values: of, most } as const;
        const { rows } = await reader.offenders(question, { offset: 0, limit: 1 });
        const count = Number(rows[0]?.[0] ?? 0);
        counts.push({ table: child.id, columns: key.columns, rows: count, atLeast: count >= most });
      }
      return { counts };
    });
  });
}

function isQuick({ indexes, estimatedRows }: Table, columns: readonly string[]): boolean {
  if (estimatedRows !== null && estimatedRows <= fewRows) return true;
  return indexes.some(
    ({ columns: key, valid, predicate }) =>
      valid && predicate === null && columns.every((name) => key.slice(0, columns.length).includes(name)),
  );
}
