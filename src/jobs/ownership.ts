// Who works on what. A worker holds an advisory lock, on a connection of its own, for as long as it
// works on something; when it dies, however suddenly, the server lets the lock go. So nothing is
// ever worked on twice, and what lost its worker is recognised at once and without a clock.

import type pg from 'pg';

const spaces = { survey: 4101, docket: 4102, rehearsal: 4103 } as const;
export type Owned = keyof typeof spaces;

/** Does the work while holding it; returns false at once when somebody else does. */
export async function whileOwning(store: pg.Pool, what: Owned, id: number, work: () => Promise<void>): Promise<boolean> {
  const client = await store.connect();
  try {
    const { rows } = await client.query<{ ours: boolean }>('select pg_try_advisory_lock($1, $2) as ours', [spaces[what], id]);
    if (!rows[0]?.ours) return false;
    try {
      await work();
    } finally {
      await client.query('select pg_advisory_unlock($1, $2)', [spaces[what], id]);
    }
    return true;
  } finally {
    client.release();
  }
}
