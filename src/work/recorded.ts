// What a survey saw, written into the record of its source, all in one transaction: findings and what became of those before,
// tables, inventory, drift, standing.

import { type TableId, tableId } from '../core/catalogue/identifiers';
import type { Catalogue } from '../core/catalogue/model';
import type { Evidence } from '../core/evidence/evidence';
import { inventory, stockKinds } from '../core/inventory/index';
import { withEarlier } from '../core/inventory/take';
import { conventionsOf } from '../core/naming/infer';
import type { Speed } from '../core/plan/times';
import type { WaivedFinding } from '../core/rules/audit';
import type { Policies } from '../core/rules/policy';
import type { Finding } from '../core/rules/finding';
import type { SurveyDocument } from '../core/survey/document';
import type { Db } from '../store/db';
import type { SourceId } from '../store/ids';
import { keepLines, listLinesOutside } from '../store/inventory/inventory';
import { findSource } from '../store/sources/sources';
import { keepTables } from '../store/surveys/surveyedTables';
import { keepConventions, keepNotMeasured, keepReused, keepSpeed, type SurveyRow } from '../store/surveys/surveys';
import { announce } from './announcing';
import { noteDrift } from './drift';
import { keepJudged } from './judged';
import { takeStanding } from './standing';

export interface Recorded {
  readonly catalogue: Catalogue;
  readonly evidence: Evidence;
  readonly unmeasured: SurveyDocument['notMeasured'];
  readonly findings: readonly Finding[];
  readonly waived: readonly WaivedFinding[];
  /** The tables that were surveyed; null for all. */
  readonly scope: ReadonlySet<TableId> | null;
  /** Tables that had not changed since they were last read. */
  readonly reused: ReadonlySet<TableId>;
  readonly speed: Speed;
  readonly policies: Policies;
}

export async function recordSurvey(
  db: Db,
  row: Pick<SurveyRow, 'id' | 'sourceId' | 'docketId' | 'depth'>,
  { catalogue, evidence, unmeasured, findings, waived, scope, reused, speed, policies }: Recorded,
): Promise<void> {
  await keepJudged(db, {
    source: row.sourceId,
    survey: row.id,
    docket: row.docketId,
    findings,
    waived,
    seen: {
      catalogue,
      depth: row.depth,
      scope,
      notMeasured: new Set<TableId>(unmeasured.map((t) => tableId(t.schema, t.table))),
      policies,
    },
  });
  await keepTables(db, row.sourceId, { catalogue, evidence, unmeasured, scope });
  // A survey of the catalogue alone measures no table.
  const measured = row.depth === 'catalogue' ? new Set<TableId>() : scope;
  await takeStock(db, row.sourceId, { catalogue, evidence, findings, scope: measured });
  await keepNotMeasured(db, row.id, unmeasured);
  await keepReused(db, row.id, reused.size);
  await keepSpeed(db, row.id, speed);
  await keepConventions(db, row.id, conventionsOf(catalogue));
  await noteDrift(db, row.sourceId, row.id, catalogue);
  await takeStanding(db, row.sourceId, row.id);
}

async function takeStock(
  db: Db,
  source: SourceId,
  { scope, ...taken }: Pick<Recorded, 'catalogue' | 'evidence' | 'findings' | 'scope'>,
): Promise<void> {
  for (const kind of stockKinds) {
    const lines = inventory[kind].lines(taken);
    const all = scope ? withEarlier(lines, await listLinesOutside(db, source, kind, scope), scope) : lines;
    await keepLines(db, source, kind, all);
  }
}

/** Tells those who hear of the source how a survey ended; `problem`: why it failed, else null. */
export async function announceEnd(
  db: Db,
  { id, sourceId }: Pick<SurveyRow, 'id' | 'sourceId'>,
  problem: string | null,
): Promise<void> {
  const source = await findSource(db, sourceId);
  if (source) await announce(db, { source, survey: id, problem }, new Date());
}
