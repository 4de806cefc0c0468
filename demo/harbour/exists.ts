import pg from 'pg';

/** True when the server has no database of that name, or one whose making was interrupted. */
export async function isNewDatabaseNeeded(admin: string, database: string): Promise<boolean> {
  const url = new URL(admin);
  url.pathname = `/${database}`;
  const client = new pg.Client({ connectionString: url.href });
  try {
    await client.connect();
    const { rowCount } = await client.query(`select 1 from pg_namespace where nspname = 'tide'`);
    return rowCount === 0;
  } catch (error) {
    if (error instanceof pg.DatabaseError && error.code === '3D000') return true;
    throw error;
  } finally {
    await client.end().catch(() => undefined);
  }
}
