import { entering } from '~/app/server/door.server';
import type { TableId } from '~/core/catalogue/identifiers';
import { foreignKeysOf, referencesTo } from '~/core/catalogue/lookups';
import type { RowsPage } from '~/core/engines/questions';
import { type Answered, askSource } from '~/work/askSource';
import { rowsAsked } from './asked.server';
import type { Route } from './+types/route';

const atOnce = 8;

/** A way from a row to others: by these of its columns to those of another table. */
export interface Way {
  readonly table: TableId;
  readonly from: readonly string[];
  readonly to: readonly string[];
}

interface Shown {
  readonly page: number;
  readonly rows: RowsPage;
  readonly parents: readonly Way[];
  readonly children: readonly Way[];
}
export type Sample = Answered<Shown>;

/** Rows of a table as they are, or those with some values, read live; and where their references lead. */
export function loader({ params, request, context }: Route.LoaderArgs): Promise<Sample> {
  return entering({ params, context }, 'seeRows', async (room) => {
    const asked = await rowsAsked(room, request);
    if ('ok' in asked) return asked;
    const { catalogue, table, page, columns, values } = asked;
    const question =
      columns.length === 0
        ? ({ kind: 'rows', table: table.id, columns: [] } as const)
        : ({ kind: 'having', table: table.id, columns, values } as const);
    return askSource<Shown>(room, 'seeRows', request.signal, async (reader) => ({
      page,
      rows: await reader.offenders(question, { offset: (page - 1) * atOnce, limit: atOnce }),
      parents: foreignKeysOf(table).map((key) => ({ table: key.parent, from: key.columns, to: key.parentColumns })),
      children: referencesTo(catalogue, table.id).map(({ child, key }) => ({
        table: child.id,
        from: key.parentColumns,
        to: key.columns,
      })),
    }));
  });
}
