import { type Db, getRow, rowsOf } from '../db';
import type { SourceId } from '../ids';
import { type Part, parts, peopleOf } from './parts';

export interface PartOut {
  readonly columns: readonly string[];
  readonly rows: number;
  /** Its lowest and highest number; null where it has none. */
  readonly first: number | null;
  readonly last: number | null;
}

export interface Mover {
  readonly id: number;
  readonly name: string;
  readonly full_name: string;
}

export interface Contents {
  /** The last migration of the store. */
  readonly store: string;
  readonly people: readonly Mover[];
  readonly parts: Readonly<Record<string, PartOut>>;
}

/** What there is of a source. In one transaction with `rowsOfPart`, that sees one moment. */
export async function contentsOf(db: Db, source: SourceId): Promise<Contents> {
  const found: [string, PartOut][] = [];
  for (const part of parts) {
    const columns = await columnsOf(db, part);
    const id = 'id' in part.numbers && columns.includes('id') ? 'id' : 'null::bigint';
    const counted = await getRow<Omit<PartOut, 'columns'>>(
      db,
      `select count(*) as rows, min(${id}) as first, max(${id}) as last from ${part.table} where ${part.of}`,
      [source],
    );
    found.push([part.table, { columns, ...counted }]);
  }
  return {
    store: await storeVersion(db),
    people: await rowsOf<Mover>(db, peopleOf, [source]),
    parts: Object.fromEntries(found),
  };
}

export async function storeVersion(db: Db): Promise<string> {
  const { name } = await getRow<{ name: string }>(db, 'select max(name) as name from migrations');
  return name;
}

/** The columns of a part that go with it, in their order. */
export async function columnsOf(db: Db, { table, without = [] }: Part): Promise<readonly string[]> {
  const rows = await rowsOf<{ name: string }>(
    db,
    `select column_name as name from information_schema.columns
     where table_schema = current_schema() and table_name = $1 and column_name <> all ($2)
     order by ordinal_position`,
    [table, without],
  );
  return rows.map(({ name }) => name);
}

const atOnce = 200;

/** The rows of a part as JSON, as the server writes them: no number passes through another form. */
export async function* rowsOfPart(
  db: Db,
  source: SourceId,
  part: Part,
  columns: readonly string[],
): AsyncGenerator<readonly string[]> {
  const list = columns.map((column) => `"${column}"`).join(', ');
  await db.query(
    `declare moving no scroll cursor for
     select row_to_json(own)::text as row from (select ${list} from ${part.table} where ${part.of} order by ${part.order}) as own`,
    [source],
  );
  for (;;) {
    const rows = await rowsOf<{ row: string }>(db, `fetch ${atOnce} from moving`);
    if (rows.length === 0) break;
    yield rows.map(({ row }) => row);
  }
  await db.query('close moving');
}
