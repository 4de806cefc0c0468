// Makes the boatyard on a MariaDB server: databases, rows, and two logins.

import { readFile } from 'node:fs/promises';
import { parseConnectionString } from '../../src/sources/mariadb/connectionString';
import { type Client, openChanging, rowsOf, run } from '../../src/sources/mariadb/connect';
import type { Login } from '../harbour/create';

/** Made-up logins of a made-up boatyard, on a server that listens on loopback only. */
export const yardAuditor: Login = { user: 'slipway_audit', password: 'look-no-touch' };
export const yardOwner: Login = { user: 'slipway_owner', password: 'mend-with-care' };

export const yardDatabases = ['slipway', 'slipway_stores'] as const;
const limits = { statementMs: 0, lockMs: 10_000 };

/** `admin` is the address of somebody who may do all. Databases of these names are replaced. */
export async function createSlipway(admin: string): Promise<void> {
  await on(admin, async (client) => {
    // Each may refer into the other.
    await run(client, 'set foreign_key_checks = 0');
    for (const name of yardDatabases) {
      await run(client, `create or replace database \`${name}\` character set utf8mb4 collate utf8mb4_general_ci`);
    }
    await run(client, 'set foreign_key_checks = 1');
    // As it was for years: nobody had asked for strictness.
    await run(client, "set sql_mode = 'NO_ENGINE_SUBSTITUTION'");
    await run(client, 'use slipway');
    const text = await readFile(new URL('schema.sql', import.meta.url), 'utf8');
    for (const statement of text.split(/;[ \t]*\n/)) {
      const code = statement.replaceAll(/^--.*$/gm, '').trim();
      if (code !== '') await run(client, code);
    }
    for (const { user, password } of [yardAuditor, yardOwner])
      await run(client, `create or replace user ${user}@'%' identified by '${password}'`);
    for (const name of yardDatabases) {
      await run(client, `grant select, show view on \`${name}\`.* to ${yardAuditor.user}@'%'`);
      await run(
        client,
        `grant select, insert, update, delete, create, drop, alter, index, references, trigger, create view, show view, create temporary tables on \`${name}\`.* to ${yardOwner.user}@'%'`,
      );
    }
    for (const table of ['innodb_table_stats', 'innodb_index_stats'])
      for (const { user } of [yardAuditor, yardOwner]) await run(client, `grant select on mysql.${table} to ${user}@'%'`);
  });
}

/** True when the server has no boatyard, or one whose making was interrupted. */
export function isNewSlipwayNeeded(admin: string): Promise<boolean> {
  return on(admin, async ({ connection }) => {
    const [[found] = []] = await rowsOf(
      connection,
      "select count(*) from information_schema.table_privileges where table_name = 'innodb_index_stats' and grantee like '''slipway_owner%'",
    );
    return found === '0';
  });
}

async function on<T>(admin: string, work: (client: Client) => Promise<T>): Promise<T> {
  const client = await openChanging({ ...parseConnectionString(admin), tls: 'off' }, limits);
  try {
    return await work(client);
  } finally {
    client.connection.destroy();
  }
}
