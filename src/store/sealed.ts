// Every column of the store that holds something sealed, in one place: what an upgrade or another key seals anew.

import { type Db, rowsOf } from './db';
import { seal, unseal, unsealEarlier } from './secrets';
import { listenerBound } from './sources/listeners';

const columns = [
  { table: 'sources', column: 'sealed_password', bound: (id: number) => `source ${id} password` },
  { table: 'sources', column: 'sealed_rehearsal_server', bound: (id: number) => `source ${id} rehearsal server` },
  { table: 'owed_removals', column: 'sealed_server', bound: (id: number) => `owed removal ${id}` },
  { table: 'listeners', column: 'sealed_secret', bound: listenerBound },
] as const;

/** Seals everything under the newest key, all or nothing. Call it in a transaction. Returns how many values. */
export async function sealAnew(db: Db): Promise<number> {
  return reseal(
    db,
    (bound, value) => unseal(db, bound, value),
    () => true,
  );
}

/** Seals what a version before this one sealed, bound to its row. Call it in a transaction. Returns how many values. */
export async function upgradeSealed(db: Db): Promise<number> {
  const isEarlier = async (bound: string, value: Buffer): Promise<boolean> =>
    unseal(db, bound, value).then(
      () => false,
      () => true,
    );
  return reseal(db, (_, value) => Promise.resolve(unsealEarlier(value)), isEarlier);
}

async function reseal(
  db: Db,
  open: (bound: string, value: Buffer) => Promise<string>,
  wanted: (bound: string, value: Buffer) => Promise<boolean> | boolean,
): Promise<number> {
  let count = 0;
  for (const { table, column, bound } of columns) {
    const rows = await rowsOf<{ id: number; value: Buffer }>(
      db,
      `select id, ${column} as value from ${table} where ${column} is not null and ${column} <> '' order by id for update`,
    );
    for (const { id, value } of rows) {
      if (!(await wanted(bound(id), value))) continue;
      await db.query(`update ${table} set ${column} = $2 where id = $1`, [
        id,
        await seal(db, bound(id), await open(bound(id), value)),
      ]);
      count++;
    }
  }
  return count;
}
