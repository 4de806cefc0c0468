// Connections to an audited database. Each session is read-only by the server's own switch, bounded in
// time and in waiting for locks, and says who it is.

import pg from 'pg';
import { SourceError } from '../SourceError';
import type { ConnectionDetails, TlsMode } from '../source';
import { connectionError } from './errors';

/** Older servers lack catalogue columns that we read. */
export const oldestVersion = 120000;

export interface SessionLimits {
  readonly statementMs: number;
  readonly lockMs: number;
}

export const readingLimits: SessionLimits = { statementMs: 600_000, lockMs: 2_000 };

/** For sorting hashes: with less, sorts of some million rows go to disk and take half as long again. */
const sortMemory = '128MB';

/** A session that can only read. Throws SourceError. */
export async function openReading(details: ConnectionDetails, limits: SessionLimits = readingLimits): Promise<pg.Client> {
  const client = await open(details);
  try {
    // An empty search path but the system's: nothing of the audited schema can stand in for a function we call.
    await client.query(
      `set default_transaction_read_only = on; set search_path = pg_catalog; set timezone = 'UTC'; set work_mem = '${sortMemory}'; ${sessionSettings(limits)}`,
    );
    await refuseOldServer(client);
    return client;
  } catch (error) {
    await client.end().catch(() => undefined);
    throw connectionError(error, details);
  }
}

/** A session that runs a docket: the only kind that can change anything. Throws SourceError. */
export async function openChanging(details: ConnectionDetails, limits: SessionLimits): Promise<pg.Client> {
  const client = await open(details);
  try {
    await client.query(sessionSettings(limits));
    return client;
  } catch (error) {
    await client.end().catch(() => undefined);
    throw connectionError(error, details);
  }
}

/** Interrupts the statement that another session of the same login has under way. Throws SourceError. */
export async function cancelOther(details: ConnectionDetails, pid: number | undefined): Promise<void> {
  const other = await openReading(details);
  try {
    await other.query('select pg_cancel_backend($1)', [pid]);
  } finally {
    await other.end();
  }
}

async function open(details: ConnectionDetails): Promise<pg.Client> {
  try {
    return await connect(details, details.tls === 'prefer' ? 'require' : details.tls);
  } catch (error) {
    if (details.tls === 'prefer' && /does not support SSL/.test(String(error))) return await connect(details, 'off').catch(fail);
    return fail(error);
  }
  function fail(error: unknown): never {
    throw connectionError(error, details);
  }
}

async function connect(details: ConnectionDetails, tls: Exclude<TlsMode, 'prefer'>): Promise<pg.Client> {
  const { host, port, database, user, password } = details;
  const client = new pg.Client({
    host,
    port,
    database,
    user,
    password,
    application_name: 'pawl',
    connectionTimeoutMillis: 8_000,
    keepAlive: true,
    ssl: tls === 'off' ? false : { rejectUnauthorized: tls === 'verify', ...(tls === 'verify' && { servername: host }) },
  });
  // Without a listener an idle connection that dies would end the process; the next query reports it.
  client.on('error', () => undefined);
  try {
    await client.connect();
    return client;
  } catch (error) {
    await client.end().catch(() => undefined);
    throw error;
  }
}

// One connection, no parallel workers, no JIT: an audit leaves the server to those who work on it.
function sessionSettings({ statementMs, lockMs }: SessionLimits): string {
  return `set statement_timeout = ${Math.round(statementMs)};
    set lock_timeout = ${Math.round(lockMs)};
    set idle_in_transaction_session_timeout = 60000;
    set max_parallel_workers_per_gather = 0;
    set jit = off;
    set datestyle = 'ISO, YMD';
    set standard_conforming_strings = on`;
}

async function refuseOldServer(client: pg.Client): Promise<void> {
  const { rows } = await client.query<{ version: string; number: number }>(
    `select current_setting('server_version') as version, current_setting('server_version_num')::int as number`,
  );
  const [server] = rows;
  if (server && server.number < oldestVersion) {
    throw new SourceError(
      `The server runs PostgreSQL ${server.version}; Pawl reads 12 and later. Upgrade it, or audit a copy on a newer one.`,
      'tooOld',
    );
  }
}
