// Makes the harbour database on a server: roles, schema, rows, and statistics.

import { readFile } from 'node:fs/promises';
import pg from 'pg';
import { harbourRows } from './rows';

export interface DemoDatabase {
  readonly host: string;
  readonly port: number;
  readonly database: string;
  readonly auditor: Login;
  readonly owner: Login;
}

export interface Login {
  readonly user: string;
  readonly password: string;
}

const rowsAtOnce = 4000;

/** Made-up logins of a made-up harbour, on a server that listens on loopback only. */
export const auditor: Login = { user: 'harbour_audit', password: 'look-no-touch' };
export const owner: Login = { user: 'harbour_owner', password: 'mend-with-care' };

/** `admin` is a superuser's connection string to the same server. An existing database of that name is replaced. */
export async function createHarbour(
  admin: string,
  database = 'harbour',
  onTable: (table: string) => void = () => undefined,
): Promise<DemoDatabase> {
  const server = new pg.Client({ connectionString: admin });
  await server.connect();
  try {
    for (const { user, password } of [auditor, owner]) {
      const known = await server.query('select 1 from pg_roles where rolname = $1', [user]);
      if (known.rowCount === 0) await server.query(`create role ${user} login password '${password}'`);
    }
    // Servers before 13 do not send away whoever is in it.
    await server.query('select pg_terminate_backend(pid) from pg_stat_activity where datname = $1', [database]);
    await server.query(`drop database if exists ${server.escapeIdentifier(database)}`);
    await server.query(`create database ${server.escapeIdentifier(database)} owner ${owner.user}`);
  } finally {
    await server.end();
  }
  const url = new URL(admin);
  url.pathname = `/${database}`;
  url.username = owner.user;
  url.password = owner.password;
  await fill(url.href, onTable);
  return { host: url.hostname, port: Number(url.port), database, auditor, owner };
}

async function fill(connectionString: string, onTable: (table: string) => void): Promise<void> {
  const client = new pg.Client({ connectionString });
  await client.connect();
  try {
    await client.query('begin');
    await client.query(await readFile(new URL('schema.sql', import.meta.url), 'utf8'));
    for (const { table, rows } of harbourRows()) {
      onTable(table);
      for (let at = 0; at < rows.length; at += rowsAtOnce) {
        await client.query(`insert into ${table} select * from json_populate_recordset(null::${table}, $1)`, [
          JSON.stringify(rows.slice(at, at + rowsAtOnce)),
        ]);
      }
    }
    await client.query(`
      select setval('port.mooring_job_mooring_id_seq', (select max(mooring_id) from port.mooring_job));
      select setval('port.crew_pass_pass_id_seq', (select max(pass_id) from port.crew_pass));
      -- Planted: added without a look at the rows that were there.
      alter table port.crew_pass add constraint fk_crew_pass_vessel foreign key (vessel_id) references port.vessel not valid`);
    await client.query(`
      grant usage on schema port, cargo, dues, tide to ${auditor.user};
      grant select on all tables in schema port, cargo, dues, tide to ${auditor.user};
      revoke select on port.incident_file from ${auditor.user}`);
    await client.query('commit');
    await client.query('analyze');
  } finally {
    await client.end();
  }
}
