import { currentFormat, type Stored, proposalFrom } from '../../core/formats/index';
import { type Proposal, unscripted } from '../../core/remedies/index';
import { openStates, type FindingState } from '../../core/ratchet/states';
import type { Concern, Finding, FoundObject, Severity } from '../../core/rules/finding';
import type { FindingId } from '../../core/catalogue/identifiers';
import { objectInWords } from '../../core/ratchet/mended';
import { tableOf, wordsOf } from '../../core/rules/audit';
import { type Db, findRow, rowsOf } from '../db';
import { toldColumns, wasOf } from './sameness';
import type { DocketId, FindingRowId, SourceId, SurveyId } from '../ids';

export interface FindingRow {
  readonly id: FindingRowId;
  readonly identity: FindingId;
  /** Its identities before things were renamed. */
  readonly formerly: readonly FindingId[];
  readonly rule: string;
  readonly concern: Concern;
  readonly severity: Severity;
  readonly confidence: number;
  readonly tableId: string;
  readonly object: FoundObject;
  readonly facts: unknown;
  readonly proposal: Proposal;
  readonly state: FindingState;
  readonly reason: string | null;
  readonly firstSeenAt: string;
  readonly stateAt: string;
  readonly firstSurveyId: number | null;
  readonly care: Care;
}

/** Who sees to a finding. */
export interface Care {
  readonly by: string | null;
  /** Until which day, in ISO 8601. */
  readonly due: string | null;
  /** Under what number the change is known elsewhere. */
  readonly reference: string | null;
}

const shown = `id, identity, formerly, rule, concern, severity, confidence, table_id as "tableId", object, facts, proposal, format, state, reason,
  first_seen_at as "firstSeenAt", state_at as "stateAt", first_survey_id as "firstSurveyId",
  json_build_object('by', cared_by, 'due', due, 'reference', change_reference) as care`;

type StoredFinding = Omit<FindingRow, 'proposal'> & { readonly proposal: Stored; readonly format: number };

async function findingsOf(db: Db, text: string, values: unknown[]): Promise<readonly FindingRow[]> {
  const rows = await rowsOf<StoredFinding>(db, text, values);
  return rows.map(({ format, ...row }) => ({ ...row, proposal: proposalFrom(row.proposal, format, row.facts) }));
}

/** Worst first, then the surest. `states` limits what is listed. */
export function listFindings(db: Db, source: SourceId, states: readonly FindingState[]): Promise<readonly FindingRow[]> {
  return findingsOf(
    db,
    `select ${shown}
     from findings
     where source_id = $1 and state = any($2)
     order by array_position(array['Critical', 'Serious', 'Moderate', 'Minor'], severity), confidence desc, table_id, id`,
    [source, states],
  );
}

export async function findFinding(db: Db, source: SourceId, id: FindingRowId): Promise<FindingRow | null> {
  return (await findingsOf(db, `select ${shown} from findings where source_id = $1 and id = $2`, [source, id]))[0] ?? null;
}

export function listFindingsById(db: Db, source: SourceId, ids: readonly FindingRowId[]): Promise<readonly FindingRow[]> {
  return findingsOf(db, `select ${shown} from findings where source_id = $1 and id = any($2) order by id`, [source, ids]);
}

export function listWaived(db: Db, source: SourceId): Promise<readonly FindingRow[]> {
  return findingsOf(db, `select ${shown} from findings where source_id = $1 and state = 'Waived' order by table_id, id`, [
    source,
  ]);
}

/** What was counted of waived findings when they were waived, and is now. */
export function listWaivedSince(
  db: Db,
  source: SourceId,
): Promise<readonly { readonly finding: FindingRowId; readonly was: number | null; readonly is: number | null }[]> {
  return rowsOf(
    db,
    `select findings.id as finding, findings.amount as is,
       (select counted.amount
        from finding_amounts as counted join surveys on surveys.id = counted.survey_id
        where counted.finding_id = findings.id and coalesce(finished_at, asked_at) <= state_at
        order by counted.survey_id desc limit 1) as was
     from findings
     where source_id = $1 and state = 'Waived'`,
    [source],
  );
}

export function listByTable(db: Db, source: SourceId, table: string): Promise<readonly FindingRow[]> {
  return findingsOf(
    db,
    `select ${shown}
     from findings
     where source_id = $1 and table_id = $2
     order by array_position(array['Critical', 'Serious', 'Moderate', 'Minor'], severity), confidence desc, id`,
    [source, table],
  );
}

export interface FindingCounts {
  readonly open: number;
  /** Of those open, the ones that no script mends. */
  readonly byHand: number;
  readonly held: number;
  readonly waived: number;
}

export async function countFindings(db: Db, source: SourceId): Promise<FindingCounts> {
  const row = await findRow<FindingCounts>(
    db,
    `select count(*) filter (where state = any($2)) as open,
       count(*) filter (where state = any($2) and proposal ->> 'kind' = any($3)) as "byHand", count(*) filter (where state = 'Held') as held, count(*) filter (where state = 'Waived') as waived
     from findings
     where source_id = $1`,
    [source, openStates, unscripted],
  );
  return row ?? { open: 0, byHand: 0, held: 0, waived: 0 };
}

/** How many findings are open, by the rule that found them. */
export async function countByRule(db: Db, source: SourceId): Promise<Readonly<Record<string, number>>> {
  const rows = await rowsOf<{ rule: string; count: number }>(
    db,
    'select rule, count(*) as count from findings where source_id = $1 and state = any($2) group by rule',
    [source, openStates],
  );
  return Object.fromEntries(rows.map(({ rule, count }) => [rule, count]));
}

/** A change of a finding's state, to be recorded. */
export interface Move {
  readonly finding: FindingRowId;
  readonly from: FindingState;
  readonly to: FindingState;
  readonly reason: string | null;
}

export interface Occasion {
  readonly survey?: SurveyId | null;
  readonly docket?: DocketId | null;
}

/** Records changes of state with their occasion. A finding that is no longer in its `from` state is left alone. */
export async function moveFindings(db: Db, moves: readonly Move[], { survey = null, docket = null }: Occasion): Promise<void> {
  if (moves.length === 0) return;
  await db.query(
    `with moved as (
       update findings
       set state = move.to_state, reason = move.reason, state_at = now()
       from unnest($1::bigint[], $2::text[], $3::text[], $4::text[]) as move (id, from_state, to_state, reason)
       where findings.id = move.id and findings.state = move.from_state
       returning findings.id, move.from_state, move.to_state, move.reason
     )
     insert into finding_events (finding_id, from_state, to_state, reason, survey_id, docket_id)
     select id, from_state, to_state, reason, $5, $6
     from moved`,
    [moves.map((m) => m.finding), moves.map((m) => m.from), moves.map((m) => m.to), moves.map((m) => m.reason), survey, docket],
  );
}

/** What a survey may tell otherwise of a finding that is known, as rows to compare and to set. */
const changing = {
  names: `(${toldColumns.join(', ')})`,
  of: (row: string) => `row(${toldColumns.map((column) => `${row}.${column}`).join(', ')})`,
};

/** Keeps what a survey found: new findings start Open, or Waived; known ones get the newest facts and keep their state. */
export async function keepFindings(
  db: Db,
  {
    source,
    survey,
    begin = 'Open',
  }: { readonly source: SourceId; readonly survey: SurveyId; readonly begin?: 'Open' | 'Waived' },
  findings: readonly Finding[],
): Promise<void> {
  const words = findings.map(wordsOf);
  await db.query(
    `with found as materialized (
       select identity, rule, concern, severity, confidence, table_id, object::jsonb, facts::jsonb, proposal::jsonb, $15::smallint as format, title, measured, place, amount
       from unnest($3::text[], $4::text[], $5::text[], $6::text[], $7::float8[], $8::text[], $9::text[], $10::text[], $11::text[], $12::text[], $13::text[], $14::text[], $16::float8[])
         as f (identity, rule, concern, severity, confidence, table_id, object, facts, proposal, title, measured, place, amount)
     ), before as materialized (
       select id, amount from findings where source_id = $1 and identity = any($3)
     ), kept as (
       insert into findings (source_id, identity, rule, concern, severity, confidence, table_id, object, facts, proposal, format, state, first_survey_id, title, measured, place, amount)
       select $1, f.identity, f.rule, f.concern, f.severity, f.confidence, f.table_id, f.object, f.facts, f.proposal, f.format, $17, $2, f.title, f.measured, f.place, f.amount
       from found f
       left join findings known on known.source_id = $1 and known.identity = f.identity
       -- What is as it was is not written again, nor locked.
       where known.id is null
         or ${changing.of('known')} is distinct from ${changing.of('f')}
       on conflict (source_id, identity) do update set ${changing.names} = ${changing.of('excluded')}
       returning id, amount, (xmax = 0) as is_new
     ), counted as (
       insert into finding_amounts (finding_id, survey_id, amount)
       select kept.id, $2, kept.amount
       from kept
       left join before on before.id = kept.id
       where kept.amount is distinct from before.amount
       on conflict (finding_id, survey_id) do update set amount = excluded.amount
     )
     insert into finding_events (finding_id, to_state, survey_id)
     select id, $17, $2
     from kept
     where is_new`,
    [
      source,
      survey,
      findings.map((f) => f.id),
      findings.map((f) => f.rule),
      findings.map((f) => f.concern),
      findings.map((f) => f.severity),
      findings.map((f) => f.confidence),
      findings.map((f) => tableOf(f.object)),
      findings.map((f) => JSON.stringify(f.object)),
      findings.map((f) => JSON.stringify(f.facts ?? null)),
      findings.map((f) => JSON.stringify(f.proposal)),
      words.map((w) => w.title),
      words.map((w) => w.measured),
      findings.map((f) => objectInWords(f.object)),
      currentFormat,
      words.map((w) => w.amount ?? null),
      begin,
    ],
  );
}

export interface Followed {
  readonly finding: FindingRowId;
  /** As it is known from now on. */
  readonly now: Finding;
  readonly reason: string;
}

/** Findings go on under the names that their objects have now, and say that they do. One whose new name another finding has stays as it is. */
export async function renameFindings(db: Db, source: SourceId, survey: SurveyId, followed: readonly Followed[]): Promise<void> {
  if (followed.length === 0) return;
  await db.query(
    `with before as materialized (
       select id, ${wasOf('findings')} as was from findings where id = any($3)
     ), renamed as (
       update findings
       set identity = now.identity, formerly = array_remove(formerly, now.identity) || findings.identity, table_id = now.table_id,
         object = now.object::jsonb, facts = now.facts::jsonb, proposal = now.proposal::jsonb, format = $9, place = now.place
       from unnest($3::bigint[], $4::text[], $5::text[], $6::text[], $7::text[], $8::text[], $10::text[], $11::text[])
         as now (id, identity, table_id, object, facts, proposal, place, reason)
       where findings.id = now.id and findings.source_id = $1
         and not exists (select 1 from findings other where other.source_id = $1 and other.identity = now.identity and other.id <> now.id)
       returning findings.id, findings.state, now.reason
     )
     insert into finding_events (kind, finding_id, from_state, to_state, reason, survey_id, was)
     select 'renamed', id, state, state, reason, $2, was
     from renamed join before using (id)`,
    [
      source,
      survey,
      followed.map(({ finding }) => finding),
      followed.map(({ now }) => now.id),
      followed.map(({ now }) => tableOf(now.object)),
      followed.map(({ now }) => JSON.stringify(now.object)),
      followed.map(({ now }) => JSON.stringify(now.facts ?? null)),
      followed.map(({ now }) => JSON.stringify(now.proposal)),
      currentFormat,
      followed.map(({ now }) => objectInWords(now.object)),
      followed.map(({ reason }) => reason),
    ],
  );
}

/** Every finding of a source with what is needed to decide what became of it. */
export function listStanding(db: Db, source: SourceId): Promise<readonly FindingRow[]> {
  return findingsOf(db, `select ${shown} from findings where source_id = $1`, [source]);
}

export interface FindingEventRow {
  readonly at: string;
  readonly kind: 'state' | 'renamed' | 'comment' | 'care';
  /** Whose act it was; null for Pawl's own. */
  readonly person: string | null;
  readonly from: FindingState | null;
  readonly to: FindingState;
  readonly reason: string | null;
  readonly surveyId: SurveyId | null;
  readonly docketId: DocketId | null;
}

/** Findings that a survey found for the first time, or found again though they were held; worst first. */
export function listOpenedBy(
  db: Db,
  survey: SurveyId,
  most: number,
): Promise<
  readonly {
    readonly id: FindingId;
    readonly rule: string;
    readonly severity: Severity;
    readonly title: string;
    readonly place: string;
    readonly state: 'Open' | 'Slipped';
  }[]
> {
  return rowsOf(
    db,
    `select identity as id, rule, severity, title, place, to_state as state
     from finding_events join findings on findings.id = finding_id
     where survey_id = $1 and kind = 'state' and (to_state = 'Slipped' or (to_state = 'Open' and from_state is null))
     order by to_state desc, array_position(array['Critical', 'Serious', 'Moderate', 'Minor'], severity), findings.id
     limit $2`,
    [survey, most],
  );
}

/** How much was counted of a finding, where it was another number than the time before; null from when it was not found. */
export function listAmounts(
  db: Db,
  finding: FindingRowId,
): Promise<readonly { readonly at: string; readonly amount: number | null }[]> {
  return rowsOf(
    db,
    `select coalesce(finished_at, started_at, asked_at) as at, amount
     from finding_amounts join surveys on surveys.id = survey_id
     where finding_id = $1 order by survey_id`,
    [finding],
  );
}

/** Nothing is counted any more of findings that a survey did not find. */
export async function endAmounts(db: Db, survey: SurveyId, findings: readonly FindingRowId[]): Promise<void> {
  await db.query(
    `with ended as (
       update findings set amount = null where id = any($2) and amount is not null returning id
     )
     insert into finding_amounts (finding_id, survey_id) select id, $1 from ended
     on conflict (finding_id, survey_id) do update set amount = null`,
    [survey, findings],
  );
}

export async function keepCare(db: Db, findings: readonly FindingRowId[], { by, due, reference }: Care): Promise<void> {
  await db.query('update findings set cared_by = $2, due = $3, change_reference = $4 where id = any($1)', [
    findings,
    by,
    due,
    reference,
  ]);
}

/** What somebody says of findings stands in their history. */
export async function noteOnFindings(
  db: Db,
  findings: readonly FindingRowId[],
  kind: 'comment' | 'care',
  words: string,
): Promise<void> {
  await db.query(
    `insert into finding_events (finding_id, kind, from_state, to_state, reason)
     select id, $2, state, state, $3 from findings where id = any($1)`,
    [findings, kind, words],
  );
}

export function listEvents(db: Db, finding: FindingRowId): Promise<readonly FindingEventRow[]> {
  return rowsOf(
    db,
    `select at, kind, person, from_state as "from", to_state as "to", reason, survey_id as "surveyId", docket_id as "docketId"
     from finding_events where finding_id = $1 order by id`,
    [finding],
  );
}

export interface FoundFinding {
  readonly id: FindingRowId;
  readonly title: string;
  /** What it is about, in words. */
  readonly place: string;
}

/** Findings whose title or object holds the text, those that ask something of somebody first. */
export function searchFindings(db: Db, source: SourceId, text: string, limit: number): Promise<readonly FoundFinding[]> {
  return rowsOf(
    db,
    `select id, title, place from findings
     where source_id = $1 and position(lower($2) in lower(title || ': ' || place)) > 0
     order by state = any ($3) desc, length(place), id
     limit $4`,
    [source, text, openStates, limit],
  );
}

/** A finding as the core knows it. */
export function coreFinding(row: FindingRow): Finding {
  return {
    id: row.identity,
    rule: row.rule,
    concern: row.concern,
    severity: row.severity,
    confidence: row.confidence,
    object: row.object,
    facts: row.facts,
    proposal: row.proposal,
  };
}
