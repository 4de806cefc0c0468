import type { Filter, Term } from '../../core/inventory/filter';
import { inventory, type StockKind, stockKinds } from '../../core/inventory/index';
import type { Line } from '../../core/inventory/stock';
import { type Db, findRow, rowsOf } from '../db';
import type { SourceId } from '../ids';

/** Lines written in one statement. */
const atOnce = 5_000;

/** Keeps what a survey saw of one kind in place of what was there. */
export async function keepLines(db: Db, source: SourceId, kind: StockKind, lines: readonly Line[]): Promise<void> {
  await db.query('delete from inventory where source_id = $1 and kind = $2', [source, kind]);
  const texts = inventory[kind].fields.filter(({ type, data }) => type === 'text' && !data);
  for (let from = 0; from < lines.length; from += atOnce) {
    const some = lines.slice(from, from + atOnce);
    await db.query(
      `insert into inventory (source_id, kind, place, id, table_id, line, words)
       select $1, $2, $3 + n, id, table_id, line::jsonb, words
       from unnest($4::text[], $5::text[], $6::text[], $7::text[]) with ordinality as told (id, table_id, line, words, n)`,
      [
        source,
        kind,
        from,
        some.map(({ id }) => id),
        some.map(({ table }) => table),
        some.map(({ values }) => JSON.stringify(values)),
        some.map(({ values }) =>
          texts
            .map(({ name }) => values[name] ?? '')
            .join('\n')
            .toLowerCase(),
        ),
      ],
    );
  }
}

export interface Sort {
  readonly field: string;
  readonly falling: boolean;
}

export interface Wanted {
  readonly filter: Filter;
  /** Null for the usual order. */
  readonly sort: Sort | null;
  readonly offset: number;
  readonly limit: number;
}

export async function listLines(
  db: Db,
  source: SourceId,
  kind: StockKind,
  { filter, sort, offset, limit }: Wanted,
): Promise<readonly Line[]> {
  const { text, values } = whereOf(source, kind, filter);
  const order = orderIn(kind, sort, values);
  return rowsOf(
    db,
    `select id, table_id as "table", line as "values" from inventory where ${text}
     order by ${order}place limit $${values.push(limit)} offset $${values.push(offset)}`,
    values,
  );
}

/** Where a line stands among those that pass, from 0; null when it does not. */
export async function findPosition(
  db: Db,
  source: SourceId,
  kind: StockKind,
  { filter, sort, id }: Pick<Wanted, 'filter' | 'sort'> & { readonly id: string },
): Promise<number | null> {
  const { text, values } = whereOf(source, kind, filter);
  const order = orderIn(kind, sort, values);
  const found = await findRow<{ position: number }>(
    db,
    `select position from (
       select id, (row_number() over (order by ${order}place) - 1)::int as position from inventory where ${text}
     ) as listed
     where id = $${values.push(id)} limit 1`,
    values,
  );
  return found?.position ?? null;
}

export async function countLines(db: Db, source: SourceId, kind: StockKind, filter: Filter): Promise<number> {
  const { text, values } = whereOf(source, kind, filter);
  return (await findRow<{ count: number }>(db, `select count(*) as count from inventory where ${text}`, values))?.count ?? 0;
}

/** How many lines there are of each kind: the place of the last, which an index tells at once. */
export async function countStock(db: Db, source: SourceId): Promise<Readonly<Record<StockKind, number>>> {
  const rows = await rowsOf<{ kind: StockKind; count: number | null }>(
    db,
    `select kind, (select max(place) from inventory where source_id = $1 and inventory.kind = one.kind) as count
     from unnest($2::text[]) as one (kind)`,
    [source, stockKinds],
  );
  const counts = Object.fromEntries(rows.map(({ kind, count }) => [kind, count]));
  return Object.fromEntries(stockKinds.map((kind) => [kind, counts[kind] ?? 0])) as Record<StockKind, number>;
}

export function findLine(db: Db, source: SourceId, kind: StockKind, id: string): Promise<Line | null> {
  return findRow(
    db,
    'select id, table_id as "table", line as "values" from inventory where source_id = $1 and kind = $2 and id = $3 limit 1',
    [source, kind, id],
  );
}

/** What of a table was measured before, for a survey that looked at others. */
export async function listLinesOutside(
  db: Db,
  source: SourceId,
  kind: StockKind,
  tables: ReadonlySet<string>,
): Promise<readonly Line[]> {
  return rowsOf(
    db,
    `select id, table_id as "table", line as "values" from inventory
     where source_id = $1 and kind = $2 and table_id <> all($3)`,
    [source, kind, [...tables]],
  );
}

interface Where {
  readonly text: string;
  readonly values: unknown[];
}

// Names of fields are parameters as well: what is typed never becomes SQL.
function whereOf(source: SourceId, kind: StockKind, { terms }: Filter): Where {
  const values: unknown[] = [source, kind];
  const parts = terms.map((term) => conditionOf(term, values));
  return { text: ['source_id = $1 and kind = $2', ...parts].join(' and '), values };
}

function conditionOf({ field, not, test }: Term, values: unknown[]): string {
  const parameter = (value: unknown): string => `$${values.push(value)}`;
  const told = field === null ? 'words' : `(line ->> ${parameter(field.name)}::text)`;
  const condition = ((): string => {
    switch (test.kind) {
      case 'there':
        return `${told} is ${test.is ? 'not ' : ''}null`;
      case 'truth':
        return `${told}::boolean = ${parameter(test.is)}`;
      case 'holds':
        return test.texts.length === 0
          ? 'false'
          : `(${test.texts.map((text) => `position(${parameter(text)}::text in lower(${told})) > 0`).join(' or ')})`;
      case 'is':
        return `lower(${told}) = any(${parameter(test.texts)}::text[])`;
      case 'compares':
        return typeof test.to === 'string'
          ? `left(${told}, ${test.to.length}) ${test.by} ${parameter(test.to)}::text`
          : `${told}::float8 ${test.by} ${parameter(test.to)}::float8`;
    }
  })();
  return `${not ? 'not ' : ''}coalesce(${condition}, false)`;
}

// Numbers as numbers, texts as texts; what is not there comes last either way.
/** Nothing where there is no such field. */
function orderIn(kind: StockKind, sort: Sort | null, values: unknown[]): string {
  return sort && inventory[kind].fields.some(({ name }) => name === sort.field) ? orderOf(sort, values) : '';
}

function orderOf({ field, falling }: Sort, values: unknown[]): string {
  return `nullif(line -> $${values.push(field)}::text, 'null') ${falling ? 'desc' : 'asc'} nulls last, `;
}
