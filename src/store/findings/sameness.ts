// Findings that a person joins into one, or parts again. The history stays with the one that is older.

import { type Db, findRow, getRow, rowsOf } from '../db';
import type { FindingRowId, SourceId } from '../ids';

/** What a survey may tell otherwise of a finding that is known. */
export const toldColumns = [
  ...['severity', 'confidence', 'object', 'facts', 'proposal', 'format', 'title', 'measured', 'place', 'amount'],
] as const;

/** What a finding is about: what changes when it goes on as another. */
const aboutColumns = ['identity', 'rule', 'concern', 'table_id', ...toldColumns] as const;

const about = aboutColumns.join(', ');

/** As JSON, of a row of `findings` called so. */
export function wasOf(row: string): string {
  return `jsonb_build_object(${aboutColumns.map((column) => `'${column}', ${row}.${column}`).join(', ')})`;
}

export interface Candidate {
  readonly id: FindingRowId;
  readonly title: string;
  readonly place: string;
  readonly state: string;
  readonly stateAt: string;
}

/** Findings of the same rule that are found no more, those of its table first: any of them may be what it was once. */
export function listEarlierSelves(db: Db, id: FindingRowId, limit: number): Promise<readonly Candidate[]> {
  return rowsOf(
    db,
    `select other.id, other.title, other.place, other.state, other.state_at as "stateAt"
     from findings own join findings other using (source_id, rule)
     where own.id = $1 and own.state in ('Open', 'Slipped') and other.id <> own.id and other.state in ('Held', 'Lapsed')
     order by other.table_id = own.table_id desc, other.state_at desc, other.id desc
     limit $2`,
    [id, limit],
  );
}

export interface Joining {
  readonly newer: FindingRowId;
  readonly older: FindingRowId;
  readonly reason: string;
}

/**
 * The older one goes on as the newer, which is no more: all that hangs on that hangs on it. Whatever was held and is found
 * again has slipped.
 */
export async function joinFindings(db: Db, { newer, older, reason }: Joining): Promise<void> {
  const of = [newer, older];
  await db.query(
    `insert into finding_events (kind, finding_id, from_state, to_state, reason, was)
     select 'renamed', older.id, older.state, older.state, $3, ${wasOf('older')} from findings older where older.id = $2 and $1 <> $2`,
    [...of, reason],
  );
  await db.query(
    `insert into finding_events (finding_id, from_state, to_state, reason)
     select older.id, older.state, case when older.state = 'Held' then 'Slipped' else newer.state end, $3
     from findings older, findings newer where older.id = $2 and newer.id = $1`,
    [...of, reason],
  );
  await hangOn(db, newer, older);
  const gone = await rowAsJson(db, newer);
  // The name is one finding's at a time.
  await db.query('delete from findings where id = $1', [newer]);
  const columns = aboutColumns.map((column) => `${column} = newer.${column}`).join(', ');
  await db.query(
    `update findings older
     set ${columns}, formerly = array_remove(older.formerly, newer.identity) || older.identity, state_at = now(), reason = $2,
       state = case when older.state = 'Held' then 'Slipped' else newer.state end
     from json_populate_record(null::findings, $3::json) as newer
     where older.id = $1`,
    [older, reason, gone],
  );
}

async function rowAsJson(db: Db, id: FindingRowId): Promise<string> {
  const { row } = await getRow<{ row: string }>(db, 'select row_to_json(findings)::text as row from findings where id = $1', [
    id,
  ]);
  return row;
}

async function hangOn(db: Db, newer: FindingRowId, older: FindingRowId): Promise<void> {
  const of = [newer, older];
  for (const move of [
    `update finding_events set finding_id = $2 where finding_id = $1 and kind in ('comment', 'care')`,
    `insert into finding_amounts (finding_id, survey_id, amount)
     select $2, survey_id, amount from finding_amounts where finding_id = $1 on conflict do nothing`,
    `insert into docket_items (docket_id, finding_id, decision, added_at, open, format)
     select docket_id, $2, decision, added_at, open, format from docket_items where finding_id = $1 on conflict do nothing`,
    'update proofs set finding_id = $2 where finding_id = $1',
  ])
    await db.query(move, of);
}

/** The last time that a finding went on as another, where what it was is known; null where that never was. */
export function findTurn(db: Db, id: FindingRowId): Promise<{ readonly event: number; readonly place: string } | null> {
  return findRow(
    db,
    `select id as event, was ->> 'place' as place from finding_events
     where finding_id = $1 and kind = 'renamed' and was is not null
     order by id desc limit 1`,
    [id],
  );
}

/**
 * From its last turn on it is a finding of its own; what was before goes by its old name again, and is found no more. The answer
 * is the new one; null when the old name is another's by now.
 */
export async function partFinding(
  db: Db,
  source: SourceId,
  { id, event, reason }: { readonly id: FindingRowId; readonly event: number; readonly reason: string },
): Promise<FindingRowId | null> {
  const before = await findRow(
    db,
    `select 1 from findings where source_id = $1 and id <> $2 and identity = (select was ->> 'identity' from finding_events where id = $3)`,
    [source, id, event],
  );
  if (before) return null;
  const now = await rowAsJson(db, id);
  const columns = aboutColumns.map((column) => `${column} = was.${column}`).join(', ');
  await db.query(
    `update findings
     set ${columns}, formerly = array_remove(findings.formerly, was.identity), state = 'Lapsed', state_at = now(), reason = $3
     from finding_events, jsonb_populate_record(null::findings, finding_events.was) as was
     where findings.id = $1 and finding_events.id = $2`,
    [id, event, reason],
  );
  const { part } = await getRow<{ part: FindingRowId }>(
    db,
    `insert into findings (source_id, ${about}, state, state_at, reason, first_survey_id, first_seen_at, cared_by, due, change_reference)
     select source_id, ${about}, state, state_at, reason, (select survey_id from finding_events where id = $2),
       (select at from finding_events where id = $2), cared_by, due, change_reference
     from json_populate_record(null::findings, $1::json)
     returning id as part`,
    [now, event],
  );
  await takeAlong(db, { id, part, event, reason });
  return part;
}

async function takeAlong(
  db: Db,
  {
    id,
    part,
    event,
    reason,
  }: { readonly id: FindingRowId; readonly part: FindingRowId; readonly event: number; readonly reason: string },
): Promise<void> {
  const { state } = await getRow<{ state: string }>(db, 'select to_state as state from finding_events where id = $1', [event]);
  const of = [id, part, event];
  for (const move of [
    'update finding_events set finding_id = $2 where finding_id = $1 and id >= $3',
    `update finding_amounts set finding_id = $2
     where finding_id = $1 and survey_id >= (select coalesce(survey_id, 0) from finding_events where id = $3)
       and exists (select 1 from finding_events where id = $3 and survey_id is not null)`,
    'update docket_items set finding_id = $2 where finding_id = $1 and added_at >= (select at from finding_events where id = $3)',
    'update proofs set finding_id = $2 where finding_id = $1 and at >= (select at from finding_events where id = $3)',
  ])
    await db.query(move, of);
  // Its history begins where it was taken for the other.
  await db.query(`update finding_events set kind = 'state', from_state = null, reason = $2, was = null where id = $1`, [
    event,
    reason,
  ]);
  await db.query('insert into finding_events (finding_id, from_state, to_state, reason) values ($1, $2, $3, $4)', [
    id,
    state,
    'Lapsed',
    reason,
  ]);
}
