import 'reflect-metadata';
import { Type } from 'class-transformer';
import { ArrayMaxSize, IsArray, IsInt, IsString, Max, MaxLength, Min } from 'class-validator';
import { entering } from '~/app/server/door.server';
import type { TableId } from '~/core/catalogue/identifiers';
import { findTable, foreignKeysOf, referencesTo } from '~/core/catalogue/lookups';
import type { RowsPage } from '~/core/engines/questions';
import { parse } from '~/input/parse';
import { type Answered, askSource, unanswered } from '~/work/askSource';
import { latestCatalogue } from '~/work/catalogues';
import type { Route } from './+types/route';

const atOnce = 8;

class SampleShape {
  @IsString() @MaxLength(300) table!: string;
  @Type(() => Number) @IsInt() @Min(1) @Max(100_000) page = 1;
  @IsArray() @ArrayMaxSize(16) @IsString({ each: true }) @MaxLength(200, { each: true }) columns: string[] = [];
  @IsArray() @ArrayMaxSize(16) @IsString({ each: true }) @MaxLength(1000, { each: true }) values: string[] = [];
}

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
    const { searchParams } = new URL(request.url);
    const parsed = await parse(SampleShape, {
      table: searchParams.get('table'),
      page: searchParams.get('page') ?? 1,
      columns: searchParams.getAll('column'),
      values: searchParams.getAll('value'),
    });
    if (!parsed.ok) return unanswered('That could not be understood. Go back to the table, and start from there.');
    const { page, columns, values } = parsed.value;
    const catalogue = await latestCatalogue(room.store, room.source.id);
    const table = catalogue && findTable(catalogue, parsed.value.table as TableId);
    if (!catalogue || !table) return unanswered('The last survey saw no such table.');
    if (columns.length !== values.length || columns.some((name) => table.columns.every((column) => column.name !== name)))
      return unanswered(`The last survey saw no such columns of ${table.id}.`);
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
