import { mkdir, readFile, writeFile } from 'node:fs/promises';
import { basename, join } from 'node:path';
import { postgresql } from '../../core/dialects/postgresql/index';
import { scriptNames } from '../../core/dialects/dialect';
import { planFor } from '../../core/plan/plan';
import { readSurveyDocument } from '../../input/surveyDocument';
import { readArguments, gather, ScriptArguments, UsageError } from '../arguments';

export const usage = 'pawl script FILE [--only RULE…] [--min-confidence X] [--mode quiet|plain] --out DIR';

// Rows are for a person to change: from the terminal orphans stay where they are, and the new
// reference holds for new rows only.
const decision = { orphans: 'leave' };

/** Writes forward.sql, back.sql, before.sql and after.sql for the findings of a survey file. */
export async function run(args: readonly string[]): Promise<void> {
  const { file, out, only, minConfidence, mode } = await readArguments(
    ScriptArguments,
    gather(args, '--only'),
    {
      only: { type: 'string', multiple: true },
      'min-confidence': { type: 'string' },
      mode: { type: 'string' },
      out: { type: 'string' },
    },
    ({ 'min-confidence': least, ...values }, [first]) => ({
      ...values,
      file: first,
      ...(least !== undefined && { minConfidence: Number(least) }),
    }),
  );
  const text = await readFile(file, 'utf8').catch((cause: unknown) => {
    throw new UsageError(`${file} cannot be read. Is the path right?`, { cause });
  });
  const { catalogue, findings, source, takenAt } = await readSurveyDocument(text);
  const chosen = findings
    .filter((finding) => only.length === 0 || only.includes(finding.rule))
    .filter((finding) => finding.confidence >= (minConfidence ?? 0))
    // What takes somebody's thought has no script.
    .filter((finding) => finding.proposal.kind !== 'byHand');
  const plan = planFor(
    chosen.map((finding) => ({ finding, decision })),
    catalogue,
    'file',
    mode,
  );
  const scripts = postgresql.scripts(plan, {
    title: basename(file),
    source: `${source.database} (${source.engine} ${source.version}) as surveyed ${takenAt}`,
    madeAt: new Date().toISOString(),
  });
  await mkdir(out, { recursive: true });
  for (const name of scriptNames) await writeFile(join(out, `${name}.sql`), scripts[name]);
  for (const problem of plan.problems) process.stderr.write(`left out: ${problem.finding}: ${problem.message}\n`);
  process.stderr.write(`${plan.steps.length} steps for ${chosen.length - plan.problems.length} findings: ${out}\n`);
}
