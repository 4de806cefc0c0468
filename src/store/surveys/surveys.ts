import type { Earlier } from '../../core/evidence/reuse';
import type { TableId } from '../../core/catalogue/identifiers';
import type { Followed } from '../../core/naming/infer';
import type { Catalogue, UnknownPart } from '../../core/catalogue/model';
import type { Evidence, Fact } from '../../core/evidence/evidence';
import { type Depth, keyOf } from '../../core/evidence/requests';
import { catalogueFrom, currentFormat, type Stored } from '../../core/formats/index';
import type { Speed } from '../../core/plan/times';
import type { SurveyDocument } from '../../core/survey/document';
import type { Hidden, LoginReport } from '../../core/survey/login';
import { type Db, findRow, getRow, rowsOf } from '../db';
import type { DocketId, ScheduleId, SourceId, SurveyId } from '../ids';

/** `waiting`: for answers that somebody brings. */
export type SurveyState = 'queued' | 'running' | 'waiting' | 'done' | 'failed' | 'cancelled';

export interface SurveyRow {
  readonly id: SurveyId;
  readonly sourceId: SourceId;
  readonly depth: Depth;
  readonly scope: readonly TableId[] | null;
  readonly docketId: DocketId | null;
  readonly state: SurveyState;
  readonly doing: string;
  readonly doneBytes: number;
  readonly totalBytes: number;
  readonly cancelRequested: boolean;
  readonly problem: string | null;
  readonly askedAt: string;
  readonly startedAt: string | null;
  readonly finishedAt: string | null;
  readonly notMeasured: SurveyDocument['notMeasured'] | null;
  /** True when it measures everything again, also what has not changed. */
  readonly forced: boolean;
  readonly reusedTables: number;
  /** How often a worker took it up. */
  readonly attempts: number;
  /** What its login may do beyond reading; null until it has looked. */
  readonly login: LoginReport | null;
  readonly askedBy: string | null;
}

const shown = `id, source_id as "sourceId", depth, scope, docket_id as "docketId", state, doing, done_bytes as "doneBytes", total_bytes as "totalBytes",
  cancel_requested as "cancelRequested", problem, asked_at as "askedAt", started_at as "startedAt", finished_at as "finishedAt", not_measured as "notMeasured", forced, reused_tables as "reusedTables", attempts, login, asked_by as "askedBy"`;

export interface AskedSurvey {
  readonly source: SourceId;
  readonly depth: Depth;
  readonly scope?: readonly TableId[] | null;
  readonly docket?: DocketId | null;
  readonly forced?: boolean;
  readonly by?: string | null;
  /** The schedule that asks for it. */
  readonly schedule?: ScheduleId | null;
}

export async function askForSurvey(
  db: Db,
  { source, depth, scope = null, docket = null, forced = false, by = null, schedule = null }: AskedSurvey,
): Promise<SurveyId> {
  const { id } = await getRow<{ id: SurveyId }>(
    db,
    'insert into surveys (source_id, depth, scope, docket_id, forced, asked_by, schedule_id) values ($1, $2, $3, $4, $5, $6, $7) returning id',
    [source, depth, scope, docket, forced, by, schedule],
  );
  return id;
}

export function findSurvey(db: Db, id: SurveyId): Promise<SurveyRow | null> {
  return findRow(db, `select ${shown} from surveys where id = $1`, [id]);
}

export function listSurveys(db: Db, source: SourceId, limit = 30): Promise<readonly SurveyRow[]> {
  return rowsOf(db, `select ${shown} from surveys where source_id = $1 order by id desc limit $2`, [source, limit]);
}

/** The survey that runs or waits, if one does. */
export function findUnfinished(db: Db, source: SourceId): Promise<SurveyRow | null> {
  return findRow(
    db,
    `select ${shown} from surveys where source_id = $1 and state in ('queued', 'running', 'waiting') order by id limit 1`,
    [source],
  );
}

/** The last finished survey of the whole source, which the survey chip speaks of. */
export function findLastWhole(db: Db, source: SourceId): Promise<SurveyRow | null> {
  return findRow(
    db,
    `select ${shown} from surveys where source_id = $1 and state = 'done' and scope is null order by id desc limit 1`,
    [source],
  );
}

/** Takes a waiting survey; false when another worker was faster or it is no longer wanted. */
export async function startSurvey(db: Db, id: SurveyId): Promise<boolean> {
  const started = await db.query(
    `update surveys set state = 'running', doing = 'Connecting', attempts = attempts + 1, started_at = coalesce(started_at, now()) where id = $1 and state = 'queued'`,
    [id],
  );
  return started.rowCount === 1;
}

export async function keepCatalogue(db: Db, id: SurveyId, catalogue: Catalogue): Promise<void> {
  await db.query('update surveys set catalogue = $2, format = $3 where id = $1', [id, JSON.stringify(catalogue), currentFormat]);
}

interface KeptCatalogue {
  readonly catalogue: Stored | null;
  readonly format: number;
}

/** The catalogue as a survey read it, null before it has. */
export async function findCatalogue(db: Db, id: SurveyId): Promise<Catalogue | null> {
  const row = await findRow<KeptCatalogue>(db, 'select catalogue, format from surveys where id = $1', [id]);
  return row?.catalogue ? catalogueFrom(row.catalogue, row.format) : null;
}

/** What its catalogue does not tell; nothing before it was read, or once it is let go of. */
export async function findUnknownParts(db: Db, id: SurveyId): Promise<readonly UnknownPart[]> {
  const row = await findRow<{ unknown: readonly UnknownPart[] | null }>(
    db,
    `select catalogue -> 'unknown' as unknown from surveys where id = $1`,
    [id],
  );
  return row?.unknown ?? [];
}

interface KeptConventions {
  readonly format: number;
  readonly learnt: readonly Followed[];
}

/** What the names of its catalogue follow; null where it was not kept, or by a version that learnt otherwise. */
export async function findConventions(db: Db, id: SurveyId): Promise<readonly Followed[] | null> {
  const row = await findRow<{ conventions: KeptConventions | null }>(db, 'select conventions from surveys where id = $1', [id]);
  return row?.conventions?.format === conventionsFormat ? row.conventions.learnt : null;
}

/** Changes whenever names are learnt otherwise than before. */
const conventionsFormat = 1;

export async function keepConventions(db: Db, id: SurveyId, conventions: readonly Followed[]): Promise<void> {
  const learnt = conventions.map(({ kind, template, names, follow, patterns }) => ({ kind, template, names, follow, patterns }));
  await db.query('update surveys set conventions = $2 where id = $1', [
    id,
    JSON.stringify({ format: conventionsFormat, learnt }),
  ]);
}

/** The finished survey that read the catalogue last. */
export async function findLatestCatalogueId(db: Db, source: SourceId): Promise<SurveyId | null> {
  const row = await findRow<{ id: SurveyId }>(
    db,
    `select id from surveys where source_id = $1 and state = 'done' and catalogue is not null order by id desc limit 1`,
    [source],
  );
  return row?.id ?? null;
}

export async function keepFacts(db: Db, survey: SurveyId, facts: readonly Fact[]): Promise<void> {
  await db.query(
    `insert into evidence (survey_id, request_key, fact)
     select $1, kept.key, kept.fact::jsonb
     from unnest($2::text[], $3::text[]) as kept (key, fact)
     on conflict (survey_id, request_key) do update set fact = excluded.fact`,
    [survey, facts.map((fact) => keyOf(fact.request)), facts.map((fact) => JSON.stringify(fact))],
  );
}

export async function listFacts(db: Db, survey: SurveyId): Promise<readonly Fact[]> {
  return (await rowsOf<{ fact: Fact }>(db, 'select fact from evidence where survey_id = $1', [survey])).map((row) => row.fact);
}

/** The last exact survey of the whole source with all that it measured; null when there was none. */
export async function findLastExact(db: Db, source: SourceId, before: number): Promise<Earlier | null> {
  const row = await findRow<KeptCatalogue & { readonly id: SurveyId; readonly at: string }>(
    db,
    `select id, started_at as at, catalogue, format
     from surveys
     where source_id = $1 and id < $2 and state = 'done' and depth = 'exact' and scope is null and catalogue is not null
     order by id desc
     limit 1`,
    [source, before],
  );
  if (!row?.catalogue) return null;
  return { at: row.at, catalogue: catalogueFrom(row.catalogue, row.format), facts: await listFacts(db, row.id) };
}

/** What was hidden from the login of the last survey that has looked; empty where the server says what it refuses. */
export async function findHidden(db: Db, source: SourceId): Promise<readonly Hidden[]> {
  const { rows } = await db.query<{ hidden: readonly Hidden[] | null }>(
    `select login -> 'hidden' as hidden from surveys where source_id = $1 and login is not null and state = 'done' order by id desc limit 1`,
    [source],
  );
  return rows[0]?.hidden ?? [];
}

export async function keepLogin(db: Db, survey: SurveyId, login: LoginReport): Promise<void> {
  await db.query('update surveys set login = $2 where id = $1', [survey, JSON.stringify(login)]);
}

export async function keepReused(db: Db, survey: SurveyId, tables: number): Promise<void> {
  await db.query('update surveys set reused_tables = $2 where id = $1', [survey, tables]);
}

export async function keepSpeed(db: Db, survey: SurveyId, { bytes, ms }: Speed): Promise<void> {
  await db.query('update surveys set read_bytes = $2, read_ms = $3 where id = $1', [survey, Math.round(bytes), Math.round(ms)]);
}

/** How fast the last survey that read whole tables read them; null when none did. */
export function findSpeed(db: Db, source: SourceId): Promise<Speed | null> {
  return findRow(
    db,
    `select read_bytes as bytes, read_ms as ms from surveys
     where source_id = $1 and state = 'done' and read_ms > 0
     order by scope is not null, id desc
     limit 1`,
    [source],
  );
}

/** The facts about one table, as last measured by a finished survey of the source. */
export async function latestEvidence(db: Db, source: SourceId, table: TableId): Promise<Evidence> {
  const rows = await rowsOf<{ request_key: string; fact: Fact }>(
    db,
    `select distinct on (request_key) request_key, fact
     from evidence
     join surveys on surveys.id = survey_id
     where source_id = $1 and state = 'done' and fact -> 'request' ->> 'table' = $2
     order by request_key, survey_id desc`,
    [source, table],
  );
  return Object.fromEntries(rows.map((row) => [row.request_key, row.fact]));
}

export interface SurveyProgress {
  readonly doing: string;
  readonly done: number;
  readonly total: number;
}

export async function keepProgress(db: Db, id: SurveyId, { doing, done, total }: SurveyProgress): Promise<void> {
  await db.query('update surveys set doing = $2, done_bytes = $3, total_bytes = $4 where id = $1', [
    id,
    doing,
    Math.round(done),
    Math.round(total),
  ]);
}

export async function isCancelRequested(db: Db, id: SurveyId): Promise<boolean> {
  const row = await findRow<{ cancelled: boolean }>(db, 'select cancel_requested as cancelled from surveys where id = $1', [id]);
  return row === null || row.cancelled;
}

export async function finishSurvey(
  db: Db,
  id: SurveyId,
  state: 'done' | 'failed' | 'cancelled',
  problem: string | null = null,
): Promise<void> {
  await db.query('update surveys set state = $2, problem = $3, finished_at = now(), doing = $4 where id = $1', [
    id,
    state,
    problem,
    doingWhen[state],
  ]);
}

export async function keepNotMeasured(db: Db, id: SurveyId, tables: SurveyDocument['notMeasured']): Promise<void> {
  await db.query('update surveys set not_measured = $2 where id = $1', [id, JSON.stringify(tables)]);
}

/** Asks to cancel; one that no worker has taken yet is cancelled at once. */
export async function cancelSurvey(db: Db, id: SurveyId): Promise<void> {
  await db.query(
    `update surveys
     set cancel_requested = true,
       state = case when state in ('queued', 'waiting') then 'cancelled' else state end,
       finished_at = case when state in ('queued', 'waiting') then now() else finished_at end,
       doing = case when state in ('queued', 'waiting') then 'Cancelled' else 'Cancelling' end
     where id = $1 and state in ('queued', 'running', 'waiting')`,
    [id],
  );
}

/** Puts a stopped survey back in the queue; what it measured is kept and not measured again. `attempts`: whether those so far still count, as when its worker died. */
export async function requeueSurvey(
  db: Db,
  id: SurveyId,
  from: readonly SurveyState[],
  attempts: 'counted' | 'forgotten' = 'forgotten',
): Promise<boolean> {
  const requeued = await db.query(
    `update surveys
     set state = 'queued', cancel_requested = false, problem = null, finished_at = null, queued_at = now(), doing = 'Waiting for a worker',
       attempts = case when $3 then attempts else 0 end
     where id = $1 and state = any($2)`,
    [id, from, attempts === 'counted'],
  );
  return requeued.rowCount === 1;
}

/** Surveys that claim to run, and those that have waited long: for the worker to look after. */
export function listStranded(db: Db): Promise<readonly { readonly id: SurveyId; readonly state: SurveyState }[]> {
  return rowsOf(
    db,
    `select id, state from surveys where state = 'running' or (state = 'queued' and queued_at < now() - interval '15 seconds') order by id`,
  );
}

const doingWhen = { done: 'Done', failed: 'Stopped', cancelled: 'Cancelled' };
