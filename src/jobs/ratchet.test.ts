// What is kept of a source from survey to survey: where it stood, what turned and why, how much was counted, and what became
// of each finding.

import type pg from 'pg';
import { expect, test } from 'vitest';
import { useDatabase } from '../../test/kit/database';
import { sourceAt } from '../../test/kit/source';
import { there } from '../../test/kit/there';
import { inState, useWorkshop, type Workshop } from '../../test/kit/worker';
import type { Turned } from '../core/ratchet/standing';
import { usualPolicy } from '../core/rules/policy';
import { listAmounts, listEvents, listStanding } from '../store/findings/findings';
import type { SourceId, SurveyId } from '../store/ids';
import { listPeople } from '../store/people/people';
import { noteLook } from '../store/ratchet/looks';
import { acknowledgeDrifts, listDrifts } from '../store/ratchet/drifts';
import { listStandings } from '../store/ratchet/standings';
import { keepPolicies } from '../store/sources/settings';
import { addSource } from '../store/sources/sources';
import { askForSurvey, cancelSurvey, findSurvey } from '../store/surveys/surveys';
import { addDemoPeople } from '../work/people';
import { thinSurveys } from '../store/surveys/retention';
import type { Queue } from './queue';

const audited = useDatabase(`
  create table vessel (vessel_id int primary key, imo_no text);
  insert into vessel select n, 'I' || n from generate_series(1, 300) n;
  create table call (call_no text primary key, vessel_id int);
  insert into call select 'C' || n, n % 300 + 1 from generate_series(1, 900) n;
  insert into call select 'X' || n, 9000 + n from generate_series(1, 12) n;
  analyze;
`);
const database = useDatabase();
let store: pg.Pool;
let queue: Queue;
let source: SourceId;
let hire: Workshop['hire'];

useWorkshop(database, async (shop) => {
  ({ store, queue, hire } = shop);
  source = await addSource(store, sourceAt({ name: 'audited', environment: 'test', ...audited.details }));
});

async function survey(): Promise<SurveyId> {
  // The server counts changed rows with some delay: all is read afresh.
  const id = await askForSurvey(store, { source, depth: 'exact', forced: true });
  await queue.enqueue('survey', id);
  return (await inState(() => findSurvey(store, id), 'done')).id;
}

async function orphans() {
  return there((await listStanding(store, source)).find(({ rule }) => rule === 'references/undeclared') ?? null);
}

async function last() {
  return there((await listStandings(store, source, 100)).at(-1) ?? null);
}

const turned = (all: readonly Turned[], cause: string) => all.find((one) => one.cause === cause) ?? { sound: 0, broken: 0 };

test('growing, mended, slipped, waived: each stands in the record with its cause', async () => {
  await hire();
  await survey();
  const first = await last();
  expect(first.turned).toEqual([]);
  expect(first.soundness?.share).toBeLessThan(1);

  await audited.run(`insert into call select 'Y' || n, 9100 + n from generate_series(1, 28) n`);
  await survey();
  expect((await listAmounts(store, (await orphans()).id)).map(({ amount }) => amount)).toEqual([12, 40]);

  await audited.run(
    `delete from call where vessel_id > 9000; alter table call add constraint fk_call_vessel foreign key (vessel_id) references vessel`,
  );
  await survey();
  expect((await orphans()).state).toBe('Held');
  expect(turned((await last()).turned, 'mended').sound).toBeGreaterThan(0);

  await audited.run(`alter table call drop constraint fk_call_vessel; insert into call values ('Z1', 9999)`);
  await survey();
  const slipped = await orphans();
  expect(slipped.state).toBe('Slipped');
  expect(turned((await last()).turned, 'slipped').broken).toBe(1);
  expect((await listAmounts(store, slipped.id)).map(({ amount }) => amount)).toEqual([12, 40, null, 1]);

  await audited.run('create table lamp (lamp_no text, height text)');
  await keepPolicies(store, source, { 'uniqueness/absent': { ...usualPolicy, on: false } });
  await survey();
  const now = await last();
  expect(turned(now.turned, 'tables').broken).toBeGreaterThan(0);
  expect(turned(now.turned, 'rules').sound).toBeGreaterThan(0);

  // A survey in which nothing happened turns nothing.
  await survey();
  expect((await last()).turned).toEqual([]);
  expect((await last()).counts).toEqual(now.counts);
}, 120_000);

test('replaying what happened gives every finding the state that it is in', async () => {
  for (const finding of await listStanding(store, source)) {
    const events = await listEvents(store, finding.id);
    expect(events[0]?.from).toBeNull();
    for (const [n, event] of events.entries()) if (n > 0) expect(event.from).toBe(events[n - 1]?.to);
    expect(events.at(-1)?.to).toBe(finding.state);
  }
});

test('a survey that was cancelled or failed leaves the record as it was', async () => {
  const before = [await listStandings(store, source, 100), await listStanding(store, source)];
  const cancelled = await askForSurvey(store, { source, depth: 'exact' });
  await cancelSurvey(store, cancelled);
  await queue.enqueue('survey', cancelled);
  expect((await findSurvey(store, cancelled))?.state).toBe('cancelled');
  expect([await listStandings(store, source, 100), await listStanding(store, source)]).toEqual(before);
});

test('a look is remembered until there is something new', async () => {
  await addDemoPeople({ store });
  const { id: person } = there((await listPeople(store))[0] ?? null);
  const [one, two] = [1, 2] as unknown as [SurveyId, SurveyId];
  expect((await noteLook(store, person, source, one)).survey).toBeNull();
  expect((await noteLook(store, person, source, one)).survey).toBeNull();
  expect((await noteLook(store, person, source, two)).survey).toBe(1);
  expect((await noteLook(store, person, source, two)).survey).toBe(1);
});

test('what changes without a docket is told once, with the survey that saw it, and can be acknowledged', async () => {
  await hire();
  const before = (await listDrifts(store, source, 100)).length;
  await audited.run('alter table lamp rename column height to height_m; create index ix_lamp on lamp (height_m)');
  const seen = await survey();
  await survey();
  const drifts = (await listDrifts(store, source, 100)).slice(0, -before);
  expect(drifts.map(({ survey: by, kind, change, name }) => [by, kind, change, name])).toEqual([
    [seen, 'index', 'new', 'ix_lamp'],
    [seen, 'column', 'renamed', 'height_m'],
  ]);
  const ids = drifts.map(({ id }) => id);
  expect(await acknowledgeDrifts(store, source, ids, { by: 'Ada', reason: 'release 4' })).toBe(2);
  expect(await acknowledgeDrifts(store, source, ids, { by: 'Bo', reason: 'again' })).toBe(0);
  expect((await listDrifts(store, source, 1))[0]).toMatchObject({ acknowledgedBy: 'Ada', reason: 'release 4' });
}, 60_000);

test('old surveys let go of their catalogues and of facts that were measured anew; what became of findings stays', async () => {
  const kept = async () => {
    const { rows } = await store.query<{ id: number; catalogue: boolean; facts: number }>(
      `select id, catalogue is not null as catalogue, (select count(*) from evidence where survey_id = surveys.id) as facts
       from surveys where source_id = $1 and state = 'done' order by id`,
      [source],
    );
    return rows;
  };
  // All of a month ago but the last two; the newest of that month stays.
  await store.query(
    `update surveys set finished_at = now() - interval '40 days' where source_id = $1 and id <= (select max(id) - 2 from surveys)`,
    [source],
  );
  const events = (await store.query('select 1 from finding_events')).rowCount;
  await store.query(
    `insert into surveys (source_id, depth, scope, state, finished_at, catalogue)
     select $1, 'exact', '{}', 'done', now(), '{}' from generate_series(1, 10)`,
    [source],
  );
  await thinSurveys(store, source);
  const after = await kept();
  const exact = after.filter(({ facts }) => facts > 0);
  expect(exact).toHaveLength(1);
  expect(exact[0]?.catalogue).toBe(true);
  // Ten last, the last of the month before, and the last exact one of all tables.
  expect(after.filter(({ catalogue }) => catalogue)).toHaveLength(12);
  expect((await store.query('select 1 from finding_events')).rowCount).toBe(events);
  expect(await listStandings(store, source, 100)).not.toEqual([]);
});
