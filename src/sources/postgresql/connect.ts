// Connections to an audited database. Whatever is read is read in an explicit read-only transaction with settings of
// its own, which is rolled back: functions of the audited database run while we read (row security, index predicates,
// casts), and nothing that they set outlives the statement that called them.

import type { EventEmitter } from 'node:events';
import pg from 'pg';
import type { TlsMode } from '../tls';
import type { ConnectionDetails } from './details';
import { connectionError, weakPasswordError } from './errors';

export interface SessionLimits {
  readonly statementMs: number;
  readonly lockMs: number;
  /** What the session is for, as the server lists it beside `pawl`: `survey 12`. Others for the same are ended first. */
  readonly purpose?: string | undefined;
  /** The same for a session that joins those there are. */
  readonly alongside?: string;
}

export const readingLimits: SessionLimits = { statementMs: 600_000, lockMs: 2_000 };

/** For sorting hashes: with less, sorts of some million rows go to disk and take half as long again. */
const sortMemory = '128MB';

/** A session that can only read. Throws SourceError. */
export async function openReading(details: ConnectionDetails, limits: SessionLimits = readingLimits): Promise<pg.Client> {
  const client = await open(details, limits.purpose ?? limits.alongside);
  try {
    await client.query(`set default_transaction_read_only = on; set idle_in_transaction_session_timeout = 60000; ${hearing}`);
    await client.query(settingsOf(limits, ''));
    return client;
  } catch (error) {
    await client.end().catch(() => undefined);
    throw connectionError(error, details);
  }
}

/** How reading goes beyond the usual: parallel workers that a statement may have, and what it may see. */
export interface ReadingOptions extends SessionLimits {
  readonly workers?: number;
}

/**
 * Reads in a transaction of its own: one snapshot, read-only (a transaction that has read cannot be made to write
 * any more: manual, SET TRANSACTION), every setting made anew, rolled back whatever happens.
 */
export async function reading<T>(client: pg.Client, options: ReadingOptions, read: () => Promise<T>): Promise<T> {
  await client.query(`begin isolation level repeatable read read only; ${settingsOf(options, 'local')}`);
  try {
    return await read();
  } finally {
    await client.query('rollback').catch(() => undefined);
  }
}

/** A session that runs a docket: the only kind that can change anything. Throws SourceError. */
export async function openChanging(details: ConnectionDetails, limits: SessionLimits): Promise<pg.Client> {
  const client = await open(details, limits.purpose ?? limits.alongside);
  try {
    await client.query(`set idle_in_transaction_session_timeout = 60000; ${hearing}`);
    await client.query(settingsOf(limits, ''));
    return client;
  } catch (error) {
    await client.end().catch(() => undefined);
    throw connectionError(error, details);
  }
}

/** Makes the settings of a changing session again, for what comes next: a trigger may have changed them. */
export async function renewSettings(client: pg.Client, limits: SessionLimits): Promise<void> {
  await client.query(settingsOf(limits, ''));
}

/** Interrupts the statement that another session of the same login has under way. Throws SourceError. */
export async function cancelOther(details: ConnectionDetails, pid: number | undefined): Promise<void> {
  const other = await openReading(details);
  try {
    await other.query('select pg_catalog.pg_cancel_backend($1)', [pid]);
  } finally {
    await other.end();
  }
}

/**
 * Ends sessions of ours for the same purpose that a process left behind which died: their statements would go on beside
 * the new ones. Only of the same login, in the same database.
 */
export async function endOthers(client: pg.Client, purpose: string): Promise<void> {
  await client.query(
    `select pg_catalog.pg_terminate_backend(pid) from pg_catalog.pg_stat_activity
     where application_name = $1 and usename = current_user and datname = pg_catalog.current_database() and pid <> pg_catalog.pg_backend_pid()`,
    [sessionName(purpose)],
  );
}

function sessionName(purpose: string | undefined): string {
  return purpose === undefined ? 'pawl' : `pawl ${purpose}`;
}

async function open(details: ConnectionDetails, purpose: string | undefined): Promise<pg.Client> {
  try {
    return await connect(details, details.tls === 'prefer' ? 'require' : details.tls, purpose);
  } catch (error) {
    if (details.tls === 'prefer' && /does not support SSL/.test(String(error)))
      return await connect(details, 'off', purpose).catch(fail);
    return fail(error);
  }
  function fail(error: unknown): never {
    throw connectionError(error, details);
  }
}

async function connect(
  details: ConnectionDetails,
  tls: Exclude<TlsMode, 'prefer'>,
  purpose: string | undefined,
): Promise<pg.Client> {
  const { host, port, database, user, password } = details;
  const asked: AskedFor = { weakly: null };
  const client = new pg.Client({
    host,
    port,
    database,
    user,
    password: () => {
      if (asked.weakly !== null && tls !== 'verify' && details.weakPassword !== true)
        throw weakPasswordError(details, asked.weakly);
      return password;
    },
    application_name: sessionName(purpose),
    connectionTimeoutMillis: 8_000,
    keepAlive: true,
    ssl: tls === 'off' ? false : { rejectUnauthorized: tls === 'verify', ...(tls === 'verify' && { servername: host }) },
  });
  // Without a listener an idle connection that dies would end the process; the next query reports it.
  client.on('error', () => undefined);
  watchForWeakRequests(client, asked);
  try {
    await client.connect();
    return client;
  } catch (error) {
    await client.end().catch(() => undefined);
    throw error;
  }
}

interface AskedFor {
  weakly: 'in clear text' | 'hashed with md5' | null;
}

// Whoever stands at that address can ask for the password in clear, or as an md5 hash that is as good as it. The driver
// asks for the password right after these messages, so that it can be refused there.
function watchForWeakRequests(client: pg.Client, asked: AskedFor): void {
  const { connection } = client as unknown as { readonly connection: EventEmitter };
  connection.prependListener('authenticationCleartextPassword', () => (asked.weakly = 'in clear text'));
  connection.prependListener('authenticationMD5Password', () => (asked.weakly = 'hashed with md5'));
}

// Where the server can (PostgreSQL 14 on), it looks whether we are still there while a statement runs.
const hearing = `select pg_catalog.set_config(name, '2000', false) from pg_catalog.pg_settings where name = 'client_connection_check_interval'`;

// No parallel workers but those asked for, no JIT: an audit leaves the server to those who work on it. An empty search path
// but the system's: nothing of the audited schema can stand in for a function or operator that we call. Rows that
// row security would hide are an error, not a smaller count.
function settingsOf({ statementMs, lockMs, workers = 0 }: ReadingOptions, reach: 'local' | ''): string {
  const set = `set ${reach}`;
  return `${set} search_path = pg_catalog; ${set} row_security = off; ${set} timezone = 'UTC'; ${set} work_mem = '${sortMemory}';
    ${set} statement_timeout = ${Math.round(statementMs)}; ${set} lock_timeout = ${Math.round(lockMs)};
    ${set} max_parallel_workers_per_gather = ${Math.trunc(workers)}; ${set} jit = off; ${set} datestyle = 'ISO, YMD';
    ${set} standard_conforming_strings = on`;
}
