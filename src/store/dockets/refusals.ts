import type { FailedRemedy } from '../../core/plan/rehearsal';
import { type Db, findRow, rowsOf } from '../db';
import type { DocketId, FindingRowId } from '../ids';

export interface RefusalRow extends Omit<FailedRemedy, 'finding'> {
  readonly findingId: FindingRowId;
  readonly docketId: DocketId | null;
  readonly triedIn: 'rehearsal' | 'run';
  readonly at: string;
}

const shown = `finding_id as "findingId", docket_id as "docketId", tried_in as "triedIn", step, statement, says, rows::float8 as rows, tried, at`;

/** Keeps what was refused of a docket, and forgets what was refused of it before. */
export async function keepRefusals(
  db: Db,
  docket: DocketId,
  triedIn: RefusalRow['triedIn'],
  refused: readonly FailedRemedy[],
): Promise<void> {
  await forgetRefusals(db, docket);
  await db.query(
    `insert into refusals (finding_id, docket_id, tried_in, step, statement, says, rows, tried)
     select f.id, $1, $2, r.step, r.statement, r.says, nullif(r.rows, 0), r.tried
     from unnest($3::text[], $4::text[], $5::text[], $6::text[], $7::bigint[], $8::boolean[])
       as r (identity, step, statement, says, rows, tried)
     join docket_items i on i.docket_id = $1
     join findings f on f.id = i.finding_id and (f.identity = r.identity or r.identity = any (f.formerly))
     on conflict (finding_id) do nothing`,
    [
      docket,
      triedIn,
      refused.map((r) => r.finding),
      refused.map((r) => r.step),
      refused.map((r) => r.statement),
      refused.map((r) => r.says),
      refused.map((r) => r.rows),
      refused.map((r) => r.tried),
    ],
  );
}

/** Of the findings that are in a docket. */
export async function forgetRefusals(db: Db, docket: DocketId): Promise<void> {
  await db.query(`delete from refusals using docket_items i where i.docket_id = $1 and i.finding_id = refusals.finding_id`, [
    docket,
  ]);
}

/** Of findings that are still in the docket, those that were tried first. */
export function listRefusals(db: Db, docket: DocketId): Promise<readonly RefusalRow[]> {
  return rowsOf(
    db,
    `select ${shown} from refusals
     where docket_id = $1 and finding_id in (select finding_id from docket_items where docket_id = $1)
     order by tried desc, finding_id`,
    [docket],
  );
}

export function findRefusal(db: Db, finding: FindingRowId): Promise<RefusalRow | null> {
  return findRow(db, `select ${shown} from refusals where finding_id = $1`, [finding]);
}
