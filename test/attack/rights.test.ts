// Every door of the web server, and the right that opens it: a route or an act that is not listed here fails.

import { sourceAt } from '../kit/source';
import { join } from 'node:path';
import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import type pg from 'pg';
import { RouterContextProvider } from 'react-router';
import { afterAll, beforeAll, beforeEach, describe, expect, test } from 'vitest';
import { passedContext } from '../../src/app/server/context.server';
import { allRights, type Right } from '../../src/core/rights/rights';
import { db } from '../../src/store/db';
import { migrate } from '../../src/store/migrate';
import { findPersonNamed } from '../../src/store/people/people';
import { addSource, findSourceNamed } from '../../src/store/sources/sources';
import type { SourceId } from '../../src/store/ids';
import type { Actor } from '../../src/work/actor';
import { enterSource, seesRows } from '../../src/work/enter';
import { addDemoPeople } from '../../src/work/people';
import { useDatabase } from '../kit/database';
import { type Act, type Door, doors, files, moduleOf, type Needed } from './doors';

process.env['PAWL_KEY_FILE'] = join(mkdtempSync(join(tmpdir(), 'pawl-key-')), 'key');
const database = useDatabase();
let store: pg.Pool;
let source: number;
beforeAll(async () => {
  process.env['DATABASE_URL'] = database.url;
  await migrate(database.url);
  store = db();
});
// One of the acts takes it out of use.
beforeEach(async () => {
  const known = await findSourceNamed(store, 'audited');
  source = known?.id ?? (await addSource(store, sourceAt({ ...database.details, name: 'audited', environment: 'test' })));
});
afterAll(() => store.end());

function actorWith(only: readonly Right[]): Actor {
  const bounds = { grants: [{ role: 'Administrator' as const, source: null }], only: { rights: only, source: null } };
  return { person: null, via: 'browser', address: '127.0.0.1', bounds };
}

/** Signed in, with no right to anything; of one's own account nothing is done by a token. */
async function somebody(): Promise<Actor> {
  await addDemoPeople({ store });
  return { person: await findPersonNamed(store, 'mila'), via: 'browser', address: '127.0.0.1', bounds: { grants: [] } };
}

/** The status that a door answers with; 0 where it opened. */
async function knock(
  call: ((args: object) => unknown) | undefined,
  actor: Actor | null,
  form: Act['form'] | null,
): Promise<number> {
  const context = new RouterContextProvider();
  context.set(passedContext, { id: 'r', actor, session: null, address: '127.0.0.1' });
  const request = new Request(
    'http://127.0.0.1/x?onDelete=cascade',
    form ? { method: 'POST', body: new URLSearchParams(form) } : {},
  );
  const params = {
    source: String(source),
    finding: '1',
    docket: '1',
    survey: '1',
    table: 'a.b',
    script: 'forward.sql',
    token: 't',
    kind: 'columns',
    line: 'a.b.c',
    '*': 'keys/missing',
  };
  try {
    const answer = await call?.({ request, params, context });
    // Whoever listens stops listening.
    if (answer instanceof Response) await answer.body?.cancel();
    return typeof answer === 'object' &&
      answer !== null &&
      'message' in answer &&
      String(answer.message).startsWith('You may not')
      ? 403
      : 0;
  } catch (thrown) {
    if (typeof thrown === 'object' && thrown !== null && 'init' in thrown)
      return (thrown.init as { status?: number }).status ?? 0;
    if (thrown instanceof Response) return 0;
    throw thrown;
  }
}

const without = (right: Right) => actorWith(allRights.filter((other) => other !== right));

test('every route that loads or acts is listed', async () => {
  const missing: string[] = [];
  for (const file of files) {
    const { loader, action } = await moduleOf(file);
    const door = doors[file.replace('routes/', '')];
    if (loader && !door?.load) missing.push(`${file}: its loader has no right`);
    if (action && !door?.acts) missing.push(`${file}: its action has no right`);
  }
  expect(missing).toEqual([]);
});

describe.each(files.map((file) => [file.replace('routes/', '')] as const).filter(([file]) => doors[file]))('%s', (file) => {
  const door = doors[file] as Door;
  const tries: readonly (readonly [string, Needed, Act['form'] | null])[] = [
    ...(door.load ? [['is seen', door.load, null] as const] : []),
    ...Object.entries(door.acts ?? {}).map(([name, { right, form }]) => [name, right, form] as const),
  ];
  test.each(tries)('%s: %s', async (_, right, form) => {
    const { loader, action } = await moduleOf(`routes/${file}`);
    const call = form ? action : loader;
    expect(call).toBeDefined();
    if (right === 'nobody yet') return;
    expect(await knock(call, null, form)).toBe(401);
    if (right === 'anybody signed in') {
      expect([401, 403]).not.toContain(await knock(call, await somebody(), form));
      return;
    }
    expect(await knock(call, actorWith([]), form)).toBe(403);
    expect(await knock(call, without(right), form)).toBe(403);
    expect(await knock(call, actorWith(['seeFindings', right]), form)).not.toBe(403);
  });
});

test('rows of a sensitive source are shown to nobody, whatever their rights', async () => {
  await store.query('update sources set sensitive = true where id = $1', [source]);
  const all = actorWith(allRights);
  const office = { store, enqueue: () => Promise.resolve(), offerLogin: () => undefined } as never;
  await expect(enterSource(office, all, source as SourceId, 'seeRows')).rejects.toThrow('audited is marked sensitive');
  const room = await enterSource(office, all, source as SourceId, 'seeFindings');
  expect(room && seesRows(room)).toBe(false);
  await store.query('update sources set sensitive = false where id = $1', [source]);
});

test('what was refused is in the journal', async () => {
  const { rows } = await store.query<{ acts: number }>(
    `select count(distinct act)::int as acts from journal where outcome = 'refused'`,
  );
  expect(rows[0]?.acts).toBeGreaterThan(20);
});
