import { execFile } from 'node:child_process';
import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { promisify } from 'node:util';
import type { ConnectionDetails } from '../../src/sources/postgresql/details';

/** Runs a script as people do, and returns what went wrong; empty when nothing did. */
export function runScript(details: ConnectionDetails, script: string): Promise<string> {
  return runIn(mkdtempSync(join(tmpdir(), 'pawl-psql-')), details, script);
}

/** The file that a script of questions writes. */
export async function answersTo(details: ConnectionDetails, script: string, habits: readonly string[] = []): Promise<Buffer> {
  const folder = mkdtempSync(join(tmpdir(), 'pawl-psql-'));
  await runIn(folder, details, script, habits);
  return readFileSync(join(folder, /^\\o (\S+)$/m.exec(script)?.[1] ?? ''));
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
