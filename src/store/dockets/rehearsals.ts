import { currentFormat, type Stored, planFrom } from '../../core/formats/index';
import type { Plan } from '../../core/plan/shape';
import type { Rehearsal } from '../../core/plan/rehearsal';
import { type Db, findRow, getRow, rowsOf } from '../db';
import type { DocketId, RehearsalId } from '../ids';

export interface RehearsalRow {
  readonly id: RehearsalId;
  readonly docketId: DocketId;
  /** `stopping`: somebody asked for it to stop. */
  readonly state: 'queued' | 'running' | 'stopping' | 'held' | 'failed';
  /** As far as it has come; null before it starts. */
  readonly report: Rehearsal | null;
  readonly problem: string | null;
  readonly askedAt: string;
  readonly askedBy: string | null;
  /** Where the copy is made. */
  readonly server: string | null;
  readonly finishedAt: string | null;
}

const shown = `id, docket_id as "docketId", state, report, problem, asked_at as "askedAt", asked_by as "askedBy", server, finished_at as "finishedAt"`;

/** Returns the id, or null when the docket is being rehearsed already. */
export async function askForRehearsal(
  db: Db,
  docket: DocketId,
  plan: Plan,
  { by = null, server = null }: { readonly by?: string | null; readonly server?: string | null } = {},
): Promise<RehearsalId | null> {
  const row = await findRow<{ id: RehearsalId }>(
    db,
    `insert into rehearsals (docket_id, plan, asked_by, server, format)
     select $1, $2, $3, $4, $5 where not exists (select 1 from rehearsals where docket_id = $1 and finished_at is null)
     returning id`,
    [docket, JSON.stringify(plan), by, server, currentFormat],
  );
  return row?.id ?? null;
}

export async function findRehearsal(db: Db, id: RehearsalId): Promise<(RehearsalRow & { readonly plan: Plan }) | null> {
  const row = await findRow<RehearsalRow & { readonly plan: Stored; readonly format: number }>(
    db,
    `select ${shown}, plan, format from rehearsals where id = $1`,
    [id],
  );
  return row && { ...row, plan: planFrom(row.plan, row.format) };
}

export function findLastRehearsal(db: Db, docket: DocketId): Promise<RehearsalRow | null> {
  return findRow(db, `select ${shown} from rehearsals where docket_id = $1 order by id desc limit 1`, [docket]);
}

export async function startRehearsal(db: Db, id: RehearsalId): Promise<boolean> {
  return (await db.query(`update rehearsals set state = 'running' where id = $1 and state = 'queued'`, [id])).rowCount === 1;
}

export async function keepReport(db: Db, id: RehearsalId, report: Rehearsal): Promise<void> {
  await db.query('update rehearsals set report = $2 where id = $1', [id, JSON.stringify(report)]);
}

export async function stopRehearsal(db: Db, docket: DocketId): Promise<void> {
  await db.query(
    `update rehearsals set state = case state when 'queued' then 'failed' else 'stopping' end,
       problem = 'It was stopped.', finished_at = case state when 'queued' then now() end
     where docket_id = $1 and state in ('queued', 'running')`,
    [docket],
  );
}

export async function isStopAsked(db: Db, id: RehearsalId): Promise<boolean> {
  return (await getRow<{ stopping: boolean }>(db, `select state = 'stopping' as stopping from rehearsals where id = $1`, [id]))
    .stopping;
}

export async function finishRehearsal(db: Db, id: RehearsalId, state: 'held' | 'failed', problem: string | null): Promise<void> {
  await db.query('update rehearsals set state = $2, problem = $3, finished_at = now() where id = $1', [id, state, problem]);
}

/** Rehearsals that are not through, for the worker to look after. */
export function listUnfinishedRehearsals(
  db: Db,
): Promise<readonly (Pick<RehearsalRow, 'id' | 'docketId' | 'state'> & { readonly waitedLong: boolean })[]> {
  return rowsOf(
    db,
    `select id, docket_id as "docketId", state, queued_at < now() - interval '15 seconds' as "waitedLong"
     from rehearsals where finished_at is null`,
  );
}
