import type { SourceKindId } from '../../sources/index';
import { type Db, findRow, getRow, rowsOf } from '../db';
import { seal, unseal } from '../secrets';
import type { SourceId } from '../ids';

export const environments = ['production', 'staging', 'test'] as const;
export type Environment = (typeof environments)[number];

/** A source as screens may see it: without its secret. */
export interface SourceRow {
  readonly id: SourceId;
  readonly name: string;
  readonly environment: Environment;
  readonly kind: SourceKindId;
  /** As its kind checked them when they were typed. */
  readonly settings: object;
  /** Whether its dockets are signed by another than who planned them, and run by another than who signed. */
  readonly secondPerson: boolean;
  /** Whether a survey refuses a login that may do more than read. */
  readonly fittingLogin: boolean;
  /** Whether rows of its data are shown to nobody, whatever their rights. */
  readonly sensitive: boolean;
}

export type NewSource = Omit<SourceRow, 'id'> & { readonly secret: string };

/** What a source asks for may be left out: then it is as usual. */
export type AddedSource = Omit<NewSource, Settled> & Partial<Pick<NewSource, Settled>>;
type Settled = 'secondPerson' | 'fittingLogin' | 'sensitive';

const shown = `id, name, environment, kind, settings, second_person as "secondPerson", fitting_login as "fittingLogin", sensitive`;

export function listSources(db: Db): Promise<readonly SourceRow[]> {
  return rowsOf(db, `select ${shown} from sources where archived_at is null order by name`);
}

export interface ArchivedSource {
  readonly id: SourceId;
  readonly name: string;
  readonly archivedAt: string;
}

export function listArchived(db: Db): Promise<readonly ArchivedSource[]> {
  return rowsOf(
    db,
    'select id, name, archived_at as "archivedAt" from sources where archived_at is not null order by archived_at desc',
  );
}

export function findSource(db: Db, id: SourceId): Promise<SourceRow | null> {
  return findRow(db, `select ${shown} from sources where id = $1 and archived_at is null`, [id]);
}

/** The source, held until the transaction ends: who else changes it waits. */
export function lockSource(db: Db, id: SourceId): Promise<SourceRow | null> {
  return findRow(db, `select ${shown} from sources where id = $1 and archived_at is null for update`, [id]);
}

export function findSourceNamed(db: Db, name: string): Promise<SourceRow | null> {
  return findRow(db, `select ${shown} from sources where name = $1 and archived_at is null`, [name]);
}

export async function addSource(db: Db, { secret, ...source }: AddedSource): Promise<SourceId> {
  const { id } = await getRow<{ id: SourceId }>(
    db,
    `insert into sources (name, environment, kind, settings, sealed_password) values ($1, $2, $3, $4, '') returning id`,
    [source.name, source.environment, source.kind, JSON.stringify(source.settings)],
  );
  await keepSettled(db, id, source);
  await keepSecret(db, id, secret);
  return id;
}

/** An empty secret keeps the one that is stored. What kind it is of stays. */
export async function changeSource(db: Db, id: SourceId, source: NewSource): Promise<void> {
  await db.query('update sources set name = $2, environment = $3, settings = $4 where id = $1', [
    id,
    source.name,
    source.environment,
    JSON.stringify(source.settings),
  ]);
  await keepSettled(db, id, source);
  if (source.secret !== '') await keepSecret(db, id, source.secret);
}

async function keepSettled(db: Db, id: SourceId, source: Partial<Pick<NewSource, Settled>>): Promise<void> {
  await db.query(`update sources set second_person = $2, fitting_login = $3, sensitive = $4 where id = $1`, [
    id,
    source.secondPerson ?? true,
    source.fittingLogin ?? false,
    source.sensitive ?? false,
  ]);
}

async function keepSecret(db: Db, id: SourceId, secret: string): Promise<void> {
  await db.query('update sources set sealed_password = $2 where id = $1', [id, await seal(db, boundTo(id), secret)]);
}

// As it was called when there were passwords only.
function boundTo(id: SourceId): string {
  return `source ${id} password`;
}

/** Takes a source out of use; its logins are forgotten, its records stay. */
export async function archiveSource(db: Db, id: SourceId): Promise<void> {
  await db.query(`update sources set archived_at = now(), sealed_password = '', sealed_rehearsal_server = null where id = $1`, [
    id,
  ]);
}

/** Removes an archived source with all that was ever recorded about it, but for the journal. */
export async function purgeSource(db: Db, id: SourceId): Promise<boolean> {
  return (await db.query('delete from sources where id = $1 and archived_at is not null', [id])).rowCount === 1;
}

/** How a source is reached. For readers on the server only. */
export interface Connection {
  readonly kind: SourceKindId;
  readonly settings: object;
  readonly secret: string;
}

/** Throws when the source is gone. */
export async function getConnection(db: Db, id: SourceId): Promise<Connection> {
  const row = await findRow<SourceRow & { sealed: Buffer }>(
    db,
    `select ${shown}, sealed_password as sealed from sources where id = $1 and archived_at is null`,
    [id],
  );
  if (!row) throw new Error('The source is gone. Somebody removed it.');
  const { kind, settings, sealed } = row;
  return { kind, settings, secret: sealed.length === 0 ? '' : await unseal(db, boundTo(id), sealed) };
}
