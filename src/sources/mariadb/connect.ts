// Connections to an audited server. The first statement pins what the meaning of all others hangs on; every value comes as the
// text that the server writes (binary values are asked for as hexadecimal).

import { type Connection, createConnection, type ConnectionOptions } from 'mysql2';
import { variant as mariadb } from '../../core/engines/mariadb/mariadb';
import { ownSchemas } from '../../core/engines/mariadb/questions/catalogue-queries';
import type { Variant } from '../../core/engines/mariadb/variant';
import { variant as mysql } from '../../core/engines/mysql/variant';
import type { ConnectionDetails, ServerName, Settled } from './details';
import { SourceError } from '../SourceError';
import { connectionError } from './errors';
import type { NamesOnCopy } from './naming';
import { authPlugins } from './signIn';

export interface SessionLimits {
  readonly statementMs: number;
  readonly lockMs: number;
  /** What the session is for, by a lock of that name: others for the same are ended first. */
  readonly purpose?: string | undefined;
  readonly alongside?: string;
}

export const readingLimits: SessionLimits = { statementMs: 600_000, lockMs: 2_000 };

/** Strict: without it a NOT NULL turns nulls into zeros; no option that changes how quotes are read. */
const sqlMode = 'STRICT_TRANS_TABLES,ERROR_FOR_DIVISION_BY_ZERO,NO_ENGINE_SUBSTITUTION';

export interface Client {
  readonly connection: Connection;
  /** As the server numbers it, to stop what it does. */
  readonly id: number;
  /** How it is encrypted, of what was asked for. */
  readonly tls: Settled['tls'];
  /** Of a session on a copy. */
  readonly names?: NamesOnCopy;
}

/** A session that can only read. Throws SourceError. */
export async function openReading(details: ConnectionDetails, limits: SessionLimits = readingLimits): Promise<Client> {
  return opened(details, async (client) => {
    await run(client, settingsOf(limits, details.server));
    await run(client, 'set session transaction isolation level repeatable read, read only');
    if (limits.purpose !== undefined) await endOthers(client, limits.purpose);
    else if (limits.alongside !== undefined)
      await run(client, `do get_lock(${client.connection.escape(lockName(limits.alongside))}, 0)`);
    await useSome(client);
  });
}

/** A session that runs a docket: the only kind that can change anything. Throws SourceError. */
export async function openChanging(details: ConnectionDetails, limits: SessionLimits, names?: NamesOnCopy): Promise<Client> {
  return opened({ ...details, ...(names && { names }) }, async (client) => {
    await run(client, settingsOf(limits, details.server));
    await run(client, 'set session transaction isolation level read committed, read write');
    await run(client, servers[details.server].changing);
    await useSome(client);
  });
}

async function opened(
  details: ConnectionDetails & { readonly names?: NamesOnCopy },
  prepare: (client: Client) => Promise<void>,
): Promise<Client> {
  const { connection, tls } = await connectTo(details);
  try {
    const [[id = '0', version = ''] = []] = await rowsOf(connection, 'select connection_id(), version()');
    refuseOther(version ?? '', details.server);
    const { names } = details;
    const client = { connection, id: Number(id), tls, ...(names && { names }) };
    await prepare(client);
    return client;
  } catch (error) {
    connection.destroy();
    throw connectionError(error, details);
  }
}

// A block of statements is taken within a database only, whatever it names.
async function useSome(client: Client): Promise<void> {
  const [[database = null, some = null] = []] = await rowsOf(
    client.connection,
    `select database(), min(schema_name) from information_schema.schemata where schema_name not in ${ownSchemas}`,
  );
  if (database === null && some !== null) await run(client, `use \`${some.replaceAll('`', '``')}\``);
}

interface Server {
  readonly title: string;
  /** How texts of ours compare where nothing says how: as those that are written as bytes do. */
  readonly collation: string;
  /** The earliest that is read, as major * 100 + minor. */
  readonly since: number;
  readonly sinceInWords: string;
  /** How long a statement may take, where the server can be told; of MySQL those that only read. */
  readonly time: Variant['boundedBy'];
  /** Every rule holds for what we change ourselves, and the server says what it would copy rather than do it. */
  readonly changing: string;
}

const rulesHold = 'set foreign_key_checks = 1, unique_checks = 1, sql_quote_show_create = 1';
const servers: Readonly<Record<ServerName, Server>> = {
  mariadb: {
    title: 'MariaDB',
    collation: 'utf8mb4',
    since: 1005,
    sinceInWords: '10.5',
    time: mariadb.boundedBy,
    changing: `${rulesHold}, check_constraint_checks = 1`,
  },
  mysql: {
    title: 'MySQL',
    collation: 'UTF8MB4_0900_AI_CI',
    since: 800,
    sinceInWords: '8.0',
    time: mysql.boundedBy,
    changing: rulesHold,
  },
};

/** What was never measured is not read as if it had been. `version`: `10.11.19-MariaDB-…`, of some with a `5.5.5-` before it; `8.4.3`. */
function refuseOther(version: string, wanted: ServerName): void {
  const [, major = '', minor = ''] = /(\d+)\.(\d+)\.\d+-MariaDB/i.exec(version) ?? /^(\d+)\.(\d+)\./.exec(version) ?? [];
  const is: ServerName = /mariadb/i.test(version) ? 'mariadb' : 'mysql';
  const { title, since, sinceInWords } = servers[wanted];
  if (is !== wanted || major === '')
    throw new SourceError(
      `The server says that it is ${version}, which is no ${title}. Add it as ${servers[is].title}; at a terminal its address starts with ${is}://.`,
      'other',
    );
  if (Number(major) * 100 + Number(minor) < since)
    throw new SourceError(
      `The server runs ${title} ${major}.${minor}; Pawl reads ${sinceInWords} and later. Upgrade it, or audit a copy on a newer one.`,
      'other',
    );
}

/** What the meaning of a session's statements hangs on, and how long they may take. */
export function settingsOf(
  { statementMs, lockMs }: Pick<SessionLimits, 'statementMs' | 'lockMs'>,
  server: ServerName,
  /** A row that is put back keeps its number, zero too. */
  purpose: 'reading' | 'changing' = 'reading',
): string {
  const patience = Math.max(1, Math.round(lockMs / 1000));
  return `set sql_mode = '${sqlMode}${purpose === 'changing' ? ',NO_AUTO_VALUE_ON_ZERO' : ''}', time_zone = '+00:00', lc_messages = 'en_US', group_concat_max_len = 1048576,
    lock_wait_timeout = ${patience}, innodb_lock_wait_timeout = ${patience}, ${servers[server].time(statementMs)}`;
}

/** Interrupts what another session of the same login does. Throws SourceError. */
export async function cancelOther(details: ConnectionDetails, id: number): Promise<void> {
  const { connection } = await connectTo(details);
  try {
    // It may have ended meanwhile.
    await rowsOf(connection, `kill query ${Math.trunc(id)}`).catch(() => undefined);
  } finally {
    connection.destroy();
  }
}

// Whoever holds the lock of that name was left behind by a process that died: a login may end its own other sessions.
async function endOthers(client: Client, purpose: string): Promise<void> {
  const name = client.connection.escape(lockName(purpose));
  const [[holder = null] = []] = await rowsOf(client.connection, `select is_used_lock(${name})`);
  if (holder !== null) await rowsOf(client.connection, `kill ${Number(holder)}`).catch(() => undefined);
  await run(client, `do get_lock(${name}, 2)`);
}

function lockName(purpose: string): string {
  return `pawl ${purpose}`.slice(0, 64);
}

async function connectTo(details: ConnectionDetails): Promise<Pick<Client, 'connection' | 'tls'>> {
  const tls = details.tls === 'prefer' ? 'require' : details.tls;
  try {
    return { connection: await connect(details, tls), tls };
  } catch (error) {
    const unoffered = (error as { code?: string }).code === 'HANDSHAKE_NO_SSL_SUPPORT';
    if (details.tls !== 'prefer' || !unoffered) throw connectionError(error, details);
    const connection = await connect(details, 'off').catch((again: unknown) => {
      throw connectionError(again, details);
    });
    return { connection, tls: 'off' };
  }
}

/** The same server with the TLS that a session of ours agreed on with it: programs take no less. */
export function settled(details: ConnectionDetails, { tls }: Pick<Client, 'tls'>): Settled {
  return { ...details, tls };
}

function connect(details: ConnectionDetails, tls: Settled['tls']): Promise<Connection> {
  const { server, host, port, user, password, databases } = details;
  const options: ConnectionOptions = {
    host,
    port,
    user,
    password,
    authPlugins: authPlugins(details, tls === 'verify'),
    ...(databases.length === 1 && databases[0] !== undefined && { database: databases[0] }),
    rowsAsArray: true,
    // Every value as text or null, as the server spells it; of bytes that are none the hexadecimal is asked for.
    typeCast: (field: { string(): string | null }) => field.string(),
    charset: servers[server].collation,
    flags: ['-LOCAL_FILES', '-FOUND_ROWS', '-IGNORE_SPACE'],
    connectTimeout: 8_000,
    enableKeepAlive: true,
    connectAttributes: { program_name: 'pawl' },
    ...(tls !== 'off' && {
      ssl: { rejectUnauthorized: tls === 'verify', ...(tls === 'verify' && { verifyIdentity: true }) },
    }),
  };
  return new Promise((resolve, reject) => {
    const connection = createConnection(options);
    // Without a listener an idle connection that dies would end the process; the next query reports it.
    connection.on('error', () => undefined);
    connection.connect((error) => {
      if (!error) return resolve(connection);
      connection.destroy();
      reject(error);
    });
  });
}

export type TextRow = readonly (string | null)[];

/** The rows of one statement; of a block that gives several results, those of all. */
export function rowsOf(connection: Connection, text: string): Promise<readonly TextRow[]> {
  return new Promise((resolve, reject) => {
    connection.query({ sql: text, rowsAsArray: true }, (error, rows: unknown) => {
      if (error) reject(error);
      else resolve(Array.isArray(rows) ? (rows as TextRow[]) : []);
    });
  });
}

/** Rows that a statement changed. */
export function run({ connection, names }: Pick<Client, 'connection' | 'names'>, text: string): Promise<number> {
  return new Promise((resolve, reject) => {
    connection.query({ sql: names?.outward(text) ?? text, rowsAsArray: true }, (error, result: unknown) => {
      if (error && names) error.message = names.inward(error.message);
      if (error && names && 'sqlMessage' in error) Object.assign(error, { sqlMessage: names.inward(String(error.sqlMessage)) });
      if (error) reject(error);
      else resolve(result !== null && typeof result === 'object' && 'affectedRows' in result ? Number(result.affectedRows) : 0);
    });
  });
}
