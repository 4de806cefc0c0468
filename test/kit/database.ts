import { randomBytes } from 'node:crypto';
import pg from 'pg';
import { afterAll, beforeAll, inject } from 'vitest';
import type { ConnectionDetails } from '../../src/sources/postgresql/details';
import { openSource } from '../../src/sources/postgresql/reader';
import { fingerprintOf } from '../../src/sources/postgresql/scratch';
import type { Fingerprint } from '../../src/sources/run/scratch';
import type { Source } from '../../src/sources/source';

export interface TestDatabase {
  readonly url: string;
  readonly details: ConnectionDetails;
  /** Opens it for reading. */
  open(): Promise<Source>;
  /** What its schema and rows are. */
  fingerprint(): Promise<Fingerprint>;
  /** Runs SQL as the superuser. */
  readonly run: (text: string, values?: unknown[]) => Promise<pg.QueryResult<Record<string, unknown>>>;
}

/** A database of a suite's own, made before it and dropped after. `setup` is its SQL. */
export function useDatabase(setup = ''): TestDatabase {
  const name = `t_${randomBytes(6).toString('hex')}`;
  const url = new URL(inject('server'));
  url.pathname = `/${name}`;
  let client: pg.Client;
  beforeAll(async () => {
    await onServer(`create database ${name}`);
    client = new pg.Client({ connectionString: url.href });
    client.on('error', () => undefined);
    await client.connect();
    if (setup !== '') await client.query(setup);
  });
  afterAll(async () => {
    await client.end();
    await dropDatabase(name);
  });
  const details: ConnectionDetails = {
    host: url.hostname,
    port: Number(url.port),
    database: name,
    user: url.username,
    password: url.password,
    tls: 'prefer',
  };
  return {
    url: url.href,
    details,
    open: () => openSource(details),
    fingerprint: () => fingerprintOf(details),
    run: (text, values) => client.query(text, values),
  };
}

/** Whoever is still in it is sent away, again as long as somebody comes back: servers before 13 do not do that themselves. */
export async function dropDatabase(name: string): Promise<void> {
  for (let tries = 0; ; tries++) {
    await onServer(`select pg_terminate_backend(pid) from pg_stat_activity where datname = '${name}'`);
    try {
      return await onServer(`drop database ${name}`);
    } catch (error) {
      if (tries === 10 || (error as { code?: string }).code !== inUse) throw error;
    }
  }
}

const inUse = '55006';

export async function onServer(text: string): Promise<void> {
  const client = new pg.Client({ connectionString: inject('server') });
  await client.connect();
  try {
    await client.query(text);
  } finally {
    await client.end();
  }
}
