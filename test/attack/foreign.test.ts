// Ids of another source, to every door, by who may do everything on their own: nothing of the other changes, and the journal
// says of nothing that it was done.

import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type pg from 'pg';
import { RouterContextProvider } from 'react-router';
import { afterAll, beforeAll, expect, test } from 'vitest';
import { passedContext } from '../../src/app/server/context.server';
import { type Role, roleNames } from '../../src/core/rights/rights';
import { audit } from '../../src/core/rules/audit';
import { db, rowsOf } from '../../src/store/db';
import { addDocket, moveDocket, putItem } from '../../src/store/dockets/dockets';
import { askForRun, listRuns, startRun } from '../../src/store/dockets/runs';
import { keepFindings, listStanding, moveFindings } from '../../src/store/findings/findings';
import type { SourceId } from '../../src/store/ids';
import { migrate } from '../../src/store/migrate';
import { parts } from '../../src/store/moving/parts';
import { addSchedule } from '../../src/store/sources/schedules';
import { addSource, findSource } from '../../src/store/sources/sources';
import { askForSurvey } from '../../src/store/surveys/surveys';
import type { Actor } from '../../src/work/actor';
import { steer } from '../../src/work/dockets/running';
import type { Office } from '../../src/work/office';
import { useDatabase } from '../kit/database';
import { isLong } from '../kit/drawn';
import { evidence, profiled } from '../kit/measured';
import { sketch } from '../kit/sketch';
import { sourceAt } from '../kit/source';
import { there } from '../kit/there';
import { type Act, doors, moduleOf } from './doors';

process.env['PAWL_KEY_FILE'] = join(mkdtempSync(join(tmpdir(), 'pawl-key-')), 'key');
const database = useDatabase();
let store: pg.Pool;
let mine: SourceId;
let theirs: Theirs;
let office: Office;
beforeAll(async () => {
  process.env['DATABASE_URL'] = database.url;
  await migrate(database.url);
  store = db();
  office = { store, enqueue: () => Promise.resolve(), offerLogin: () => Promise.resolve(true) };
  mine = await addSource(store, sourceAt({ ...database.details, name: 'mine', environment: 'test' }));
  theirs = await filled();
});
afterAll(() => store.end());

interface Theirs {
  readonly source: SourceId;
  readonly finding: number;
  readonly docket: number;
  readonly survey: number;
  readonly schedule: number;
  readonly listener: number;
}

/** A production source with all that acts are about: a survey that waits, a docket whose run goes on. */
async function filled(): Promise<Theirs> {
  const source = await addSource(store, sourceAt({ ...database.details, name: 'theirs', environment: 'production' }));
  const survey = await askForSurvey(store, { source, depth: 'exact' });
  const port = sketch('port.lamp: lamp_no text not null\n port.buoy: buoy_no text not null');
  const facts = evidence(
    profiled(port, 'port.lamp', 60, { lamp_no: { distinct: 60 } }),
    profiled(port, 'port.buoy', 9, { buoy_no: { distinct: 9 } }),
  );
  await keepFindings(store, { source, survey }, audit(port, facts));
  const finding = there((await listStanding(store, source))[0]).id;
  const docket = await addDocket(store, source, 'Lamps', 'quiet');
  await putItem(store, docket, finding, { key: 'lamp_no' });
  await moveFindings(store, [{ finding, from: 'Open', to: 'Docketed', reason: null }], { docket });
  await moveDocket(store, docket, ['Draft'], 'Running');
  const run = await askForRun(store, { docket, direction: 'forward', user: 'u', steps: [{ title: 's', statement: 'x' }] });
  await startRun(store, run);
  await addSchedule(store, source, {
    cron: '30 2 * * *',
    zone: 'UTC',
    depth: 'exact',
    keptBy: 'Ada',
    nextAt: new Date('2099-01-01'),
  });
  const own = async (table: string) =>
    Number((await rowsOf<{ id: number }>(store, `select id from ${table} where source_id = $1`, [source]))[0]?.id);
  await store.query(
    `insert into listeners (source_id, address, sealed_secret, hears, kept_by) values ($1, 'https://hear.example/', 'x', 'worse', 'Ada')`,
    [source],
  );
  return { source, finding, docket, survey, schedule: await own('schedules'), listener: await own('listeners') };
}

const everythingHere = (role: Role = 'Administrator'): Actor => ({
  person: null,
  via: 'browser',
  address: '127.0.0.1',
  bounds: { grants: [{ role, source: mine }] },
});

/** Everything of a source, row by row. */
async function allOf(source: SourceId): Promise<unknown> {
  const rows: unknown[] = [];
  for (const { table, of, order } of parts)
    rows.push([table, await rowsOf(store, `select * from ${table} where ${of} order by ${order}`, [source])]);
  return rows;
}

async function doneSince(entry: string): Promise<readonly unknown[]> {
  return rowsOf(store, `select act, object from journal where outcome = 'done' and id > $1`, [entry]);
}

async function lastEntry(): Promise<string> {
  return String((await rowsOf<{ id: string }>(store, 'select coalesce(max(id), 0)::text as id from journal'))[0]?.id);
}

/** A form with their ids in place of its own. */
function withTheirs(form: Act['form']): Record<string, string> {
  const ids: Readonly<Record<string, number>> = {
    ...{
      finding: theirs.finding,
      findings: theirs.finding,
      older: theirs.finding,
      with: theirs.finding,
      refused: theirs.finding,
    },
    ...{ schedule: theirs.schedule, listener: theirs.listener, target: theirs.source, purge: theirs.source },
  };
  return Object.fromEntries(Object.entries(form).map(([name, own]) => [name, name in ids ? String(ids[name]) : own]));
}

const ofTheirs = ['finding', 'findings', 'older', 'schedule', 'listener', 'target', 'purge', 'changes'];
const byPath = /^(findings\/finding|ratchet\/finding|dockets\/(docket|evidence)|surveys\/survey)/;

const tries = Object.entries(doors)
  .filter(([file]) => !/^(sign-in|invitation|me|people)\//.test(file))
  .flatMap(([file, { acts = {} }]) => Object.entries(acts).map(([name, { form }]) => [file, name, form] as const));

// Whoever may do everything may do what the others may: those walk in the long attack.
const walking = isLong ? roleNames : (['Administrator'] as const);
const walks = walking.flatMap((role) => tries.map((one) => [role, ...one] as const));

test.each(walks)('%s: %s, %s', async (role, file, _, form) => {
  // It tries a login where nobody is, or takes one's own source out of use.
  if (file === 'sources/edit/route.tsx') return;
  const { action } = await moduleOf(`routes/${file}`);
  const [before, entry] = [await allOf(theirs.source), await lastEntry()];
  const context = new RouterContextProvider();
  context.set(passedContext, { id: 'r', actor: everythingHere(role), session: null, address: '127.0.0.1' });
  const params = {
    ...{ source: String(mine), finding: String(theirs.finding), docket: String(theirs.docket), survey: String(theirs.survey) },
    ...{ kind: 'columns', line: 'a.b.c', table: 'port.lamp', '*': 'keys/missing' },
  };
  const request = new Request('http://127.0.0.1/x', { method: 'POST', body: new URLSearchParams(withTheirs(form)) });
  await Promise.resolve(action?.({ request, params, context })).catch((thrown: unknown) => {
    if (thrown instanceof Error) throw thrown;
  });
  expect(await allOf(theirs.source)).toEqual(before);
  // Where one's own source is rehearsed is asked on any docket's page.
  if (form['intent'] === 'server') return;
  if (byPath.test(file) || ofTheirs.some((name) => name in form)) expect(await doneSince(entry)).toEqual([]);
});

test('the run of another source is neither paused, stopped nor resumed, and its own source still can', async () => {
  const room = { office, actor: everythingHere(), source: there(await findSource(store, mine)) };
  for (const asked of ['pause', 'stop', null] as const)
    expect((await steer(room as never, theirs.docket as never, asked)).problem).toMatch(/no run/);
  const owner = { ...room, source: there(await findSource(store, theirs.source)) };
  const actor: Actor = { ...everythingHere(), bounds: { grants: [{ role: 'Operator', source: theirs.source }] } };
  expect((await steer({ ...owner, actor } as never, theirs.docket as never, 'pause')).problem).toBeNull();
  expect((await listRuns(store, theirs.docket as never))[0]?.asked).toBe('pause');
});
