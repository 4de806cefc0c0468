// A scratch copy of databases, made by the server's own programs: structure and rows as they are, under names of its own, with a
// login that has rights in the copies and nowhere else. Definers are cut off, events are not brought: on a copy nothing runs by
// itself, and nothing runs with more rights than that login has.

import { randomBytes } from 'node:crypto';
import { once } from 'node:events';
import { createInterface } from 'node:readline';
import { ownSchemas } from '../../core/engines/mariadb/questions/catalogue-queries';
import { literal, quote } from '../../core/engines/mariadb/quote';
import { tokensOf } from '../../core/engines/mariadb/shown';
import { copyName, type Fingerprint, isStale, labelHere, leftBehind, type Scratch, type ScratchOptions } from '../run/scratch';
import { SourceError } from '../SourceError';
import { type Client, openChanging, openReading, rowsOf, run, settled } from './connect';
import type { ConnectionDetails, Settled } from './details';
import { namesOnCopy, replaced } from './naming';
import { collect, programsOf, said, started } from './programs';
import { openSession } from './session';

const prefix = 'pawl_copy_';
const limits = { statementMs: 0, lockMs: 5_000 };

/** Copies databases onto a server where some may be made. Throws SourceError, with nothing left there. */
export async function makeScratch(
  source: ConnectionDetails,
  server: ConnectionDetails,
  { mostBytes, signal, label = labelHere() }: ScratchOptions,
): Promise<Scratch> {
  const seen = await lookAt(source);
  if (seen.bytes > mostBytes)
    throw new SourceError(
      `${seen.databases.join(', ')} holds more than may be copied (${Math.round(seen.bytes / 1e6).toLocaleString('en-GB')} MB, at most ${Math.round(mostBytes / 1e6).toLocaleString('en-GB')}), and of a database here no part can be copied that holds together. Rehearse on a restored copy of it.`,
      'refused',
    );
  const base = copyName(prefix, label);
  const names = new Map(seen.databases.map((name, i) => [name, `${base}_${i + 1}`]));
  const details: ConnectionDetails = {
    ...server,
    databases: [...names.values()],
    user: userOf(base, server),
    password: randomBytes(24).toString('hex'),
  };
  const remove = () =>
    onServer(server, (admin) => drop(admin, base, server)).catch((cause: unknown) => {
      throw leftBehind(`${server.host}:${server.port}`, cause);
    });
  try {
    await removeScratches(server, (other) => isStale(other, prefix, label));
    const target = await onServer(server, async (admin) => {
      await run(admin, `create user ${quote(details.user)}@'%' identified by ${literal(details.password)}`);
      for (const [name, copy] of names) {
        const [collation] = seen.collations.get(name) ?? ['utf8mb4_general_ci'];
        await run(admin, `create database ${quote(copy)} collate ${collation}`);
        // In a grant a name is a pattern.
        await run(admin, `grant all on ${quote(asPattern(copy))}.* to ${quote(details.user)}@'%'`);
      }
      return settled(details, admin);
    });
    const unmade: string[] = [];
    for (const [name, copy] of names)
      unmade.push(...(await copyDatabase({ source: seen.settled, target, name, copy, names, broken: seen.broken }, signal)));
    const translated = namesOnCopy(names);
    return {
      of: seen.databases.join(', '),
      owner: details.user,
      bytes: seen.bytes,
      sampled: null,
      leftOut: [...seen.leftOut, ...unmade],
      open: () => openSession(details, translated),
      fingerprint: () => fingerprintOf(details, translated.inward),
      remove,
    };
  } catch (error) {
    await remove();
    if (error instanceof SourceError) throw error;
    throw new SourceError(
      `No scratch copy could be made at ${server.host}:${server.port}: ${error instanceof Error ? error.message : 'unknown error'}. The login needs CREATE, CREATE USER and what it grants.`,
      'notAllowed',
      { cause: error },
    );
  }
}

/** Drops the scratch copies under a label: whoever made them died over it. */
export async function removeScratchesOf(server: ConnectionDetails, label: string): Promise<void> {
  await removeScratches(server, (name) => name.endsWith(`_${label}`));
}

async function removeScratches(server: ConnectionDetails, unwanted: (base: string) => boolean): Promise<void> {
  await onServer(server, async (admin) => {
    const rows = await rowsOf(
      admin.connection,
      `select schema_name from information_schema.schemata where schema_name like ${literal(`${asPattern(prefix)}%`)}`,
    );
    const users = await rowsOf(
      admin.connection,
      `select user from mysql.user where user like ${literal(`${asPattern(prefix)}%`)}`,
    ).catch(() => []);
    const bases = new Set([...rows.map(([name]) => (name ?? '').replace(/_\d+$/, '')), ...users.map(([name]) => name ?? '')]);
    for (const base of bases) if (unwanted(base)) await drop(admin, base, server);
  });
}

/** Its structure as SHOW CREATE tells it, and a sum over the rows of each table. */
export async function fingerprintOf(
  details: ConnectionDetails,
  told: (text: string) => string = (text) => text,
): Promise<Fingerprint> {
  const structure: string[] = [];
  const { dump: program, plainly } = programsOf[details.server];
  const client = await openReading(details, { ...limits, statementMs: 600_000 });
  try {
    for (const database of details.databases) {
      const args = [...plainly, '--no-data', '--routines', '--triggers', database];
      const lines = told(await collect(program, settled(details, client), args)).split('\n');
      structure.push(
        ...lines.filter((line) => line !== '' && !line.startsWith('--')).map((line) => line.replace(/ AUTO_INCREMENT=\d+/, '')),
      );
    }
    const rows = new Map<string, string>();
    for (const database of details.databases) {
      const tables = await rowsOf(
        client.connection,
        `select table_name from information_schema.tables where table_schema = ${literal(database)} and table_type in ('BASE TABLE', 'SYSTEM VERSIONED') order by table_name`,
      );
      for (const [name] of tables) rows.set(told(`${database}.${name}`), await sumOf(client, database, name ?? ''));
    }
    return { structure, rows };
  } finally {
    client.connection.destroy();
  }
}

// The server's own checksum depends on how a row is stored, which a column that came and went changes.
async function sumOf(client: Client, database: string, table: string): Promise<string> {
  const columns = await rowsOf(
    client.connection,
    `select column_name from information_schema.columns where table_schema = ${literal(database)} and table_name = ${literal(table)} order by ordinal_position`,
  );
  const row = columns.map(([name]) => `coalesce(hex(${quote(name ?? '')}), '-')`).join(', ');
  const [[count, sum] = []] = await rowsOf(
    client.connection,
    `select count(*), coalesce(sum(cast(conv(left(sha2(concat_ws('|', ${row}), 256), 15), 16, 10) as unsigned)), 0) from ${quote(database)}.${quote(table)}`,
  );
  return `${count} rows, ${sum}`;
}

interface Seen {
  readonly settled: Settled;
  readonly databases: readonly string[];
  readonly collations: ReadonlyMap<string, readonly [string]>;
  readonly bytes: number;
  /** Views that no longer fit what they read from: one of them would end the whole dump. */
  readonly broken: readonly string[];
  readonly leftOut: readonly string[];
}

async function lookAt(source: ConnectionDetails): Promise<Seen> {
  const client = await openReading(source);
  try {
    const schemas = await rowsOf(
      client.connection,
      `select schema_name, default_collation_name from information_schema.schemata where schema_name not in ${ownSchemas} order by schema_name`,
    );
    const databases = schemas
      .map(([name]) => name ?? '')
      .filter((name) => source.databases.length === 0 || source.databases.includes(name));
    const named = databases.map(literal).join(', ');
    const ask = async (query: string) => (databases.length === 0 ? [] : rowsOf(client.connection, query));
    const [[bytes] = []] = await ask(
      `select coalesce(sum(data_length + index_length), 0) from information_schema.tables where table_schema in (${named})`,
    );
    const broken = await ask(
      `select concat(table_schema, '.', table_name) from information_schema.tables where table_schema in (${named}) and table_type = 'VIEW' and table_comment like '%invalid%'`,
    );
    const versioned = await ask(
      `select concat(table_schema, '.', table_name) from information_schema.tables where table_schema in (${named}) and table_type = 'SYSTEM VERSIONED'`,
    );
    const events = await ask(
      `select concat(event_schema, '.', event_name) from information_schema.events where event_schema in (${named})`,
    );
    const grants = (await rowsOf(client.connection, 'show grants')).map(([grant]) => grant ?? '').join('\n');
    return {
      settled: settled(source, client),
      databases,
      collations: new Map(schemas.map(([name, collation]) => [name ?? '', [collation ?? 'utf8mb4_general_ci'] as const])),
      bytes: Number(bytes ?? 0),
      broken: broken.map(([name]) => name ?? ''),
      leftOut: [
        ...broken.map(([name]) => `${name}: a view that no longer fits what it reads from`),
        ...versioned.map(([name]) => `the former rows of ${name}`),
        ...events.map(([name]) => `the event ${name}: on a copy nothing runs by itself`),
        ...(/\b(ALL PRIVILEGES|TRIGGER)\b/.test(grants) ? [] : ['triggers: this login cannot see them']),
      ],
    };
  } finally {
    client.connection.destroy();
  }
}

async function onServer<T>(server: ConnectionDetails, work: (admin: Client) => Promise<T>): Promise<T> {
  const admin = await openChanging({ ...server, databases: [] }, limits);
  try {
    return await work(admin);
  } finally {
    admin.connection.destroy();
  }
}

async function drop(admin: Client, base: string, server: ConnectionDetails): Promise<void> {
  const user = userOf(base, server);
  const rows = await rowsOf(
    admin.connection,
    `select schema_name from information_schema.schemata where schema_name like ${literal(`${base.replaceAll('_', '\\_')}\\_%`)}`,
  );
  const sessions = await rowsOf(admin.connection, `select id from information_schema.processlist where user = ${literal(user)}`);
  for (const [id] of sessions) await run(admin, `kill ${Number(id)}`).catch(() => 0);
  // One may refer into another.
  await run(admin, 'set foreign_key_checks = 0');
  for (const [name] of rows) await run(admin, `drop database if exists ${quote(name ?? '')}`);
  await run(admin, `drop user if exists ${quote(user)}@'%'`);
}

/** A name where one is taken for a pattern. */
function asPattern(name: string): string {
  return name.replaceAll(/[%_\\]/g, '\\$&');
}

function userOf(base: string, { server }: ConnectionDetails): string {
  return base.slice(0, programsOf[server].longestUser);
}

interface Copied {
  readonly source: Settled;
  readonly target: Settled;
  readonly name: string;
  readonly copy: string;
  readonly names: ReadonlyMap<string, string>;
  readonly broken: readonly string[];
}

// Structure and rows apart: in the text of a structure definers can be cut off and names put over, rows go as they are. Programs come
// before the views that call them, triggers after the rows. Returns the views that could not be made, in words.
async function copyDatabase(copied: Copied, signal: AbortSignal | undefined): Promise<readonly string[]> {
  const { source, name, names, broken } = copied;
  const { plainly } = programsOf[source.server];
  const structure = (text: string): string => replaced(withoutDefiners(text), names, true);
  const views = await viewsOf(source, name);
  const ignored = views.map((view) => `--ignore-table=${name}.${view}`);
  const dumpOf = (args: readonly string[], some: readonly string[] = []) => ({
    details: source,
    // Names may begin with a dash.
    args: [...plainly, ...args, '--', name, ...some],
  });
  if (await readable(source, name))
    await pass(dumpOf([...ignored, '--no-create-info', '--no-data', '--skip-triggers', '--routines']), copied, {
      change: structure,
      signal,
    });
  await pass(dumpOf([...ignored, '--no-data', '--skip-triggers']), copied, { change: structure, signal });
  await pass(dumpOf([...ignored, '--no-create-info', '--skip-triggers']), copied, { signal });
  const wanted = views.filter((view) => !broken.includes(`${name}.${view}`));
  const unmade =
    wanted.length > 0
      ? await copyViews(dumpOf(['--no-data', '--skip-triggers'], wanted), copied, { change: structure, signal })
      : [];
  await pass(dumpOf([...ignored, '--no-create-info', '--no-data', '--triggers']), copied, { change: structure, signal });
  return unmade;
}

async function viewsOf(details: ConnectionDetails, database: string): Promise<readonly string[]> {
  const client = await openReading(details);
  try {
    const rows = await rowsOf(
      client.connection,
      `select table_name from information_schema.tables where table_schema = ${literal(database)} and table_type = 'VIEW' order by table_name`,
    );
    return rows.map(([view]) => view ?? '');
  } finally {
    client.connection.destroy();
  }
}

// One that calls a program which this login may not see cannot be made, and is no reason not to rehearse.
async function copyViews(dump: Dump, copied: Copied, how: Passing): Promise<readonly string[]> {
  const errors = await pass(dump, copied, { ...how, goesOn: true });
  const made = new Set(await viewsOf(copied.target, copied.copy));
  const all = await viewsOf(copied.source, copied.name);
  const why = said(errors);
  return all
    .filter((view) => !made.has(view) && !copied.broken.includes(`${copied.name}.${view}`))
    .map((view) => `${copied.name}.${view}: a view that could not be made on the copy (${why})`);
}

// Whoever may not look at all of them is refused the whole dump.
async function readable(source: ConnectionDetails, database: string): Promise<boolean> {
  const client = await openReading(source);
  try {
    if (source.server === 'mariadb') {
      await rowsOf(client.connection, `select 1 from mysql.proc where db = ${literal(database)} limit 1`);
      return true;
    }
    const [[hidden] = []] = await rowsOf(
      client.connection,
      `select count(*) from information_schema.routines where routine_schema = ${literal(database)} and routine_definition is null`,
    );
    return hidden === '0';
  } catch {
    return false;
  } finally {
    client.connection.destroy();
  }
}

/** `DEFINER=…` of views, triggers and programs, in comments that the server reads as well. */
function withoutDefiners(text: string): string {
  let cut = '';
  let at = 0;
  const tokens = tokensOf(text, 'flat');
  tokens.forEach((token, i) => {
    if (token.kind !== 'word' || token.value.toUpperCase() !== 'DEFINER' || tokens[i + 1]?.value !== '=') return;
    const user = tokens[i + 2];
    const end = tokens[i + 3]?.value === '@' ? tokens[i + 4] : user;
    if (!user || !end) return;
    cut += text.slice(at, token.from);
    at = end.to;
  });
  return cut + text.slice(at);
}

interface Dump {
  readonly details: Settled;
  readonly args: readonly string[];
}

interface Passing {
  /** The whole text is changed on the way. */
  readonly change?: (text: string) => string;
  /** What the copy refuses is left out. */
  readonly goesOn?: boolean;
  readonly signal: AbortSignal | undefined;
}

/** From a dump into the copy. Returns what the copy said to it. */
async function pass(
  { details, args }: Dump,
  { target, copy, name }: Copied,
  { change, goesOn = false, signal }: Passing,
): Promise<string> {
  const { load: loader, loading } = programsOf[target.server];
  const dump = started(programsOf[details.server].dump, details, goesOn ? ['--force', ...args] : args);
  const load = started(loader, target, [...loading, ...(goesOn ? ['--force'] : []), copy]);
  const stop = () => [dump, load].forEach(({ child }) => child.kill('SIGTERM'));
  signal?.addEventListener('abort', stop, { once: true });
  try {
    if (change) load.child.stdin.write(change(await allOf(dump.child.stdout)));
    else
      for await (const part of dump.child.stdout as AsyncIterable<Buffer>)
        if (!load.child.stdin.write(part)) await Promise.race([once(load.child.stdin, 'drain'), load.ended]);
    load.child.stdin.end();
    const [dumped, loaded] = await Promise.all([dump.ended, load.ended]);
    if (signal?.aborted) throw new SourceError('The rehearsal was stopped.', 'cancelled');
    if (dumped !== 0 && !goesOn) throw new SourceError(`${name} could not be copied: ${said(dump.errors())}`, 'refused');
    if (loaded !== 0 && !goesOn)
      throw new SourceError(`The copy of ${name} could not be made: ${said(load.errors())}`, 'refused');
    return `${dump.errors()}\n${load.errors()}`.trim();
  } finally {
    signal?.removeEventListener('abort', stop);
  }
}

async function allOf(stream: NodeJS.ReadableStream): Promise<string> {
  let text = '';
  for await (const line of createInterface({ input: stream, crlfDelay: Infinity })) text += `${line}\n`;
  return text;
}
