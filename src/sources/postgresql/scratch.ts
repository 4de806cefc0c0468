// A scratch copy of a database, made by the server's own programs: structure and rows as they are, in a
// database of its own that belongs to a role of its own, so that nothing copied runs with more rights than that.

import { randomBytes } from 'node:crypto';
import { existsSync, readdirSync } from 'node:fs';
import { join } from 'node:path';
import { pipeline } from 'node:stream/promises';
import type pg from 'pg';
import { literal, quote, relationText } from '../../core/engines/postgresql/quote';
import { startProgram } from '../run/program';
import {
  copyName,
  type Fingerprint,
  isStale,
  labelHere,
  leftBehind,
  type Sampled,
  type Scratch,
  type ScratchOptions,
} from '../run/scratch';
import type { ConnectionDetails } from './details';
import { SourceError } from '../SourceError';
import { openChanging, openReading, reading } from './connect';
import { copySample, type SampleOptions } from './sampleRows';
import { openSession } from './session';

const prefix = 'pawl_scratch_';
const limits = { statementMs: 0, lockMs: 5_000 };

export interface DatabaseCopy extends Scratch {
  readonly details: ConnectionDetails;
}

/** Copies a database onto a server where a database may be made. Throws SourceError, with nothing left there. */
export async function makeScratch(
  source: ConnectionDetails,
  server: ConnectionDetails,
  { mostBytes, also = [], signal, label = labelHere() }: ScratchOptions,
): Promise<DatabaseCopy> {
  const { bytes, unreadable, version } = await lookAt(source);
  const refusal = await whyNotCopied(version);
  if (refusal !== null) throw new SourceError(refusal, 'refused');
  const name = copyName(prefix, label);
  const details: ConnectionDetails = { ...server, database: name, user: name, password: randomBytes(24).toString('hex') };
  const remove = () =>
    onServer(server, (admin) => drop(admin, name)).catch((cause: unknown) => {
      throw leftBehind(`${server.host}:${server.port}`, cause);
    });
  try {
    // What a process left behind that died, and nobody came back for.
    await removeScratches(server, (other) => isStale(other, prefix, label));
    await onServer(server, async (admin) => {
      await admin.query(`create role ${quote(name)} login nosuperuser password ${literal(details.password)}`);
      await admin.query(`grant ${quote(name)} to current_user`);
      // Only so can it look at its own tables where row security is forced; not every server lets us give it that.
      await admin.query(`alter role ${quote(name)} bypassrls`).catch(() => undefined);
      await admin.query(`create database ${quote(name)} owner ${quote(name)} template template0`);
      // The copy is of production: nobody else on that server looks into it.
      await admin.query(`revoke connect on database ${quote(name)} from public`);
    });
    const { leftOut, sampled } =
      bytes > mostBytes
        ? await copySome(source, details, unreadable, { mostBytes, also, signal })
        : { leftOut: await copy(source, details, { unreadable, signal }), sampled: null };
    const closed = unreadable.map(({ name: relation, isSequence, isHidden }) => {
      if (isHidden) return `${relation}: row security hides rows of it from this login`;
      return `${isSequence ? `how far the sequence ${relation} is` : relation}: this login may not read it`;
    });
    return {
      details,
      of: source.database,
      owner: name,
      bytes,
      sampled,
      leftOut: [...closed, ...leftOut],
      open: () => openSession(details),
      fingerprint: () => fingerprintOf(details),
      remove,
    };
  } catch (error) {
    await remove();
    if (error instanceof SourceError) throw error;
    throw new SourceError(
      `No scratch copy could be made at ${server.host}:${server.port}: ${error instanceof Error ? error.message : 'unknown error'}. The role needs CREATEDB and CREATEROLE.`,
      'notAllowed',
      { cause: error },
    );
  }
}

/**
 * Why a server of that version cannot be copied with the pg_dump at hand, in words; null when it can. `version` as the
 * server spells it.
 */
export async function whyNotCopied(version: string): Promise<string | null> {
  const { child, ended } = spawned('pg_dump', ['--version'], {});
  let said = '';
  child.stdout.setEncoding('utf8').on('data', (part: string) => (said += part));
  const missing = await ended.then(
    () => null,
    (error: unknown) => (error instanceof Error ? error.message : 'pg_dump cannot be run.'),
  );
  if (missing !== null) return missing;
  const [own, needed] = [/(\d+)/.exec(said)?.[1], /^\d+/.exec(version)?.[0]].map(Number);
  if (own === undefined || needed === undefined || Number.isNaN(own) || own >= needed) return null;
  return `The source is PostgreSQL ${needed}, and the pg_dump at hand is of ${own}, which reads no newer servers. Install postgresql-client-${needed} where Pawl runs, or set PAWL_PG_BIN to the folder of a pg_dump and pg_restore of ${needed} or later; then rehearse again.`;
}

/** Drops the scratch copies under a label: whoever made them died over it. */
export async function removeScratchesOf(server: ConnectionDetails, label: string): Promise<void> {
  await removeScratches(server, (name) => name.endsWith(`_${label}`));
}

async function removeScratches(server: ConnectionDetails, unwanted: (name: string) => boolean): Promise<void> {
  await onServer(server, async (admin) => {
    const { rows } = await admin.query<{ name: string }>(
      `select rolname as name from pg_catalog.pg_roles where rolname like $1 union select datname from pg_catalog.pg_database where datname like $1`,
      [`${prefix.replaceAll('_', '\\_')}%`],
    );
    for (const { name } of rows) if (unwanted(name)) await drop(admin, name);
  });
}

export async function fingerprintOf(details: ConnectionDetails): Promise<Fingerprint> {
  const dump = await collect('pg_dump', details, ['--schema-only', '--no-owner', '--no-privileges', '--lock-wait-timeout=30s']);
  const structure = dump.split('\n').filter((line) => line !== '' && !line.startsWith('--') && !line.startsWith('\\'));
  const patience = { ...limits, statementMs: 600_000 };
  const client = await openReading(details, patience);
  try {
    const { rows: tables } = await client.query<{ schema: string; name: string }>(
      `select n.nspname as schema, c.relname as name from pg_class c join pg_namespace n on n.oid = c.relnamespace
       where c.relkind = 'r' and n.nspname not in ('pg_catalog', 'information_schema') and n.nspname not like 'pg\\_%' order by 1, 2`,
    );
    const rows = new Map<string, string>();
    for (const { schema, name } of tables) {
      const { rows: sums } = await reading(client, patience, () =>
        client.query<{ sum: string }>(
          `select count(*) || ' rows, ' || coalesce(sum(hashtextextended(t::text, 0)::numeric), 0) as sum from ${quote(schema)}.${quote(name)} as t`,
        ),
      );
      rows.set(`${schema}.${name}`, sums[0]?.sum ?? '');
    }
    return { structure, rows };
  } finally {
    await client.end().catch(() => undefined);
  }
}

interface Unreadable {
  /** Quoted as pg_dump's patterns take it. */
  readonly name: string;
  readonly isSequence: boolean;
  /** True where row security hides rows from this login. */
  readonly isHidden: boolean;
}

async function lookAt(
  source: ConnectionDetails,
): Promise<{ readonly bytes: number; readonly unreadable: readonly Unreadable[]; readonly version: string }> {
  const client = await openReading(source);
  try {
    const { rows } = await client.query<{ bytes: string; version: string }>(
      `select pg_database_size(current_database()) as bytes, current_setting('server_version') as version`,
    );
    const { rows: closed } = await client.query<Unreadable>(
      `select format('%I.%I', n.nspname, c.relname) as name, c.relkind = 'S' as "isSequence", row_security_active(c.oid) as "isHidden"
       from pg_class c join pg_namespace n on n.oid = c.relnamespace
       where c.relkind in ('r', 'p', 'm', 'S', 'f') and n.nspname not in ('pg_catalog', 'information_schema') and n.nspname not like 'pg\\_%'
         and (row_security_active(c.oid) or not (has_schema_privilege(n.oid, 'usage')
           and case c.relkind when 'S' then has_sequence_privilege(c.oid, 'select') else has_table_privilege(c.oid, 'select') end))
       order by 1`,
    );
    return { bytes: Number(rows[0]?.bytes), unreadable: closed, version: rows[0]?.version ?? '' };
  } finally {
    await client.end().catch(() => undefined);
  }
}

async function onServer<T>(server: ConnectionDetails, work: (admin: pg.Client) => Promise<T>): Promise<T> {
  const admin = await openChanging(server, limits);
  try {
    return await work(admin);
  } finally {
    await admin.end().catch(() => undefined);
  }
}

async function drop(admin: pg.Client, name: string): Promise<void> {
  const { rows } = await admin.query<{ sends: boolean }>(
    "select pg_catalog.current_setting('server_version_num')::int >= 130000 as sends",
  );
  const dropped = `drop database if exists ${quote(name)}`;
  const forced = rows[0]?.sends === true && (await admin.query(`${dropped} with (force)`).catch(() => null)) !== null;
  if (!forced) {
    // Servers before 13 send nobody away. Later ones refuse to send autovacuum away by force for who is no superuser, and
    // send it away by themselves without.
    await admin.query(
      'select pg_catalog.pg_terminate_backend(pid) from pg_catalog.pg_stat_activity where datname = $1 and usename = $1',
      [name],
    );
    await admin.query(dropped);
  }
  await admin.query(`drop role if exists ${quote(name)}`);
}

// Tables first, then rows, then what binds them: constraints, indexes, triggers. All of one snapshot.
async function copySome(
  source: ConnectionDetails,
  target: ConnectionDetails,
  unreadable: readonly Unreadable[],
  options: SampleOptions,
): Promise<{ readonly leftOut: readonly string[]; readonly sampled: Sampled }> {
  const { signal } = options;
  const patience = { ...limits, statementMs: 600_000 };
  const reader = await openReading(source, patience);
  const writer = await openChanging(target, limits);
  try {
    return await reading(reader, patience, async () => {
      await reader.query('set local idle_in_transaction_session_timeout = 0');
      const { rows } = await reader.query<{ snapshot: string }>('select pg_catalog.pg_export_snapshot() as snapshot');
      const snapshot = `--snapshot=${rows[0]?.snapshot}`;
      const before = await copy(source, target, { unreadable, signal, more: [snapshot, '--section=pre-data'] });
      const sampled = await copySample(reader, writer, options);
      await copySequences(reader, writer);
      const after = await copy(source, target, { unreadable, signal, more: [snapshot, '--section=post-data'] });
      return { leftOut: [...before, ...after], sampled };
    });
  } finally {
    await reader.end().catch(() => undefined);
    await writer.end().catch(() => undefined);
  }
}

async function copySequences(reader: pg.Client, writer: pg.Client): Promise<void> {
  const { rows } = await reader.query<{ schema: string; name: string; last: string }>(
    `select schemaname as schema, sequencename as name, last_value::text as last from pg_catalog.pg_sequences where last_value is not null`,
  );
  for (const { schema, name, last } of rows)
    await writer.query(`select pg_catalog.setval(${relationText(schema, name)}::pg_catalog.regclass, $1::bigint)`, [last]);
}

interface Copied {
  readonly unreadable: readonly Unreadable[];
  readonly signal: AbortSignal | undefined;
  /** Further arguments of the dump. */
  readonly more?: readonly string[];
}

// pg_restore reads the archive itself: unlike psql it takes no commands from what a hostile server may have put into it.
async function copy(
  source: ConnectionDetails,
  target: ConnectionDetails,
  { unreadable, signal, more = [] }: Copied,
): Promise<readonly string[]> {
  const dump = start('pg_dump', source, [
    '--format=custom',
    '--compress=0',
    '--no-owner',
    '--no-privileges',
    '--no-publications',
    '--no-subscriptions',
    '--no-security-labels',
    '--lock-wait-timeout=5s',
    ...unreadable.map(({ name, isSequence }) => `--exclude-table${isSequence ? '-data' : ''}=${name}`),
    ...more,
  ]);
  const restore = start('pg_restore', target, ['--no-owner', '--no-privileges', `--dbname=${target.database}`]);
  const stop = () => [dump, restore].forEach(({ child }) => child.kill('SIGTERM'));
  signal?.addEventListener('abort', stop, { once: true });
  try {
    const [dumped] = await Promise.all([
      dump.ended,
      restore.ended,
      pipeline(dump.child.stdout, restore.child.stdin).catch(() => undefined),
    ]);
    if (signal?.aborted) throw new SourceError('The rehearsal was stopped.', 'cancelled');
    if (dumped !== 0) throw new SourceError(`${source.database} could not be copied: ${said(dump.errors())}`, 'refused');
    return restore
      .errors()
      .split('\n')
      .flatMap((line) => /ERROR:\s+(.*)$/.exec(line)?.[1] ?? [])
      .map(withoutValues);
  } finally {
    signal?.removeEventListener('abort', stop);
  }
}

async function collect(program: string, details: ConnectionDetails, args: readonly string[]): Promise<string> {
  const { child, ended, errors } = start(program, details, args);
  let text = '';
  child.stdout.setEncoding('utf8').on('data', (part: string) => (text += part));
  if ((await ended) !== 0) throw new SourceError(`${details.database} could not be read: ${said(errors())}`, 'other');
  return text;
}

function start(program: string, details: ConnectionDetails, args: readonly string[]) {
  const { host, port, user, password, database, tls } = details;
  const sslmode = { off: 'disable', prefer: 'prefer', require: 'require', verify: 'verify-full' }[tls];
  return spawned(program, args, {
    PGHOST: host,
    PGPORT: String(port),
    PGUSER: user,
    PGPASSWORD: password,
    PGDATABASE: database,
    PGSSLMODE: sslmode,
    PGAPPNAME: 'pawl',
    // Known to newer libraries; older ones pass it over.
    ...(tls !== 'verify' && details.weakPassword !== true && { PGREQUIREAUTH: 'scram-sha-256' }),
    PGCONNECT_TIMEOUT: '10',
  });
}

function spawned(program: string, args: readonly string[], env: Readonly<Record<string, string>>) {
  return startProgram(programPath(program), { args, env, install: "Install Debian's postgresql-client" }, program);
}

/** Where `PAWL_PG_BIN` says, else the newest that Debian installed: it can read older servers, not newer ones. */
function programPath(program: string): string {
  const told = process.env['PAWL_PG_BIN'];
  if (told) return join(told, program);
  const root = '/usr/lib/postgresql';
  const versions = existsSync(root) ? readdirSync(root).sort((a, b) => Number(b) - Number(a)) : [];
  return versions.map((version) => join(root, version, 'bin', program)).find(existsSync) ?? program;
}

/** Only what is known to name objects is told as it is: what could not be read as a value stands in such a line, too. */
function withoutValues(line: string): string {
  const names =
    /(does not exist|already exists|permission denied|violates|could not (create|access|open)|must be|is not supported)/;
  return names.test(line) && !/^invalid/.test(line)
    ? line
    : 'something of it was refused there, for a value of a row or by a function';
}

function said(errors: string): string {
  const line = errors.split('\n').find((text) => /error/i.test(text)) ?? errors.split('\n')[0] ?? '';
  return line.replace(/^pg_\w+: (error: )?/, '') || 'no reason was given';
}
