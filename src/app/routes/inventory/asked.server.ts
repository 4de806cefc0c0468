import { IsString, MaxLength } from 'class-validator';
import { asked } from '~/app/server/asked.server';
import type { Room } from '~/work/enter';
import { notFound } from '~/app/server/ids.server';
import { type Filter, type FilterProblem, isProblem, parseFilter } from '~/core/inventory/filter';
import { fieldNamed, fieldsFor, isStockKind, type StockKind } from '~/core/inventory/index';
import type { Field, Line } from '~/core/inventory/stock';
import { seesRows } from '~/work/enter';
import { listLines, type Sort } from '~/store/inventory/inventory';

class ListShape {
  @IsString() @MaxLength(10_000) q = '';
  @IsString() @MaxLength(200) sort = '';
}

export interface AskedFor {
  readonly kind: StockKind;
  /** Those that the person may see. */
  readonly fields: readonly Field[];
  readonly filter: Filter;
  /** What is wrong with the filter that was typed; nothing is listed then. */
  readonly problem: FilterProblem | null;
  readonly sort: Sort | null;
}

/** What an address asks of a list: `q` in the filter language, `sort` by a field, falling with a minus before it. Throws a 404 page. */
export async function askedFor(room: Room, request: Request, kind: string | undefined): Promise<AskedFor> {
  if (!isStockKind(kind)) throw notFound(`There is no list of ${kind}`, 'Choose one of those of the inventory.');
  const { q, sort: wanted } = await asked(ListShape, request);
  const fields = fieldsFor(kind, seesRows(room));
  const parsed = parseFilter(q, { fields });
  const field = fieldNamed(fields, wanted.replace(/^-/, ''));
  return {
    kind,
    fields,
    filter: isProblem(parsed) ? { terms: [] } : parsed,
    problem: isProblem(parsed) ? parsed : null,
    sort: field && { field: field.name, falling: wanted.startsWith('-') },
  };
}

/** Lines with nothing in them but what the person may see. */
export async function linesFor(
  { store, source }: Room,
  { kind, fields, filter, sort, problem }: AskedFor,
  { offset, limit }: { readonly offset: number; readonly limit: number },
): Promise<readonly Line[]> {
  if (problem) return [];
  const lines = await listLines(store, source.id, kind, { filter, sort, offset, limit });
  return lines.map((line) => ({
    ...line,
    values: Object.fromEntries(fields.map(({ name }) => [name, line.values[name] ?? null])),
  }));
}
