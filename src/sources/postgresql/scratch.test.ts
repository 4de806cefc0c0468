import { chmodSync, mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterEach, expect, test } from 'vitest';
import { useDatabase } from '../../../test/kit/database';
import { makeScratch, whyNotCopied } from './scratch';

const database = useDatabase('create table public.vessel (id int primary key)');
afterEach(() => delete process.env['PAWL_PG_BIN']);

function usePgDump(version: string): void {
  const folder = mkdtempSync(join(tmpdir(), 'pawl-old-'));
  writeFileSync(join(folder, 'pg_dump'), `#!/bin/sh\necho "pg_dump (PostgreSQL) ${version}"\n`);
  chmodSync(join(folder, 'pg_dump'), 0o755);
  process.env['PAWL_PG_BIN'] = folder;
}

test('a server that is newer than the pg_dump at hand is told of, with what is needed and where to say it', async () => {
  expect(await whyNotCopied('12.22')).toBeNull();
  usePgDump('14.9 (Debian 14.9-1)');
  expect(await whyNotCopied('14.23')).toBeNull();
  expect(await whyNotCopied('18.4')).toMatch(
    /PostgreSQL 18, and the pg_dump at hand is of 14.*postgresql-client-18.*PAWL_PG_BIN/,
  );
});

test('nothing is made anywhere when the source cannot be copied', async () => {
  usePgDump('9.6.24');
  await expect(makeScratch(database.details, database.details, { mostBytes: 1e9, label: 'never' })).rejects.toThrow(
    /the pg_dump at hand is of 9/,
  );
  const { rows } = await database.run(`select datname from pg_database where datname like 'pawl%never'`);
  expect(rows).toEqual([]);
});
