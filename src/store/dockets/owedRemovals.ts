import type { SourceKindId } from '../../sources/index';
import { type Db, findRow, getRow, rowsOf } from '../db';
import { seal, unseal } from '../secrets';
import type { DocketId, RehearsalId, SourceId } from '../ids';

export interface NewOwed {
  readonly rehearsal: RehearsalId;
  readonly server: object;
  /** The server as people know it. */
  readonly words: string;
  readonly label: string;
  readonly problem: string;
}

/** Keeps that a scratch copy has yet to be removed. */
export async function addOwed(db: Db, { rehearsal, server, words, label, problem }: NewOwed): Promise<void> {
  const row = await findRow<{ id: number }>(
    db,
    `insert into owed_removals (rehearsal_id, sealed_server, server, label, problem) values ($1, '', $2, $3, $4)
     on conflict (rehearsal_id) do nothing returning id`,
    [rehearsal, words, label, problem],
  );
  if (row)
    await db.query('update owed_removals set sealed_server = $2 where id = $1', [
      row.id,
      await seal(db, boundTo(row.id), JSON.stringify(server)),
    ]);
}

/** Those that are due to be tried again, noted as tried now. */
export async function takeOwed(db: Db, everyMs: number) {
  const rows = await rowsOf<{ id: number; rehearsal: RehearsalId; label: string; sealed: Buffer; kind: SourceKindId }>(
    db,
    `update owed_removals set tried_at = now()
     where sealed_server <> '' and tried_at < now() - make_interval(secs => $1)
     returning id, rehearsal_id as rehearsal, label, sealed_server as sealed,
       (select kind from rehearsals join dockets on dockets.id = docket_id join sources on sources.id = source_id where rehearsals.id = rehearsal_id)`,
    [everyMs / 1000],
  );
  return Promise.all(
    rows.map(async ({ sealed, ...row }) => ({
      ...row,
      server: JSON.parse(await unseal(db, boundTo(row.id), sealed)) as object,
    })),
  );
}

export async function settleOwed(db: Db, id: number): Promise<void> {
  await db.query('delete from owed_removals where id = $1', [id]);
}

export async function keepOwedProblem(db: Db, id: number, problem: string): Promise<void> {
  await db.query('update owed_removals set problem = $2 where id = $1', [id, problem]);
}

export interface OwedRow {
  readonly server: string;
  readonly owedSince: string;
  readonly problem: string;
}

/** The copies of a docket's rehearsals that are still somewhere. */
export function listOwed(db: Db, docket: DocketId): Promise<readonly OwedRow[]> {
  return rowsOf(
    db,
    `select owed_removals.server, owed_since as "owedSince", owed_removals.problem from owed_removals
     join rehearsals on rehearsals.id = rehearsal_id where docket_id = $1 order by owed_removals.id`,
    [docket],
  );
}

/** The copies of a source's rehearsals that are still somewhere. */
export async function countOwed(db: Db, source: SourceId): Promise<number> {
  const { count } = await getRow<{ count: number }>(
    db,
    `select count(*) as count from owed_removals join rehearsals on rehearsals.id = rehearsal_id
     join dockets on dockets.id = docket_id where source_id = $1`,
    [source],
  );
  return count;
}

function boundTo(id: number): string {
  return `owed removal ${id}`;
}
