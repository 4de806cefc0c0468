// Tables and columns that get other names, by a person or by a docket: what is known of them goes on.

import type pg from 'pg';
import { expect, test } from 'vitest';
import { useDatabase } from '../../test/kit/database';
import { sourceAt } from '../../test/kit/source';
import { there } from '../../test/kit/there';
import { eventually, inState, useWorkshop, type Workshop } from '../../test/kit/worker';
import { tableId } from '../core/catalogue/identifiers';
import type { Direction } from '../core/plan/direction';
import type { Plan } from '../core/plan/shape';
import { planFor } from '../core/plan/plan';
import { usualPolicy } from '../core/rules/policy';
import { plannedSteps } from '../sources/run/carryOut';
import { addDocket, freezeDocket, listItems, moveDocket, putItem, removeDocket } from '../store/dockets/dockets';
import { askForRun, findRun } from '../store/dockets/runs';
import { coreFinding, type FindingRow, listEvents, listFindings, listStanding, moveFindings } from '../store/findings/findings';
import type { DocketId, SourceId } from '../store/ids';
import { getSettings, keepPolicies } from '../store/sources/settings';
import { addSource } from '../store/sources/sources';
import { addWish, listWishes } from '../store/sources/wishes';
import { askForSurvey, findCatalogue, findSurvey, type SurveyRow } from '../store/surveys/surveys';
import type { LoginDesk } from './loginHandover';
import type { Queue } from './queue';

const audited = useDatabase(`
  create table vessel (vessel_id int primary key, imo_no text);
  insert into vessel select n, 'I' || n from generate_series(1, 300) n;
  create table call (call_no text not null, vessel_id int, entry text);
  insert into call select 'C' || n, n % 300 + 1, 'noted' from generate_series(1, 900) n;
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

async function survey(): Promise<SurveyRow> {
  const id = await askForSurvey(store, { source, depth: 'exact' });
  await queue.enqueue('survey', id);
  return inState(() => findSurvey(store, id), 'done');
}

async function known(): Promise<ReadonlyMap<string, FindingRow>> {
  return new Map((await listStanding(store, source)).map((row) => [row.identity, row]));
}

const undeclared = 'references/undeclared:public.call(vessel_id) -> public.vessel(vessel_id)';

test('findings, waivers and what people asked for follow a table and a column that somebody renamed, and say so', async () => {
  await hire();
  await survey();
  const before = await known();
  await keepPolicies(store, source, {
    'keys/missing': { ...usualPolicy, waivers: [{ object: 'public.call', reason: 'a log' }] },
    'uniqueness/absent': { ...usualPolicy, waivers: [{ object: 'public.v*', reason: 'by pattern' }] },
  });
  const wish = { kind: 'filled', table: tableId('public', 'call'), columns: ['vessel_id'] } as const;
  await addWish(store, source, { wish, reason: 'every call is of a vessel', by: 'Ada' });
  const draft = await addDocket(store, source, 'Draft', 'plain');
  const decision = { parent: 'public.vessel(vessel_id) by vessel_id', orphans: 'empty' };
  await putItem(store, draft, there(before.get(undeclared) ?? null).id, decision);
  await audited.run('alter table vessel rename to ship; alter table call rename column vessel_id to ship_id');
  await survey();

  const after = await known();
  const is = there(after.get('references/undeclared:public.call(ship_id) -> public.ship(vessel_id)') ?? null);
  const was = there(before.get(undeclared) ?? null);
  expect([is.id, is.state, is.formerly]).toEqual([was.id, 'Open', [undeclared]]);
  expect(after.has(undeclared)).toBe(false);
  const told = (await listEvents(store, is.id)).find(({ from, to }) => from === to);
  expect(told?.reason).toMatch(/vessel_id of public\.call is called ship_id now.*public\.vessel is called public\.ship now/);
  expect((await listItems(store, draft)).map((item) => item.decision)).toEqual([
    { parent: 'public.ship(vessel_id) by ship_id', orphans: 'empty' },
  ]);
  await removeDocket(store, draft);
  const { policies } = await getSettings(store, source);
  expect(policies['uniqueness/absent']?.waivers[0]?.object).toBe('public.v*');
  expect((await listWishes(store, source)).map((asked) => asked.wish)).toEqual([{ ...wish, columns: ['ship_id'] }]);
  expect([...after.keys()]).toContain('nullability/asked:public.call(ship_id) -> filled');
});

async function run(docket: DocketId, plan: Plan, direction: Direction): Promise<void> {
  expect(await moveDocket(store, docket, ['Draft', 'Done'], 'Running')).toBe(true);
  const { user, password } = audited.details;
  const id = await askForRun(store, { docket, direction, user, steps: plannedSteps(plan, direction) });
  await desk.offer(id, { user, password });
  await queue.enqueue('run', id);
  expect((await inState(() => findRun(store, id), 'done', 'stopped')).problem).toBeNull();
}

test('a table that a docket renamed, leaving a view, is held under its new name; backed out, it is as it was', async () => {
  await hire();
  const table = tableId('public', 'call');
  await addWish(store, source, {
    wish: { kind: 'named', table, object: 'table', from: 'call', to: 'port_call' },
    reason: '',
    by: 'Ada',
  });
  const { id } = await survey();
  const catalogue = there(await findCatalogue(store, id));
  const row = there((await known()).get('naming/asked:public.call -> named') ?? null);
  const docket = await addDocket(store, source, 'Rename', 'quiet');
  await putItem(store, docket, row.id, {});
  await moveFindings(store, [{ finding: row.id, from: 'Open', to: 'Docketed', reason: null }], { docket });
  const plan = planFor([{ finding: coreFinding(row), decision: {} }], catalogue, { label: `d${docket}`, mode: 'quiet' });
  expect(plan.problems).toEqual([]);
  await freezeDocket(store, docket, plan, catalogue);

  const open = (await listFindings(store, source, ['Open'])).length;
  await run(docket, plan, 'forward');
  const state = (wanted: string) =>
    eventually(async () => {
      const now = (await listStanding(store, source)).find((one) => one.id === row.id);
      return now?.state === wanted ? now : null;
    }, `it to be ${wanted}`);
  expect((await state('Held')).identity).toBe('naming/asked:public.port_call -> named');
  expect((await listFindings(store, source, ['Open'])).length).toBe(open);
  await audited.run(`insert into call (call_no) values ('by its old name')`);
  expect((await audited.run(`select count(*)::int as n from port_call`)).rows).toEqual([{ n: 901 }]);

  await run(docket, plan, 'back');
  await eventually(
    async () => ((await known()).has('naming/asked:public.call -> named') ? true : null),
    'its old name to be back',
  );
  expect(await state('Open')).toMatchObject({ tableId: 'public.call' });
  expect((await audited.run(`select count(*)::int as n from call`)).rows).toEqual([{ n: 901 }]);
});
