import { execFile } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { promisify } from 'node:util';
import type { ConnectionDetails } from '../../src/sources/postgresql/details';

/** Runs a script as people do, and returns what went wrong; empty when nothing did. */
export function runScript(details: ConnectionDetails, script: string): Promise<string> {
  return inFolder((folder) => runIn(folder, details, script));
}

/** The file that a script of questions writes. */
export function answersTo(details: ConnectionDetails, script: string, habits: readonly string[] = []): Promise<Buffer> {
  return inFolder(async (folder) => {
    await runIn(folder, details, script, habits);
    return readFileSync(join(folder, /^\\o (\S+)$/m.exec(script)?.[1] ?? ''));
  });
}

/** What comes of work in a folder of its own, which goes after. */
async function inFolder<T>(work: (folder: string) => Promise<T>): Promise<T> {
  const folder = mkdtempSync(join(tmpdir(), 'pawl-psql-'));
  return work(folder).finally(() => rmSync(folder, { recursive: true }));
}

async function runIn(
  folder: string,
  { host, port, database, user, password }: ConnectionDetails,
  script: string,
  habits: readonly string[] = [],
): Promise<string> {
  writeFileSync(join(folder, 'script.sql'), script);
  const args = ['-X', '-q', '-h', host, '-p', String(port), '-U', user, '-d', database, ...habits, '-f', 'script.sql'];
  return promisify(execFile)('psql', args, { cwd: folder, env: { ...process.env, PGPASSWORD: password } }).then(
    () => '',
    (error: { stderr: string }) => error.stderr,
  );
}
