import { chmodSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { createConnection, type Connection } from 'mysql2';
import { afterAll, beforeAll } from 'vitest';
// @ts-expect-error A script without types: it must run before there are any.
import { startMariadb } from '../../scripts/mariadb.mjs';
// @ts-expect-error A script without types: it must run before there are any.
import { installMysql, mysqlPrograms, startMysql } from '../../scripts/mysql.mjs';
import type { ConnectionDetails } from '../../src/sources/mariadb/details';
import { parseConnectionString } from '../../src/sources/mariadb/connectionString';
import { rowsOf } from '../../src/sources/mariadb/connect';

interface Server {
  url(database?: string): string;
  pid(): number;
  isRunning(): boolean;
  start(): Promise<void>;
  stop(): Promise<void>;
}

type Run = (this: void, text: string) => Promise<readonly (readonly (string | null)[])[]>;

export interface TestServer {
  details(databases?: readonly string[]): ConnectionDetails;
  url(database?: string): string;
  /** Runs statements as the superuser, one after the other; what they give as text. */
  readonly run: Run;
  /** Somebody else's session. */
  connection(): Promise<Run>;
  /** As a crash would: nothing is written down any more; then up again, at the same address. */
  killAndStart(this: void): Promise<void>;
}

/** A server of a suite's own: its databases stand side by side, and suites would meet in them. */
export function useMariadb(setup = '', options: { readonly durable?: boolean } = {}): TestServer {
  return useServer(startMariadb as Start, setup, options);
}

/** The same of MySQL, which knows no tables of numbers: those that a text asks for are made of one. */
export function useMysql(setup = '', options: { readonly durable?: boolean } = {}): TestServer {
  return useServer(
    async (options) => {
      await (installMysql as () => Promise<void>)();
      process.env['PATH'] = `${(mysqlPrograms as () => string)()}:${process.env['PATH']}`;
      return (startMysql as Start)(options);
    },
    setup,
    { ...options, prepare: numbers },
  );
}

const numbers = `
  create table sys.pawl_numbers (seq int primary key);
  set cte_max_recursion_depth = 100000;
  insert into sys.pawl_numbers with recursive n (seq) as (select 1 union all select seq + 1 from n where seq < 20000) select seq from n`;

type Start = (options: object) => Promise<Server>;

interface Options {
  readonly durable?: boolean;
  readonly prepare?: string;
}

/** Suites that start at the same moment would find the same port free. */
const firstPort = 5930 + 20 * Number(process.env['VITEST_POOL_ID'] ?? 0);

function useServer(start: Start, setup: string, { durable = false, prepare = '' }: Options): TestServer {
  const folder = mkdtempSync(join(tmpdir(), 'pawl-mariadb-'));
  chmodSync(folder, 0o711);
  let server: Server;
  let connection: Connection;
  const others: Connection[] = [];
  const runOn =
    (on: () => Connection): Run =>
    async (text) => {
      let rows: Awaited<ReturnType<Run>> = [];
      for (const statement of statementsIn(text)) {
        if (prepare === '') rows = await rowsOf(on(), statement);
        else for (const own of asOfMysql(statement)) rows = await rowsOf(on(), own);
      }
      return rows;
    };
  const run = runOn(() => connection);
  // As the standard has it, and as the texts of suites are written.
  const reconnect = async () => {
    connection = await connectedTo(server.url());
    await run("set sql_mode = 'STRICT_TRANS_TABLES,NO_BACKSLASH_ESCAPES'");
  };
  beforeAll(async () => {
    server = await start({ folder: join(folder, 'data'), port: firstPort, durable, quiet: true });
    await reconnect();
    await run(prepare);
    await run(setup);
  }, 180_000);
  afterAll(async () => {
    for (const each of [connection, ...others]) each.destroy();
    await server.stop();
    rmSync(folder, { recursive: true, force: true });
  });
  return {
    details: (databases = []) => ({
      ...parseConnectionString(server.url()),
      databases,
      tls: 'off',
      weakPassword: prepare !== '',
    }),
    url: (database) => server.url(database),
    run,
    connection: async () => {
      const other = await connectedTo(server.url());
      others.push(other);
      return runOn(() => other);
    },
    killAndStart: async () => {
      process.kill(server.pid(), 'SIGKILL');
      while (server.isRunning()) await new Promise((resolve) => setTimeout(resolve, 10));
      await server.start();
      await reconnect();
    },
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
  // One that dies while nothing runs on it would end the process.
  connection.on('error', () => undefined);
  return new Promise((resolve, reject) => {
    connection.connect((error) => (error ? reject(error) : resolve(connection)));
  });
}

// What MariaDB says in one statement, and tables of numbers that it makes by itself.
function asOfMysql(statement: string): readonly string[] {
  const plain = statement.replaceAll(/\bseq_1_to_(\d+)\b/g, '(select seq from sys.pawl_numbers where seq <= $1) as seq_1_to_$1');
  const [, setting, rest] = /^set statement (\w+ = \w+) for (.*)$/s.exec(plain) ?? [];
  return setting === undefined || rest === undefined ? [plain] : [`set ${setting}`, rest, 'set foreign_key_checks = default'];
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
