import { type Db, getRow } from './db';

/** Notes that a worker is there, and forgets those that have not been for a day. */
export async function noteWorker(db: Db, name: string): Promise<void> {
  await db.query('insert into workers (name) values ($1) on conflict (name) do update set seen_at = now()', [name]);
  await db.query(`delete from workers where seen_at < now() - interval '1 day'`);
}

export async function countWorkers(db: Db): Promise<number> {
  const { count } = await getRow<{ count: number }>(
    db,
    `select count(*) as count from workers where seen_at > now() - interval '20 seconds'`,
  );
  return count;
}
