// Where a command connects to, without a password standing in the arguments, which every user of the machine can list: from
// PGPASSWORD, a password file, a service, standard input, or typed at a prompt.

import { readFileSync } from 'node:fs';
import { homedir } from 'node:os';
import { join } from 'node:path';
import pgpass from 'pgpass';
import type { CommandLine } from '../kind';
import { SourceError } from '../SourceError';
import { parseConnectionString } from './connectionString';
import type { ConnectionDetails } from './details';
import type { ServerSettings } from './settings';

/**
 * `postgresql://…`, `service=NAME`, or `-` for standard input. A password that is not in it is looked for where the server's own
 * programs do (manual, 34.14 to 34.17), then asked for.
 */
export const commandLine: CommandLine<ServerSettings> = {
  usage: 'postgresql://USER@HOST:PORT/DATABASE|service=NAME|-',
  // An address of another kind of server says so by its scheme.
  reads: (given) => !/^[a-z]+:\/\//i.test(given) || /^postgres(ql)?:/i.test(given),
  async connection(given, asking) {
    const found = given.startsWith('service=')
      ? serviceNamed(given.slice('service='.length))
      : parseConnectionString(given === '-' ? (await asking.input()).trim() : given);
    const { password, ...settings } = { weakPassword: false, ...found };
    if (password === '') {
      const prompt = `Password of ${found.user} at ${found.host}:${found.port}: `;
      const secret = process.env['PGPASSWORD'] ?? (await fromFile(found)) ?? (await asking.secret(prompt));
      return { settings, secret };
    }
    if (given !== '-' && !given.startsWith('service='))
      asking.warn('A password among the arguments shows in the list of processes: better leave it out, and set PGPASSWORD.');
    return { settings, secret: password };
  },
};

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
    throw new SourceError(
      `${file} cannot be read. It names services, a [section] for each; PGSERVICEFILE names another.`,
      'misspelt',
      { cause },
    );
  }
  const start = lines.findIndex((line) => line.trim() === `[${name}]`);
  if (start < 0) throw new SourceError(`${file} has no service ${name}.`, 'misspelt');
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
