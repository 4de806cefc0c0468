// What the machine itself has to have: Debian packages and our own npm packages. Nothing here needs
// node_modules, as it is what makes them.

import { spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';

export const root = join(import.meta.dirname, '..');

/** Says what is being done, and how long it took once done. */
export async function step(title, work) {
  const started = Date.now();
  process.stdout.write(`  ${title} …`);
  const note = await work();
  const seconds = ((Date.now() - started) / 1000).toFixed(1);
  process.stdout.write(` ${note ?? 'done'} (${seconds} s)\n`);
}

/** The folder of PostgreSQL's server programs, newest version first; null when not installed. */
export function findPostgresBinaries() {
  const base = '/usr/lib/postgresql';
  const versions = existsSync(base) ? readdirSync(base).sort((a, b) => Number(b) - Number(a)) : [];
  const folder = versions.map((version) => join(base, version, 'bin')).find((bin) => existsSync(join(bin, 'initdb')));
  return folder ?? null;
}

/** Installs Debian packages as root or through sudo; otherwise says which command to run, and stops. */
export function installPackages(packages) {
  const isRoot = process.getuid?.() === 0;
  const canSudo = !isRoot && spawnSync('sudo', ['-n', 'true'], { stdio: 'ignore' }).status === 0;
  if (!isRoot && !canSudo)
    fail(
      `These Debian packages are missing: ${packages.join(', ')}.\nRun this once, then start again:\n\n  sudo apt-get update && sudo apt-get install -y ${packages.join(' ')}`,
    );
  const apt = (...args) => {
    const env = { ...process.env, DEBIAN_FRONTEND: 'noninteractive' };
    const [command, ...rest] = isRoot
      ? ['apt-get', ...args]
      : ['sudo', '-n', 'DEBIAN_FRONTEND=noninteractive', 'apt-get', ...args];
    return spawnSync(command, rest, { env, encoding: 'utf8' });
  };
  apt('update', '-qq');
  // The package would start a server of its own on 5432; ours is private.
  const done = apt('install', '-y', '-qq', '--no-install-recommends', ...packages);
  if (done.status !== 0)
    fail(`apt-get could not install ${packages.join(', ')}:\n${done.stderr}\nInstall them by hand, then start again.`);
}

/** Runs `npm ci` unless the installed packages are those of the lock file. */
export async function installNodeModules() {
  const lock = createHash('sha256')
    .update(readFileSync(join(root, 'package-lock.json')))
    .digest('hex');
  const stamp = join(root, 'node_modules', '.pawl-lock');
  if (existsSync(stamp) && readFileSync(stamp, 'utf8') === lock) return;
  await step('Installing npm packages (about a minute)', () => {
    const done = spawnSync('npm', ['ci', '--no-audit', '--no-fund', '--loglevel=error'], { cwd: root, encoding: 'utf8' });
    if (done.status !== 0) fail(`npm ci failed:\n${done.stdout}\n${done.stderr}`);
    writeFileSync(stamp, lock);
  });
}

/** Ends the program with a message and nothing else. */
export function fail(message) {
  process.stderr.write(`\n${message}\n`);
  process.exit(1);
}
