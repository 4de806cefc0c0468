// Live reads while people wait: few at a time, stopped at the server when nobody waits any more.

import { sourceAt } from '../kit/source';
import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type pg from 'pg';
import { afterAll, beforeAll, expect, test } from 'vitest';
import { openStore } from '../../src/store/db';
import { migrate } from '../../src/store/migrate';
import { usualBudget } from '../../src/sources/budget';
import { keepBudget } from '../../src/store/sources/settings';
import { addSource, findSource } from '../../src/store/sources/sources';
import { pawlItself } from '../../src/work/actor';
import type { Room } from '../../src/work/enter';
import { openLine } from '../../src/work/line';
import { askSource } from '../../src/work/askSource';
import { useDatabase } from '../kit/database';
import { eventually } from '../kit/worker';

process.env['PAWL_KEY_FILE'] = join(mkdtempSync(join(tmpdir(), 'pawl-key-')), 'key');
const audited = useDatabase('create table held (id int); insert into held values (1)');
const database = useDatabase();
let store: pg.Pool;
let room: Room;
beforeAll(async () => {
  await migrate(database.url);
  store = openStore(database.url);
  const source = await findSource(
    store,
    await addSource(store, sourceAt({ ...audited.details, name: 'audited', environment: 'production' })),
  );
  if (!source) throw new Error('It was just added.');
  const unused = () => Promise.reject(new Error('unused'));
  room = { source, store, actor: pawlItself('browser'), office: { store, enqueue: unused, offerLogin: unused } };
});
afterAll(() => store.end());

const sessions = async () =>
  Number(
    (
      await store.query<{ n: string }>(
        `select count(*) as n from pg_stat_activity where datname = $1 and application_name like 'pawl%'`,
        [audited.details.database],
      )
    ).rows[0]?.n,
  );
const rows = { kind: 'rows', table: 'public.held', columns: [] } as never;
const read = (gone: AbortSignal) =>
  askSource(room, 'seeRows', gone, async (reader) => ({ page: await reader.offenders(rows, { offset: 0, limit: 8 }) }));

test.each([1, 2])('a hundred at once take as many sessions as the budget allows, two at the most: %i', async (allowed) => {
  await keepBudget(store, room.source.id, { ...usualBudget, connections: allowed === 2 ? 5 : 1 });
  await audited.run('begin; lock table held in access exclusive mode');
  const gone = new AbortController();
  const asked = Array.from({ length: 100 }, () => read(gone.signal));
  await eventually(async () => ((await sessions()) === allowed ? true : null), 'sessions');
  const told = await Promise.race(asked);
  expect(told).toMatchObject({ ok: false, message: expect.stringContaining('Others are asking') as string });
  expect(await sessions()).toBe(allowed);
  await audited.run('rollback');
  const answers = await Promise.all(asked);
  expect(answers.filter(({ ok }) => ok)).toHaveLength(allowed + 6);
  expect(await sessions()).toBe(0);
});

test('what nobody waits for any more is stopped at the server at once', async () => {
  await audited.run('begin; lock table held in access exclusive mode');
  try {
    const gone = new AbortController();
    const asked = read(gone.signal);
    await eventually(async () => ((await sessions()) === 1 ? true : null), 'a session');
    gone.abort();
    // Else it would have ended by waiting for the lock for too long, and said so.
    expect(await asked).toMatchObject({ ok: false, message: expect.stringContaining('it was cancelled') as string });
    expect(await sessions()).toBe(0);
  } finally {
    await audited.run('rollback');
  }
});

test('a line lets in as many as it has places, then in order, and forgets who has gone', async () => {
  const line = openLine({ places: 1, waiting: 2, waitMs: 60_000 });
  const first = await line.enter();
  const gone = new AbortController();
  const second = line.enter(gone.signal);
  const third = line.enter();
  expect(await line.enter()).toBeNull();
  gone.abort();
  expect(await second).toBeNull();
  first?.();
  first?.();
  const leave = await third;
  expect(leave).not.toBeNull();
  const fourth = line.enter();
  leave?.();
  expect(await fourth).not.toBeNull();
});
