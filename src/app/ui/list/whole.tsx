import type { ReactNode } from 'react';
import { useMemo } from 'react';
import { useSearchParams } from 'react-router';
import { groupBy } from '~/core/grouping';
import { type Filter, type FilterProblem, fits, isProblem, parseFilter } from '~/core/inventory/filter';
import type { Field, Value } from '~/core/inventory/stock';
import type { Columns } from './columns';
import { ValueCell } from './ValueCell';

/** A field of a list that the browser has whole: what it holds of a row, and how that is drawn where not as its type is. */
export interface WholeField<Row> extends Field {
  of(row: Row): Value;
  /** What it is sorted by, where that is not its value. */
  rank?(row: Row): number;
  draw?(row: Row): ReactNode;
}

export interface Group {
  readonly name: string;
  readonly count: number;
}

export type Line<Row> = { readonly group: Group } | { readonly row: Row };

export interface Whole<Row> {
  /** In the order in which they are listed. */
  readonly rows: readonly Row[];
  /** The same with their groups before them. */
  readonly lines: readonly Line<Row>[];
  readonly problem: FilterProblem | null;
}

/** A list filtered by the address's `q`, sorted by its column and grouped by its `group`. */
export function useWhole<Row>(
  all: readonly Row[],
  fields: readonly WholeField<Row>[],
  { sort }: Pick<Columns, 'sort'>,
): Whole<Row> {
  const [params] = useSearchParams();
  const q = params.get('q') ?? '';
  const by = fields.find(({ name }) => name === params.get('group'));
  const read = useMemo(() => parseFilter(q, { fields }), [q, fields]);
  const passing = useMemo(() => (isProblem(read) ? [] : filtered(all, fields, read)), [all, fields, read]);
  const { field, falling = false } = sort ?? {};
  const rows = useMemo(() => {
    const column = fields.find(({ name }) => name === field);
    return column ? sorted(passing, column, falling) : passing;
  }, [passing, fields, field, falling]);
  const grouped = useMemo(() => (by ? inGroups(rows, by) : { rows, lines: rows.map((row) => ({ row })) }), [rows, by]);
  return { ...grouped, problem: isProblem(read) ? read : null };
}

function filtered<Row>(all: readonly Row[], fields: readonly WholeField<Row>[], filter: Filter): readonly Row[] {
  if (filter.terms.length === 0) return all;
  return all.filter((row) => {
    const values = Object.fromEntries(fields.map((field) => [field.name, field.of(row)]));
    return fits(filter, { values }, { fields });
  });
}

/** Rows without a value come last, whichever way it is sorted. */
function sorted<Row>(rows: readonly Row[], field: WholeField<Row>, falling: boolean): readonly Row[] {
  const keyed = rows.map((row) => ({ row, key: field.rank?.(row) ?? field.of(row) }));
  const way = falling ? -1 : 1;
  keyed.sort(({ key: a }, { key: b }) => {
    if (a === null || b === null) return Number(a === null) - Number(b === null);
    if (typeof a === 'string' && typeof b === 'string') return way * a.localeCompare(b, 'en');
    return way * (Number(a) - Number(b));
  });
  return keyed.map(({ row }) => row);
}

/** A cell of such a list. */
export function drawn<Row>(row: Row, field: WholeField<Row>): ReactNode {
  return field.draw ? field.draw(row) : <ValueCell value={field.of(row)} field={field} />;
}

/** The fullest group first; where the field has ranks, by those. */
function inGroups<Row>(rows: readonly Row[], by: WholeField<Row>): Pick<Whole<Row>, 'rows' | 'lines'> {
  const found = [...groupBy(rows, (row) => String(by.of(row) ?? ''))];
  const rankOf = ([, own]: (typeof found)[number]) => (by.rank && own[0] ? by.rank(own[0]) : -own.length);
  found.sort((a, b) => rankOf(a) - rankOf(b));
  return {
    rows: found.flatMap(([, own]) => own),
    lines: found.flatMap(([name, own]) => [{ group: { name, count: own.length } }, ...own.map((row) => ({ row }))]),
  };
}
