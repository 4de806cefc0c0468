import type { Grant, Right, Role } from '../../core/rights/rights';
import { type Db, findRow, getRow, rowsOf } from '../db';
import type { GrantId, PersonId, SourceId, TokenId } from '../ids';

/** A person as screens may see them: without their password. */
export interface PersonRow {
  readonly id: PersonId;
  /** What one signs in with. */
  readonly name: string;
  readonly fullName: string;
  /** Where they sign in, when that is not here. */
  readonly issuer: string | null;
  readonly hasPassword: boolean;
  readonly disabledAt: string | null;
}

const shown = `people.id, people.name, people.full_name as "fullName", people.issuer, people.password_hash is not null as "hasPassword",
  people.disabled_at as "disabledAt"`;

export function listPeople(db: Db): Promise<readonly PersonRow[]> {
  return rowsOf(db, `select ${shown} from people order by disabled_at is not null, name`);
}

export function findPerson(db: Db, id: PersonId): Promise<PersonRow | null> {
  return findRow(db, `select ${shown} from people where id = $1`, [id]);
}

export function findPersonNamed(db: Db, name: string): Promise<PersonRow | null> {
  return findRow(db, `select ${shown} from people where name = $1`, [name]);
}

/** Null when the name is taken. */
export async function addPerson(db: Db, name: string, fullName: string): Promise<PersonId | null> {
  const row = await findRow<{ id: PersonId }>(
    db,
    'insert into people (name, full_name) values ($1, $2) on conflict (name) do nothing returning id',
    [name, fullName],
  );
  return row?.id ?? null;
}

/** The person somebody else vouches for, made at the first sign-in. Null when the name belongs to another. */
export async function findOrAddSubject(
  db: Db,
  {
    issuer,
    subject,
    name,
    fullName,
  }: { readonly issuer: string; readonly subject: string; readonly name: string; readonly fullName: string },
): Promise<PersonRow | null> {
  await db.query(`insert into people (name, full_name, issuer, subject) values ($1, $2, $3, $4) on conflict do nothing`, [
    name,
    fullName,
    issuer,
    subject,
  ]);
  await db.query('update people set signed_in_at = now() where issuer = $1 and subject = $2', [issuer, subject]);
  return findRow(db, `select ${shown} from people where issuer = $1 and subject = $2`, [issuer, subject]);
}

/** Who keeps people changes one at a time: two could take each other's leave at the same moment. Until the transaction ends. */
export async function holdPeople(db: Db): Promise<void> {
  await db.query('select pg_advisory_xact_lock(7295420)');
}

export async function countAdministrators(db: Db): Promise<number> {
  const { count } = await getRow<{ count: number }>(
    db,
    `select count(distinct person_id) as count from grants join people on people.id = person_id
     where role = 'Administrator' and source_id is null and disabled_at is null`,
  );
  return count;
}

export async function disablePerson(db: Db, id: PersonId, disabled: boolean): Promise<void> {
  await db.query('update people set disabled_at = case when $2 then now() end where id = $1', [id, disabled]);
}

export async function keepPasswordHash(db: Db, id: PersonId, hash: string): Promise<void> {
  await db.query('update people set password_hash = $2 where id = $1', [id, hash]);
}

export interface Checked {
  readonly id: PersonId;
  readonly hash: string | null;
  /** Where they sign in, when that is not here. */
  readonly issuer: string | null;
  readonly disabled: boolean;
}

export function findForSignIn(db: Db, name: string): Promise<Checked | null> {
  return findRow(
    db,
    'select id, password_hash as hash, issuer, disabled_at is not null as disabled from people where name = $1',
    [name],
  );
}

export interface GrantRow extends Grant {
  readonly id: GrantId;
  readonly personId: PersonId;
  readonly byGroup: string | null;
}

export function listGrants(db: Db, person: PersonId | null = null): Promise<readonly GrantRow[]> {
  return rowsOf(
    db,
    `select id, person_id as "personId", role, source_id as source, by_group as "byGroup" from grants
     where $1::bigint is null or person_id = $1 order by person_id, source_id nulls first, role`,
    [person],
  );
}

export async function addGrant(db: Db, person: PersonId, { role, source }: Grant, byGroup: string | null = null): Promise<void> {
  await db.query('insert into grants (person_id, role, source_id, by_group) values ($1, $2, $3, $4) on conflict do nothing', [
    person,
    role,
    source,
    byGroup,
  ]);
}

/** Returns what it was, or null when there is none of that id. */
export function removeGrant(db: Db, person: PersonId, id: GrantId): Promise<Grant | null> {
  return findRow(db, 'delete from grants where id = $2 and person_id = $1 returning role, source_id as source', [person, id]);
}

/** What somebody's groups give is what they are in now. */
export async function keepGroupGrants(
  db: Db,
  person: PersonId,
  given: readonly { readonly group: string; readonly role: Role }[],
): Promise<void> {
  await db.query('delete from grants where person_id = $1 and by_group is not null', [person]);
  for (const { group, role } of given) await addGrant(db, person, { role, source: null }, group);
}

/** Those who may do something on a source, by their roles: for telling whom to ask. */
export async function listNamesWith(db: Db, roles: readonly Role[], source: SourceId | null): Promise<readonly string[]> {
  const rows = await rowsOf<{ name: string }>(
    db,
    `select distinct full_name as name from people join grants on person_id = people.id
     where role = any($1) and (source_id is null or source_id = $2) and disabled_at is null order by 1 limit 20`,
    [roles, source],
  );
  return rows.map(({ name }) => name);
}

export interface TokenRow {
  readonly id: TokenId;
  readonly name: string;
  readonly rights: readonly Right[];
  readonly source: SourceId | null;
  readonly madeAt: string;
  readonly endsAt: string;
  readonly usedAt: string | null;
  readonly revokedAt: string | null;
}

const shownToken = `id, name, rights, source_id as source, made_at as "madeAt", ends_at as "endsAt", used_at as "usedAt", revoked_at as "revokedAt"`;

export function listTokens(db: Db, person: PersonId): Promise<readonly TokenRow[]> {
  return rowsOf(db, `select ${shownToken} from tokens where person_id = $1 order by id desc`, [person]);
}

export interface NewToken {
  readonly hash: Buffer;
  readonly person: PersonId;
  readonly name: string;
  readonly rights: readonly Right[];
  readonly source: SourceId | null;
  readonly days: number;
}

export async function addToken(db: Db, { hash, person, name, rights, source, days }: NewToken): Promise<void> {
  await db.query(
    `insert into tokens (token_hash, person_id, name, rights, source_id, ends_at) values ($1, $2, $3, $4, $5, now() + make_interval(days => $6))`,
    [hash, person, name, rights, source, days],
  );
}

export async function revokeToken(db: Db, person: PersonId, id: TokenId): Promise<string | null> {
  const row = await findRow<{ name: string }>(
    db,
    'update tokens set revoked_at = now() where id = $2 and person_id = $1 and revoked_at is null returning name',
    [person, id],
  );
  return row?.name ?? null;
}

/** Ends all tokens of a person. Returns how many. */
export async function revokeTokens(db: Db, person: PersonId): Promise<number> {
  const ended = await db.query('update tokens set revoked_at = now() where person_id = $1 and revoked_at is null', [person]);
  return ended.rowCount ?? 0;
}

/**
 * The token of a hash that is neither ended nor revoked, with its use noted; null when there is none. Those of people who sign in
 * elsewhere rest when they were not there for so many days.
 */
export function useToken(
  db: Db,
  hash: Buffer,
  daysElsewhere: number,
): Promise<(PersonRow & { readonly rights: readonly Right[]; readonly source: SourceId | null }) | null> {
  return findRow(
    db,
    `with used as (
       update tokens set used_at = now() where token_hash = $1 and revoked_at is null and ends_at > now() and exists (
         select from people where id = person_id and disabled_at is null
           and (issuer is null or signed_in_at > now() - make_interval(days => $2)))
       returning *
     )
     select ${shown}, used.rights, used.source_id as source from used join people on people.id = used.person_id`,
    [hash, daysElsewhere],
  );
}
