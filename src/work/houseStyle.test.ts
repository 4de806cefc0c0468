// The house style of a source: every change is a version, what is against it is found at once, and nobody writes over what they did not see.

import { beforeEach, expect, test } from 'vitest';
import { there } from '../../test/kit/there';
import { surveyFile, useWalled } from '../../test/kit/walled';
import { listStanding } from '../store/findings/findings';
import { lastStyle, listStyles } from '../store/sources/houseStyles';
import { bringSurvey } from './brought';
import type { Room } from './enter';
import { adopt, bringStyle, copyStyle, restoreStyle, say, styleToday } from './houseStyle';

const walled = useWalled();
let room: Room;
beforeEach(async () => {
  room = await walled.source();
  await bringSurvey(room, await surveyFile('port.vessel: id key, imo_no text\n port.calls: id key, vessel_id -> port.vessel.id'));
});

const version = () => lastStyle(walled.store(), room.source.id);

/** Tables that are not called as the house calls them, with how their findings stand. */
async function against(): Promise<Readonly<Record<string, string>>> {
  const rows = await listStanding(walled.store(), room.source.id);
  return Object.fromEntries(
    rows
      .filter(({ rule, object }) => rule === 'naming/style' && object.columns.length === 0)
      .map((row) => [row.tableId, row.state]),
  );
}

const plural = { kind: 'table', template: '{words:plural:snake}' } as const;
const singular = { kind: 'table', template: '{words:singular:snake}' } as const;

test('what is adopted is a version, and what does not follow is found without another survey', async () => {
  const before = await version();
  expect(await adopt(room, before, plural)).toMatchObject({ problem: null, result: before + 1 });
  expect(await against()).toEqual({ 'port.vessel': 'Open' });
  await adopt(room, before + 1, singular);
  expect(await against()).toEqual({ 'port.vessel': 'Lapsed', 'port.calls': 'Open' });
  await adopt(room, before + 2, { kind: 'table', template: null });
  expect((await styleToday(walled.store(), room.source.id)).templates).toEqual({});
  const kept = await listStyles(walled.store(), room.source.id);
  expect(kept.map(({ remark }) => remark).slice(0, 3)).toEqual([
    'no longer adopted for each table',
    '{words:singular:snake} for each table',
    '{words:plural:snake} for each table',
  ]);
});

test('a version comes back as a new one', async () => {
  const first = there((await adopt(room, await version(), plural)) as { result?: number }).result ?? 0;
  await adopt(room, first, singular);
  expect(await restoreStyle(room, first + 1, first)).toMatchObject({ problem: null, result: first + 2 });
  expect((await styleToday(walled.store(), room.source.id)).templates).toEqual({ table: plural.template });
  expect(await against()).toMatchObject({ 'port.vessel': 'Open' });
  expect((await restoreStyle(room, first + 2, 99)).problem).toBe('There is no version 99 of this house style.');
});

test('who saw an earlier version changes nothing, and is told', async () => {
  const seen = await version();
  await adopt(room, seen, plural);
  for (const change of [adopt(room, seen, singular), say(room, seen, { list: 'short', from: 'vsl', to: 'vessel' })])
    expect((await change).problem).toMatch(/^Somebody changed the house style while you had it open/);
  expect((await styleToday(walled.store(), room.source.id)).templates).toEqual({ table: plural.template });
  expect(await version()).toBe(seen + 1);
});

test('of two who adopt at the same moment one is told that the other was there', async () => {
  const seen = await version();
  const [one, other] = await Promise.all([adopt(room, seen, plural), adopt(room, seen, singular)]);
  expect([one.problem, other.problem].filter((problem) => problem === null)).toHaveLength(1);
  expect(await version()).toBe(seen + 1);
});

test('a template that says nothing is refused at its place', async () => {
  const seen = await version();
  expect((await adopt(room, seen, { kind: 'table', template: '{nothing}' })).problem).toMatch(/^At \d+: /);
  expect(await version()).toBe(seen);
});

test('words of the house are kept in order, and are forgotten again', async () => {
  const seen = await version();
  await say(room, seen, { list: 'short', from: 'vsl', to: 'vessel' });
  await say(room, seen + 1, { list: 'short', from: 'brt', to: 'berth' });
  await say(room, seen + 2, { list: 'plurals', from: 'quay', to: 'quais' });
  const { dictionary } = await styleToday(walled.store(), room.source.id);
  expect(dictionary).toEqual({ short: { brt: 'berth', vsl: 'vessel' }, plurals: { quay: 'quais' } });
  await say(room, seen + 3, { list: 'short', from: 'vsl', to: null });
  expect((await styleToday(walled.store(), room.source.id)).dictionary?.short).toEqual({ brt: 'berth' });
  expect((await say(room, seen + 4, { list: 'short', from: 'no word', to: 'x' })).problem).not.toBeNull();
});

test('a style goes to another source whole, and the names there are judged by it', async () => {
  const other = await walled.source();
  await bringSurvey(other, await surveyFile('yard.slip: id key'));
  await adopt(room, await version(), plural);
  await say(room, await version(), { list: 'short', from: 'vsl', to: 'vessel' });
  expect((await copyStyle(room, other.source.id)).problem).toBeNull();
  expect(await styleToday(walled.store(), other.source.id)).toEqual(await styleToday(walled.store(), room.source.id));
  const rows = await listStanding(walled.store(), other.source.id);
  expect(rows.filter(({ rule }) => rule === 'naming/style').map(({ tableId }) => tableId)).toEqual(['yard.slip']);
  await walled.store().query('delete from sources where id = $1', [other.source.id]);
  expect((await copyStyle(room, other.source.id)).problem).toBe('The other source was removed.');
  expect((await bringStyle(other, null, await styleToday(walled.store(), room.source.id), 'a file')).problem).toBe(
    'The source was removed.',
  );
});
