import { type Db, rowsOf } from '../db';
import type { PersonId } from '../ids';

/** More than the screens have to keep. */
const most = 60;

/** How a person has set the screens, by name. */
export async function listPersonSettings(db: Db, person: PersonId): Promise<Readonly<Record<string, unknown>>> {
  const rows = await rowsOf<{ name: string; value: unknown }>(
    db,
    `select name, value from person_settings where person_id = $1 order by name limit ${most}`,
    [person],
  );
  return Object.fromEntries(rows.map(({ name, value }) => [name, value]));
}

/** Null takes it away. False when a person keeps very many already. */
export async function keepPersonSetting(db: Db, person: PersonId, name: string, value: unknown): Promise<boolean> {
  if (value === null) {
    await db.query('delete from person_settings where person_id = $1 and name = $2', [person, name]);
    return true;
  }
  const { rowCount } = await db.query(
    `insert into person_settings (person_id, name, value)
     select $1, $2, $3::jsonb
     where (select count(*) from person_settings where person_id = $1 and name <> $2) < ${most}
     on conflict (person_id, name) do update set value = excluded.value`,
    [person, name, JSON.stringify(value)],
  );
  return rowCount === 1;
}
