// What lies on the desk of the demo: a docket in each state that is not through, and one that was backed out.

import type { DocketState, FindingState } from '../src/core/ratchet/states';
import { engineOf } from '../src/core/engines/index';
import { currentFormat } from '../src/core/formats/index';
import type { Rehearsal } from '../src/core/plan/rehearsal';
import { plannedSteps } from '../src/sources/run/carryOut';
import { type Db, noteWhose } from '../src/store/db';
import { addAuthor, addBackup, addDocket, findDocket, moveDocket, putItem, signDocket } from '../src/store/dockets/dockets';
import { askForRun } from '../src/store/dockets/runs';
import { type FindingRow, listStanding, moveFindings } from '../src/store/findings/findings';
import type { DocketId, SourceId } from '../src/store/ids';
import { findPersonNamed } from '../src/store/people/people';
import { findSource, type SourceRow } from '../src/store/sources/sources';
import { planDocket, type PlannedDocket, placeOf } from '../src/work/dockets/planned';

interface Lying {
  readonly name: string;
  readonly state: DocketState;
  readonly rule: string;
  readonly most: number;
  readonly hoursAgo: number;
}

const lying: readonly Lying[] = [
  { name: 'Pilots’ references', state: 'Backed out', rule: 'references/unindexed', most: 2, hoursAgo: 78 },
  { name: 'Keys of the passes', state: 'Stopped', rule: 'keys/missing', most: 1, hoursAgo: 52 },
  { name: 'Lookups of dues', state: 'Signed', rule: 'references/unindexed', most: 3, hoursAgo: 30 },
  { name: 'Never empty', state: 'Rehearsed', rule: 'nullability/absent', most: 4, hoursAgo: 27 },
  { name: 'Names that nobody else may have', state: 'Draft', rule: 'uniqueness/absent', most: 3, hoursAgo: 5 },
];

/** Puts findings that are open, and that a script can mend, into dockets as they lie about. In one transaction. */
export async function layOnDesk(db: Db, source: SourceId, now: Date): Promise<void> {
  const row = await findSource(db, source);
  if (!row) throw new Error('There is no harbour.');
  for (const docket of lying) await new OnDesk(db, row, docket, now).write();
}

class OnDesk {
  private id = 0 as DocketId;

  constructor(
    private readonly db: Db,
    private readonly source: SourceRow,
    private readonly lying: Lying,
    private readonly now: Date,
  ) {}

  async write(): Promise<void> {
    const { db, source } = this;
    const { name, state, rule, most } = this.lying;
    const findings = (await listStanding(db, source.id))
      .filter((row) => row.state === 'Open' && row.rule === rule && row.proposal.kind !== 'byHand')
      .slice(0, most);
    if (findings.length === 0) throw new Error(`No finding of ${rule} is open for ${name}.`);
    await noteWhose(db, 'Ines Okker');
    this.id = await addDocket(db, source.id, name, 'quiet');
    const author = await findPersonNamed(db, 'ines');
    if (author) await addAuthor(db, this.id, author.id);
    for (const finding of findings) await putItem(db, this.id, finding.id, {});
    await this.move(findings, 'Open', 'Docketed');
    if (state !== 'Draft') await this.carryOn(state, findings);
    await noteWhose(db, null);
    await this.date();
  }

  private async carryOn(state: DocketState, findings: readonly FindingRow[]): Promise<void> {
    const planned = await this.planned();
    await this.rehearse(planned);
    if (state === 'Rehearsed') return void (await moveDocket(this.db, this.id, ['Draft'], 'Rehearsed'));
    await this.sign(planned);
    if (state === 'Stopped') return this.stop(planned);
    if (state === 'Backed out') return this.backOut(findings);
  }

  private async planned(): Promise<PlannedDocket> {
    const docket = await findDocket(this.db, this.source.id, this.id);
    if (!docket) throw new Error('The docket is gone.');
    return planDocket(this.db, this.source, docket);
  }

  /** As it would have gone: the harbour is small, and what is planned for it holds. */
  private async rehearse({ plan, catalogue }: PlannedDocket): Promise<void> {
    if (!plan || !catalogue) throw new Error('The harbour was not surveyed.');
    const steps = plan.steps.length;
    const proofs = plan.steps.flatMap((step) => step.proofs).length;
    const part = (name: Rehearsal['parts'][number]['name'], ms: number, says: string) =>
      ({ name, state: 'held', ms, says, lines: [] }) as const;
    const report: Rehearsal = {
      holds: true,
      parts: [
        part('copy', 1_840, `A full copy of ${catalogue.tables.length} tables, ${engineOf(catalogue).title}.`),
        part('forward', 130 * steps, `${steps} steps done.`),
        part('proofs', 12 * proofs, `${proofs} proofs tried, none that speaks against it.`),
        part('again', 40, 'Nothing was left to do.'),
        part('back', 95 * steps, `${steps} steps undone.`),
        part('compare', 320, 'The copy is as it was.'),
      ],
    };
    await this.db.query(
      `insert into rehearsals (docket_id, plan, state, report, asked_by, server, finished_at, format)
       values ($1, $2, 'held', $3, 'Ines Okker', 'the server of Pawl itself', now(), $4)`,
      [this.id, JSON.stringify(plan), JSON.stringify(report), currentFormat],
    );
  }

  private async sign({ plan, catalogue, digest }: PlannedDocket): Promise<void> {
    const signer = await findPersonNamed(this.db, 'bo');
    if (!plan || !catalogue || !signer) return;
    const by = { id: signer.id, name: signer.fullName };
    await signDocket(this.db, this.id, { signer: by, digest, place: placeOf(this.source) }, { plan, catalogue });
    const at = this.now.toISOString();
    await addBackup(this.db, this.id, { at, place: 'vault 2, the night before', by: 'Jon Averi' });
  }

  /** On its first step, so that the harbour is as it was. */
  private async stop({ plan }: PlannedDocket): Promise<void> {
    if (!plan) return;
    const { db, id } = this;
    const problem = 'Step 1 gave up after 5 s: another session holds a lock on the table. Nothing was changed.';
    const steps = plannedSteps(plan, 'forward');
    const run = await askForRun(db, { docket: id, direction: 'forward', user: 'harbour_owner', by: 'Jon Averi', steps });
    await db.query(`update runs set state = 'stopped', problem = $2, finished_at = now() where id = $1`, [run, problem]);
    await db.query(
      `update run_steps set state = 'failed', outcome = 'canceling statement due to lock timeout', started_at = now(), finished_at = now()
       where run_id = $1 and position = 1`,
      [run],
    );
    await moveDocket(db, id, ['Signed'], 'Stopped');
  }

  private async backOut(findings: readonly FindingRow[]): Promise<void> {
    for (const direction of ['forward', 'back'] as const)
      await askForRun(this.db, { docket: this.id, direction, user: null, by: 'Jon Averi', steps: [] });
    await this.move(findings, 'Docketed', 'Applied');
    await this.move(findings, 'Applied', 'Open', 'the docket was backed out: the pilots’ board read the old index by name');
    await moveDocket(this.db, this.id, ['Signed'], 'Backed out');
  }

  private move(
    findings: readonly FindingRow[],
    from: FindingState,
    to: FindingState,
    reason: string | null = null,
  ): Promise<unknown> {
    return moveFindings(
      this.db,
      findings.map(({ id }) => ({ finding: id, from, to, reason })),
      { docket: this.id },
    );
  }

  /** All of it bears the moment of this transaction. */
  private async date(): Promise<void> {
    const of = [this.id, new Date(this.now.getTime() - this.lying.hoursAgo * 3_600_000)];
    const those = 'id in (select finding_id from docket_items where docket_id = $1)';
    for (const change of [
      `update findings set state_at = $2 where state_at = now() and ${those}`,
      'update finding_events set at = $2 where docket_id = $1 and at = now()',
      'update dockets set created_at = $2::timestamptz, state_at = $2::timestamptz, signed_at = case when signed_at is not null then $2::timestamptz end where id = $1',
      'update docket_backups set at = $2, said_at = $2 where docket_id = $1',
      'update rehearsals set asked_at = $2, queued_at = $2, finished_at = $2 where docket_id = $1',
      'update runs set asked_at = $2, queued_at = $2, finished_at = $2 where docket_id = $1',
    ])
      await this.db.query(change, of);
  }
}
