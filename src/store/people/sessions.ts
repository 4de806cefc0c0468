import { type Db, findRow } from '../db';
import type { PersonRow } from './people';
import type { PersonId } from '../ids';

export interface SessionLimits {
  readonly idleMinutes: number;
  readonly hours: number;
}

export async function addSession(
  db: Db,
  hash: Buffer,
  {
    person,
    hours,
    address,
    agent,
  }: { readonly person: PersonId; readonly hours: number; readonly address: string; readonly agent: string },
): Promise<void> {
  await db.query(
    `insert into sessions (token_hash, person_id, ends_at, address, agent) values ($1, $2, now() + make_interval(hours => $3), $4, $5)`,
    [hash, person, hours, address, agent.slice(0, 300)],
  );
  // Those that nobody ended.
  await db.query(`delete from sessions where ends_at < now()`);
}

/** Who a session belongs to; null when it has ended, was idle for too long, or its person is disabled. Notes that it was seen. */
export async function findSession(db: Db, hash: Buffer, idleMinutes: number): Promise<PersonRow | null> {
  const row = await findRow<PersonRow & { stale: boolean }>(
    db,
    `select people.id, people.name, full_name as "fullName", issuer, password_hash is not null as "hasPassword",
       disabled_at as "disabledAt", seen_at < now() - interval '20 seconds' as stale
     from sessions join people on people.id = person_id
     where token_hash = $1 and ends_at > now() and seen_at > now() - make_interval(mins => $2) and disabled_at is null`,
    [hash, idleMinutes],
  );
  if (row?.stale) await db.query('update sessions set seen_at = now() where token_hash = $1', [hash]);
  return row;
}

export async function endSession(db: Db, hash: Buffer): Promise<void> {
  await db.query('delete from sessions where token_hash = $1', [hash]);
}

/** All of a person's, but for one if it is given. Returns how many. */
export async function endSessions(db: Db, person: PersonId, except: Buffer | null = null): Promise<number> {
  const ended = await db.query('delete from sessions where person_id = $1 and ($2::bytea is null or token_hash <> $2)', [
    person,
    except,
  ]);
  return ended.rowCount ?? 0;
}

/** One invitation at a time: a new one makes the former void. */
export async function addInvitation(db: Db, hash: Buffer, person: PersonId, hours: number): Promise<void> {
  await db.query('delete from invitations where person_id = $1 or ends_at < now()', [person]);
  await db.query('insert into invitations (token_hash, person_id, ends_at) values ($1, $2, now() + make_interval(hours => $3))', [
    hash,
    person,
    hours,
  ]);
}

export async function findInvited(
  db: Db,
  hash: Buffer,
): Promise<{ readonly id: PersonId; readonly name: string; readonly fullName: string } | null> {
  return findRow(
    db,
    `select people.id, people.name, full_name as "fullName" from invitations join people on people.id = person_id
     where token_hash = $1 and ends_at > now() and disabled_at is null and issuer is null`,
    [hash],
  );
}

/** True once for each invitation: who takes it first has it. */
export async function takeInvitation(db: Db, hash: Buffer): Promise<boolean> {
  return (await db.query('delete from invitations where token_hash = $1 and ends_at > now()', [hash])).rowCount === 1;
}

export interface SignInElsewhere {
  readonly verifier: string;
  readonly nonce: string;
  readonly leadsTo: string;
}

export async function keepSignInElsewhere(db: Db, state: Buffer, { verifier, nonce, leadsTo }: SignInElsewhere): Promise<void> {
  await db.query('delete from sign_ins_elsewhere where ends_at < now()');
  await db.query(
    `insert into sign_ins_elsewhere (state_hash, verifier, nonce, leads_to, ends_at) values ($1, $2, $3, $4, now() + interval '10 minutes')`,
    [state, verifier, nonce, leadsTo],
  );
}

/** Given once. */
export function takeSignInElsewhere(db: Db, state: Buffer): Promise<SignInElsewhere | null> {
  return findRow(
    db,
    'delete from sign_ins_elsewhere where state_hash = $1 and ends_at > now() returning verifier, nonce, leads_to as "leadsTo"',
    [state],
  );
}
