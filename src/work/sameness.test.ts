// Joined and parted by hand: one history each, and each finding in the one state that its history says.

import fc from 'fast-check';
import type pg from 'pg';
import { afterAll, beforeAll, expect, test } from 'vitest';
import { useDatabase } from '../../test/kit/database';
import { evidence, profiled } from '../../test/kit/measured';
import { sketch } from '../../test/kit/sketch';
import { sourceAt } from '../../test/kit/source';
import { there } from '../../test/kit/there';
import { audit } from '../core/rules/audit';
import { openStore } from '../store/db';
import {
  type FindingRow,
  keepFindings,
  listEvents,
  listStanding,
  moveFindings,
  noteOnFindings,
} from '../store/findings/findings';
import type { SourceId, SurveyId } from '../store/ids';
import { migrate } from '../store/migrate';
import { addSource, findSource } from '../store/sources/sources';
import { askForSurvey } from '../store/surveys/surveys';
import { pawlItself } from './actor';
import type { Room } from './enter';
import { join, part } from './sameness';

const database = useDatabase();
let store: pg.Pool;
beforeAll(async () => {
  await migrate(database.url);
  store = openStore(database.url);
});
afterAll(() => store.end());

let made = 0;
async function roomWith(...tables: readonly string[]): Promise<Room & { readonly survey: SurveyId }> {
  const login = { database: 'harbour', user: 'audit', password: 'x', tls: 'off' } as const;
  const where = { environment: 'test', host: '127.0.0.1', port: 5432 } as const;
  const id = await addSource(store, sourceAt({ name: `harbour ${made++}`, ...where, ...login }));
  const survey = await askForSurvey(store, { source: id, depth: 'exact' });
  await found(id, survey, ...tables);
  const office = { store, enqueue: () => Promise.resolve(), offerLogin: () => Promise.resolve(true) };
  return { source: there(await findSource(store, id)), store, office, actor: pawlItself('terminal'), survey };
}

/** Each of these tables has no key. */
async function found(source: SourceId, survey: SurveyId, ...tables: readonly string[]): Promise<void> {
  const catalogue = sketch(tables.map((table) => `port.${table}: lamp_no text not null`).join('\n'));
  const facts = evidence(...tables.map((table) => profiled(catalogue, `port.${table}`, 60, { lamp_no: { distinct: 60 } })));
  const findings = audit(catalogue, facts).filter(({ rule }) => rule === 'keys/missing');
  await keepFindings(store, { source, survey }, findings);
}

async function standing(room: Room): Promise<ReadonlyMap<string, FindingRow>> {
  return new Map((await listStanding(store, room.source.id)).map((row) => [row.tableId, row]));
}

const move = (row: FindingRow, to: FindingRow['state']) =>
  moveFindings(store, [{ finding: row.id, from: row.state, to, reason: null }], {});

/** What the events of a finding come to. */
async function replayed(id: FindingRow['id']): Promise<string> {
  const events = await listEvents(store, id);
  let state: string | null = null;
  for (const event of events.filter(({ kind }) => kind === 'state' || kind === 'renamed')) {
    expect(event.from).toBe(event.kind === 'state' ? state : event.to);
    state = event.to;
  }
  return state ?? 'never';
}

test('a finding that was held and is found under another name goes on as that: slipped, with the history of both', async () => {
  const room = await roomWith('lamp');
  const was = there((await standing(room)).get('port.lamp'));
  await noteOnFindings(store, [was.id], 'comment', 'the old lamps');
  await move(was, 'Held');
  await found(room.source.id, room.survey, 'lantern');
  const is = there((await standing(room)).get('port.lantern'));
  await noteOnFindings(store, [is.id], 'comment', 'the new ones');
  expect(await join(room, is.id, { older: was.id, why: 'built anew' })).toMatchObject({ problem: null, result: was.id });

  const after = await standing(room);
  expect([...after.keys()]).toEqual(['port.lantern']);
  const one = there(after.get('port.lantern'));
  expect([one.id, one.state, one.identity, one.formerly]).toEqual([was.id, 'Slipped', is.identity, [was.identity]]);
  expect(one.reason).toBe('the same as port.lantern, says Pawl: built anew');
  const comments = (await listEvents(store, one.id)).filter(({ kind }) => kind === 'comment').map(({ reason }) => reason);
  expect(comments.toSorted()).toEqual(['the new ones', 'the old lamps']);
  expect(await replayed(one.id)).toBe('Slipped');
});

test('parted again, each has its own name, and neither is lost', async () => {
  const room = await roomWith('lamp', 'lantern');
  const [was, is] = ['port.lamp', 'port.lantern'];
  const rows = await standing(room);
  await move(there(rows.get(was)), 'Lapsed');
  const joined = await join(room, there(rows.get(is)).id, { older: there(rows.get(was)).id, why: '' });
  expect(joined).toMatchObject({ problem: null });
  const parted = await part(room, there(rows.get(was)).id, 'two kinds of lamp');
  const after = await standing(room);
  expect(parted).toMatchObject({ problem: null, result: there(after.get(is)).id });
  expect([...after].map(([table, { state, identity }]) => [table, state, identity]).toSorted()).toEqual([
    [was, 'Lapsed', there(rows.get(was)).identity],
    [is, 'Open', there(rows.get(is)).identity],
  ]);
  expect(there(after.get(was)).object).toEqual(there(rows.get(was)).object);
  for (const { id, state } of after.values()) expect(await replayed(id)).toBe(state);
});

test('what cannot be the same is refused with words', async () => {
  const room = await roomWith('lamp', 'lantern', 'buoy');
  const rows = await standing(room);
  const [lamp, lantern, buoy] = ['lamp', 'lantern', 'buoy'].map((table) => there(rows.get(`port.${table}`)));
  const problem = async (newer?: FindingRow, older?: FindingRow) =>
    (await join(room, there(newer).id, { older: there(older).id, why: '' })).problem;
  // Both are found.
  expect(await problem(lamp, lantern)).toMatch(/cannot be the same/);
  expect(await problem(lamp, lamp)).toMatch(/cannot be the same/);
  await move(there(buoy), 'Waived');
  expect(await problem(lamp, buoy)).toMatch(/cannot be the same/);
  const other = await roomWith('lamp');
  const elsewhere = there((await standing(other)).get('port.lamp'));
  await move(elsewhere, 'Held');
  expect(await problem(lamp, elsewhere)).toMatch(/there no more/);
  expect((await part(room, there(lamp).id, '')).problem).toMatch(/never went by another name/);
  expect((await part(other, there(lamp).id, '')).problem).toMatch(/there no more/);
});

test('any sequence of being found, mended, joined and parted leaves each finding in the one state that its history says', async () => {
  const tables = ['lamp', 'lantern', 'buoy', 'beacon'];
  const step = fc.record({
    what: fc.constantFrom('held', 'lapsed', 'found', 'join', 'join', 'join', 'part'),
    on: fc.nat(3),
    other: fc.nat(3),
  });
  await fc.assert(
    fc.asyncProperty(fc.array(step, { minLength: 6, maxLength: 20 }), async (steps) => {
      const room = await roomWith(...tables);
      for (const { what, on, other } of steps) {
        const rows = [...(await standing(room)).values()].toSorted((a, b) => a.identity.localeCompare(b.identity));
        const [row, second] = [rows[on % rows.length], rows[other % rows.length]];
        if (!row || !second) continue;
        if (what === 'join') await join(room, row.id, { older: second.id, why: '' });
        else if (what === 'part') await part(room, row.id, '');
        else if (what === 'found') await move(row, row.state === 'Held' ? 'Slipped' : 'Open');
        else await move(row, what === 'held' ? 'Held' : 'Lapsed');
      }
      const rows = await listStanding(store, room.source.id);
      expect(new Set(rows.map(({ identity }) => identity)).size).toBe(rows.length);
      for (const { id, state } of rows) expect(await replayed(id)).toBe(state);
    }),
    { numRuns: 40 },
  );
}, 60_000);
