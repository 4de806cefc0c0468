// A store that an earlier version left: nothing of it is lost, and neither version starts where it must not.

import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import pg from 'pg';
import { afterAll, beforeAll, expect, test } from 'vitest';
import { useDatabase } from '../../test/kit/database';
import { openStore } from './db';
import { findFrozen, listDockets, listItems } from './dockets/dockets';
import { findRehearsal } from './dockets/rehearsals';
import { findFinding } from './findings/findings';
import { migrate } from './migrate';
import { getSettings } from './sources/settings';
import { findSource } from './sources/sources';
import { findCatalogue, findLastExact } from './surveys/surveys';

const database = useDatabase();
const folder = join(import.meta.dirname, 'migrations');
let store: pg.Pool;
beforeAll(() => void (store = openStore(database.url)));
afterAll(() => store.end());

const column = {
  id: 'port.call.call_no',
  name: 'call_no',
  declaredType: 'bigint',
  nullable: true,
  default: "nextval('s')",
  identity: null,
};
const catalogue = {
  engine: { name: 'postgresql', version: '15.0' },
  database: 'harbour',
  schemas: [],
  sequences: [],
  joins: [],
  tables: [
    {
      id: 'port.call',
      schema: 'port',
      name: 'call',
      columns: [column],
      constraints: [{ kind: 'unique', name: 'uq_call', columns: ['call_no'], nullsDistinct: false }],
      indexes: [],
    },
  ],
};
const plan = {
  mode: 'plain',
  steps: [
    {
      operation: { kind: 'addIdentityColumn', table: 'port.call', column: 'id', batches: false },
      finding: 'keys/missing:port.call',
      cost: { lock: 'ACCESS EXCLUSIVE', blocks: 'readers and writers', work: 'rewrites the table' },
      proofs: [],
    },
  ],
  back: [
    {
      kind: 'forgetValidation',
      table: 'port.call',
      name: 'fk',
      before: { kind: 'addForeignKey', table: 'port.call', name: 'fk' },
    },
  ],
  before: [],
  after: [],
  problems: [],
};

// Of each kind there is one.
const first = 1 as never;

test('what an earlier version kept is there after an update, in today’s form', async () => {
  await asBefore(store, '000007.sql');
  await keepAsBefore(store);
  await store.query(`update dockets set state = 'Running'`);
  await expect(migrate(database.url)).rejects.toThrow('starts once nothing runs: mend the quay');
  await store.query(`update dockets set state = 'Done', signed_digest = 'x', signed_by = 'Runa', signed_at = now()`);
  await store.query(
    `insert into dockets (source_id, name, state, signed_by, signed_at) select source_id, 'signed', 'Signed', 'Runa', now() from dockets`,
  );

  expect(await migrate(database.url)).toContain('000008.sql');
  expect(await findSource(store, first)).toMatchObject({
    name: 'harbour',
    kind: 'postgresql',
    settings: { host: 'db1', port: 5432, database: 'harbour', user: 'audit', tls: 'verify', weakPassword: true },
  });
  const read = await findCatalogue(store, first);
  expect(read?.tables[0]?.columns[0]?.fillsItself).toBe(true);
  expect(read?.tables[0]?.constraints[0]).toMatchObject({ nulls: 'alike' });
  expect((await findLastExact(store, first, 2))?.catalogue).toEqual(read);
  expect((await findFinding(store, first, first))?.proposal).toMatchObject({
    kind: 'surrogateKey',
    rows: 12,
    surrogate: 'id',
    candidates: [],
  });
  const dockets = await listDockets(store, first);
  // A signature by who was no person here does not count any more.
  expect(dockets.map(({ state, signedBy, signedFormat }) => [state, signedBy, signedFormat]).sort()).toEqual([
    ['Done', 'Runa', 1],
    ['Draft', null, null],
  ]);
  const frozen = await findFrozen(store, first);
  expect(frozen?.plan?.steps[0]).toMatchObject({ operation: { kind: 'numberRows' }, cost: { blocks: 'everyone' } });
  expect(frozen?.plan?.back[0]).toMatchObject({ kind: 'uncheckRows', before: { rows: 'new only' } });
  expect(frozen?.catalogue).toEqual(read);
  expect((await findRehearsal(store, first))?.plan).toEqual(frozen?.plan);
  expect(await listItems(store, first)).toEqual([{ findingId: 1, decision: { key: 'natural(a, b)' } }]);
});

test('what was waived stays so', async () => {
  const { policies } = await getSettings(store, first);
  expect(policies['keys/wide']?.waivers).toEqual([{ object: 'port.call', reason: 'it is small', by: 'Bo' }]);
});

test('an earlier version does not start on what a newer one keeps', async () => {
  await store.query(`insert into migrations (name) values ('999999.sql')`);
  await expect(migrate(database.url)).rejects.toThrow('by a newer version (999999.sql)');
});

async function asBefore(db: pg.Pool, last: string): Promise<void> {
  await db.query('create schema if not exists pawl');
  await db.query('create table migrations (name text primary key, run_at timestamptz not null default now())');
  for (const name of readdirSync(folder).sort()) {
    if (name > last) continue;
    await db.query(readFileSync(join(folder, name), 'utf8'));
    await db.query('insert into migrations (name) values ($1)', [name]);
  }
}

async function keepAsBefore(db: pg.Pool): Promise<void> {
  await db.query(
    `insert into sources (name, environment, host, port, database_name, user_name, tls, sealed_password, weak_password)
     values ('harbour', 'production', 'db1', 5432, 'harbour', 'audit', 'verify', '', true)`,
  );
  await db.query('update sources set policies = $1', [
    {
      'keys/wide': {
        on: true,
        severity: null,
        thresholds: {},
        exemptions: [{ object: 'port.call', reason: 'it is small', by: 'Bo' }],
      },
    },
  ]);
  await db.query(`insert into surveys (source_id, depth, state, started_at, catalogue) values (1, 'exact', 'done', now(), $1)`, [
    catalogue,
  ]);
  await db.query(
    `insert into findings (source_id, identity, rule, concern, severity, confidence, table_id, object, facts, proposal, state, first_survey_id, last_survey_id, title, measured, place)
     values (1, 'keys/missing:port.call', 'keys/missing', 'Keys', 'Critical', 1, 'port.call', $1, $2, $3, 'Docketed', 1, 1, 't', 'm', 'p')`,
    [
      { schema: 'port', table: 'call', columns: [] },
      { rows: 12, candidates: [], surrogate: 'id' },
      { kind: 'surrogateKey', columns: ['id'] },
    ],
  );
  await db.query(`insert into dockets (source_id, name, mode, plan, catalogue) values (1, 'mend the quay', 'plain', $1, $2)`, [
    plan,
    catalogue,
  ]);
  await db.query(`insert into docket_items (docket_id, finding_id, decision) values (1, 1, $1)`, [{ key: 'natural ["a","b"]' }]);
  await db.query(`insert into rehearsals (docket_id, plan) values (1, $1)`, [plan]);
}
