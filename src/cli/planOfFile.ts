import { readFile } from 'node:fs/promises';
import type { Plan } from '../core/plan/shape';
import { planFor } from '../core/plan/plan';
import type { Decision } from '../core/remedies/question';
import { questionsFor, remedyOf } from '../core/remedies/index';
import type { Finding } from '../core/rules/finding';
import { readSurveyDocument, type ReadSurvey } from '../input/surveyDocument';
import { type PlanArguments, UsageError } from './arguments';

/** The survey that a file holds. Throws UsageError, SurveyFileError. */
export async function surveyIn(file: string): Promise<ReadSurvey> {
  const text = await readFile(file, 'utf8').catch((cause: unknown) => {
    throw new UsageError(`${file} cannot be read. Is the path right?`, { cause });
  });
  return readSurveyDocument(text);
}

/** The plan for the findings of a survey file that were asked for. Throws UsageError, SurveyFileError. */
export async function planOfFile({
  file,
  only,
  minConfidence = 0,
  mode,
  repairs,
  unmeasured,
}: PlanArguments): Promise<{ readonly plan: Plan; readonly survey: ReadSurvey; readonly chosen: number }> {
  const survey = await surveyIn(file);
  const chosen = survey.findings
    .filter((finding) => only.length === 0 || only.includes(finding.rule))
    .filter((finding) => finding.confidence >= minConfidence)
    // What takes somebody's thought has no script.
    .filter(({ proposal }) => remedyOf(proposal).scripted === undefined)
    // Whose only way is to empty values.
    .filter(({ proposal }) => !remedyOf(proposal).rowsAlone || repairs === 'null');
  const plan = planFor(
    chosen.map((finding) => ({ finding, decision: decisionFor(finding) })),
    survey.catalogue,
    { label: 'file', mode },
  );
  return { plan, survey, chosen: chosen.length };

  // Where a repair is refused, rows stay as they are, and a new reference or check holds for new rows only.
  function decisionFor(finding: Finding): Decision {
    const questions = questionsFor(finding, survey.catalogue, {});
    const repair = { 'keep-by-hand': 'leave', null: 'empty', delete: 'remove' }[repairs];
    const decided = (['orphans', 'broken'] as const).map((id): [string, string] => {
      const allowed = questions
        .find((question) => question.id === id)
        ?.answers.some((answer) => answer.id === repair && answer.refused === null);
      return [id, allowed ? repair : 'leave'];
    });
    // Which row is true, and what belongs where nothing stands, is for a person to say.
    return { ...Object.fromEntries(decided), repeats: 'leave', nulls: 'leave', unmeasured: unmeasured ? 'script' : 'wait' };
  }
}
