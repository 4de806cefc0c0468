// The demo's past is made by the rules and the state machine that make every other: what it says of itself must hold.

import type pg from 'pg';
import { afterAll, beforeAll, expect, inject, test } from 'vitest';
import { dropDatabase, useDatabase } from '../test/kit/database';
import { sourceAt } from '../test/kit/source';
import { openStore } from '../src/store/db';
import { listDockets } from '../src/store/dockets/dockets';
import { listEvents, listStanding } from '../src/store/findings/findings';
import type { SourceId } from '../src/store/ids';
import { migrate } from '../src/store/migrate';
import { listDrifts } from '../src/store/ratchet/drifts';
import { listStandings } from '../src/store/ratchet/standings';
import { headOf } from '../src/input/sourceFile';
import { addSource, findSource } from '../src/store/sources/sources';
import { pawlItself } from '../src/work/actor';
import { moveIn, moveOut } from '../src/work/moving';
import { addDemoPeople } from '../src/work/people';
import { auditor, createHarbour } from './harbour/create';
import { makePast } from './past';

const name = `harbour_p_${process.pid}`;
const [database, elsewhere] = [useDatabase(), useDatabase()];
const now = new Date('2026-11-27T12:00:00Z');
let store: pg.Pool;
let source: SourceId;

beforeAll(async () => {
  await createHarbour(inject('server'), name);
  await migrate(database.url);
  store = openStore(database.url);
  const { hostname, port } = new URL(inject('server'));
  await addDemoPeople({ store });
  const login = { user: auditor.user, password: auditor.password, tls: 'off' } as const;
  source = await addSource(
    store,
    sourceAt({ ...{ name: 'harbour', environment: 'production', host: hostname, port: Number(port), database: name }, ...login }),
  );
  await makePast(store, source, now);
}, 240_000);

afterAll(async () => {
  await store.end();
  await dropDatabase(name);
});

test('eight months of surveys: less open and more held with every docket, two slips, and what nobody docketed', async () => {
  const standings = await listStandings(store, source, 100);
  expect(standings).toHaveLength(34);
  const count = (at: number, state: string) =>
    standings.at(at)?.counts.reduce((sum, one) => (one.state === state ? sum + one.findings : sum), 0) ?? 0;
  expect(count(-1, 'Held')).toBeGreaterThanOrEqual(15);
  expect(count(-1, 'Slipped')).toBe(2);
  expect(count(-1, 'Open')).toBeLessThan(count(0, 'Open'));
  expect(standings.map(({ at }) => at)).toEqual(standings.map(({ at }) => at).toSorted());
  expect(standings.at(-1)?.soundness?.share).toBeGreaterThan(standings[0]?.soundness?.share ?? 1);
  const desk = ['Draft', 'Rehearsed', 'Signed', 'Stopped', 'Backed out'];
  expect((await listDockets(store, source)).map(({ state }) => state)).toEqual([...desk, ...Array<string>(7).fill('Done')]);
  // What dockets made is no drift.
  expect((await listDrifts(store, source, 100)).map(({ change }) => change)).toEqual(['changed', 'gone']);
});

test('every finding is in the state that its history says, and its history is in order', async () => {
  for (const finding of await listStanding(store, source)) {
    const events = await listEvents(store, finding.id);
    expect(events.at(-1)?.to).toBe(finding.state);
    for (const [n, event] of events.entries()) {
      expect(event.from).toBe(n === 0 ? null : events[n - 1]?.to);
      expect(event.at >= (events[n - 1]?.at ?? '')).toBe(true);
      expect(event.at < now.toISOString()).toBe(true);
    }
  }
});

test('all of it moves to another Pawl, and what comes out there is the same', async () => {
  await migrate(elsewhere.url);
  const other = openStore(elsewhere.url);
  try {
    // The same people are there, and have the same numbers.
    await addDemoPeople({ store: other });
    const [lines, phrase] = [await fileOf(store, source), 'eight months of tides'];
    const coming = {
      // eslint-disable-next-line @typescript-eslint/require-await -- as a file is read
      lines: async function* () {
        yield* lines;
      },
      ...{ phrase, headOf, name: null },
    };
    const moved = await moveIn({ store: other, ...nobody }, pawlItself('terminal'), coming);
    const own = (all: readonly string[]) => all.slice(1, -1).filter((line) => !line.startsWith('{"schedules"'));
    if (moved.problem !== null) throw new Error(moved.problem);
    // How many exactly hangs on the day on which the eight months end.
    expect(moved.result.rows).toBeGreaterThan(500);
    const [was, is] = [own(lines), own(await fileOf(other, moved.result.source))];
    // What was signed there is signed by nobody here; who did is told.
    const signed = was.filter((line) => docketOf(line)?.['state'] === 'Signed').map((line) => docketOf(line)?.['name']);
    expect(signed.length).toBeGreaterThan(0);
    const come = is.map(docketOf).filter((docket) => docket !== null && signed.includes(docket['name']));
    expect(come.map((docket) => [docket?.['state'], docket?.['signed_by'], typeof docket?.['formerly_signed_by']])).toEqual(
      signed.map(() => ['Draft', null, 'string']),
    );
    // Lines are long: that one differs is enough to know.
    expect(is.length).toBe(was.length);
    const differ = is.filter((line, n) => withoutSignature(line) !== withoutSignature(was[n] ?? ''));
    expect(differ.map((line) => line.slice(0, 60))).toEqual([]);
  } finally {
    await other.end();
  }
}, 60_000);

const docketOf = (line: string) => (JSON.parse(line) as { dockets?: Readonly<Record<string, unknown>> }).dockets ?? null;

/** A line of a file without what a signature is of, which none takes with it. */
function withoutSignature(line: string): string {
  const docket = docketOf(line);
  if (docket === null) return line;
  const isOfIt = (field: string) => ['state', 'state_at', 'plan', 'catalogue'].includes(field) || field.includes('signed');
  return JSON.stringify(Object.entries(docket).filter(([field]) => !isOfIt(field)));
}

const nobody = { enqueue: () => Promise.resolve(), offerLogin: () => Promise.resolve(true) };

async function fileOf(from: pg.Pool, id: SourceId): Promise<readonly string[]> {
  let text = '';
  const row = await findSource(from, id);
  if (!row) throw new Error('The source is gone.');
  const put = (more: string) => Promise.resolve(void (text += more));
  expect(await moveOut({ store: from }, pawlItself('terminal'), row, { phrase: 'eight months of tides', put })).toBeNull();
  return text.split('\n').slice(0, -1);
}
