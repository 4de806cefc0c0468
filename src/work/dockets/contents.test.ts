// What goes into dockets and comes out again, who signs what they saw, and two people at the same moment.

import { beforeEach, expect, test } from 'vitest';
import { there } from '../../../test/kit/there';
import { surveyFile, useWalled } from '../../../test/kit/walled';
import { findDocket, listDockets, listItems } from '../../store/dockets/dockets';
import { coreFinding, type FindingRow, listStanding } from '../../store/findings/findings';
import type { DocketId } from '../../store/ids';
import { lastEntryId } from '../../store/journal/journal';
import { addPerson } from '../../store/people/people';
import type { Actor } from '../actor';
import { bringSurvey } from '../brought';
import type { Room } from '../enter';
import { addToDocket, changeMode, discard, findingsToMake, rename, takeFromDocket } from './contents';
import { planDocket, type Shown } from './planned';
import { confirmBackup, sign, unsign } from './signing';

const walled = useWalled();
const drawn = `
  port.lamp: lamp_no text not null
  port.buoy: buoy_no text not null
  port.berth: berth_no text key
  port.tug: tug_id key
`;
let room: Room;
beforeEach(async () => {
  room = await walled.source();
  await bringSurvey(room, await surveyFile(drawn));
});

const standing = () => listStanding(walled.store(), room.source.id);
async function missingKey(table: string): Promise<FindingRow> {
  return there((await standing()).find(({ rule, tableId }) => rule === 'keys/missing' && tableId === table));
}

async function added(...tables: readonly string[]): Promise<DocketId> {
  const rows = await Promise.all(tables.map(missingKey));
  const outcome = await addToDocket(
    room,
    rows.map(({ id }) => id),
    {},
  );
  if (outcome.problem !== null) throw new Error(outcome.problem);
  return outcome.result;
}

async function shown(id: DocketId): Promise<Shown> {
  const seen = await lastEntryId(walled.store());
  const docket = there(await findDocket(walled.store(), room.source.id, id));
  return { digest: (await planDocket(walled.store(), room.source, docket)).digest, seen };
}

const docketOf = async (id: DocketId) => there(await findDocket(walled.store(), room.source.id, id));
const steps = async (id: DocketId) =>
  (await planDocket(walled.store(), room.source, await docketOf(id))).plan?.steps.map(({ operation }) => [
    operation.kind,
    'table' in operation ? operation.table : '',
  ]);

/** Somebody with a name, who may do everything. */
async function person(name: string): Promise<Room> {
  const id = there(await addPerson(walled.store(), `${name} ${room.source.id}`.toLowerCase().replaceAll(' ', '-'), name));
  const actor: Actor = { ...room.actor, person: { id, name: name.toLowerCase(), fullName: name } };
  return { ...room, actor };
}

test('findings go into one draft, each with every question answered, and are docketed', async () => {
  const id = await added('port.lamp');
  expect(await added('port.buoy')).toBe(id);
  expect(await steps(id)).toEqual([
    ['addPrimaryKey', 'port.lamp'],
    ['addPrimaryKey', 'port.buoy'],
  ]);
  for (const { decision } of await listItems(walled.store(), id)) expect(decision).toHaveProperty('key');
  expect((await missingKey('port.lamp')).state).toBe('Docketed');
});

test('answers are kept for the finding that is in a docket already, and in that docket', async () => {
  const id = await added('port.lamp');
  const row = await missingKey('port.lamp');
  await addToDocket(room, [row.id], { key: 'surrogate' });
  expect(await steps(id)).toContainEqual(['numberRows', 'port.lamp']);
  expect(await listDockets(walled.store(), room.source.id)).toHaveLength(1);
});

test('two at the same moment share one draft', async () => {
  const [lamp, buoy] = [await missingKey('port.lamp'), await missingKey('port.buoy')];
  const outcomes = await Promise.all([addToDocket(room, [lamp.id], {}), addToDocket(room, [buoy.id], {})]);
  expect(new Set(outcomes.map((outcome) => (outcome.problem === null ? outcome.result : outcome.problem))).size).toBe(1);
});

test('what is taken out is open again, and what is by hand never goes in', async () => {
  const id = await added('port.lamp', 'port.buoy');
  const lamp = await missingKey('port.lamp');
  expect((await takeFromDocket(room, [lamp.id])).problem).toBeNull();
  expect((await missingKey('port.lamp')).state).toBe('Open');
  expect(await steps(id)).toEqual([['addPrimaryKey', 'port.buoy']]);
  expect((await takeFromDocket(room, [lamp.id])).problem).toMatch(/^The docket has been run/);
  const byHand = (await standing()).filter((row) => coreFinding(row).proposal.kind === 'byHand');
  expect(byHand.length).toBeGreaterThan(0);
  for (const { id: finding } of byHand)
    expect((await addToDocket(room, [finding], {})).problem).toMatch(/^None of it is open and has a script/);
});

test('a docket that is discarded leaves its findings open', async () => {
  const id = await added('port.lamp');
  expect((await discard(room, id)).problem).toBeNull();
  expect((await missingKey('port.lamp')).state).toBe('Open');
  expect(await findDocket(walled.store(), room.source.id, id)).toBeNull();
  expect((await discard(room, id)).problem).toBe('The docket was discarded.');
});

test('who saw another docket than it is changes nothing, and is told who did what', async () => {
  const ines = await person('Ines Okker');
  const id = await added('port.lamp');
  const before = await shown(id);
  const row = await missingKey('port.buoy');
  await addToDocket(ines, [row.id], {});
  for (const act of [rename(room, id, 'Keys', before), changeMode(room, id, 'quiet', before)])
    expect((await act).problem).toMatch(
      /^It is not what you were shown any more, so nothing was done\. Since then Ines Okker put something in/,
    );
  expect((await docketOf(id)).name).toBe('Docket 1');
  expect((await rename(room, id, 'Keys', await shown(id))).problem).toBeNull();
  expect((await docketOf(id)).name).toBe('Keys');
});

test('a person signs what they saw; whoever changes it takes the signature off', async () => {
  room = { ...room, source: (await walled.source('production')).source };
  await bringSurvey(room, await surveyFile(drawn));
  const [ines, bo] = [await person('Ines Okker'), await person('Bo Larsk')];
  const lamp = await missingKey('port.lamp');
  const outcome = await addToDocket(ines, [lamp.id], {});
  const id = there(outcome.problem === null ? outcome.result : null);
  expect((await sign(room, id, await shown(id))).problem).toBe('Only a person signs.');
  expect((await sign(ines, id, await shown(id))).problem).not.toBeNull();
  expect((await sign(bo, id, { ...(await shown(id)), digest: 'another' })).problem).toMatch(/^It is not what you were shown/);
  expect((await sign(bo, id, await shown(id))).problem).toBeNull();
  expect(await docketOf(id)).toMatchObject({ state: 'Signed', signedBy: 'Bo Larsk' });
  expect((await rename(ines, id, 'Other', await shown(id))).problem).toBe('Its name is in what was signed.');
  await changeMode(ines, id, 'plain', await shown(id));
  expect(await docketOf(id)).toMatchObject({ state: 'Draft', signedBy: null });
  await sign(bo, id, await shown(id));
  expect((await unsign(bo, id)).problem).toBeNull();
  expect(await docketOf(id)).toMatchObject({ signedBy: null });
});

test('a backup is confirmed with its place, and not one of tomorrow', async () => {
  const id = await added('port.lamp');
  const backup = async (at: string) => confirmBackup(room, id, { at, place: 'vault 3', shown: await shown(id) });
  expect((await backup(new Date(Date.now() + 86_400_000).toISOString())).problem).not.toBeNull();
  expect((await backup(new Date(Date.now() - 3_600_000).toISOString())).problem).toBeNull();
  expect(await docketOf(id)).toMatchObject({ backupWhere: 'vault 3' });
});

test('a key that a reference needs is found among what is open, of exactly those columns', async () => {
  const of = (columns: readonly string[]) => findingsToMake(room, { table: 'port.lamp' as never, columns });
  expect((await of(['lamp_no'])).map(({ rule, tableId }) => [rule, tableId])).toEqual([['keys/missing', 'port.lamp']]);
  expect(await of(['lamp_no', 'other'])).toEqual([]);
});
