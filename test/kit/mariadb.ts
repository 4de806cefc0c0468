import { chmodSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { createConnection, type Connection } from 'mysql2';
import { afterAll, beforeAll } from 'vitest';
// @ts-expect-error A script without types: it must run before there are any.
import { startMariadb as start } from '../../scripts/mariadb.mjs';
import type { ConnectionDetails } from '../../src/sources/mariadb/details';
import { parseConnectionString } from '../../src/sources/mariadb/connectionString';
import { rowsOf } from '../../src/sources/mariadb/connect';

interface Server {
  url(database?: string): string;
  stop(): Promise<void>;
}

export interface TestServer {
  details(databases?: readonly string[]): ConnectionDetails;
  url(database?: string): string;
  /** Runs statements as the superuser, one after the other; what they give as text. */
  run(this: void, text: string): Promise<readonly (readonly (string | null)[])[]>;
}

/** A server of a suite's own: its databases stand side by side, and suites would meet in them. */
export function useMariadb(setup = ''): TestServer {
  const folder = mkdtempSync(join(tmpdir(), 'pawl-mariadb-'));
  chmodSync(folder, 0o711);
  let server: Server;
  let connection: Connection;
  const run = async (text: string) => {
    let rows: readonly (readonly (string | null)[])[] = [];
    for (const statement of statementsIn(text)) rows = await rowsOf(connection, statement);
    return rows;
  };
  beforeAll(async () => {
    const begin = start as (options: object) => Promise<Server>;
    server = await begin({ folder: join(folder, 'data'), port: 5930, durable: false, quiet: true });
    connection = await connectedTo(server.url());
    // As the standard has it, and as the texts of suites are written.
    await run("set sql_mode = 'STRICT_TRANS_TABLES,NO_BACKSLASH_ESCAPES'");
    await run(setup);
  }, 60_000);
  afterAll(async () => {
    connection.destroy();
    await server.stop();
    rmSync(folder, { recursive: true, force: true });
  });
  return {
    details: (databases = []) => ({ ...parseConnectionString(server.url()), databases, tls: 'off' }),
    url: (database) => server.url(database),
    run,
  };
}

function connectedTo(url: string): Promise<Connection> {
  const { host, port, user, password } = parseConnectionString(url);
  const connection = createConnection({
    ...{ host, port, user, password },
    rowsAsArray: true,
    charset: 'utf8mb4',
    typeCast: (field: { string(): string | null }) => field.string(),
  });
  return new Promise((resolve, reject) => {
    connection.connect((error) => (error ? reject(error) : resolve(connection)));
  });
}

// Apart at semicolons that end a line, but for those within a block.
function statementsIn(text: string): readonly string[] {
  return text
    .split(/;[ \t]*(?:\n|$)/)
    .reduce<readonly string[]>((parts, part) => {
      const last = parts.at(-1);
      const open = last !== undefined && /\bbegin\b/i.test(last) && !/\bend\s*$/i.test(last);
      return open ? [...parts.slice(0, -1), `${last};\n${part}`] : [...parts, part];
    }, [])
    .map((statement) => statement.trim())
    .filter((statement) => statement !== '');
}
