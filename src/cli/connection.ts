// Where a command connects to, without a password standing in the arguments, which every user of the machine can list: from
// PGPASSWORD, a password file, a service, standard input, or typed at a prompt.

import { readFileSync } from 'node:fs';
import { homedir } from 'node:os';
import { join } from 'node:path';
import { createInterface } from 'node:readline/promises';
import { Writable } from 'node:stream';
import { text } from 'node:stream/consumers';
import pgpass from 'pgpass';
import { parseConnectionString } from '../sources/postgresql/connectionString';
import type { ConnectionDetails } from '../sources/source';
import { UsageError } from './arguments';

/**
 * Reads what was given as connection: `postgresql://…`, `service=NAME`, or `-` for standard input. A password that is not
 * in it is looked for where PostgreSQL's own programs do (manual, 34.14 to 34.17), then asked for. Throws UsageError,
 * SourceError `misspelt`.
 */
export async function connectionFrom(given: string): Promise<ConnectionDetails> {
  const found = given.startsWith('service=')
    ? serviceNamed(given.slice('service='.length))
    : parseConnectionString(given === '-' ? (await text(process.stdin)).trim() : given);
  if (found.password !== '') {
    if (given !== '-' && !given.startsWith('service='))
      process.stderr.write(
        'A password among the arguments shows in the list of processes: better leave it out, and set PGPASSWORD.\n',
      );
    return found;
  }
  return { ...found, password: process.env['PGPASSWORD'] ?? (await fromFile(found)) ?? (await askedFor(found)) };
}

function fromFile({ host, port, database, user }: ConnectionDetails): Promise<string | undefined> {
  return new Promise((resolve) => pgpass({ host, port, database, user }, resolve));
}

// A section of the connection service file (manual, 34.17).
function serviceNamed(name: string): ConnectionDetails {
  const file = process.env['PGSERVICEFILE'] ?? join(homedir(), '.pg_service.conf');
  let lines: readonly string[];
  try {
    lines = readFileSync(file, 'utf8').split(/\r?\n/);
  } catch (cause) {
    throw new UsageError(`${file} cannot be read. It names services, a [section] for each; PGSERVICEFILE names another.`, {
      cause,
    });
  }
  const start = lines.findIndex((line) => line.trim() === `[${name}]`);
  if (start < 0) throw new UsageError(`${file} has no service ${name}.`);
  const rest = lines.slice(start + 1);
  const end = rest.findIndex((line) => line.trim().startsWith('['));
  const settings = new Map(
    rest.slice(0, end < 0 ? rest.length : end).flatMap((line) => {
      const [, key, value] = /^\s*([a-z_]+)\s*=\s*(.*?)\s*$/.exec(line) ?? [];
      return key === undefined || value === undefined ? [] : [[key, value] as const];
    }),
  );
  const url = new URL('postgresql://host');
  url.hostname = settings.get('host') ?? 'localhost';
  url.port = settings.get('port') ?? '';
  url.username = encodeURIComponent(settings.get('user') ?? process.env['PGUSER'] ?? '');
  url.password = encodeURIComponent(settings.get('password') ?? '');
  url.pathname = `/${encodeURIComponent(settings.get('dbname') ?? settings.get('user') ?? '')}`;
  if (settings.has('sslmode')) url.searchParams.set('sslmode', settings.get('sslmode') ?? '');
  return parseConnectionString(url.href);
}

async function askedFor({ user, host, port }: ConnectionDetails): Promise<string> {
  if (!process.stdin.isTTY) return '';
  process.stderr.write(`Password of ${user} at ${host}:${port}: `);
  // What is typed is not shown.
  const silent = new Writable({ write: (_chunk, _encoding, done) => done() });
  const prompt = createInterface({ input: process.stdin, output: silent, terminal: true });
  try {
    return await prompt.question('');
  } finally {
    prompt.close();
    process.stderr.write('\n');
  }
}
