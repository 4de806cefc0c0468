import { AsList, AsNumber } from '~/input/fill';
import { ArrayMaxSize, IsArray, IsInt, IsString, Max, MaxLength, Min } from 'class-validator';
import type { TableId } from '~/core/catalogue/identifiers';
import { findTable } from '~/core/catalogue/lookups';
import type { Catalogue, Table } from '~/core/catalogue/model';
import { askedExactly } from '~/app/server/asked.server';
import { unanswered, type Unanswered } from '~/work/askSource';
import { latestCatalogue } from '~/work/catalogues';
import type { Room } from '~/work/enter';

class SampleShape {
  @IsString() @MaxLength(300) table!: string;
  @AsNumber() @IsInt() @Min(1) @Max(100_000) page = 1;
  @AsList() @IsArray() @ArrayMaxSize(16) @IsString({ each: true }) @MaxLength(200, { each: true }) column: string[] = [];
  @AsList() @IsArray() @ArrayMaxSize(16) @IsString({ each: true }) @MaxLength(1000, { each: true }) value: string[] = [];
}

interface RowsAsked {
  readonly catalogue: Catalogue;
  readonly table: Table;
  readonly page: number;
  readonly columns: readonly string[];
  readonly values: readonly string[];
}

/** Which rows an address asks for: of a table that the last survey saw, with these values in these columns of it. */
export async function rowsAsked(room: Room, request: Request): Promise<RowsAsked | Unanswered> {
  const parsed = await askedExactly(SampleShape, request);
  if (!parsed.ok) return unanswered('That could not be understood. Go back to the table, and start from there.');
  const { page, column: columns, value: values } = parsed.value;
  const catalogue = await latestCatalogue(room.store, room.source.id);
  const table = catalogue && findTable(catalogue, parsed.value.table as TableId);
  if (!catalogue || !table) return unanswered('The last survey saw no such table.');
  if (columns.length !== values.length || columns.some((name) => table.columns.every((column) => column.name !== name)))
    return unanswered(`The last survey saw no such columns of ${table.id}.`);
  return { catalogue, table, page, columns, values };
}
