import type { Direction } from '../../core/plan/direction';
import { type Db, findRow, getRow, rowsOf } from '../db';
import type { DocketId, FindingRowId, RunId, SourceId } from '../ids';

export type RunState = 'queued' | 'running' | 'paused' | 'done' | 'stopped';

export type RunRequest = 'pause' | 'stop';

export interface RunRow {
  readonly id: RunId;
  readonly docketId: DocketId;
  readonly direction: Direction;
  readonly elsewhere: boolean;
  readonly user: string | null;
  /** Who asked for it. */
  readonly by: string | null;
  readonly state: RunState;
  /** What somebody asked of it while it runs. */
  readonly asked: RunRequest | null;
  readonly problem: string | null;
  readonly askedAt: string;
  readonly finishedAt: string | null;
}

export interface RunStepRow {
  readonly position: number;
  readonly title: string;
  readonly statement: string;
  readonly state: 'waiting' | 'running' | 'done' | 'failed';
  readonly outcome: string | null;
  /** Of a refusal, what the database said with values of rows, for who may see such. */
  readonly told?: string | null;
  readonly startedAt: string | null;
  readonly finishedAt: string | null;
}

export interface ProofRow {
  readonly findingId: FindingRowId;
  readonly title: string;
  readonly statement: string;
  readonly outcome: 'refused' | 'acted' | 'accepted' | 'not provable';
  /** The database's own words, without values of rows. */
  readonly answer: string;
  /** With them, for who may see rows; null where they say no more. */
  readonly told?: string | null;
  readonly at: string;
}

const shown = `id, docket_id as "docketId", direction, elsewhere, user_name as "user", asked_by as "by", state, asked, problem, asked_at as "askedAt", finished_at as "finishedAt"`;

export interface AskedRun {
  readonly docket: DocketId;
  readonly direction: Direction;
  /** Null when somebody ran it elsewhere. */
  readonly user: string | null;
  readonly by?: string;
  readonly steps: readonly { readonly title: string; readonly statement: string }[];
}

export async function askForRun(db: Db, { docket, direction, user, by, steps }: AskedRun): Promise<RunId> {
  const { id } = await getRow<{ id: RunId }>(
    db,
    `insert into runs (docket_id, direction, user_name, asked_by, elsewhere, state, finished_at)
     values ($1, $2, $3, $4, $3::text is null, case when $3::text is null then 'done' else 'queued' end, case when $3::text is null then now() end)
     returning id`,
    [docket, direction, user, by ?? null],
  );
  await db.query(
    `insert into run_steps (run_id, position, title, statement)
     select $1, step.position, step.title, step.statement
     from unnest($2::text[], $3::text[]) with ordinality as step (title, statement, position)`,
    [id, steps.map((s) => s.title), steps.map((s) => s.statement)],
  );
  return id;
}

/** Of what the database said, values of rows are for who may see rows. */
interface Sees {
  readonly rows: boolean;
}

export function findRun(db: Db, id: RunId): Promise<RunRow | null> {
  return findRow(db, `select ${shown} from runs where id = $1`, [id]);
}

export function listRuns(db: Db, docket: DocketId): Promise<readonly RunRow[]> {
  return rowsOf(db, `select ${shown} from runs where docket_id = $1 order by id desc`, [docket]);
}

/** `rows`: whether who asks may see rows. */
export function listSteps(db: Db, run: RunId, { rows }: Sees): Promise<readonly RunStepRow[]> {
  return rowsOf(
    db,
    `select position, title, statement, state, outcome, ${rows ? 'told' : 'null as told'}, started_at as "startedAt", finished_at as "finishedAt"
     from run_steps where run_id = $1 order by position`,
    [run],
  );
}

export async function startRun(db: Db, id: RunId): Promise<boolean> {
  return (await db.query(`update runs set state = 'running' where id = $1 and state = 'queued'`, [id])).rowCount === 1;
}

export async function finishRun(db: Db, id: RunId, state: 'done' | 'stopped', problem: string | null = null): Promise<void> {
  await db.query('update runs set state = $2, problem = $3, finished_at = now() where id = $1', [id, state, problem]);
}

export async function startStep(db: Db, run: RunId, position: number): Promise<void> {
  await db.query(`update run_steps set state = 'running', started_at = now() where run_id = $1 and position = $2`, [
    run,
    position,
  ]);
}

export async function finishStep(
  db: Db,
  run: RunId,
  position: number,
  { state, outcome, told = null }: { readonly state: 'done' | 'failed'; readonly outcome: string; readonly told?: string | null },
): Promise<void> {
  await db.query(
    `update run_steps set state = $3, outcome = $4, told = $5, finished_at = now() where run_id = $1 and position = $2`,
    [run, position, state, outcome, told],
  );
}

/** Asks the run under way of a source's docket to pause or stop before its next step; null to go on. False where none is under way. */
export async function steerRun(
  db: Db,
  { source, docket, asked }: { readonly source: SourceId; readonly docket: DocketId; readonly asked: RunRequest | null },
): Promise<boolean> {
  const steered = await db.query(
    `update runs set asked = case when asked = 'stop' then asked else $3 end
     where docket_id = (select id from dockets where id = $2 and source_id = $1) and state in ('queued', 'running', 'paused')`,
    [source, docket, asked],
  );
  return (steered.rowCount ?? 0) > 0;
}

export async function findRequest(db: Db, run: RunId): Promise<RunRequest | null> {
  return (await getRow<{ asked: RunRequest | null }>(db, 'select asked from runs where id = $1', [run])).asked;
}

/** True when a run forward of the docket has begun a step since it was last backed out: then its schema is no longer as it was planned for. */
export async function hasBegun(db: Db, docket: DocketId): Promise<boolean> {
  // Steps that only check have no statement.
  const { begun } = await getRow<{ begun: boolean }>(
    db,
    `select exists (
       select 1 from runs join run_steps on run_steps.run_id = runs.id
       where docket_id = $1 and direction = 'forward' and statement <> '' and started_at is not null
         and runs.id > coalesce((select max(id) from runs where docket_id = $1 and direction = 'back' and state = 'done'), 0)
     ) as begun`,
    [docket],
  );
  return begun;
}

export async function keepPaused(db: Db, run: RunId, paused: boolean): Promise<void> {
  await db.query(`update runs set state = $2 where id = $1 and state in ('running', 'paused')`, [
    run,
    paused ? 'paused' : 'running',
  ]);
}

/** Runs that claim to go on, for the worker to look after. */
export function listUnfinishedRuns(
  db: Db,
): Promise<
  readonly { readonly id: RunId; readonly docketId: DocketId; readonly state: RunState; readonly waitedLong: boolean }[]
> {
  return rowsOf(
    db,
    `select id, docket_id as "docketId", state, queued_at < now() - interval '15 seconds' as "waitedLong" from runs where state in ('running', 'paused', 'queued')`,
  );
}

export async function keepProof(db: Db, run: RunId, proof: Omit<ProofRow, 'at'>): Promise<void> {
  const { findingId, title, statement, outcome, answer, told = null } = proof;
  await db.query(
    'insert into proofs (run_id, finding_id, title, statement, outcome, answer, told) values ($1, $2, $3, $4, $5, $6, $7)',
    [run, findingId, title, statement, outcome, answer, told],
  );
}

const shownProof = ({ rows }: Sees) =>
  `finding_id as "findingId", title, statement, outcome, answer, ${rows ? 'told' : 'null as told'}, at`;

export function listProofsOfFinding(db: Db, finding: FindingRowId, sees: Sees): Promise<readonly ProofRow[]> {
  return rowsOf(
    db,
    `select ${shownProof(sees)} from proofs where finding_id = $1 and run_id = (select max(run_id) from proofs where finding_id = $1) order by id`,
    [finding],
  );
}

export function listProofsOfRun(db: Db, run: RunId, sees: Sees): Promise<readonly ProofRow[]> {
  return rowsOf(db, `select ${shownProof(sees)} from proofs where run_id = $1 order by id`, [run]);
}
