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
  /** Whether its dockets are signed by another than who planned them, and run by another than who signed. */
  readonly secondPerson: boolean;
  /** Whether a survey refuses a login that may do more than read. */
  readonly fittingLogin: boolean;
  /** Whether its password may be sent in clear text or as md5 without a checked certificate. */
  readonly weakPassword: boolean;
}

export type NewSource = Omit<SourceRow, 'id'> & { readonly password: string };

/** What a source asks for may be left out: then it is as usual. */
export type AddedSource = Omit<NewSource, Settled> & Partial<Pick<NewSource, Settled>>;
type Settled = 'secondPerson' | 'fittingLogin' | 'weakPassword';

const shown = `id, name, environment, host, port, database_name as database, user_name as "user", tls,
  second_person as "secondPerson", fitting_login as "fittingLogin", weak_password as "weakPassword"`;

export function listSources(db: Db): Promise<readonly SourceRow[]> {
  return rowsOf(db, `select ${shown} from sources where archived_at is null order by name`);
}

export interface ArchivedSource {
  readonly id: number;
  readonly name: string;
  readonly archivedAt: string;
}

export function listArchived(db: Db): Promise<readonly ArchivedSource[]> {
  return rowsOf(
    db,
    'select id, name, archived_at as "archivedAt" from sources where archived_at is not null order by archived_at desc',
  );
}

export function findSource(db: Db, id: number): Promise<SourceRow | null> {
  return findRow(db, `select ${shown} from sources where id = $1 and archived_at is null`, [id]);
}

/** The source, held until the transaction ends: who else changes it waits. */
export function lockSource(db: Db, id: number): Promise<SourceRow | null> {
  return findRow(db, `select ${shown} from sources where id = $1 and archived_at is null for update`, [id]);
}

export function findSourceNamed(db: Db, name: string): Promise<SourceRow | null> {
  return findRow(db, `select ${shown} from sources where name = $1 and archived_at is null`, [name]);
}

export async function addSource(db: Db, { password, ...source }: AddedSource): Promise<number> {
  const { id } = await getRow<{ id: number }>(
    db,
    `insert into sources (name, environment, host, port, database_name, user_name, tls, sealed_password)
     values ($1, $2, $3, $4, $5, $6, $7, '')
     returning id`,
    [source.name, source.environment, source.host, source.port, source.database, source.user, source.tls],
  );
  await keepSettled(db, id, source);
  await keepPassword(db, id, password);
  return id;
}

/** An empty password keeps the one that is stored. */
export async function changeSource(db: Db, id: number, source: NewSource): Promise<void> {
  await db.query(
    `update sources
     set name = $2, environment = $3, host = $4, port = $5, database_name = $6, user_name = $7, tls = $8
     where id = $1`,
    [id, source.name, source.environment, source.host, source.port, source.database, source.user, source.tls],
  );
  await keepSettled(db, id, source);
  if (source.password !== '') await keepPassword(db, id, source.password);
}

async function keepSettled(db: Db, id: number, source: Partial<Pick<NewSource, Settled>>): Promise<void> {
  await db.query(`update sources set second_person = $2, fitting_login = $3, weak_password = $4 where id = $1`, [
    id,
    source.secondPerson ?? true,
    source.fittingLogin ?? false,
    source.weakPassword ?? false,
  ]);
}

async function keepPassword(db: Db, id: number, password: string): Promise<void> {
  await db.query('update sources set sealed_password = $2 where id = $1', [id, await seal(db, passwordOf(id), password)]);
}

function passwordOf(id: number): string {
  return `source ${id} password`;
}

/** Takes a source out of use; its logins are forgotten, its records stay. */
export async function archiveSource(db: Db, id: number): Promise<void> {
  await db.query(`update sources set archived_at = now(), sealed_password = '', sealed_rehearsal_server = null where id = $1`, [
    id,
  ]);
}

/** Removes an archived source with all that was ever recorded about it, but for the journal. */
export async function purgeSource(db: Db, id: number): Promise<boolean> {
  return (await db.query('delete from sources where id = $1 and archived_at is not null', [id])).rowCount === 1;
}

/** For readers on the server only. Throws when the source is gone. */
export async function getConnection(db: Db, id: number): Promise<ConnectionDetails> {
  const row = await findRow<SourceRow & { sealed: Buffer }>(
    db,
    `select ${shown}, sealed_password as sealed from sources where id = $1 and archived_at is null`,
    [id],
  );
  if (!row) throw new Error('The source is gone. Somebody removed it.');
  const { host, port, database, user, tls, weakPassword } = row;
  return { host, port, database, user, tls, weakPassword, password: await unseal(db, passwordOf(id), row.sealed) };
}
