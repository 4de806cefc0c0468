// Runs of a docket by real worker processes: killed, paused, stopped, fought over, and cleared away after.

import { sourceAt } from '../../test/kit/source';
import type pg from 'pg';
import { expect, test } from 'vitest';
import { useDatabase } from '../../test/kit/database';
import { eventually, inState, killed, useWorkshop, whileLocked, type Workshop } from '../../test/kit/worker';
import type { Catalogue } from '../core/catalogue/model';
import type { Mode } from '../core/plan/cost';
import type { Plan } from '../core/plan/shape';
import { planFor } from '../core/plan/plan';
import type { Direction } from '../core/plan/direction';
import { plannedSteps } from '../sources/run/carryOut';
import { differences, type Fingerprint } from '../sources/run/scratch';
import { survey } from '../sources/survey';
import { addDocket, findDocket, freezeDocket, moveDocket } from '../store/dockets/dockets';
import { askForRun, findRun, listSteps, type RunState, steerRun } from '../store/dockets/runs';
import { addSource } from '../store/sources/sources';
import type { LoginDesk } from './loginHandover';
import type { Queue } from './queue';
import type { DocketId, RunId, SourceId } from '../store/ids';

// `call` is changed half way, and a lock on it makes a run stand still there.
const audited = useDatabase(`
  create table berth (berth_no text not null, area text);
  insert into berth select 'B' || n, 'area ' || n % 5 from generate_series(1, 60) n;
  create table call (call_id int primary key, berth_no text, note text);
  insert into call select n, case when n % 50 = 0 then 'X' || n else 'B' || 1 + n % 60 end, 'n' || n % 7 from generate_series(1, 400) n;
  create table pilot (pilot_no text not null);
  insert into pilot select 'P' || n from generate_series(1, 90) n;
  analyze;
`);
const database = useDatabase();
let store: pg.Pool;
let queue: Queue;
let desk: LoginDesk;
let source: SourceId;
let catalogue: Catalogue;
let before: Fingerprint;
let hire: Workshop['hire'];
const held = /^(orphans of public\.call|an index under the reference)/;

useWorkshop(database, async (shop) => {
  ({ store, queue, desk, hire } = shop);
  source = await addSource(store, sourceAt({ name: 'audited', environment: 'test', ...audited.details }));
  before = await audited.fingerprint();
});

async function planned(
  mode: Mode = 'plain',
  rules = ['keys/missing', 'references/undeclared'],
): Promise<{ readonly docket: DocketId; readonly plan: Plan }> {
  const reader = await audited.open();
  const result = await survey(reader, { depth: 'exact' }).finally(() => reader.close());
  ({ catalogue } = result);
  const docket = await addDocket(store, source, 'Docket', mode);
  const decided = result.findings
    .filter((finding) => rules.includes(finding.rule))
    .map((finding) => ({ finding, decision: { orphans: 'empty' } }));
  const plan = planFor(decided, catalogue, { label: `d${docket}`, mode });
  expect(plan.problems).toEqual([]);
  return { docket, plan };
}

async function ask(docket: DocketId, plan: Plan, direction: Direction): Promise<RunId> {
  expect(await moveDocket(store, docket, ['Draft', 'Done', 'Stopped'], 'Running')).toBe(true);
  await freezeDocket(store, docket, plan, catalogue);
  const { user, password } = audited.details;
  const id = await askForRun(store, { docket, direction, user, steps: plannedSteps(plan, direction) });
  await desk.offer(id, { user, password });
  await queue.enqueue('run', id);
  return id;
}

const reached = (id: RunId, ...states: readonly RunState[]) => inState(() => findRun(store, id), ...states);

async function run(docket: DocketId, plan: Plan, direction: Direction): Promise<void> {
  expect((await reached(await ask(docket, plan, direction), 'done', 'stopped')).problem).toBeNull();
}

/** Resolves once a step stands still at the lock. */
const stands = (id: RunId) =>
  eventually(async () => {
    const running = (await listSteps(store, id, { rows: true })).find((step) => step.state === 'running');
    return running && held.test(running.title) ? running : null;
  }, 'the run to stand at the lock');

/** Holds `call` so that a run stands still where it changes it. */
const holding = (work: (letGo: () => Promise<void>) => Promise<void>) =>
  whileLocked(audited, 'call in share row exclusive mode', work);

const same = async (): Promise<void> => expect(differences(before, await audited.fingerprint())).toEqual([]);

test('a worker killed inside a step: the docket is stopped, goes on, and goes back to how it was', async () => {
  const { docket, plan } = await planned();
  await holding(async (letGo) => {
    const first = await hire();
    const id = await ask(docket, plan, 'forward');
    await stands(id);
    await killed(first, 'SIGKILL');
    await letGo();
    await hire();
    expect((await reached(id, 'stopped', 'done')).problem).toContain('interrupted');
  });
  expect((await findDocket(store, source, docket))?.state).toBe('Stopped');
  await run(docket, plan, 'forward');
  expect((await audited.run('select count(*)::int as n from call where berth_no is null')).rows[0]).toEqual({ n: 8 });
  await run(docket, plan, 'back');
  await same();
});

test('a run is paused before its next step, and goes on when asked to', async () => {
  await hire();
  const { docket, plan } = await planned();
  await holding(async (letGo) => {
    const id = await ask(docket, plan, 'forward');
    await stands(id);
    await steerRun(store, { source, docket, asked: 'pause' });
    await letGo();
    await reached(id, 'paused', 'done');
    const steps = await listSteps(store, id, { rows: true });
    expect(steps.some((step) => step.state === 'waiting')).toBe(true);
    expect(steps.some((step) => step.state === 'running')).toBe(false);
    await steerRun(store, { source, docket, asked: null });
    expect(await reached(id, 'done', 'stopped')).toMatchObject({ state: 'done', problem: null });
  });
  await run(docket, plan, 'back');
  await same();
});

test('a stop interrupts the step that is under way; what was done can be gone back from', async () => {
  await hire();
  const { docket, plan } = await planned();
  await holding(async () => {
    const id = await ask(docket, plan, 'forward');
    await stands(id);
    await steerRun(store, { source, docket, asked: 'stop' });
    await reached(id, 'stopped', 'done');
    const steps = await listSteps(store, id, { rows: true });
    expect(steps.filter((step) => step.state === 'failed').map((step) => held.test(step.title))).toEqual([true]);
  });
  expect((await findDocket(store, source, docket))?.state).toBe('Stopped');
  await run(docket, plan, 'back');
  await same();
});

test('a first step that was stopped half way is gone on with, and what it left is cleared away', async () => {
  await hire();
  const { docket, plan } = await planned('quiet', ['keys/missing']);
  // An index is built beside the work: it waits for whoever was writing before.
  await whileLocked(audited, 'berth, pilot in row exclusive mode', async () => {
    const id = await ask(docket, plan, 'forward');
    const left = async () => (await audited.run('select 1 from pg_index where not indisvalid')).rowCount;
    await eventually(async () => ((await left()) ? true : null), 'an index to be half built');
    await steerRun(store, { source, docket, asked: 'stop' });
    await reached(id, 'stopped', 'done');
    expect(await left()).toBe(1);
  });
  await run(docket, plan, 'forward');
  expect(
    (await audited.run("select 1 from pg_constraint where contype = 'p' and connamespace = 'public'::regnamespace")).rows,
  ).toHaveLength(3);
  await run(docket, plan, 'back');
  await same();
});

test('of two workers that are asked only one runs a docket', async () => {
  await Promise.all([hire(), hire()]);
  const { docket, plan } = await planned();
  const id = await ask(docket, plan, 'forward');
  await Promise.all([queue.enqueue('run', id), queue.enqueue('run', id)]);
  await reached(id, 'done', 'stopped');
  const outcomes = (await listSteps(store, id, { rows: true })).map((step) => step.outcome ?? '');
  expect(outcomes.filter((outcome) => outcome.includes('in force already'))).toEqual([]);
  await run(docket, plan, 'back');
  await same();
});

test('what repairs kept is dropped when asked for, and only then', async () => {
  await hire();
  const { docket, plan } = await planned();
  const kept = async () => (await audited.run(`select relname from pg_class where relname like 'pawl\\_kept%'`)).rowCount;
  await run(docket, plan, 'forward');
  expect(await kept()).toBe(1);
  await run(docket, plan, 'clear');
  expect(await kept()).toBe(0);
  const row = await findDocket(store, source, docket);
  expect([row?.state, row?.clearedAt === null]).toEqual(['Done', false]);
});
