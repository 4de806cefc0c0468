// Surveys that were taken elsewhere: judged by the rules, the waivers and the state machine of the source that they come into.

import type pg from 'pg';
import { beforeEach, describe, expect, test } from 'vitest';
import { sourceAt } from '../../test/kit/source';
import { there } from '../../test/kit/there';
import { surveyFile, useWalled } from '../../test/kit/walled';
import { wordsOf } from '../core/rules/audit';
import { usualPolicy } from '../core/rules/policy';
import type { Catalogue } from '../core/catalogue/model';
import { coreFinding, listStanding } from '../store/findings/findings';
import { keepPolicies } from '../store/sources/settings';
import { addSource, findSource } from '../store/sources/sources';
import { askForSurvey } from '../store/surveys/surveys';
import { bringSurvey } from './brought';
import { compare } from './comparing';
import type { Room } from './enter';
import { reportOf } from './report';

const walled = useWalled();
let store: pg.Pool;
let room: Room;
beforeEach(async () => {
  store = walled.store();
  room = await walled.source();
});

const bare = 'port.lamp: lamp_no text not null\n port.buoy: buoy_no text not null';
const mended = 'port.lamp: lamp_no text key\n port.buoy: buoy_no text not null';

async function states() {
  const rows = (await listStanding(store, room.source.id)).filter(({ rule }) => rule === 'keys/missing');
  return Object.fromEntries(rows.map(({ tableId, state }) => [tableId, state]));
}

test('what a file found is found, what it mended is held, and what came back has slipped', async () => {
  expect(await bringSurvey(room, await surveyFile(bare))).toMatchObject({ problem: null, result: { slipped: 0 } });
  expect(await states()).toEqual({ 'port.lamp': 'Open', 'port.buoy': 'Open' });
  await bringSurvey(room, await surveyFile(mended));
  expect(await states()).toEqual({ 'port.lamp': 'Held', 'port.buoy': 'Open' });
  const again = await bringSurvey(room, await surveyFile(bare));
  expect(again).toMatchObject({ problem: null, result: { slipped: 1, fresh: 0 } });
  expect(await states()).toEqual({ 'port.lamp': 'Slipped', 'port.buoy': 'Open' });
});

test('it is told in the words that the file has, and reported', async () => {
  const taken = await surveyFile(bare);
  await bringSurvey(room, taken);
  const row = there((await listStanding(store, room.source.id)).find(({ tableId }) => tableId === 'port.lamp'));
  expect(wordsOf(coreFinding(row))).toMatchObject({
    title: 'No primary key',
    message: there(taken.findings.find(({ id }) => id === row.identity)).message,
  });
  expect(await reportOf(room)).toContain('port.lamp');
});

test('rules that are off and waivers of here hold for what comes from elsewhere', async () => {
  const waived = { ...usualPolicy, waivers: [{ object: 'port.lamp', reason: 'a log' }] };
  await keepPolicies(store, room.source.id, { 'keys/missing': waived, 'uniqueness/absent': { ...usualPolicy, on: false } });
  await bringSurvey(room, await surveyFile(bare));
  expect(await states()).toEqual({ 'port.lamp': 'Waived', 'port.buoy': 'Open' });
  expect((await listStanding(store, room.source.id)).filter(({ rule }) => rule === 'uniqueness/absent')).toEqual([]);
});

test('a file of some tables says nothing of the others', async () => {
  await bringSurvey(room, await surveyFile(bare));
  await bringSurvey(room, await surveyFile(mended, ['port.buoy']));
  expect(await states()).toEqual({ 'port.lamp': 'Open', 'port.buoy': 'Open' });
});

test('what a file did not tell it did not end: counts alone judge no closed sets, and no catalogue without indexes judges those', async () => {
  const withIndexes = await surveyFile(
    'port.berth: berth_id key\n port.call 90000: call_id key, berth_id -> port.berth.berth_id',
    null,
    90_000,
  );
  const stateOf = async (wanted: string) =>
    (await listStanding(store, room.source.id)).find(({ rule }) => rule === wanted)?.state ?? null;
  await bringSurvey(room, withIndexes);
  expect(await stateOf('references/unindexed')).toBe('Open');
  const unknown = (...parts: Catalogue['unknown']) => ({
    ...withIndexes,
    findings: [],
    catalogue: { ...withIndexes.catalogue, unknown: parts },
  });
  await bringSurvey(room, unknown('indexes', 'values'));
  expect(await stateOf('references/unindexed')).toBe('Open');
  await bringSurvey(room, {
    ...unknown(),
    catalogue: (
      await surveyFile(
        'port.berth: berth_id key\n port.call 90000: call_id key, berth_id -> port.berth.berth_id; index berth_id',
        null,
        90_000,
      )
    ).catalogue,
  });
  expect(await stateOf('references/unindexed')).toBe('Held');
});

describe('two surveys are held against each other', () => {
  const surveyed = async (of: Room, drawn: string) => {
    const outcome = await bringSurvey(of, await surveyFile(drawn));
    if (outcome.problem !== null) throw new Error(outcome.problem);
    return outcome.result.survey;
  };
  const another = () => walled.source();

  test('one source, then and now: what changed, and which findings', async () => {
    const [then, now] = [await surveyed(room, bare), await surveyed(room, mended)];
    const compared = await compare(room, null, { source: room.source.id, survey: then });
    if ('problem' in compared) throw new Error(compared.problem);
    expect([compared.here, compared.there, compared.isNow]).toEqual([now, then, true]);
    expect(compared.findings.map(({ place, here, there: before }) => [place, here, before])).toContainEqual([
      'port.lamp',
      'Held',
      'Open',
    ]);
    expect(compared.aligned.length).toBeGreaterThan(0);
    const past = await compare(room, then, { source: room.source.id, survey: now });
    expect('isNow' in past && past.isNow).toBe(false);
  });

  test('two sources: what is open in one alone, told from where one stands', async () => {
    const other = await another();
    await surveyed(room, bare);
    await surveyed(other, mended);
    const compared = await compare(room, null, { source: other.source.id, survey: null });
    if ('problem' in compared) throw new Error(compared.problem);
    const keys = compared.findings.filter(({ rule }) => rule === 'keys/missing');
    expect(keys.map(({ place, here, there: beside }) => [place, here, beside])).toEqual([['port.lamp', 'Open', null]]);
    const turned = await compare(other, null, { source: room.source.id, survey: null });
    if ('problem' in turned) throw new Error(turned.problem);
    const [lamp] = turned.findings.filter(({ rule }) => rule === 'keys/missing');
    expect([lamp?.id, lamp?.here, lamp?.there]).toEqual([null, null, 'Open']);
  });

  test('what cannot be compared says why', async () => {
    const [other, empty] = [await another(), await another()];
    const [own, foreign] = [await surveyed(room, bare), await surveyed(other, bare)];
    expect(await compare(room, null, { source: empty.source.id, survey: null })).toEqual({
      problem: `${empty.source.name} has not been surveyed yet.`,
    });
    expect(await compare(room, foreign, { source: room.source.id, survey: own })).toEqual({
      problem: `Survey ${foreign} is of another source.`,
    });
    const lost = await surveyed(room, mended);
    await store.query('update surveys set catalogue = null where id = $1', [lost]);
    expect(await compare(room, lost, { source: room.source.id, survey: own })).toMatchObject({
      problem: expect.stringContaining('has kept no catalogue') as string,
    });
  });
});

test('refused with words: where Pawl surveys itself, another engine, while a survey waits', async () => {
  const taken = await surveyFile(bare);
  const login = { host: '127.0.0.1', port: 5432, database: 'd', user: 'u', password: 'p', tls: 'off' } as const;
  const live = await addSource(store, sourceAt({ name: `live ${room.source.id}`, environment: 'test', ...login }));
  expect((await bringSurvey({ ...room, source: there(await findSource(store, live)) }, taken)).problem).toMatch(
    /surveys .* itself/,
  );
  const other = { ...taken.catalogue, engine: { ...taken.catalogue.engine, name: 'other' } } as unknown as typeof taken.catalogue;
  expect((await bringSurvey(room, { ...taken, catalogue: other })).problem).toMatch(/The file is of other/);
  await askForSurvey(store, { source: room.source.id, depth: 'exact' });
  expect((await bringSurvey(room, taken)).problem).toMatch(/Let that end/);
  expect(await states()).toEqual({});
});
