import type { FindingId, TableId } from '../../core/catalogue/identifiers';
import type { Catalogue } from '../../core/catalogue/model';
import { catalogueFrom, currentFormat, decisionFrom, type Stored, planFrom } from '../../core/formats/index';
import type { Mode } from '../../core/plan/cost';
import { type Gist, gistOf, type Risk } from '../../core/plan/gist';
import type { Plan } from '../../core/plan/shape';
import type { DocketState } from '../../core/ratchet/states';
import type { Decision } from '../../core/remedies/question';
import { stopRehearsal } from './rehearsals';
import { type Db, findRow, getRow, rowsOf } from '../db';
import type { DocketId, FindingRowId, PersonId, SourceId } from '../ids';

export interface DocketRow {
  readonly id: DocketId;
  readonly name: string;
  readonly state: DocketState;
  readonly mode: Mode;
  readonly createdAt: string;
  readonly stateAt: string;
  readonly remedies: number;
  /** Who had a hand in what it does. */
  readonly authors: readonly Author[];
  readonly signedBy: string | null;
  readonly signedById: PersonId | null;
  readonly signedAt: string | null;
  /** What was signed: of plan, scripts and decisions. */
  readonly signedDigest: string | null;
  /** The format in which that was signed. */
  readonly signedFormat: number | null;
  /** Where it was signed to go. */
  readonly signedFor: string | null;
  readonly backupAt: string | null;
  readonly backupWhere: string | null;
  /** When what its repairs kept was dropped; from then on there is no way back. */
  readonly clearedAt: string | null;
  /** Of the plan that is frozen, else null. */
  readonly rowsChanged: number | null;
  readonly risk: Risk | null;
}

export interface Author {
  readonly id: PersonId;
  readonly name: string;
}

export interface FrozenDocket {
  readonly plan: Plan | null;
  readonly catalogue: Catalogue | null;
}

export interface DocketItem {
  readonly findingId: FindingRowId;
  readonly decision: Decision;
}

const shown = `id, name, state, mode, created_at as "createdAt", state_at as "stateAt",
  (select coalesce(json_agg(json_build_object('id', people.id, 'name', full_name) order by full_name), '[]')
   from docket_authors join people on people.id = person_id where docket_id = dockets.id) as authors,
  signed_by as "signedBy", signed_by_id as "signedById", signed_at as "signedAt", signed_digest as "signedDigest", signed_format as "signedFormat", signed_for as "signedFor",
  (select at from docket_backups where docket_id = dockets.id order by docket_backups.id desc limit 1) as "backupAt",
  (select place from docket_backups where docket_id = dockets.id order by docket_backups.id desc limit 1) as "backupWhere",
  cleared_at as "clearedAt", (select count(*) from docket_items where docket_id = dockets.id) as remedies, rows_changed as "rowsChanged", risk`;

/** Held until the transaction ends: who else changes it waits. */
export function lockDocket(db: Db, source: SourceId, id: DocketId): Promise<DocketRow | null> {
  return findRow(db, `select ${shown} from dockets where source_id = $1 and id = $2 for update of dockets`, [source, id]);
}

/** Dockets of a source that are not through; their source stays what it is. */
export async function countOpenDockets(db: Db, source: SourceId): Promise<number> {
  const { count } = await getRow<{ count: number }>(
    db,
    `select count(*) as count from dockets where source_id = $1 and state not in ('Done', 'Backed out')`,
    [source],
  );
  return count;
}

/** Whether a docket of a source runs, or is rehearsed. */
export async function isRunning(db: Db, source: SourceId): Promise<boolean> {
  const { running } = await getRow<{ running: boolean }>(
    db,
    `select exists (select 1 from dockets where source_id = $1 and state = 'Running')
       or exists (select 1 from rehearsals join dockets on dockets.id = docket_id where source_id = $1 and finished_at is null) as running`,
    [source],
  );
  return running;
}

export async function addAuthor(db: Db, docket: DocketId, person: PersonId): Promise<void> {
  await db.query('insert into docket_authors (docket_id, person_id) values ($1, $2) on conflict do nothing', [docket, person]);
}

export function listDockets(db: Db, source: SourceId): Promise<readonly DocketRow[]> {
  return rowsOf(db, `select ${shown} from dockets where source_id = $1 order by id desc`, [source]);
}

export function findDocket(db: Db, source: SourceId, id: DocketId): Promise<DocketRow | null> {
  return findRow(db, `select ${shown} from dockets where source_id = $1 and id = $2`, [source, id]);
}

export async function addDocket(db: Db, source: SourceId, name: string, mode: Mode): Promise<DocketId> {
  const { id } = await getRow<{ id: DocketId }>(
    db,
    'insert into dockets (source_id, name, mode) values ($1, $2, $3) returning id',
    [source, name, mode],
  );
  return id;
}

/** What has run is as it ran: then its way is not changed. */
export async function setDocketMode(db: Db, id: DocketId, mode: Mode): Promise<void> {
  await reopen(db, id);
  await db.query(`update dockets set mode = $2 where id = $1 and state = 'Draft'`, [id, mode]);
}

// What was rehearsed was another docket than the one that it is changed into.
async function reopen(db: Db, id: DocketId): Promise<void> {
  await stopRehearsal(db, id);
  await db.query(
    `update dockets
     set state = 'Draft', state_at = now(), plan = null, catalogue = null, rows_changed = null, risk = null, signed_by = null, signed_by_id = null, signed_digest = null, signed_at = null
     where id = $1 and state in ('Rehearsed', 'Signed')`,
    [id],
  );
}

export interface Signature {
  readonly signer: Author;
  readonly digest: string;
  /** Where it goes. */
  readonly place: string;
}

/** Signs a docket as it is planned now: that plan is what will run. False when its state does not allow it. */
export async function signDocket(
  db: Db,
  id: DocketId,
  { signer, digest, place }: Signature,
  { plan, catalogue }: { readonly plan: Plan; readonly catalogue: Catalogue },
): Promise<boolean> {
  if (!(await moveDocket(db, id, ['Draft', 'Rehearsed', 'Signed'], 'Signed'))) return false;
  await db.query(
    'update dockets set signed_by = $2, signed_by_id = $3, signed_digest = $4, signed_format = $5, signed_for = $6, signed_at = now() where id = $1',
    [id, signer.name, signer.id, digest, currentFormat, place],
  );
  await freezeDocket(db, id, plan, catalogue);
  return true;
}

/** Of a source that came from elsewhere: what was signed and rehearsed there is a draft here, and who signed stays on record. Returns how many. */
export async function forgetSignatures(db: Db, source: SourceId): Promise<number> {
  const forgotten = await db.query(
    `update dockets
     set state = case when state in ('Signed', 'Rehearsed') then 'Draft' else state end, state_at = now(),
       plan = case when state = 'Signed' then null else plan end, catalogue = case when state = 'Signed' then null else catalogue end,
       formerly_signed_by = coalesce(signed_by, formerly_signed_by), formerly_signed_at = coalesce(signed_at, formerly_signed_at),
       signed_by = null, signed_by_id = null, signed_digest = null, signed_for = null, signed_at = null
     where source_id = $1 and (state in ('Signed', 'Rehearsed') or state = 'Stopped' and signed_at is not null)`,
    [source],
  );
  return forgotten.rowCount ?? 0;
}

/** Takes a signature back; a rehearsal that it had stays. */
export async function unsignDocket(db: Db, id: DocketId): Promise<void> {
  await db.query(
    `update dockets
     set state = case (select state from rehearsals where docket_id = $1 order by id desc limit 1) when 'held' then 'Rehearsed' else 'Draft' end,
       state_at = now(), plan = null, catalogue = null, rows_changed = null, risk = null, signed_by = null, signed_by_id = null, signed_digest = null, signed_at = null
     where id = $1 and state = 'Signed'`,
    [id],
  );
}

/** Said beside what was said before. */
export async function addBackup(
  db: Db,
  id: DocketId,
  backup: { readonly at: string; readonly place: string; readonly by: string },
): Promise<void> {
  await db.query('insert into docket_backups (docket_id, at, place, said_by) values ($1, $2, $3, $4)', [
    id,
    backup.at,
    backup.place,
    backup.by,
  ]);
}

/** All that were said to be taken, the first first. */
export function listBackups(
  db: Db,
  docket: DocketId,
): Promise<readonly { readonly at: string; readonly place: string; readonly by: string }[]> {
  return rowsOf(db, 'select at, place, said_by as by from docket_backups where docket_id = $1 order by id', [docket]);
}

export async function keepCleared(db: Db, id: DocketId): Promise<void> {
  await db.query('update dockets set cleared_at = now() where id = $1', [id]);
}

export async function renameDocket(db: Db, id: DocketId, name: string): Promise<void> {
  await db.query('update dockets set name = $2 where id = $1', [id, name]);
}

export async function removeDocket(db: Db, id: DocketId): Promise<void> {
  await db.query('delete from dockets where id = $1', [id]);
}

export async function findFrozen(db: Db, id: DocketId): Promise<FrozenDocket | null> {
  const row = await findRow<{ plan: Stored | null; catalogue: Stored | null; format: number }>(
    db,
    'select plan, catalogue, format from dockets where id = $1',
    [id],
  );
  if (!row) return null;
  const { plan, catalogue, format } = row;
  return { plan: plan && planFrom(plan, format), catalogue: catalogue && catalogueFrom(catalogue, format) };
}

/** From here on the docket's plan does not change any more. */
export async function freezeDocket(db: Db, id: DocketId, plan: Plan, catalogue: Catalogue): Promise<void> {
  const { rowsChanged, risk } = await gistOfDocket(db, id, plan, catalogue);
  await db.query('update dockets set plan = $2, catalogue = $3, format = $4, rows_changed = $5, risk = $6 where id = $1', [
    id,
    JSON.stringify(plan),
    JSON.stringify(catalogue),
    currentFormat,
    rowsChanged,
    risk,
  ]);
}

/** What a plan of it comes to, by what its findings counted last. */
export async function gistOfDocket(db: Db, id: DocketId, plan: Plan, catalogue: Catalogue): Promise<Gist> {
  const counted = await rowsOf<{ identity: FindingId; amount: number | null }>(
    db,
    'select identity, amount from docket_items join findings on findings.id = finding_id where docket_id = $1',
    [id],
  );
  return gistOf(plan, catalogue, new Map(counted.map(({ identity, amount }) => [identity, amount])));
}

/** Makes a docket of which nothing was carried out a draft again: its plan is made anew. */
export async function thawDocket(db: Db, id: DocketId): Promise<void> {
  await db.query(
    `update dockets set state = 'Draft', state_at = now(), plan = null, catalogue = null, rows_changed = null, risk = null, signed_by = null, signed_by_id = null, signed_digest = null, signed_at = null where id = $1`,
    [id],
  );
}

/** Changes the state, only from one of the states given; false when it was in none of them. */
export async function moveDocket(db: Db, id: DocketId, from: readonly DocketState[], to: DocketState): Promise<boolean> {
  const moved = await db.query('update dockets set state = $3, state_at = now() where id = $1 and state = any($2)', [
    id,
    from,
    to,
  ]);
  return moved.rowCount === 1;
}

export async function listItems(db: Db, docket: DocketId): Promise<readonly DocketItem[]> {
  const rows = await rowsOf<KeptItem>(
    db,
    `select finding_id as "findingId", decision, docket_items.format, table_id as "tableId"
     from docket_items join findings on findings.id = finding_id
     where docket_id = $1 order by added_at, finding_id`,
    [docket],
  );
  return rows.map(itemOf);
}

interface KeptItem {
  readonly findingId: FindingRowId;
  readonly decision: Stored;
  readonly format: number;
  readonly tableId: TableId;
}

function itemOf({ findingId, decision, format, tableId }: KeptItem): DocketItem {
  return { findingId, decision: decisionFrom(decision, format, tableId) };
}

/** Adds a remedy, or changes what was decided about it. */
/** Decided otherwise, what the database said of it before is of something else. */
export async function putItem(db: Db, docket: DocketId, finding: FindingRowId, decision: Decision): Promise<void> {
  await reopen(db, docket);
  await db.query('delete from refusals where finding_id = $1', [finding]);
  await db.query(
    `insert into docket_items (docket_id, finding_id, decision, format)
     values ($1, $2, $3, $4)
     on conflict (docket_id, finding_id) do update set decision = excluded.decision, format = excluded.format`,
    [docket, finding, JSON.stringify(decision), currentFormat],
  );
}

export async function removeItem(db: Db, docket: DocketId, finding: FindingRowId): Promise<void> {
  await reopen(db, docket);
  await db.query('delete from docket_items where docket_id = $1 and finding_id = $2', [docket, finding]);
}

/** Takes something out of a docket that has stopped: it stays stopped. */
export async function dropItems(db: Db, docket: DocketId, findings: readonly FindingRowId[]): Promise<void> {
  await db.query('delete from docket_items where docket_id = $1 and finding_id = any ($2::bigint[])', [docket, findings]);
}

/** The docket that a finding is in at present, with its decision: the newest that is not backed out. */
export async function findDocketOf(
  db: Db,
  finding: FindingRowId,
): Promise<(DocketItem & Pick<DocketRow, 'name' | 'state' | 'mode'> & { readonly docketId: DocketId }) | null> {
  const row = await findRow<KeptItem & Pick<DocketRow, 'name' | 'state' | 'mode'> & { readonly docketId: DocketId }>(
    db,
    `select docket_id as "docketId", name, dockets.state, mode, finding_id as "findingId", decision, docket_items.format,
       table_id as "tableId"
     from docket_items
     join dockets on dockets.id = docket_id
     join findings on findings.id = finding_id
     where finding_id = $1 and dockets.state <> 'Backed out'
     order by docket_id desc
     limit 1`,
    [finding],
  );
  return row && { docketId: row.docketId, name: row.name, state: row.state, mode: row.mode, ...itemOf(row) };
}

/** The id of the source that a docket changes. */
export async function getSourceOf(db: Db, docket: DocketId): Promise<SourceId> {
  return (await getRow<{ source: SourceId }>(db, 'select source_id as source from dockets where id = $1', [docket])).source;
}
