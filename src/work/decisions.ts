// One decision for many findings: what it would change, before anything is put into a docket.

import { isScripted } from '../core/remedies/index';
import { groupBy } from '../core/grouping';
import { operationInWords } from '../core/operations/index';
import { fits, sharedQuestions } from '../core/remedies/shared';
import type { Decision } from '../core/remedies/question';
import { wordsOf } from '../core/rules/audit';
import { listRefusals } from '../store/dockets/refusals';
import { coreFinding, listFindings, listFindingsById } from '../store/findings/findings';
import { getSettings } from '../store/sources/settings';
import { latestCatalogue } from './catalogues';
import { usualMode } from './dockets/planned';
import type { Room } from './enter';
import { makePlan } from './planning';
import type { DocketId, FindingRowId } from '../store/ids';

/** More at once nobody reads before deciding. */
export const mostAtOnce = 400;

interface Asked {
  readonly rule: string;
  readonly docket: DocketId | null;
  readonly findings: readonly FindingRowId[];
}

/** Of the open findings of a rule, or of some that were chosen; or, with a docket, of those in it that the database refused. */
export async function decisionsFor({ source, store }: Room, { rule, docket, findings: picked }: Asked, chosen: Decision) {
  const [open, catalogue, refused] = await Promise.all([
    listFindings(store, source.id, ['Open', 'Slipped']),
    latestCatalogue(store, source.id),
    docket === null ? [] : listRefusals(store, docket),
  ]);
  const scripted = open.filter((row) => isScripted(row.proposal));
  const counts = groupBy(scripted, (row) => row.rule);
  const rules = [...counts].map(([id, rows]) => ({ id, findings: rows.length })).sort((a, b) => b.findings - a.findings);
  const all =
    docket === null
      ? picked.length > 0
        ? scripted.filter(({ id }) => picked.includes(id))
        : (counts.get(rule) ?? [])
      : await listFindingsById(
          store,
          source.id,
          refused.map(({ findingId }) => findingId),
        );
  const rows = all.slice(0, mostAtOnce);
  if (!catalogue || rows.length === 0) return { rules, questions: [], lines: [], more: 0, steps: 0 };
  const findings = rows.map(coreFinding);
  const decided = findings.map((finding) => ({ finding, decision: chosen }));
  const { templates: adopted } = await getSettings(store, source.id);
  const plan = await makePlan({ decided, label: 'docket', mode: usualMode(source.environment), adopted }, catalogue);
  const steps = groupBy(plan.steps, (step) => step.finding);
  const problems = new Map(plan.problems.map((problem) => [problem.finding, problem.message]));
  return {
    rules,
    questions: sharedQuestions(findings, catalogue),
    lines: rows.map((row) => ({
      id: row.id,
      severity: row.severity,
      message: wordsOf(row).message,
      place: row.tableId,
      changes: (steps.get(row.identity) ?? []).map(({ operation }) => operationInWords(operation)),
      problem: problems.get(row.identity) ?? null,
      otherwise: !fits(coreFinding(row), chosen, catalogue),
    })),
    more: all.length - rows.length,
    steps: plan.steps.length,
  };
}
