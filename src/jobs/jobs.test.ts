import { there } from '../../test/kit/there';
import { sourceAt } from '../../test/kit/source';
import type pg from 'pg';
import { expect, test } from 'vitest';
import { isProblem, parseFilter } from '../core/inventory/filter';
import { inventory } from '../core/inventory/index';
import { listLines } from '../store/inventory/inventory';
import { useDatabase } from '../../test/kit/database';
import { eventually, inState, killed, useWorkshop, whileLocked, type Workshop } from '../../test/kit/worker';
import type { Plan } from '../core/plan/shape';
import { planFor } from '../core/plan/plan';
import { addDocket, findDocket, freezeDocket, moveDocket, putItem, setDocketMode } from '../store/dockets/dockets';
import { askForRehearsal, findLastRehearsal, startRehearsal } from '../store/dockets/rehearsals';
import { askForRun, findRun, listProofsOfRun, listSteps } from '../store/dockets/runs';
import { coreFinding, listFindings, moveFindings } from '../store/findings/findings';
import { codeOfInstallation } from '../store/installation';
import { addSource } from '../store/sources/sources';
import {
  askForSurvey,
  cancelSurvey,
  findCatalogue,
  findLatestCatalogueId,
  findConventions,
  findSurvey,
  listFacts,
  type SurveyState,
} from '../store/surveys/surveys';
import type { LoginDesk } from './loginHandover';
import type { Queue } from './queue';
import { plannedSteps } from '../sources/run/carryOut';
import { differences } from '../sources/run/scratch';
import type { DocketId, RunId, SourceId, SurveyId } from '../store/ids';

// A source slow enough to be interrupted: reading each of these tables waits for a lock that the test holds.
const audited = useDatabase(`
  create table vessel (vessel_id int primary key, imo_no text);
  insert into vessel select n, 'I' || n from generate_series(1, 300) n;
  create table call (call_no text not null, vessel_id int, entry text);
  insert into call select 'C' || n, n % 300 + 1, 'noted' from generate_series(1, 900) n;
  update call set vessel_id = 9001 where call_no in ('C5', 'C6');
  create table slow (id int primary key, v text);
  insert into slow select n, 'v' from generate_series(1, 50) n;
  analyze;
`);
const database = useDatabase();
let store: pg.Pool;
let queue: Queue;
let desk: LoginDesk;
let source: SourceId;
let hire: Workshop['hire'];

useWorkshop(database, async (shop) => {
  ({ store, queue, desk, hire } = shop);
  source = await addSource(store, sourceAt({ name: 'audited', environment: 'test', ...audited.details }));
});

async function ask(depth: 'exact' | 'sampled' | 'catalogue' = 'exact'): Promise<SurveyId> {
  const id = await askForSurvey(store, { source, depth, forced: true });
  await queue.enqueue('survey', id);
  return id;
}
const reached = (id: SurveyId, ...states: readonly SurveyState[]) => inState(() => findSurvey(store, id), ...states);
const isAt = (id: SurveyId, doing: string) =>
  eventually(async () => ((await findSurvey(store, id))?.doing.includes(doing) ? true : null), `survey ${id} to be at ${doing}`);

/** Holds a table so that a survey stands still at it, until let go. */
const holding = (work: (letGo: () => Promise<void>) => Promise<void>) =>
  whileLocked(audited, 'slow in access exclusive mode', work);

test('a survey is carried out by a worker, with its findings', async () => {
  await hire();
  const row = await reached(await ask(), 'done', 'failed');
  expect(row).toMatchObject({ state: 'done', problem: null });
  expect((await listFindings(store, source, ['Open'])).map((f) => f.identity)).toEqual(
    expect.arrayContaining([
      'keys/missing:public.call',
      'references/undeclared:public.call(vessel_id) -> public.vessel(vessel_id)',
      'uniqueness/absent:public.vessel(imo_no)',
    ]),
  );
});

test('a survey of the catalogue alone keeps what was measured, and what names follow is known after each', async () => {
  await hire();
  const { id } = await reached(await ask('catalogue'), 'done', 'failed');
  const filter = parseFilter('table:vessel column:imo_no', inventory.columns);
  if (isProblem(filter)) throw new Error(filter.says);
  const [line] = await listLines(store, source, 'columns', { filter, sort: null, offset: 0, limit: 5 });
  expect(line?.values).toMatchObject({ column: 'imo_no', rows: 300, how: 'exact' });
  expect(await findConventions(store, id)).toContainEqual(expect.objectContaining({ kind: 'table', names: 3 }));
});

test('killing the worker in the middle of a survey loses nothing: another goes on with it', async () => {
  await holding(async (letGo) => {
    const worker = await hire();
    const id = await ask();
    await isAt(id, 'public.slow');
    await killed(worker, 'SIGKILL');
    const before = await listFacts(store, id);
    expect(before.length).toBeGreaterThan(0);
    await letGo();
    await hire();
    expect(await reached(id, 'done', 'failed')).toMatchObject({ state: 'done' });
    const after = new Map((await listFacts(store, id)).map((fact) => [JSON.stringify(fact.request), fact.at]));
    expect(before.every((fact) => after.get(JSON.stringify(fact.request)) === fact.at)).toBe(true);
  });
});

test('a survey can be cancelled while it runs, and gone on with', async () => {
  await holding(async (letGo) => {
    await hire();
    const id = await ask();
    await isAt(id, 'public.slow');
    await cancelSurvey(store, id);
    expect(await reached(id, 'cancelled', 'done')).toMatchObject({ state: 'cancelled' });
    expect((await listFacts(store, id)).length).toBeGreaterThan(0);
    await letGo();
  });
});

test('two workers share the queue and never take the same survey', async () => {
  await Promise.all([hire(), hire()]);
  const ids = await Promise.all([ask('catalogue'), ask('sampled'), ask('catalogue'), ask('sampled')]);
  for (const id of ids) expect(await reached(id, 'done', 'failed')).toMatchObject({ state: 'done' });
});

test('a source that cannot be reached fails the survey with words for people', async () => {
  await hire();
  const lost = await addSource(
    store,
    sourceAt({ name: 'lost', environment: 'test', ...audited.details, port: 1, password: 'not-for-eyes' }),
  );
  const id = await askForSurvey(store, { source: lost, depth: 'exact' });
  await queue.enqueue('survey', id);
  const row = await reached(id, 'failed', 'done');
  expect(row.problem).toContain('Nothing answers at 127.0.0.1:1');
  expect(JSON.stringify(row)).not.toContain('not-for-eyes');
});

test.each(['plain', 'quiet'] as const)(
  'a docket is run the %s way, proven and surveyed again; run back, the schema is as before',
  async (mode) => {
    await hire();
    const first = await reached(await ask(), 'done');
    const catalogue = await findCatalogue(store, first.id);
    if (!catalogue) throw new Error('the survey read a catalogue');
    const rows = (await listFindings(store, source, ['Open'])).filter(
      (row) => row.tableId !== 'public.slow' && row.proposal.kind !== 'byHand',
    );
    const docket = await addDocket(store, source, 'Docket', mode);
    for (const row of rows) await putItem(store, docket, row.id, {});
    await moveFindings(
      store,
      rows.map((row) => ({ finding: row.id, from: 'Open', to: 'Docketed', reason: null })),
      { docket },
    );
    const plan = planFor(
      rows.map((row) => ({ finding: coreFinding(row), decision: { orphans: 'remove' } })),
      catalogue,
      { label: `d${docket}`, mode },
    );
    expect(plan.problems).toEqual([]);

    const forward = await run(docket, plan, 'forward');
    expect((await listSteps(store, forward, { rows: true })).map((step) => step.state)).toEqual(
      Array.from({ length: plan.steps.length + 2 }, () => 'done'),
    );
    const proofs = await listProofsOfRun(store, forward, { rows: true });
    expect(proofs.length).toBeGreaterThan(3);
    expect(proofs.filter((proof) => proof.outcome !== 'refused')).toEqual([]);
    await eventually(
      async () => ((await listFindings(store, source, ['Held'])).length === rows.length ? true : null),
      'all to be held',
    );
    expect((await audited.run('select count(*)::int as n from call')).rows[0]).toEqual({ n: 898 });

    await run(docket, plan, 'back');
    const again = await findCatalogue(store, (await reached(await ask('catalogue'), 'done')).id);
    expect(again?.tables.map((t) => [t.name, t.columns.map((c) => [c.name, c.nullable]), t.constraints, t.indexes])).toEqual(
      catalogue.tables.map((t) => [t.name, t.columns.map((c) => [c.name, c.nullable]), t.constraints, t.indexes]),
    );
    expect((await audited.run('select count(*)::int as n from call')).rows[0]).toEqual({ n: 900 });
    expect((await listFindings(store, source, ['Slipped'])).length).toBe(0);
  },
);

test('a docket is rehearsed on a copy of which nothing is left; changed, it is a draft again', async () => {
  await hire();
  const { docket, plan } = await docketFor('keys/missing');
  const before = await audited.fingerprint();
  const id = await askForRehearsal(store, docket, plan);
  expect(await askForRehearsal(store, docket, plan)).toBeNull();
  await queue.enqueue('rehearsal', id ?? 0);
  const rehearsal = await eventually(async () => {
    const row = await findLastRehearsal(store, docket);
    return row?.finishedAt ? row : null;
  }, 'the rehearsal to end');
  expect([rehearsal.problem, rehearsal.state, rehearsal.report?.holds]).toEqual([null, 'held', true]);
  expect((await findDocket(store, source, docket))?.state).toBe('Rehearsed');
  expect((await store.query(`select 1 from pg_database where datname like 'pawl\\_scratch\\_%\\_r${id}'`)).rowCount).toBe(0);
  expect(differences(before, await audited.fingerprint())).toEqual([]);
  await setDocketMode(store, docket, 'quiet');
  expect((await findDocket(store, source, docket))?.state).toBe('Draft');
});

test('killing the worker in a rehearsal leaves no copy behind, and says so', async () => {
  const first = await hire();
  const { docket, plan } = await docketFor('keys/missing');
  await killed(first, 'SIGKILL');
  const id = there(await askForRehearsal(store, docket, plan));
  await startRehearsal(store, id);
  const code = await codeOfInstallation(store);
  // Of another Pawl that rehearses there.
  await store.query(`create database pawl_scratch_1_zzzzzz_r${id}`);
  await store.query(`create database pawl_scratch_1_${code}_r${id}`);
  await hire();
  const rehearsal = await eventually(async () => {
    const row = await findLastRehearsal(store, docket);
    return row?.finishedAt ? row : null;
  }, 'the rehearsal to be given up');
  expect([rehearsal.state, rehearsal.problem]).toEqual(['failed', expect.stringContaining('interrupted')]);
  expect((await store.query(`select 1 from pg_database where datname = 'pawl_scratch_1_${code}_r${id}'`)).rowCount).toBe(0);
  expect((await store.query(`select 1 from pg_database where datname = 'pawl_scratch_1_zzzzzz_r${id}'`)).rowCount).toBe(1);
  await store.query(`drop database pawl_scratch_1_zzzzzz_r${id}`);
});

test('a docket whose tables have changed since it was planned stops before its first step', async () => {
  await hire();
  const { docket, plan } = await docketFor('keys/missing');
  const [first] = plan.steps;
  if (!first) throw new Error('a table has no key');
  const changed = first.operation.table.replace(/^public\./, '');
  await audited.run(`alter table public."${changed}" add column sudden int`);
  try {
    const { state, problem } = await runToItsEnd(docket, plan, 'forward');
    expect([state, problem]).toEqual(['stopped', expect.stringMatching(/column sudden is new.*Survey again/)]);
    expect((await findDocket(store, source, docket))?.state).toBe('Draft');
  } finally {
    await audited.run(`alter table public."${changed}" drop column sudden`);
  }
});

/** A draft for the findings of a rule, as advised. */
async function docketFor(rule: string): Promise<{ readonly docket: DocketId; readonly plan: Plan }> {
  const catalogue = await findCatalogue(store, (await reached(await ask('catalogue'), 'done')).id);
  if (!catalogue) throw new Error('the survey read a catalogue');
  const rows = (await listFindings(store, source, ['Open'])).filter((row) => row.rule === rule);
  // A finding is in one open docket at a time: those of earlier tests are through.
  await store.query(`update dockets set state = 'Backed out' where state not in ('Done', 'Backed out')`);
  const docket = await addDocket(store, source, `Docket for ${rule}`, 'plain');
  for (const row of rows) await putItem(store, docket, row.id, {});
  const plan = planFor(
    rows.map((row) => ({ finding: coreFinding(row), decision: {} })),
    catalogue,
    { label: `d${docket}`, mode: 'plain' },
  );
  return { docket, plan };
}

test('a login that nobody offers stops the run, with nothing done', async () => {
  await hire();
  const docket = await addDocket(store, source, 'Unattended', 'plain');
  await moveDocket(store, docket, ['Draft'], 'Running');
  const id = await askForRun(store, { docket, direction: 'forward', user: 'somebody', steps: [] });
  await queue.enqueue('run', id);
  const stopped = await eventually(async () => {
    const row = await findRun(store, id);
    return row?.state === 'stopped' ? row : null;
  }, 'the run to stop');
  expect(stopped.problem).toContain('Type it again');
  expect((await findDocket(store, source, docket))?.state).toBe('Stopped');
});

test('no table ever holds a password that was typed for a run', async () => {
  const { rows } = await store.query<{ schema: string; name: string }>(
    `select table_schema as schema, table_name as name from information_schema.tables where table_schema in ('pawl', 'pawl_queue')`,
  );
  for (const { schema, name } of rows) {
    const found = await store.query(`select 1 from ${schema}.${name} as t where t::text like '%' || $1 || '%'`, [
      audited.details.password,
    ]);
    expect(found.rowCount, name).toBe(0);
  }
});

async function run(docket: DocketId, plan: Plan, direction: 'forward' | 'back'): Promise<RunId> {
  const ended = await runToItsEnd(docket, plan, direction);
  expect(ended.problem).toBeNull();
  return ended.id;
}

async function runToItsEnd(docket: DocketId, plan: Plan, direction: 'forward' | 'back') {
  await moveDocket(store, docket, ['Draft', 'Done'], 'Running');
  const last = await findLatestCatalogueId(store, source);
  const catalogue = last && (await findCatalogue(store, last));
  if (!catalogue) throw new Error('there is a catalogue');
  await freezeDocket(store, docket, plan, catalogue);
  const { user, password } = audited.details;
  const id = await askForRun(store, { docket, direction, user, steps: plannedSteps(plan, direction) });
  await desk.offer(id, { user, password });
  await queue.enqueue('run', id);
  return eventually(async () => {
    const r = await findRun(store, id);
    return r?.state === 'done' || r?.state === 'stopped' ? r : null;
  }, 'the run to end');
}
