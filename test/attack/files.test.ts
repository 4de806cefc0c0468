// Files that are large, or not what they should be: they keep nobody waiting but who brings them, and are refused in words.

import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { setImmediate as turn } from 'node:timers/promises';
import fc from 'fast-check';
import type pg from 'pg';
import { afterAll, beforeAll, expect, test } from 'vitest';
import { documentOf } from '../../src/core/survey/document';
import { noDictionary } from '../../src/core/naming/dictionary';
import { houseStyleFormat, houseStyleOf } from '../../src/core/naming/document';
import { settledStyle } from '../../src/core/naming/style';
import { noPolicies } from '../../src/core/rules/policy';
import { db } from '../../src/store/db';
import type { SourceId } from '../../src/store/ids';
import { migrate } from '../../src/store/migrate';
import { addSource, findSource } from '../../src/store/sources/sources';
import { NotAllowed, pawlItself } from '../../src/work/actor';
import type { Room } from '../../src/work/enter';
import type { Office } from '../../src/work/office';
import { bring } from '../../src/work/thread/thread';
import { useDatabase } from '../kit/database';
import { drawn, placesIn, withValue } from '../kit/drawn';
import { evidence } from '../kit/measured';
import { sketch } from '../kit/sketch';
import { there } from '../kit/there';

process.env['PAWL_KEY_FILE'] = join(mkdtempSync(join(tmpdir(), 'pawl-key-')), 'key');
const database = useDatabase();
let store: pg.Pool;
let room: Room;
beforeAll(async () => {
  process.env['DATABASE_URL'] = database.url;
  await migrate(database.url);
  store = db();
  const id: SourceId = await addSource(store, {
    ...{
      name: 'walled',
      environment: 'test',
      kind: 'files',
      settings: { engine: 'postgresql', database: 'sketch', rows: false },
      secret: '',
    },
    ...{ secondPerson: false, fittingLogin: false, sensitive: false },
  });
  const office = { store, enqueue: () => Promise.resolve(), offerLogin: () => Promise.resolve(false) } as Office;
  room = { source: there(await findSource(store, id)), store, office, actor: pawlItself('browser') };
});
afterAll(() => store.end());

const bytesOf = (value: unknown): Uint8Array =>
  new TextEncoder().encode(typeof value === 'string' ? value : JSON.stringify(value));
const surveyOf = (tables: number, name = 'sketch') =>
  documentOf({
    catalogue: {
      ...sketch(
        Array.from(
          { length: tables },
          (_, at) => `port.t${at}: id key, a text, b timestamp, c_id, d varchar(40); index c_id`,
        ).join('\n'),
      ),
      database: name,
    },
    ...{ evidence: evidence(), findings: [], takenAt: '2026-12-01T00:00:00Z', depth: 'catalogue' },
  });

/** How long it took, and the longest that everybody else waited meanwhile. */
async function whileWaiting<T>(work: Promise<T>): Promise<{ readonly result: T; readonly ms: number; readonly longest: number }> {
  const started = performance.now();
  let [last, longest, going] = [started, 0, true];
  const done = work.finally(() => (going = false));
  while (going) {
    await turn();
    longest = Math.max(longest, performance.now() - last);
    last = performance.now();
  }
  return { result: await done, ms: performance.now() - started, longest };
}

test('a survey of three thousand tables is taken in while others are served', async () => {
  // The thread is there already.
  await bring(room, { kind: 'style' }, bytesOf('{}'));
  const { result, ms, longest } = await whileWaiting(bring(room, { kind: 'survey' }, bytesOf(surveyOf(3_000))));
  expect(result).toMatchObject({ problem: null, survey: { slipped: 0 } });
  expect(longest).toBeLessThan(ms / 5);
});

test('a survey of another database is not taken for this one’s', async () => {
  const came = await bring(room, { kind: 'survey' }, bytesOf(surveyOf(2, 'another')));
  expect(came.problem).toMatch(/of the database another.*of sketch/);
});

test.each([
  ['no JSON', '{'],
  ['a list', []],
  [
    'many rules that there are not',
    { rules: Object.fromEntries(Array.from({ length: 30_000 }, (_, at) => [`keys/x${at}`, {}])) },
  ],
  ['many fields that there are not', Object.fromEntries(Array.from({ length: 60_000 }, (_, at) => [`x${at}`, 1]))],
  [
    'a list of words that there is not, with very many',
    { dictionary: { long: Object.fromEntries(Array.from({ length: 40_000 }, (_, at) => [`w${at}`, 'x'])) } },
  ],
  [
    'very many words that are none',
    { dictionary: { short: Object.fromEntries(Array.from({ length: 40_000 }, (_, at) => [`w ${at}`, 'x'])) } },
  ],
  ['what is nested without end', '{"a":'.repeat(100_000)],
  ['a prototype', '{"__proto__": {"templates": {}}, "templates": {"__proto__": {"table": "x"}}}'],
] as const)('a house style of %s is refused in a few words, while others are served', async (_, plain) => {
  const whole =
    typeof plain === 'object' && !Array.isArray(plain) ? { format: houseStyleFormat, templates: {}, ...plain } : plain;
  const { result, ms, longest } = await whileWaiting(bring(room, { kind: 'style' }, bytesOf(whole)));
  expect(result).toMatchObject({ problem: expect.stringMatching(/./) as string, unreadable: true });
  expect(result.problem?.length).toBeLessThan(2_000);
  expect(longest).toBeLessThan(Math.max(100, ms));
});

/** What becomes of a text that was cut, torn, or holds what does not belong there. */
const torn = (text: string) =>
  fc
    .tuple(
      fc.nat(text.length),
      fc.nat(40),
      fc.oneof(
        fc.string({ unit: 'binary', maxLength: 20 }),
        fc.constantFrom('null', '{}', '[', '"', '1e999', '-1', '\\u0000', '\\ud800'),
      ),
    )
    .map(([at, length, instead]) => text.slice(0, at) + instead + text.slice(at + length));
/** Still JSON, with one of its values another. */
const changed = (whole: object) =>
  fc
    .tuple(fc.constantFrom(...placesIn(whole)), fc.jsonValue({ maxDepth: 2 }))
    .map(([place, value]) => JSON.stringify(withValue(whole, place, value)));

const style = houseStyleOf({ templates: settledStyle([]), policies: noPolicies, dictionary: noDictionary });

test.each([
  ['survey', JSON.parse(JSON.stringify(surveyOf(3))) as object],
  ['style', JSON.parse(JSON.stringify(style)) as object],
] as const)('a %s that somebody tampered with is taken or refused in words', async (kind, whole) => {
  const kinds = new Set<string>();
  const text = JSON.stringify(whole);
  await fc.assert(
    fc.asyncProperty(fc.oneof(torn(text), changed(whole)), async (file) => {
      const came = await bring(room, { kind }, bytesOf(file));
      if (came.problem !== null) expect(came.problem).toMatch(/^.{5,1999}$/s);
      kinds.add(came.problem === null ? 'taken' : 'refused');
    }),
    drawn({ numRuns: 120, seed: 29 }),
  );
  expect(kinds).toContain('refused');
});

test('who may not is told so, from there too', async () => {
  const reader: Room = { ...room, actor: { ...room.actor, bounds: { grants: [{ role: 'Reader', source: null }] } } };
  await expect(bring(reader, { kind: 'survey' }, bytesOf(surveyOf(1)))).rejects.toThrow(NotAllowed);
});
