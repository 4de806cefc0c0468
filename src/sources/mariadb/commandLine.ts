// Where a command connects to, without a password standing in the arguments, which every user of the machine can list: from
// MYSQL_PWD, the option files that the server's own programs read, or typed at a prompt.

import { readFileSync } from 'node:fs';
import { homedir } from 'node:os';
import { join } from 'node:path';
import type { CommandLine } from '../kind';
import { parseConnectionString } from './connectionString';
import type { ServerName } from './details';
import type { ServerSettings } from './settings';

export const commandLineOf = (server: ServerName): CommandLine<ServerSettings> => ({
  usage: `${server}://USER@HOST:PORT/DATABASE[,DATABASE]`,
  reads: (given) => given.toLowerCase().startsWith(`${server}://`),
  async connection(given, asking) {
    const { password, databases, server: _, ...found } = parseConnectionString(given);
    const settings = { fingerprint: '', weakPassword: false, ...found, databases: databases.join(',') };
    if (password !== '') {
      asking.warn('A password among the arguments shows in the list of processes: better leave it out, and set MYSQL_PWD.');
      return { settings, secret: password };
    }
    const prompt = `Password of ${found.user} at ${found.host}:${found.port}: `;
    return { settings, secret: process.env['MYSQL_PWD'] ?? fromOptionFile() ?? (await asking.secret(prompt)) };
  },
});

// Manual, "Configuring MariaDB Connector/C with Option Files": a password stands in the groups that clients read.
function fromOptionFile(): string | null {
  const file = process.env['MYSQL_HOME'] ? join(process.env['MYSQL_HOME'], 'my.cnf') : join(homedir(), '.my.cnf');
  let text: string;
  try {
    text = readFileSync(file, 'utf8');
  } catch {
    return null;
  }
  let group = '';
  let password: string | null = null;
  for (const line of text.split(/\r?\n/)) {
    group = /^\s*\[([^\]]+)\]/.exec(line)?.[1] ?? group;
    const value = /^\s*password\s*=\s*(.*?)\s*$/.exec(line)?.[1];
    if (value !== undefined && ['client', 'client-server', 'client-mariadb', 'mariadb-client', 'mysql'].includes(group))
      password = value.replace(/^(["'])(.*)\1$/, '$2');
  }
  return password;
}
