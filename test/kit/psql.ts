import { execFile } from 'node:child_process';
import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { promisify } from 'node:util';
import type { ConnectionDetails } from '../../src/sources/postgresql/details';

/** Runs a script as people do, and returns what went wrong; empty when nothing did. */
export async function runScript({ host, port, database, user, password }: ConnectionDetails, script: string): Promise<string> {
  const file = join(mkdtempSync(join(tmpdir(), 'pawl-psql-')), 'script.sql');
  writeFileSync(file, script);
  const args = ['-X', '-q', '-h', host, '-p', String(port), '-U', user, '-d', database, '-f', file];
  return promisify(execFile)('psql', args, { env: { ...process.env, PGPASSWORD: password } }).then(
    () => '',
    (error: { stderr: string }) => error.stderr,
  );
}
