// The family's own client, as people run it.

import { spawnSync } from 'node:child_process';
import type { ConnectionDetails } from '../../src/sources/mariadb/details';

interface Reached {
  details(this: void): ConnectionDetails;
}

/** Runs a script by the server's own client, on a database of theirs, as people are told to; what went wrong, empty when nothing did. */
export function byMariadbClient(server: Reached, script: string, database?: string): string {
  const stops = server.details().server === 'mysql' ? [] : ['--abort-source-on-error'];
  const { status, stderr } = byClient(
    server,
    ['--binary-mode', ...stops, ...(database === undefined ? [] : [`--database=${database}`])],
    script,
  );
  return status === 0 ? '' : stderr.toString() || `it ended with ${status}`;
}

/** What a script of questions writes, run on the first of its databases, or on `port`, with what people are told, and whatever else they are used to. */
export function answersByMariadbClient(
  server: Reached,
  script: string,
  as: { readonly user: string; readonly password: string } | null,
  habits: readonly string[] = ['--skip-column-names'],
): Buffer {
  const { stdout, stderr } = byClient(
    server,
    ['--batch', '--force', ...habits, `--database=${server.details().databases[0] ?? 'port'}`],
    script,
    as ?? {},
  );
  if (stdout.length === 0) throw new Error(stderr.toString());
  return stdout;
}

function byClient(server: Reached, options: readonly string[], input: string, as: Partial<ConnectionDetails> = {}) {
  const { server: kind, host, port, user, password } = { ...server.details(), ...as };
  const key = kind === 'mysql' ? ['--get-server-public-key'] : [];
  const args = ['--no-defaults', ...key, ...options, `-h${host}`, `-P${port}`, `-u${user}`];
  return spawnSync(kind, args, { input, env: { ...process.env, MYSQL_PWD: password }, maxBuffer: 1 << 30 });
}
