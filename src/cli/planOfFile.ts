import { readFile } from 'node:fs/promises';
import { type Plan, planFor } from '../core/plan/plan';
import { type Decision, questionsFor } from '../core/remedies/questions';
import type { Finding } from '../core/rules/rule';
import { readSurveyDocument, type ReadSurvey } from '../input/surveyDocument';
import { type PlanArguments, UsageError } from './arguments';

/** The plan for the findings of a survey file that were asked for. Throws UsageError, SurveyFileError. */
export async function planOfFile({
  file,
  only,
  minConfidence = 0,
  mode,
  repairs,
}: PlanArguments): Promise<{ readonly plan: Plan; readonly survey: ReadSurvey; readonly chosen: number }> {
  const text = await readFile(file, 'utf8').catch((cause: unknown) => {
    throw new UsageError(`${file} cannot be read. Is the path right?`, { cause });
  });
  const survey = await readSurveyDocument(text);
  const chosen = survey.findings
    .filter((finding) => only.length === 0 || only.includes(finding.rule))
    .filter((finding) => finding.confidence >= minConfidence)
    // What takes somebody's thought has no script.
    .filter((finding) => finding.proposal.kind !== 'byHand');
  const plan = planFor(
    chosen.map((finding) => ({ finding, decision: decisionFor(finding) })),
    survey.catalogue,
    'file',
    mode,
  );
  return { plan, survey, chosen: chosen.length };

  // Where a repair is refused, rows stay as they are and the new reference holds for new rows only.
  function decisionFor(finding: Finding): Decision {
    const wanted = { 'keep-by-hand': 'leave', null: 'empty', delete: 'remove' }[repairs];
    const question = questionsFor(finding, survey.catalogue).find(({ id }) => id === 'orphans');
    const allowed = question?.answers.some(({ id, refused }) => id === wanted && refused === null) ?? false;
    return { orphans: allowed ? wanted : 'leave' };
  }
}
