import { type AskedFor, type Wish, wishId } from '../../core/wishes/index';
import { type Db, rowsOf } from '../db';
import type { SourceId } from '../ids';

/** What people asked for on a source, the oldest first. */
export function listWishes(db: Db, source: SourceId): Promise<readonly AskedFor[]> {
  return rowsOf<AskedFor>(db, 'select wish, reason, asked_by as "by" from wishes where source_id = $1 order by asked_at, id', [
    source,
  ]);
}

/** False when the same was asked for already. */
export async function addWish(db: Db, source: SourceId, { wish, reason, by }: AskedFor): Promise<boolean> {
  const { rowCount } = await db.query(
    'insert into wishes (source_id, id, wish, reason, asked_by) values ($1, $2, $3, $4, $5) on conflict do nothing',
    [source, wishId(wish), JSON.stringify(wish), reason, by],
  );
  return rowCount === 1;
}

export async function dropWish(db: Db, source: SourceId, wish: Wish): Promise<boolean> {
  const { rowCount } = await db.query('delete from wishes where source_id = $1 and id = $2', [source, wishId(wish)]);
  return rowCount === 1;
}

/** What was asked for of something that is called otherwise now. */
export async function renameWish(db: Db, source: SourceId, was: Wish, is: Wish): Promise<void> {
  await db.query(
    `update wishes set id = $3, wish = $4
     where source_id = $1 and id = $2 and not exists (select 1 from wishes where source_id = $1 and id = $3)`,
    [source, wishId(was), wishId(is), JSON.stringify(is)],
  );
}
