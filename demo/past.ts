// Eight months of the harbour's past: surveys as they would have been taken, judged by the same rules and the same state
// machine as every other; dockets that ran between them, waivers, promises, and what slipped. Made of what the harbour is
// today: what dockets of the past made is taken away before them, what slipped is there in between.

import type pg from 'pg';
import { findConstraint } from '../src/core/catalogue/lookups';
import type { Catalogue } from '../src/core/catalogue/model';
import { evidenceOf, type Evidence, type Fact } from '../src/core/evidence/evidence';
import { applyAll } from '../src/core/operations/index';
import { currentFormat } from '../src/core/formats/index';
import type { Plan } from '../src/core/plan/shape';
import { planFor } from '../src/core/plan/plan';
import { driftBetween } from '../src/core/ratchet/drift';
import { questionsFor } from '../src/core/remedies/index';
import { completeDecision } from '../src/core/remedies/question';
import { judge } from '../src/core/rules/audit';
import { isMended, objectInWords } from '../src/core/ratchet/mended';
import { type Policies, usualPolicy } from '../src/core/rules/policy';
import type { Finding } from '../src/core/rules/finding';
import { notMeasured } from '../src/core/survey/document';
import { tableId } from '../src/core/catalogue/identifiers';
import { unboundedBudget } from '../src/sources/budget';
import { sourceKind } from '../src/sources/index';
import { usualLimits } from '../src/sources/kind';
import { survey } from '../src/sources/survey';
import { type Db, inTransaction, noteWhose } from '../src/store/db';
import { addAuthor, addDocket, freezeDocket, moveDocket, putItem } from '../src/store/dockets/dockets';
import { askForRun } from '../src/store/dockets/runs';
import { keepCare, listStanding, moveFindings, noteOnFindings } from '../src/store/findings/findings';
import type { DocketId, SourceId, SurveyId } from '../src/store/ids';
import { acknowledgeDrifts, keepDrifts, listDrifts } from '../src/store/ratchet/drifts';
import { findPersonNamed } from '../src/store/people/people';
import { keepPolicies } from '../src/store/sources/settings';
import { addSchedule } from '../src/store/sources/schedules';
import { getConnection } from '../src/store/sources/sources';
import { keepTables } from '../src/store/surveys/surveyedTables';
import { nextTimes } from '../src/core/ratchet/schedule';
import { careInWords } from '../src/work/caring';
import { keepJudged } from '../src/work/judged';
import { takeStanding } from '../src/work/standing';
import { layOnDesk } from './desk';

interface Ran {
  readonly name: string;
  /** How many days ago. */
  readonly days: number;
  /** What it made, by name. */
  readonly made: readonly string[];
}

/** Dockets of the past; what they made is there today. */
const ran: readonly Ran[] = [
  {
    name: 'Names of places are unique',
    days: 221,
    made: ['uq_harbour_area_name', 'uq_flag_state_name', 'uq_vessel_type_name'],
  },
  {
    name: 'Agents of vessels',
    days: 197,
    made: ['fk_vessel_agent', 'fk_manifest_agent', 'uq_agent_agent_code'],
  },
  {
    name: 'Licences and call signs',
    days: 168,
    made: ['uq_pilot_licence_no', 'uq_vessel_call_sign', 'uq_tug_name'],
  },
  {
    name: 'Tide gauges',
    days: 131,
    made: ['fk_reading_gauge', 'fk_forecast_gauge', 'uq_gauge_name', 'uq_datum_name'],
  },
  {
    name: 'Warehouses and stays',
    days: 92,
    made: ['fk_storage_slot_warehouse', 'fk_storage_stay_consignment', 'uq_warehouse_name'],
  },
  { name: 'Invoices', days: 57, made: ['fk_invoice_agent', 'fk_invoice_line_invoice', 'fk_receipt_invoice'] },
  {
    name: 'Passes and notices',
    days: 25,
    made: ['uq_crew_pass_login', 'uq_notice_notice_no', 'fk_exemption_vessel'],
  },
];

const planner = 'Ines Okker';

/** What a docket mended and what somebody undid again: today it is open. By rule, the first of each. */
const slips = [
  { rule: 'uniqueness/absent', mended: 168, slipped: 44 },
  { rule: 'nullability/absent', mended: 131, slipped: 11 },
] as const;

const surveyDays = Array.from({ length: 27 }, (_, n) => 240 - n * 9);

/** Of a source that was never surveyed. */
export async function makePast(store: pg.Pool, source: SourceId, now: Date): Promise<void> {
  const today = await surveyed(store, source);
  await inTransaction((db) => new Past(db, source, today, now).write(), store);
  await inTransaction((db) => layOnDesk(db, source, now), store);
}

interface Today {
  readonly catalogue: Catalogue;
  readonly evidence: Evidence;
  readonly findings: readonly Finding[];
}

async function surveyed(store: pg.Pool, source: SourceId): Promise<Today> {
  const { kind, settings, secret } = await getConnection(store, source);
  const { open } = sourceKind(kind);
  if (!open) throw new Error('The harbour is reached by no session.');
  const session = await open(settings, secret, usualLimits);
  try {
    return await survey(session, { depth: 'exact', budget: unboundedBudget });
  } finally {
    await session.close();
  }
}

class Past {
  private policies: Policies = {};
  private before: { readonly survey: SurveyId; readonly catalogue: Catalogue } | null = null;
  private readonly evidence: Evidence;
  private readonly unmeasured: ReturnType<typeof notMeasured>;
  private readonly slipping: readonly {
    readonly finding: Finding;
    readonly mended: number;
    readonly slipped: number;
    readonly plan: Plan;
  }[];

  constructor(
    private readonly db: Db,
    private readonly source: SourceId,
    private readonly today: Today,
    private readonly now: Date,
  ) {
    this.unmeasured = notMeasured(today.catalogue, today.evidence);
    this.evidence = evidenceOf([
      ...Object.values(today.evidence),
      ...ran.flatMap(({ made }) => made.flatMap((name) => this.orphans(name))),
    ]);
    this.slipping = slips.flatMap(({ rule, mended, slipped }) => {
      const finding = today.findings.find((one) => one.rule === rule && one.proposal.kind !== 'byHand');
      return finding ? [{ finding, mended, slipped, plan: planned([finding], today.catalogue, 'slip') }] : [];
    });
  }

  async write(): Promise<void> {
    const { catalogue, evidence } = this.today;
    await keepTables(this.db, this.source, { catalogue, evidence, unmeasured: this.unmeasured, scope: null });
    const steps = [
      ...surveyDays.map((days) => ({ days, run: () => this.takeSurvey(days, null) })),
      ...ran.map((docket) => ({ days: docket.days, run: () => this.runDocket(docket) })),
      { days: 83, run: () => this.waive() },
      { days: 9, run: () => this.promise() },
    ];
    for (const { run } of steps.toSorted((a, b) => b.days - a.days)) await run();
    await this.acknowledgeFirst();
    const nightly = { cron: '30 2 * * *', zone: 'Europe/Oslo' };
    await addSchedule(this.db, this.source, {
      ...{ ...nightly, depth: 'exact', keptBy: 'Ada Holm', nextAt: nextTimes(nightly, this.now, 1)[0] ?? this.now },
    });
  }

  /** Of a reference that a docket declared, the orphans that it had before. */
  private orphans(name: string): readonly Fact[] {
    return this.today.catalogue.tables.flatMap((table): Fact[] => {
      const key = findConstraint(table, name);
      if (key?.kind !== 'foreign key') return [];
      const orphanRows = 3 + ((name.length * 7) % 40);
      return [
        {
          request: {
            kind: 'inclusion',
            table: table.id,
            columns: key.columns,
            parent: key.parent,
            parentColumns: key.parentColumns,
          },
          how: { kind: 'exact' },
          result: { rows: table.estimatedRows ?? 400, nullRows: 0, orphanRows, orphanValues: Math.ceil(orphanRows / 2) },
          at: this.now.toISOString(),
        },
      ];
    });
  }

  /** What was declared so many days ago; `after`: when the docket of that day had run. */
  private declared(days: number, after = false): Catalogue {
    const notYet = new Set(
      ran.filter((docket) => docket.days < days || (docket.days === days && !after)).flatMap(({ made }) => made),
    );
    const { catalogue } = this.today;
    const without: Catalogue = {
      ...catalogue,
      tables: catalogue.tables.map((table) => ({
        ...table,
        constraints: table.constraints.filter(({ name }) => !notYet.has(name)),
        indexes: table.indexes.filter(({ constraint }) => constraint === null || !notYet.has(constraint)),
      })),
    };
    return this.slipping
      .filter(({ mended, slipped }) => slipped < days && (days < mended || (days === mended && after)))
      .reduce(
        (made, { plan }) =>
          applyAll(
            plan.steps.map(({ operation }) => operation),
            made,
          ),
        without,
      );
  }

  private found(catalogue: Catalogue, days: number) {
    const { findings, waived } = judge(catalogue, this.evidence, { policies: this.policies, at: this.moment(days) });
    return { findings: findings.map((finding) => grown(finding, days)), waived };
  }

  private moment(days: number): string {
    return new Date(this.now.getTime() - days * 86_400_000).toISOString();
  }

  private async takeSurvey(days: number, docket: DocketId | null): Promise<void> {
    const { db, source } = this;
    const [catalogue, at] = [this.declared(days, docket !== null), this.moment(days)];
    const { rows } = await db.query<{ id: SurveyId }>(
      `insert into surveys (source_id, depth, docket_id, state, doing, asked_at, queued_at, started_at, finished_at, asked_by, attempts, not_measured)
       values ($1, 'exact', $2, 'done', 'Done', $3, $3, $3, $3, $4, 1, $5) returning id`,
      [source, docket, at, docket ? null : 'Ada Holm', JSON.stringify(this.unmeasured)],
    );
    const survey = rows[0]?.id;
    if (survey === undefined) throw new Error('No survey was kept.');
    await keepJudged(db, {
      ...{ source, survey, docket, ...this.found(catalogue, days) },
      seen: {
        catalogue,
        depth: 'exact',
        scope: null,
        notMeasured: new Set(this.unmeasured.map(({ schema, table }) => tableId(schema, table))),
        policies: this.policies,
      },
    });
    // What is otherwise after a docket is the docket's.
    const drift = this.before && !docket ? driftBetween(this.before.catalogue, catalogue, []) : [];
    if (this.before && drift.length > 0) await keepDrifts(db, { source, survey, since: this.before.survey }, drift);
    await takeStanding(db, source, survey);
    // The last ones can be compared with what is there today.
    if (days < 60) {
      await db.query('update surveys set catalogue = null where source_id = $1 and id < $2 - 3', [source, survey]);
      await db.query('update surveys set catalogue = $2, format = $3 where id = $1', [
        survey,
        JSON.stringify(catalogue),
        currentFormat,
      ]);
    }
    this.before = { survey, catalogue };
    await this.date(days);
  }

  private async runDocket({ name, days, made }: Ran): Promise<void> {
    const { db, source } = this;
    const [before, after] = [this.declared(days), this.declared(days, true)];
    const known = new Map((await listStanding(db, source)).map((row) => [row.identity, row]));
    const mended = this.found(before, days).findings.filter(
      (finding) => finding.proposal.kind !== 'byHand' && !isMended(finding, before) && isMended(finding, after),
    );
    const items = mended.flatMap((finding) => {
      const row = known.get(finding.id);
      return row && (row.state === 'Open' || row.state === 'Slipped') ? [{ finding, row }] : [];
    });
    if (items.length === 0) throw new Error(`Nothing is mended by ${made.join(', ')}.`);
    await noteWhose(db, planner);
    const docket = await addDocket(db, source, name, 'quiet');
    const author = await findPersonNamed(db, 'ines');
    if (author) await addAuthor(db, docket, author.id);
    for (const { row } of items) await putItem(db, docket, row.id, {});
    const move = (from: 'Open' | 'Docketed', to: 'Docketed' | 'Applied') =>
      moveFindings(
        db,
        items.map(({ row }) => ({ finding: row.id, from: from === 'Open' ? row.state : from, to, reason: null })),
        { docket },
      );
    await move('Open', 'Docketed');
    await this.date(days + 2);
    const plan = planned(
      items.map(({ finding }) => finding),
      before,
      `docket ${docket}`,
    );
    await freezeDocket(db, docket, plan, before);
    await askForRun(db, { docket, direction: 'forward', user: null, by: planner, steps: [] });
    await moveDocket(db, docket, ['Draft'], 'Done');
    await db.query(`update dockets set signed_by = 'Bo Larsk', signed_at = now() where id = $1`, [docket]);
    await noteWhose(db, null);
    await move('Docketed', 'Applied');
    await this.date(days);
    await this.takeSurvey(days, docket);
  }

  /** One that ends in three days, and one that stays. */
  private async waive(): Promise<void> {
    const { db, source } = this;
    const until = this.moment(-3).slice(0, 'yyyy-mm-dd'.length);
    const wanted = [
      { rule: 'keys/surrogate-only', reason: 'the register of the flag states has no other key', by: 'Runa Feld' },
      { rule: 'nullability/all-null', reason: 'filled by the new scale from December on', by: 'Runa Feld', until },
      { rule: 'references/unindexed', reason: 'read once a year', by: 'Runa Feld', until },
    ];
    await noteWhose(db, 'Runa Feld');
    const open = (await listStanding(db, source)).filter(({ state }) => state === 'Open');
    for (const { rule, ...waiver } of wanted) {
      const row = open.find((one) => one.rule === rule);
      if (!row) continue;
      this.policies = {
        ...this.policies,
        [rule]: { ...usualPolicy, waivers: [{ object: objectInWords(row.object), ...waiver }] },
      };
      await moveFindings(db, [{ finding: row.id, from: 'Open', to: 'Waived', reason: waiver.reason }], {});
    }
    await keepPolicies(db, source, this.policies);
    await noteWhose(db, null);
    await this.date(83);
  }

  private async promise(): Promise<void> {
    const { db, source } = this;
    await noteWhose(db, planner);
    const open = (await listStanding(db, source)).filter(({ state, severity }) => state === 'Open' && severity !== 'Minor');
    const due = (days: number) => this.moment(-days).slice(0, 'yyyy-mm-dd'.length);
    const promised = [
      {
        care: { by: 'Dues desk', due: due(5), reference: 'HM-2071' },
        rows: open.filter(({ tableId: id }) => id.startsWith('dues.')).slice(0, 2),
      },
      {
        care: { by: planner, due: due(12), reference: null },
        rows: open.filter(({ rule }) => rule === 'keys/missing').slice(0, 2),
      },
      {
        care: { by: 'Pilots’ office', due: due(-2), reference: 'HM-1988' },
        rows: open.filter(({ rule }) => rule.startsWith('references/')).slice(0, 1),
      },
    ];
    for (const { care, rows } of promised) {
      const ids = rows.map(({ id }) => id);
      await keepCare(db, ids, care);
      await noteOnFindings(db, ids, 'care', careInWords(care));
    }
    const told = promised[2]?.rows.map(({ id }) => id) ?? [];
    await noteOnFindings(db, told, 'comment', 'The office knows of these; the old passes are on paper.');
    await noteWhose(db, null);
    await this.date(9);
  }

  private async acknowledgeFirst(): Promise<void> {
    const first = (await listDrifts(this.db, this.source, 100)).at(-1);
    if (first)
      await acknowledgeDrifts(this.db, this.source, [first.id], {
        by: 'Jon Averi',
        reason: 'lost in the restore of that night, known to the desk',
      });
  }

  /** What was written since the last time was written then: all of it bears the moment of this transaction. */
  private async date(days: number): Promise<void> {
    const at = this.moment(days);
    const of = [this.source, at];
    await this.db.query('update findings set first_seen_at = $2 where source_id = $1 and first_seen_at = now()', of);
    await this.db.query('update findings set state_at = $2 where source_id = $1 and state_at = now()', of);
    await this.db.query(
      'update finding_events set at = $2 from findings where findings.id = finding_id and source_id = $1 and at = now()',
      of,
    );
    await this.db.query('update standings set at = $2 where source_id = $1 and at = now()', of);
    await this.db.query('update dockets set signed_at = $2 where source_id = $1 and signed_at = now()', of);
    await this.db.query('update dockets set created_at = $2 where source_id = $1 and created_at = now()', of);
    await this.db.query('update dockets set state_at = $2 where source_id = $1 and state_at = now()', of);
    await this.db.query(
      `update runs set asked_at = $2, queued_at = $2, finished_at = $2 from dockets where dockets.id = docket_id and source_id = $1 and runs.asked_at = now()`,
      of,
    );
  }
}

function planned(findings: readonly Finding[], catalogue: Catalogue, label: string): Plan {
  const decided = findings.map((finding) => ({ finding, decision: completeDecision(questionsFor(finding, catalogue, {}), {}) }));
  return planFor(decided, catalogue, { label, mode: 'quiet' });
}

/** Orphans were fewer once. */
function grown(finding: Finding, days: number): Finding {
  const { facts } = finding;
  if (typeof facts !== 'object' || facts === null || !('orphanRows' in facts) || typeof facts.orphanRows !== 'number')
    return finding;
  const share = 1 - Math.floor(days / 30) / 10;
  return { ...finding, facts: { ...facts, orphanRows: Math.max(1, Math.round(facts.orphanRows * share)) } };
}
