// Values of rows, planted where servers quote them: in what refuses a step, a proof, a rehearsal, by the server and by functions of the
// database. Who may not see rows finds them on no page, in no export and in no file; of a sensitive source nobody does.

import type pg from 'pg';
import { RouterContextProvider } from 'react-router';
import { beforeAll, expect, test } from 'vitest';
import { passedContext } from '../../src/app/server/context.server';
import { planFor } from '../../src/core/plan/plan';
import { plannedSteps } from '../../src/sources/run/carryOut';
import { addDocket, freezeDocket, moveDocket, putItem } from '../../src/store/dockets/dockets';
import { askForRehearsal, findLastRehearsal } from '../../src/store/dockets/rehearsals';
import { askForRun, findRun } from '../../src/store/dockets/runs';
import { coreFinding, type FindingRow, listFindings, moveFindings } from '../../src/store/findings/findings';
import type { DocketId, SourceId, SurveyId } from '../../src/store/ids';
import { addSource } from '../../src/store/sources/sources';
import { askForSurvey, findCatalogue, findSurvey } from '../../src/store/surveys/surveys';
import type { Role } from '../../src/core/rights/rights';
import type { Actor } from '../../src/work/actor';
import { useDatabase } from '../kit/database';
import { sourceAt } from '../kit/source';
import { there } from '../kit/there';
import { inState, useWorkshop, type Workshop } from '../kit/worker';
import { doors, moduleOf } from './doors';

// Each row tells something that nobody else may know; a trigger and a function say it aloud.
const audited = useDatabase(`
  create table berth (berth_no text primary key, keeper text);
  insert into berth select 'B' || n, 'planted-keeper-' || n from generate_series(1, 60) n;
  create table call (call_id int primary key, berth_no text, note text, grade text);
  insert into call select n, 'B' || 1 + n % 60, 'planted-note-' || n, case when n % 2 = 0 then 'fine' else 'good' end from generate_series(1, 400) n;
  create table pilot (pilot_no text not null, phone text);
  insert into pilot select 'planted-pilot-' || n, 'planted-phone-' || n from generate_series(1, 90) n;
  create table tug (tug_no text not null, master text not null);
  insert into tug select 'planted-tug-' || n, 'planted-master-' || n from generate_series(1, 90) n;
  create function loud() returns trigger language plpgsql as $$begin
    raise notice 'planted-remark %', new; if new.master like '%9' then raise exception 'planted-raise of %', new.master using errcode = '23514'; end if; return new; end$$;
  create trigger loud before insert or update on tug for each row execute function loud();
  analyze;
`);
const database = useDatabase();
let shop: Workshop;
let store: pg.Pool;
let source: SourceId;
let docket: DocketId;
let survey: SurveyId;
let findings: readonly FindingRow[];
let run: () => Promise<unknown>;
useWorkshop(database, async (opened) => {
  shop = opened;
  ({ store } = shop);
  process.env['DATABASE_URL'] = database.url;
  source = await addSource(store, sourceAt({ name: 'audited', environment: 'test', ...audited.details }));
});

beforeAll(async () => {
  await shop.hire();
  survey = await askForSurvey(store, { source, depth: 'exact' });
  await shop.queue.enqueue('survey', survey);
  await inState(() => findSurvey(store, survey), 'done', 'failed');
  const catalogue = there(await findCatalogue(store, survey));
  findings = (await listFindings(store, source, ['Open'])).filter(({ proposal }) => proposal.kind !== 'byHand');
  docket = await addDocket(store, source, 'Docket', 'quiet');
  for (const row of findings) await putItem(store, docket, row.id, {});
  const moves = findings.map((row) => ({ finding: row.id, from: 'Open' as const, to: 'Docketed' as const, reason: null }));
  await moveFindings(store, moves, { docket });
  const decided = findings.map((row) => ({ finding: coreFinding(row), decision: {} }));
  const plan = planFor(decided, catalogue, { label: `d${docket}`, mode: 'quiet' });
  // Rows come in between that speak against it.
  await audited.run(
    `insert into pilot values ('planted-pilot-7', 'planted-phone-7'); insert into call values (900, 'planted-orphan', null, 'fine')`,
  );
  there(await askForRehearsal(store, docket, plan));
  await shop.queue.enqueue('rehearsal', there(await findLastRehearsal(store, docket)).id);
  await inState(
    async () => {
      const row = await findLastRehearsal(store, docket);
      return row?.finishedAt ? row : null;
    },
    'failed',
    'held',
  );
  run = async () => {
    await moveDocket(store, docket, ['Draft', 'Rehearsed', 'Stopped', 'Done'], 'Running');
    await freezeDocket(store, docket, plan, catalogue);
    const { user, password } = audited.details;
    const id = await askForRun(store, { docket, direction: 'forward', user, steps: plannedSteps(plan, 'forward') });
    await shop.desk.offer(id, { user, password });
    await shop.queue.enqueue('run', id);
    return inState(() => findRun(store, id), 'done', 'stopped');
  };
  // Refused first, then gone through and proven.
  await run();
  await audited.run(
    `delete from call where call_id = 900; delete from pilot where ctid = (select max(ctid) from pilot where pilot_no = 'planted-pilot-7')`,
  );
  await run();
}, 240_000);

const somebody = (role: Role): Actor => ({
  person: null,
  via: 'browser',
  address: '127.0.0.1',
  bounds: { grants: [{ role, source: null }] },
});

/** All that loaders answer, page by page and file by file. */
async function everything(actor: Actor): Promise<string> {
  const told: string[] = [];
  const ids = findings.map(({ id }) => String(id));
  for (const [file, { load }] of Object.entries(doors)) {
    if (!load || /^(sign-in|invitation|source\/changes)/.test(file)) continue;
    const { loader } = await moduleOf(`routes/${file}`);
    const many = /finding|ratchet\/finding/.test(file) ? ids : [''];
    const kinds = /^inventory/.test(file) ? ['columns', 'constraints', 'tables', 'indexes'] : [''];
    const scripts = file === 'dockets/script.ts' ? ['forward.sql', 'back.sql', 'before.sql', 'after.sql'] : [''];
    const forms = /export|report|record/.test(file) ? ['json', 'csv', 'markdown', 'html', 'sarif', 'pdf'] : [''];
    for (const finding of many)
      for (const kind of kinds)
        for (const script of scripts)
          for (const as of forms) told.push(await answerOf(loader, actor, { file, finding, kind, script, as }));
  }
  return told.join('\n');
}

interface Asked {
  readonly file: string;
  readonly finding: string;
  readonly kind: string;
  readonly script: string;
  readonly as: string;
}

async function answerOf(
  loader: ((args: object) => unknown) | undefined,
  actor: Actor,
  { file, finding, kind, script, as }: Asked,
): Promise<string> {
  const context = new RouterContextProvider();
  context.set(passedContext, { id: 'r', actor, session: null, address: '127.0.0.1' });
  const params = {
    ...{ source: String(source), finding, docket: String(docket), survey: String(survey), kind, script },
    ...{
      table: 'public.pilot',
      line: kind === 'columns' ? 'public.pilot.pilot_no' : 'public.pilot',
      '*': 'keys/missing',
      round: '1',
    },
  };
  const request = new Request(`http://127.0.0.1/x?as=${as}&form=guarded&table=public.pilot&columns=pilot_no&finding=${finding}`);
  try {
    const answer = await loader?.({ request, params, context });
    return `${file}: ${answer instanceof Response ? await answer.text() : JSON.stringify(answer, (_, value: unknown) => (typeof value === 'bigint' ? String(value) : value))}`;
  } catch (thrown) {
    if (thrown instanceof Response) return `${file}: ${await thrown.text()}`;
    if (typeof thrown === 'object' && thrown !== null && 'init' in thrown) return `${file}: ${JSON.stringify(thrown)}`;
    throw thrown;
  }
}

const planted = (text: string): readonly string[] => [...new Set(text.match(/planted-[a-z]+/g) ?? [])].sort();

test('the server did quote them, and who may see rows reads them', async () => {
  const { rows } = await store.query<{ told: string }>(
    `select told from proofs where told is not null union all select told from run_steps where told is not null`,
  );
  expect(planted(rows.map(({ told }) => told).join('\n')).length).toBeGreaterThan(2);
  const { rows: proofs } = await store.query<{ count: number }>('select count(*)::int as count from proofs');
  expect(proofs[0]?.count).toBeGreaterThan(2);
});

test('a Reader finds none of them on any page, in any export or file', async () => {
  const told = await everything(somebody('Reader'));
  expect(told.length).toBeGreaterThan(20_000);
  const shown = told.split('\n').filter((line) => planted(line).length > 0);
  expect(shown.map((line) => line.replace(/^([^:]*):.*?(.{60}planted-.{60}).*$/s, '$1: $2'))).toEqual([]);
});

test('nor does anybody on a sensitive source, where nothing is stored of them either', async () => {
  await store.query('update sources set sensitive = true where id = $1', [source]);
  expect(planted(await everything(somebody('Administrator')))).toEqual([]);
  const [before] = (await store.query<{ id: number }>('select max(id) as id from runs')).rows;
  await shop.hire();
  await run();
  const { rows } = await store.query<{ all: string; count: number }>(
    `select count(*)::int as count, string_agg(p::text, ' ') as all from proofs p where run_id > $1`,
    [before?.id],
  );
  expect([rows[0]?.count, planted(rows[0]?.all ?? '')]).toEqual([expect.any(Number), []]);
  expect(rows[0]?.count).toBeGreaterThan(2);
  await store.query('update sources set sensitive = false where id = $1', [source]);
});

test('the journal holds none', async () => {
  const { rows } = await store.query<{ all: string }>(`select string_agg(j::text, chr(10)) as all from journal j`);
  expect(planted(rows[0]?.all ?? '')).toEqual([]);
});
