import type { ConnectionDetails, TlsMode } from '../../sources/source';
import { type Db, findRow, getRow, rowsOf } from '../db';
import { seal, unseal } from '../secrets';

export const environments = ['production', 'staging', 'test'] as const;
export type Environment = (typeof environments)[number];

/** A source as screens may see it: without its password. */
export interface SourceRow {
  readonly id: number;
  readonly name: string;
  readonly environment: Environment;
  readonly host: string;
  readonly port: number;
  readonly database: string;
  readonly user: string;
  readonly tls: TlsMode;
}

export type NewSource = Omit<SourceRow, 'id'> & { readonly password: string };

const shown = `id, name, environment, host, port, database_name as database, user_name as "user", tls`;

export function listSources(db: Db): Promise<readonly SourceRow[]> {
  return rowsOf(db, `select ${shown} from sources order by name`);
}

export function findSource(db: Db, id: number): Promise<SourceRow | null> {
  return findRow(db, `select ${shown} from sources where id = $1`, [id]);
}

export function findSourceNamed(db: Db, name: string): Promise<SourceRow | null> {
  return findRow(db, `select ${shown} from sources where name = $1`, [name]);
}

export async function addSource(db: Db, source: NewSource): Promise<number> {
  const { id } = await getRow<{ id: number }>(
    db,
    `insert into sources (name, environment, host, port, database_name, user_name, tls, sealed_password)
     values ($1, $2, $3, $4, $5, $6, $7, $8)
     returning id`,
    [source.name, source.environment, source.host, source.port, source.database, source.user, source.tls, seal(source.password)],
  );
  return id;
}

/** An empty password keeps the one that is stored. */
export async function changeSource(db: Db, id: number, source: NewSource): Promise<void> {
  await db.query(
    `update sources
     set name = $2, environment = $3, host = $4, port = $5, database_name = $6, user_name = $7, tls = $8,
       sealed_password = coalesce($9, sealed_password)
     where id = $1`,
    [
      id,
      source.name,
      source.environment,
      source.host,
      source.port,
      source.database,
      source.user,
      source.tls,
      source.password === '' ? null : seal(source.password),
    ],
  );
}

/** Removes a source with all that was ever recorded about it. */
export async function removeSource(db: Db, id: number): Promise<void> {
  await db.query('delete from sources where id = $1', [id]);
}

/** For readers on the server only. Throws when the source is gone. */
export async function getConnection(db: Db, id: number): Promise<ConnectionDetails> {
  const row = await findRow<SourceRow & { sealed: Buffer }>(
    db,
    `select ${shown}, sealed_password as sealed from sources where id = $1`,
    [id],
  );
  if (!row) throw new Error('The source is gone. Somebody removed it.');
  return { host: row.host, port: row.port, database: row.database, user: row.user, tls: row.tls, password: unseal(row.sealed) };
}
