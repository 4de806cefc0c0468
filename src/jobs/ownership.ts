// Who works on what. A worker holds an advisory lock, on a connection of its own, for as long as it
// works on something; when it dies, however suddenly, the server lets the lock go. So nothing is
// ever worked on twice, and what lost its worker is recognised at once and without a clock.

import type pg from 'pg';

const spaces = { survey: 4101, docket: 4102, rehearsal: 4103 } as const;
export type Owned = keyof typeof spaces;

/**
 * Does the work while holding it; returns false at once when somebody else does. `lost` fires when the connection that
 * holds it breaks: from then on it may be another's, and the work has to stop.
 */
export async function whileOwning(
  store: pg.Pool,
  what: Owned,
  id: number,
  work: (lost: AbortSignal) => Promise<void>,
): Promise<boolean> {
  const client = await store.connect();
  const lost = new AbortController();
  const lose = (): void => lost.abort();
  client.on('error', lose);
  client.on('end', lose);
  try {
    const { rows } = await client.query<{ ours: boolean }>('select pg_try_advisory_lock($1, $2) as ours', [spaces[what], id]);
    if (!rows[0]?.ours) return false;
    try {
      await work(lost.signal);
    } finally {
      if (!lost.signal.aborted) await client.query('select pg_advisory_unlock($1, $2)', [spaces[what], id]).catch(lose);
    }
    return true;
  } finally {
    client.off('error', lose);
    client.off('end', lose);
    client.release(lost.signal.aborted);
  }
}
