// What the clock does: surveys that are due, tries after failures, waivers that end. The clock is given; nobody waits for it.

import type pg from 'pg';
import { beforeEach, expect, test } from 'vitest';
import { useDatabase } from '../../test/kit/database';
import { sourceAt } from '../../test/kit/source';
import { there } from '../../test/kit/there';
import { inState, useWorkshop, type Workshop } from '../../test/kit/worker';
import { usualPolicy } from '../core/rules/policy';
import { listEvents, listStanding, moveFindings } from '../store/findings/findings';
import type { ScheduleId, SourceId, SurveyId } from '../store/ids';
import { addSchedule, findNextDue, listSchedules, switchSchedule } from '../store/sources/schedules';
import { keepPolicies } from '../store/sources/settings';
import { addSource } from '../store/sources/sources';
import { askForSurvey, findSurvey, finishSurvey, listSurveys } from '../store/surveys/surveys';
import { askForWhatIsDue } from './schedules';
import { chores as choresOf } from './chores';
import type { Queue } from '../jobs/queue';

const audited = useDatabase('create table lamp (lamp_no text, height text)');
const database = useDatabase();
let store: pg.Pool;
let queue: Queue;
let source: SourceId;
let schedule: ScheduleId;
let hire: Workshop['hire'];

useWorkshop(database, (shop) => {
  ({ store, queue, hire } = shop);
  return Promise.resolve();
});

const due = new Date('2099-11-27T02:30:00Z');
const quiet = { enqueue: () => Promise.resolve() };
const asked = async () => (await listSurveys(store, source)).filter(({ askedBy }) => askedBy?.startsWith('schedule'));
const chores = (now: Date) => choresOf({ store, ...quiet })(now);
const next = async () => there((await listSchedules(store, source)).find(({ id }) => id === schedule) ?? null).nextAt;
const later = (minutes: number) => new Date(due.getTime() + minutes * 60_000);

let sources = 0;
beforeEach(async () => {
  source = await addSource(store, sourceAt({ name: `audited ${sources++}`, environment: 'test', ...audited.details }));
  schedule = await addSchedule(store, source, {
    ...{ cron: '30 2 * * *', zone: 'UTC', depth: 'exact', keptBy: 'Ada', nextAt: due },
  });
});

test('what is due is asked for once, whoever looks at the same time, and not before', async () => {
  await chores(later(-1));
  expect(await asked()).toEqual([]);
  await Promise.all(Array.from({ length: 6 }, () => chores(later(1))));
  expect(await asked()).toHaveLength(1);
  expect(await next()).toBe('2099-11-28T02:30:00.000Z');
});

test('what was missed is made up for once', async () => {
  await chores(later(9 * 24 * 60 + 5));
  await chores(later(9 * 24 * 60 + 6));
  expect(await asked()).toHaveLength(1);
  expect(await next()).toBe('2099-12-07T02:30:00.000Z');
});

test('while a survey is on its way no other is asked for, and none that is switched off', async () => {
  const running = await askForSurvey(store, { source, depth: 'exact' });
  await chores(later(1));
  expect(await asked()).toEqual([]);
  await finishSurvey(store, running, 'done');
  await switchSchedule(store, schedule, false, later(0));
  expect(await findNextDue(store, source)).toBeNull();
  await chores(later(24 * 60 + 1));
  expect(await asked()).toEqual([]);
});

test('a worker that dies between asking and handing over has asked once; another carries it out', async () => {
  const dies = askForWhatIsDue({ store, enqueue: () => Promise.reject(new Error('killed')) }, later(1));
  await expect(dies).rejects.toThrow('killed');
  await chores(later(2));
  expect(await asked()).toHaveLength(1);
  const survey = there((await asked())[0] ?? null);
  await hire();
  await queue.enqueue('survey', survey.id);
  await inState(() => findSurvey(store, survey.id), 'done');
  await chores(later(3));
  expect(await asked()).toHaveLength(1);
}, 60_000);

test('one that failed says so and is tried again, later each time; one that went well begins anew', async () => {
  let now = later(1);
  const fail = async (state: 'failed' | 'done') => {
    await chores(now);
    const open = there((await asked()).find((one) => one.state === 'queued') ?? null);
    await finishSurvey(store, open.id, state, state === 'failed' ? 'no way in' : null);
    await chores(now);
  };
  const waits: number[] = [];
  for (let n = 0; n < 3; n++) {
    await fail('failed');
    const at = new Date(await next());
    waits.push((at.getTime() - now.getTime()) / 60_000);
    now = at;
  }
  expect(waits).toEqual([5, 10, 20]);
  expect(there((await listSchedules(store, source))[0] ?? null)).toMatchObject({ failures: 3, lastProblem: 'no way in' });
  await fail('done');
  expect(there((await listSchedules(store, source))[0] ?? null)).toMatchObject({
    failures: 0,
    nextAt: '2099-11-28T02:30:00.000Z',
  });
});

test('a waiver that ends gives its finding back on the day after, and no other', async () => {
  await hire();
  const survey: SurveyId = await askForSurvey(store, { source, depth: 'exact' });
  await queue.enqueue('survey', survey);
  await inState(() => findSurvey(store, survey), 'done');
  const finding = there((await listStanding(store, source)).find(({ rule }) => rule === 'keys/missing') ?? null);
  const waiver = { object: 'public.lamp', reason: 'a log', until: '2099-11-30' };
  await keepPolicies(store, source, { 'keys/missing': { ...usualPolicy, waivers: [waiver] } });
  await moveFindings(store, [{ finding: finding.id, from: 'Open', to: 'Waived', reason: 'a log' }], {});
  await switchSchedule(store, schedule, false, due);

  const state = async () => there((await listStanding(store, source)).find(({ id }) => id === finding.id) ?? null).state;
  await chores(new Date('2099-11-30T23:59:00Z'));
  expect(await state()).toBe('Waived');
  await Promise.all([chores(new Date('2099-12-01T00:01:00Z')), chores(new Date('2099-12-01T00:01:00Z'))]);
  expect(await state()).toBe('Open');
  const told = (await listEvents(store, finding.id)).filter(({ from }) => from === 'Waived');
  expect(told.map(({ reason }) => reason)).toEqual(['Its waiver held until 2099-11-30.']);
}, 60_000);

test('what is waived by a pattern is known as waived from the first survey on, and what grows under it is counted', async () => {
  await switchSchedule(store, schedule, false, due);
  await hire();
  await keepPolicies(store, source, { 'keys/missing': { ...usualPolicy, waivers: [{ object: 'public.l*', reason: 'logs' }] } });
  const survey: SurveyId = await askForSurvey(store, { source, depth: 'exact', forced: true });
  await queue.enqueue('survey', survey);
  await inState(() => findSurvey(store, survey), 'done');
  const finding = there((await listStanding(store, source)).find(({ rule }) => rule === 'keys/missing') ?? null);
  expect([finding.state, finding.firstSurveyId]).toEqual(['Waived', survey]);
}, 60_000);
