// One private PostgreSQL for all suites of a run, each with databases of its own; gone afterwards.

import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chmodSync } from 'node:fs';
import type { TestProject } from 'vitest/node';
// @ts-expect-error A script without types: it must run before there are any.
import { startPostgres } from '../../scripts/postgres.mjs';
// @ts-expect-error Likewise.
import { serverOf as find } from '../../scripts/servers.mjs';

/** Another version than Debian's, where one is asked for. */
const serverOf = find as (major: string) => { readonly bin: string; readonly lib: string } | null;

interface Server {
  url(database?: string): string;
  stop(): void;
}

export default async function setup(project: TestProject) {
  const folder = mkdtempSync(join(tmpdir(), 'pawl-test-'));
  chmodSync(folder, 0o711);
  const server = (await (startPostgres as (options: object) => Promise<Server>)({
    folder: join(folder, 'postgres'),
    port: 5730,
    durable: false,
    server: serverOf(process.env['PAWL_TEST_SERVER'] ?? ''),
  })) satisfies Server;
  project.provide('server', server.url());
  return () => {
    server.stop();
    rmSync(folder, { recursive: true, force: true });
  };
}

declare module 'vitest' {
  export interface ProvidedContext {
    server: string;
  }
}
