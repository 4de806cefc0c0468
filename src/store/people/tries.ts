import { type Db, getRow, rowsOf } from '../db';

/** Hashes of who tries: a name from an address, the name, the address. */
export interface Comings {
  readonly pair: Buffer;
  readonly name: Buffer;
  readonly address: Buffer;
}

/** How often in a row each of them may fail before it is locked. */
export interface MostTries {
  readonly pair: number;
  readonly name: number;
  readonly address: number;
}

export interface Tries {
  /** In a row, of this name from this address. */
  readonly failures: number;
  /** Who came in from there before is kept out by their own tries only. */
  readonly locked: boolean;
}

const fresh = `at > now() - interval '1 day'`;

export function findTries(db: Db, { pair, name, address }: Comings): Promise<Tries> {
  return getRow(
    db,
    `select coalesce(max(failures) filter (where who = $1 and ${fresh}), 0) as failures,
       coalesce(bool_or(who = $1 and locked_until > now())
         or bool_or(who <> $1 and locked_until > now())
           and not bool_or(who = $1 and coalesce(succeeded_at > now() - interval '90 days', false)), false) as locked
     from sign_in_tries where who in ($1, $2, $3)`,
    [pair, name, address],
  );
}

/** Counts a failed try; from the `most`-th on it is locked, longer each time. */
export async function countTry(db: Db, { pair, name, address }: Comings, most: MostTries, lockMinutes: number): Promise<void> {
  await db.query(`delete from sign_in_tries where not (${fresh}) and succeeded_at is null`);
  await db.query(
    `insert into sign_in_tries as known (who, name, failures, locked_until)
     select who, name, 1, case when most <= 1 then now() + make_interval(mins => $4) end
     from unnest($1::bytea[], $2::bytea[], $3::int[]) as tried (who, name, most) order by who
     on conflict (who) do update set at = now(), (failures, locked_until) = (
       select count, case when count >= most then now() + make_interval(mins => $4 * least(count + 1 - most, 12)) end
       from (select case when known.at > now() - interval '1 day' then known.failures else 0 end + 1 as count) as counted,
         unnest($1::bytea[], $3::int[]) as tried (who, most)
       where tried.who = known.who)`,
    [[pair, name, address], [name, name, null], [most.pair, most.name, most.address], lockMinutes],
  );
}

/** Notes that somebody came in from there. */
export async function forgetTries(db: Db, { pair, name }: Comings): Promise<void> {
  await db.query('delete from sign_in_tries where who = $1', [name]);
  await db.query(
    `insert into sign_in_tries (who, name, succeeded_at) values ($1, $2, now())
     on conflict (who) do update set failures = 0, locked_until = null, at = now(), succeeded_at = now()`,
    [pair, name],
  );
}

/** Lets a name be tried again, from everywhere. */
export async function unlock(db: Db, name: Buffer): Promise<void> {
  await db.query('update sign_in_tries set failures = 0, locked_until = null where who = $1 or name = $1', [name]);
}

/** Which of these names somebody is locked out of, from anywhere. */
export async function listLocked(db: Db, names: readonly Buffer[]): Promise<readonly Buffer[]> {
  const rows = await rowsOf<{ name: Buffer }>(
    db,
    'select distinct name from sign_in_tries where name = any($1) and locked_until > now()',
    [names],
  );
  return rows.map(({ name }) => name);
}
