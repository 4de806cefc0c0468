// Every door of the web server, and the right that opens it: a route or an act that is not listed here fails.

import 'reflect-metadata';
import { join } from 'node:path';
import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import type { RouteConfigEntry } from '@react-router/dev/routes';
import type pg from 'pg';
import { RouterContextProvider } from 'react-router';
import { afterAll, beforeAll, beforeEach, describe, expect, test } from 'vitest';
import routes from '../../src/app/routes';
import { intents } from '../../src/app/routes/dockets/docket/docketForm.server';
import { passedContext } from '../../src/app/server/context.server';
import { allRights, type Right } from '../../src/core/rights/rights';
import { db } from '../../src/store/db';
import { migrate } from '../../src/store/migrate';
import { addSource, findSourceNamed } from '../../src/store/sources/sources';
import type { Actor } from '../../src/work/actor';
import { useDatabase } from '../database';

type Needed = Right | 'anybody signed in' | 'nobody yet';

interface Act {
  readonly right: Needed;
  readonly form: Readonly<Record<string, string>>;
}

interface Door {
  readonly load?: Needed;
  readonly acts?: Readonly<Record<string, Act>>;
}

const finding = { finding: '1' };
const login = { user: 'u', password: 'p' };
const place = { name: 'n', environment: 'test', host: 'h', port: '1', database: 'd', user: 'u', tls: 'off' };
const docketRights: Readonly<Record<(typeof intents)[number], Right>> = {
  run: 'run',
  back: 'run',
  clear: 'run',
  pause: 'run',
  resume: 'run',
  stop: 'run',
  sign: 'sign',
  unsign: 'sign',
  backup: 'vouch',
  elsewhere: 'vouch',
  backElsewhere: 'vouch',
  server: 'chooseRehearsalServer',
  take: 'plan',
  add: 'plan',
  rename: 'plan',
  mode: 'plan',
  rehearse: 'plan',
  stopRehearsal: 'plan',
  discard: 'plan',
};
const docketFields = {
  ...finding,
  ...login,
  name: 'n',
  backupAt: '2026-01-01T06:00',
  backupWhere: 'w',
  mode: 'plain',
  seen: '0',
};

const doors: Readonly<Record<string, Door>> = {
  'home/route.tsx': { load: 'anybody signed in' },
  'sign-in/route.tsx': { load: 'nobody yet', acts: { password: { right: 'nobody yet', form: { name: 'x', password: 'y' } } } },
  'sign-in/elsewhere.ts': { load: 'nobody yet' },
  'sign-in/return.tsx': { load: 'nobody yet' },
  'invitation/route.tsx': { load: 'nobody yet', acts: { accept: { right: 'nobody yet', form: { password: 'a', again: 'b' } } } },
  'me/route.tsx': {
    load: 'anybody signed in',
    acts: {
      password: { right: 'anybody signed in', form: { intent: 'password', next: 'a', again: 'b' } },
      makeToken: { right: 'anybody signed in', form: { intent: 'makeToken', name: 't', rights: 'survey' } },
      endToken: { right: 'anybody signed in', form: { intent: 'endToken', token: '1' } },
      signOut: { right: 'anybody signed in', form: { intent: 'signOut' } },
      signOutEverywhere: { right: 'anybody signed in', form: { intent: 'signOutEverywhere' } },
    },
  },
  'people/route.tsx': {
    load: 'keepPeople',
    acts: {
      add: { right: 'keepPeople', form: { intent: 'add', name: 'x', fullName: 'X', role: 'Reader' } },
      give: { right: 'keepPeople', form: { intent: 'give', person: '1', role: 'Reader' } },
      take: { right: 'keepPeople', form: { intent: 'take', person: '1', grant: '1' } },
      invite: { right: 'keepPeople', form: { intent: 'invite', person: '1' } },
      disable: { right: 'keepPeople', form: { intent: 'disable', person: '1' } },
      enable: { right: 'keepPeople', form: { intent: 'enable', person: '1' } },
    },
  },
  'journal/route.tsx': { load: 'readJournal' },
  'journal/export.ts': { load: 'readJournal' },
  'sources/route.tsx': { load: 'anybody signed in', acts: { purge: { right: 'keepSources', form: { purge: '1' } } } },
  'sources/edit/route.tsx': {
    load: 'keepSources',
    acts: {
      save: { right: 'keepSources', form: { ...place, intent: 'save' } },
      try: { right: 'keepSources', form: { ...place, intent: 'try' } },
      remove: { right: 'keepSources', form: { intent: 'remove' } },
    },
  },
  'source/route.tsx': { load: 'seeFindings' },
  'source/start.tsx': { load: 'seeFindings' },
  'coverage/route.tsx': { load: 'seeFindings' },
  'coverage/table/route.tsx': { load: 'seeFindings' },
  'coverage/ddl.ts': { load: 'seeFindings' },
  'findings/route.tsx': { load: 'seeFindings' },
  'findings/finding/route.tsx': {
    load: 'seeFindings',
    acts: {
      add: { right: 'plan', form: { intent: 'add' } },
      remove: { right: 'plan', form: { intent: 'remove' } },
      exempt: { right: 'keepRules', form: { intent: 'exempt', reason: 'r' } },
      unexempt: { right: 'keepRules', form: { intent: 'unexempt' } },
    },
  },
  'findings/rows.ts': { load: 'seeRows' },
  'findings/touches.ts': { load: 'seeFindings' },
  'findings/reach.ts': { load: 'seeRows' },
  'decide/route.tsx': {
    load: 'seeFindings',
    acts: {
      add: { right: 'plan', form: { ...finding, intent: 'add' } },
      waive: { right: 'keepRules', form: { ...finding, intent: 'waive', reason: 'r' } },
    },
  },
  'dockets/route.tsx': { load: 'seeFindings', acts: { add: { right: 'plan', form: finding } } },
  'dockets/docket/route.tsx': {
    load: 'seeFindings',
    acts: Object.fromEntries(
      intents.map((intent) => [intent, { right: docketRights[intent], form: { ...docketFields, intent } }]),
    ),
  },
  'dockets/script.ts': { load: 'seeFindings' },
  'rules/route.tsx': { load: 'seeFindings' },
  'rules/rule/route.tsx': {
    load: 'seeFindings',
    acts: {
      keep: { right: 'keepRules', form: { intent: 'keep' } },
      reset: { right: 'keepRules', form: { intent: 'reset' } },
      exempt: { right: 'keepRules', form: { intent: 'exempt', object: 'o', reason: 'r' } },
      unexempt: { right: 'keepRules', form: { intent: 'unexempt', object: 'o' } },
    },
  },
  'budget/route.tsx': {
    load: 'seeFindings',
    acts: { keep: { right: 'keepSources', form: { connections: '1', workers: '0', rest: '1' } } },
  },
  'surveys/route.tsx': { load: 'seeFindings', acts: { ask: { right: 'survey', form: { depth: 'exact' } } } },
  'surveys/survey/route.tsx': {
    load: 'seeFindings',
    acts: {
      cancel: { right: 'survey', form: { intent: 'cancel' } },
      resume: { right: 'survey', form: { intent: 'resume' } },
    },
  },
  'jump/route.ts': { load: 'seeFindings' },
};

interface RouteModule {
  readonly loader?: (args: object) => unknown;
  readonly action?: (args: object) => unknown;
}

const filesOf = (entries: readonly RouteConfigEntry[]): string[] =>
  entries.flatMap((entry) => [entry.file, ...filesOf(entry.children ?? [])]);
const files = [...new Set(filesOf(routes))];
const moduleOf = (file: string): Promise<RouteModule> =>
  import(join(import.meta.dirname, '../../src/app', file)) as Promise<RouteModule>;

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
  source = known?.id ?? (await addSource(store, { ...database.details, name: 'audited', environment: 'test' }));
});
afterAll(() => store.end());

function actorWith(only: readonly Right[]): Actor {
  const bounds = { grants: [{ role: 'Administrator' as const, source: null }], only: { rights: only, source: null } };
  return { person: null, via: 'browser', address: '127.0.0.1', bounds };
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
    '*': 'keys/missing',
  };
  try {
    const answer = await call?.({ request, params, context });
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
      expect([401, 403]).not.toContain(await knock(call, actorWith([]), form));
      return;
    }
    expect(await knock(call, actorWith([]), form)).toBe(403);
    expect(await knock(call, without(right), form)).toBe(403);
    expect(await knock(call, actorWith(['seeFindings', right]), form)).not.toBe(403);
  });
});

test('what was refused is in the journal', async () => {
  const { rows } = await store.query<{ acts: number }>(
    `select count(distinct act)::int as acts from journal where outcome = 'refused'`,
  );
  expect(rows[0]?.acts).toBeGreaterThan(20);
});
