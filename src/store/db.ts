import pg from 'pg';

/** A pool, or one client of it in a transaction. */
export type Db = Pick<pg.Pool, 'query'>;

const schema = 'pawl';

let shared: pg.Pool | null = null;

/** Pawl's own database, from DATABASE_URL. Everything of ours is in the schema `pawl`. */
export function db(): pg.Pool {
  return (shared ??= openStore(storeUrl()));
}

export function openStore(connectionString: string): pg.Pool {
  return openPool({
    connectionString,
    max: 8,
    application_name: 'pawl store',
    options: `-c search_path=${schema}`,
    types: storeTypes,
  });
}

/** A pool that outlives the connections that it loses. */
export function openPool(config: pg.PoolConfig): pg.Pool {
  const pool = new pg.Pool(config);
  // Also of clients that somebody holds: without a listener a lost connection ends the process; the next statement tells of it.
  pool.on('error', () => undefined);
  pool.on('connect', (client) => client.on('error', () => undefined));
  return pool;
}

export function storeUrl(): string {
  const url = process.env['DATABASE_URL'];
  if (!url)
    throw new Error(
      'DATABASE_URL is not set. Start Pawl with `npm start`, or point DATABASE_URL to a PostgreSQL for its records.',
    );
  return url;
}

export async function inTransaction<T>(work: (db: Db) => Promise<T>, pool: pg.Pool = db()): Promise<T> {
  const client = await pool.connect();
  try {
    await client.query('begin');
    const result = await work(client);
    await client.query('commit');
    return result;
  } catch (error) {
    await client.query('rollback').catch(() => undefined);
    throw error;
  } finally {
    client.release();
  }
}

/** Whose act a transaction is: what happens to findings in it is theirs. */
export async function noteWhose(db: Db, person: string | null): Promise<void> {
  await db.query(`select set_config('pawl.person', $1, true)`, [person ?? '']);
}

/** The rows of a query, when their shape is what the statement beside it says. */
export async function rowsOf<Row>(db: Db, text: string, values: unknown[] = []): Promise<readonly Row[]> {
  return (await db.query(text, values)).rows as Row[];
}

export async function findRow<Row>(db: Db, text: string, values: unknown[] = []): Promise<Row | null> {
  return (await rowsOf<Row>(db, text, values))[0] ?? null;
}

/** Throws when there is no row: for statements that always have one. */
export async function getRow<Row>(db: Db, text: string, values: unknown[] = []): Promise<Row> {
  const row = await findRow<Row>(db, text, values);
  if (row === null) throw new Error('A statement that always has a row had none.');
  return row;
}

// Ids fit a number (they are ours and start at 1); moments travel as ISO 8601.
const int8: number = pg.types.builtins.INT8;
const timestamptz: number = pg.types.builtins.TIMESTAMPTZ;
const storeTypes = {
  getTypeParser: (oid: number): unknown => {
    if (oid === int8) return Number;
    if (oid === timestamptz) return (text: string) => new Date(text).toISOString();
    return pg.types.getTypeParser(oid);
  },
};
