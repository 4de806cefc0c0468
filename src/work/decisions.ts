// One decision for many findings: what it would change, before anything is put into a docket.

import { groupBy } from '../core/grouping';
import { operationInWords } from '../core/plan/inWords';
import { planFor } from '../core/plan/plan';
import type { Decision } from '../core/remedies/question';
import { fits, sharedQuestions } from '../core/remedies/together';
import { wordsOf } from '../core/rules/audit';
import { coreFinding, listFindings } from '../store/findings/findings';
import { latestCatalogue } from './catalogues';
import { usualMode } from './dockets';
import type { Room } from './enter';

/** Planning is tried in memory as a whole: more at once would keep people waiting. */
const mostAtOnce = 400;

export async function decisionsFor({ source, store }: Room, rule: string, chosen: Decision) {
  const [open, catalogue] = await Promise.all([
    listFindings(store, source.id, ['Open', 'Slipped']),
    latestCatalogue(store, source.id),
  ]);
  const scripted = open.filter((row) => row.proposal.kind !== 'byHand');
  const counts = groupBy(scripted, (row) => row.rule);
  const rules = [...counts].map(([id, rows]) => ({ id, findings: rows.length })).sort((a, b) => b.findings - a.findings);
  const all = counts.get(rule) ?? [];
  const rows = all.slice(0, mostAtOnce);
  if (!catalogue || rows.length === 0) return { rules, questions: [], lines: [], more: 0, steps: 0 };
  const findings = rows.map(coreFinding);
  const plan = planFor(
    findings.map((finding) => ({ finding, decision: chosen })),
    catalogue,
    'docket',
    usualMode(source.environment),
  );
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
