// Brings Pawl's own database up to date: numbered SQL files, each run once, in order, in a transaction.

import { readdir, readFile } from 'node:fs/promises';
import pg from 'pg';

const folder = new URL('migrations/', import.meta.url);
// Any number will do, so long as it is always the same one.
const oneAtATime = 7_295_401;

/** Returns the names of the migrations that were run. Two processes may call it at once. */
export async function migrate(connectionString: string): Promise<readonly string[]> {
  const client = new pg.Client({ connectionString, application_name: 'pawl migrate', options: '-c search_path=pawl' });
  await client.connect();
  try {
    await client.query('select pg_advisory_lock($1)', [oneAtATime]);
    await client.query('create schema if not exists pawl');
    await client.query(
      'create table if not exists migrations (name text primary key, run_at timestamptz not null default now())',
    );
    const { rows } = await client.query<{ name: string }>('select name from migrations');
    const done = new Set(rows.map((row) => row.name));
    const known = (await readdir(folder)).filter((name) => name.endsWith('.sql')).sort();
    const open = known.filter((name) => !done.has(name));
    refuseNewer([...done].filter((name) => !known.includes(name)));
    if (open.length > 0 && done.size > 0) await refuseWhileRunning(client);
    for (const name of open) await runOne(client, name);
    return open;
  } finally {
    await client.end();
  }
}

// What a newer version keeps, this one could not read.
function refuseNewer(unknown: readonly string[]): void {
  if (unknown.length > 0)
    throw new Error(
      `Pawl's own database was brought up to date by a newer version (${unknown.join(', ')}). Start that one, or restore a copy of the database from before.`,
    );
}

// A run goes on as it was begun: neither its plan nor what is written of it changes its form under it.
async function refuseWhileRunning(client: pg.Client): Promise<void> {
  const { rows } = await client.query<{ name: string }>(`select name from dockets where state = 'Running' order by id`);
  if (rows.length > 0)
    throw new Error(
      `This version of Pawl starts once nothing runs: ${rows.map(({ name }) => name).join(', ')}. Start the version that you had, let it end or stop it there, then start this one.`,
    );
}

async function runOne(client: pg.Client, name: string): Promise<void> {
  await client.query('begin');
  try {
    await client.query(await readFile(new URL(name, folder), 'utf8'));
    await client.query('insert into migrations (name) values ($1)', [name]);
    await client.query('commit');
  } catch (cause) {
    await client.query('rollback');
    throw new Error(
      `Migration ${name} of Pawl's own database failed and was rolled back: ${cause instanceof Error ? cause.message : String(cause)}`,
      { cause },
    );
  }
}
