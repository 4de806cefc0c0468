// Forms that no page of ours sends, to every door, by one who may do everything: each is answered with words, none with a bug.

import { sourceAt } from '../kit/source';
import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import fc from 'fast-check';
import type pg from 'pg';
import { RouterContextProvider } from 'react-router';
import { afterAll, beforeAll, beforeEach, expect, test } from 'vitest';
import { passedContext } from '../../src/app/server/context.server';
import { db } from '../../src/store/db';
import { migrate } from '../../src/store/migrate';
import { addSource, findSourceNamed } from '../../src/store/sources/sources';
import { pawlItself } from '../../src/work/actor';
import { useDatabase } from '../kit/database';
import { drawn } from '../kit/drawn';
import { doors, moduleOf } from './doors';

process.env['PAWL_KEY_FILE'] = join(mkdtempSync(join(tmpdir(), 'pawl-key-')), 'key');
const audited = useDatabase('create table held (id int)');
const database = useDatabase();
let store: pg.Pool;
let source = 0;
beforeAll(async () => {
  process.env['DATABASE_URL'] = database.url;
  await migrate(database.url);
  store = db();
});
afterAll(() => store.end());
beforeEach(async () => {
  source =
    (await findSourceNamed(store, 'audited'))?.id ??
    (await addSource(store, sourceAt({ ...audited.details, name: 'audited', environment: 'test' })));
});

const odd = fc.oneof(
  fc.constantFrom(
    '',
    ' ',
    '0',
    '-1',
    '1e9',
    '9007199254740993',
    'NaN',
    'null',
    'true',
    '[]',
    '{}',
    '\u0000',
    '\ud800',
    '\u202e',
    "'; drop table people; --",
  ),
  fc.constantFrom(
    '../../etc/passwd',
    '<script>alert(1)</script>',
    '%00',
    'a'.repeat(70_000),
    '🔑'.repeat(600),
    '\n\r\t',
    '__proto__',
    'constructor',
  ),
  fc.string({ maxLength: 40, unit: 'binary' }),
);

/** A status, or what was thrown that should not have been. */
const send = (file: string, body: FormData | string) =>
  knock(file, 'action', new Request('http://127.0.0.1/x', { method: 'POST', body }));

async function knock(file: string, what: 'action' | 'loader', request: Request): Promise<number | string> {
  const call = (await moduleOf(`routes/${file}`))[what];
  const context = new RouterContextProvider();
  context.set(passedContext, { id: 'r', actor: pawlItself('browser'), session: null, address: '127.0.0.1' });
  const params = {
    source: String(source),
    finding: '1',
    docket: '1',
    survey: '1',
    token: 't',
    kind: 'columns',
    line: 'a.b.c',
    '*': 'keys/missing',
  };
  try {
    const answer = await call?.({ request, params, context });
    // Whoever listens stops listening.
    if (answer instanceof Response) await answer.body?.cancel();
    return 200;
  } catch (thrown) {
    if (thrown instanceof Response) return thrown.status;
    if (typeof thrown === 'object' && thrown !== null && 'init' in thrown)
      return (thrown.init as { status?: number }).status ?? 200;
    return thrown instanceof Error ? `${thrown.name}: ${thrown.message}` : 'something else';
  }
}

const tries = Object.entries(doors)
  // Slowed down on purpose.
  .filter(([file]) => !file.startsWith('sign-in'))
  .flatMap(([file, { acts = {} }]) => Object.entries(acts).map(([name, { form }]) => [file, name, form] as const));

test.each(tries)('%s, %s: whatever a field says', async (file, _, form) => {
  const names = [...new Set([...Object.keys(form), 'intent', 'finding', 'version', 'digest', 'surprise'])];
  await fc.assert(
    fc.asyncProperty(
      fc.constantFrom(...names),
      odd,
      fc.constantFrom('instead', 'beside', 'file', 'left out'),
      async (name, value, how) => {
        // To try a login where nobody is takes seconds.
        if (file === 'sources/edit/route.tsx' && form['intent'] === 'try') return;
        const body = new FormData();
        for (const [key, own] of Object.entries(form)) if (key !== name || how === 'beside') body.append(key, own);
        if (how === 'file') body.append(name, new File([value], 'x.bin'));
        else if (how !== 'left out') body.append(name, value);
        const answer = await send(file, body);
        expect(answer, `${name} ${how}: ${JSON.stringify(value).slice(0, 80)}`).toBeTypeOf('number');
        expect(Number(answer)).toBeLessThan(500);
      },
    ),
    drawn({ numRuns: 25, seed: 4 }),
  );
});

test.each([...new Set(tries.map(([file]) => file))])('%s: what is no form is answered with words', async (file) => {
  for (const body of ['', 'x'.repeat(1000), '{"intent":"run"}']) expect(await send(file, body)).toBeLessThan(500);
});

const looks = Object.entries(doors)
  .filter(([file, { load }]) => load && !file.startsWith('sign-in'))
  .map(([file]) => [file] as const);

test.each(looks)('%s: whatever its address says', async (file) => {
  const name = fc.constantFrom(
    'q',
    'sort',
    'template',
    'columns',
    'show',
    'concern',
    'page',
    'key',
    'onDelete',
    'parent',
    'rule',
    'name',
    'person',
    'source',
    'act',
    'from',
    'to',
    'before',
    'as',
    ...[
      'after',
      'other',
      'docket',
      'findings',
      'what',
      'table',
      'column',
      'value',
      'constraint',
      'form',
      'digest',
      'seen',
      'kind',
    ],
  );
  await fc.assert(
    fc.asyncProperty(fc.array(fc.tuple(name, odd), { minLength: 1, maxLength: 4 }), async (asked) => {
      // The gate keeps zero bytes out of addresses.
      const search = new URLSearchParams(asked.map(([key, value]) => [key, value.replaceAll('\0', '')]));
      const answer = await knock(file, 'loader', new Request(`http://127.0.0.1/x?${search.toString()}`));
      expect(answer, search.toString().slice(0, 120)).toBeTypeOf('number');
      expect(Number(answer)).toBeLessThan(500);
    }),
    drawn({ numRuns: 25, seed: 5 }),
  );
});
