// What the record over time costs: the loader of the station Ratchet over 40 surveys of 5,000 findings; what a survey of 10,000
// tables does to 20,000 findings that are known; how much the record grows by a survey in which nothing changed.
//
//   npm run bench:ratchet

import { pawlItself } from '../src/work/actor';
import { migrate } from '../src/store/migrate';
import { inTransaction, openStore } from '../src/store/db';
import { thinSurveys } from '../src/store/surveys/retention';
import { keepCatalogue, keepFacts } from '../src/store/surveys/surveys';
import type { SourceId, SurveyId } from '../src/store/ids';
import { findSource } from '../src/store/sources/sources';
import { keepJudged } from '../src/work/judged';
import { ratchetOf } from '../src/work/ratchet';
import { recordSurvey } from '../src/work/recorded';
import { takeStanding } from '../src/work/standing';
import { evidenceOf } from '../src/core/evidence/evidence';
import { profiled } from '../test/kit/measured';
import { coreFinding, listStanding } from '../src/store/findings/findings';
import type { Catalogue, Table } from '../src/core/catalogue/model';
import { sketch } from '../test/kit/sketch';
import { makeDatabase, startBenchServer, timed } from './database';

const source = 1 as SourceId;
const wide = `port.table_1: id key, name text not null, kind text, made_at date, seen_at date, remark text, area text, height text, width text, depth text`;
const server = await startBenchServer();
try {
  console.log('| what | p50 ms | p95 ms | goal |\n|---|---|---|---|');
  await withStore('loader', 500, 5_000, async (store) => {
    for (let n = 0; n < 40; n++) await surveyed(store, n);
    const row = await findSource(store, source);
    if (!row) throw new Error('There is no source.');
    const room = {
      source: row,
      store,
      actor: pawlItself('browser'),
      office: { store, enqueue: nothing, offerLogin: () => Promise.resolve(true) },
    };
    const took: number[] = [];
    for (let n = 0; n < 30; n++)
      took.push(await timed(async () => void JSON.stringify(await ratchetOf(room, new Date().toISOString()))));
    told('Ratchet over 40 surveys of 5,000 findings', took, 'p95 ≤ 150');
  });
  await withStore('growth', 10_000, 20_000, async (store) => {
    const catalogue = many(10_000);
    const took: number[] = [];
    const sizes: number[] = [];
    for (let n = 0; n < 6; n++) {
      const findings = (await listStanding(store, source)).map(coreFinding);
      const survey = await newSurvey(store);
      const before = await size(store);
      const client = await store.connect();
      try {
        await client.query('begin');
        took.push(
          await timed(async () => {
            await keepJudged(client, {
              ...{ source, survey, findings, waived: [] },
              seen: { catalogue, depth: 'exact', scope: null, notMeasured: new Set(), policies: {} },
            });
            await takeStanding(client, source, survey);
          }),
        );
        await client.query('commit');
      } finally {
        client.release();
      }
      sizes.push((await size(store)) - before);
    }
    told('Transitions of a survey: 10,000 tables, 20,000 findings, none changed', took.slice(1), '≤ 2000');
    console.log(
      `\nThe record of findings grew by ${(Math.max(0, ...sizes.slice(2)) / 1e6).toFixed(2)} MB by such a survey (without its catalogue and facts).`,
    );
  });
  await withStore('whole', 10_000, 20_000, growth);
} finally {
  server.stop();
  server.remove();
}

/** The whole store, survey after survey of 10,000 tables of ten columns with all their facts, none of them changed. */
async function growth(store: ReturnType<typeof openStore>): Promise<void> {
  const catalogue = many(10_000, wide);
  const known = (await listStanding(store, source)).map(coreFinding);
  const sizes: number[] = [];
  for (let n = 0; n < 16; n++) {
    const survey = await newSurvey(store);
    const facts = catalogue.tables.flatMap((table) =>
      profiled({ ...catalogue, tables: [table] }, table.id, 1_000, { name: { distinct: 900 } }),
    );
    await keepCatalogue(store, survey, catalogue);
    await keepFacts(store, survey, facts);
    await inTransaction(
      (db) =>
        recordSurvey(
          db,
          { id: survey, sourceId: source, docketId: null, depth: 'exact' },
          {
            ...{ catalogue, evidence: evidenceOf(facts), unmeasured: [], findings: known, waived: [], scope: null },
            ...{ reused: new Set(), speed: { bytes: 1, ms: 1 }, policies: {} },
          },
        ),
      store,
    );
    await thinSurveys(store, source);
    await store.query('vacuum');
    const { rows } = await store.query<{ bytes: number }>('select pg_database_size(current_database())::float8 as bytes');
    sizes.push(rows[0]?.bytes ?? 0);
  }
  // Room that facts leave is used by the next but one: the sizes of every second survey tell.
  const grown = ((sizes[15] ?? 0) - (sizes[5] ?? 0)) / 10 / 1e6;
  console.log(`\nThe whole store grew by ${grown.toFixed(2)} MB a survey, over ten surveys (goal: 5).`);
  const { rows } = await store.query<{ mb: number }>(
    `select avg(pg_column_size(catalogue)) / 1e6 as mb from surveys where catalogue is not null`,
  );
  console.log(`A catalogue takes ${Number(rows[0]?.mb).toFixed(1)} MB.`);
}

async function withStore(
  name: string,
  tables: number,
  findings: number,
  work: (store: ReturnType<typeof openStore>) => Promise<void>,
): Promise<void> {
  const url = await makeDatabase(server, name);
  await migrate(url);
  const store = openStore(url);
  await store.query(
    `insert into sources (name, environment, kind, settings, sealed_password)
     values ('large', 'test', 'postgresql', '{"host": "h", "port": 1, "database": "d", "user": "u", "tls": "off", "weakPassword": false}', '')`,
  );
  await store.query(
    `insert into surveyed_tables (source_id, table_id, schema_name, table_name, row_count, bytes, column_names)
     select 1, 'port.table_' || n, 'port', 'table_' || n, n * 7, n * 800, array['id', 'name'] from generate_series(1, $1::int) n`,
    [tables],
  );
  await store.query(
    `insert into findings (source_id, identity, rule, concern, severity, confidence, table_id, object, facts, proposal, state, title, measured, place)
     select 1, 'nullability/three-valued:f' || n, 'nullability/three-valued', (array['Keys', 'References', 'Uniqueness', 'Nullability', 'Values', 'Naming'])[1 + n % 6],
       (array['Critical', 'Serious', 'Moderate', 'Minor'])[1 + n % 4], 0.9, 'port.table_' || (1 + n % $2::int),
       jsonb_build_object('schema', 'port', 'table', 'table_' || (1 + n % $2::int), 'columns', '["name"]'::jsonb),
       '{"table": "t", "nulls": 4, "rows": 10, "falses": 3, "trues": 3, "how": {"kind": "exact"}}', '{"kind": "byHand"}', 'Open', 'Three-valued', '4 nulls', 'port.table_' || n
     from generate_series(1, $1::int) n`,
    [findings, tables],
  );
  await store.query(`insert into finding_events (finding_id, to_state) select id, 'Open' from findings`);
  await store.query('analyze');
  await work(store);
  await store.end();
}

async function newSurvey(store: ReturnType<typeof openStore>): Promise<SurveyId> {
  const { rows } = await store.query<{ id: SurveyId }>(
    `insert into surveys (source_id, depth, state, finished_at) values (1, 'exact', 'done', now()) returning id`,
  );
  if (!rows[0]) throw new Error('No survey was kept.');
  return rows[0].id;
}

/** One in which some findings come and go. */
async function surveyed(store: ReturnType<typeof openStore>, n: number): Promise<void> {
  const survey = await newSurvey(store);
  await store.query(
    `with moved as (
       update findings set state = case state when 'Open' then 'Held' when 'Held' then 'Slipped' else 'Open' end, state_at = now()
       where id % 40 = $1 returning id, state
     )
     insert into finding_events (finding_id, from_state, to_state, survey_id) select id, 'Open', state, $2 from moved`,
    [n, survey],
  );
  await takeStanding(store, source, survey);
}

async function size(store: ReturnType<typeof openStore>): Promise<number> {
  await store.query('vacuum');
  const { rows } = await store.query<{ bytes: number }>(
    `select sum(pg_total_relation_size(oid))::float8 as bytes from pg_class
     where relname in ('findings', 'finding_events', 'finding_amounts', 'standings', 'drifts') and relkind = 'r'`,
  );
  return rows[0]?.bytes ?? 0;
}

function many(tables: number, drawn = 'port.table_1: id key, name text'): Catalogue {
  const one = sketch(drawn);
  const [first] = one.tables as readonly [Table];
  return {
    ...one,
    tables: Array.from({ length: tables }, (_, n) => ({
      ...first,
      id: `port.table_${n + 1}` as Table['id'],
      name: `table_${n + 1}`,
    })),
  };
}

function told(what: string, took: readonly number[], goal: string): void {
  const sorted = took.toSorted((a, b) => a - b);
  const at = (share: number): string => (sorted[Math.min(sorted.length - 1, Math.floor(sorted.length * share))] ?? 0).toFixed(0);
  console.log(`| ${what} | ${at(0.5)} | ${at(0.95)} | ${goal} |`);
}

function nothing(): Promise<void> {
  return Promise.resolve();
}
