import { mkdir, writeFile } from 'node:fs/promises';
import { basename, join } from 'node:path';
import { postgresql } from '../../core/dialects/postgresql/index';
import { scriptNames } from '../../core/dialects/dialect';
import { gather, planOptions, planShape, planUsage, readArguments, ScriptArguments } from '../arguments';
import { planOfFile } from '../planOfFile';

export const usage = `pawl script FILE ${planUsage} --out DIR`;

/** Writes forward.sql, back.sql, before.sql and after.sql for the findings of a survey file. */
export async function run(args: readonly string[]): Promise<void> {
  const asked = await readArguments(
    ScriptArguments,
    gather(args, '--only'),
    { ...planOptions, out: { type: 'string' } },
    (values, [file]) => ({ ...planShape(values), file }),
  );
  const { plan, survey, chosen } = await planOfFile(asked);
  const { source, takenAt } = survey;
  const scripts = postgresql.scripts(plan, {
    title: basename(asked.file),
    source: `${source.database} (${source.engine} ${source.version}) as surveyed ${takenAt}`,
    madeAt: new Date().toISOString(),
  });
  await mkdir(asked.out, { recursive: true });
  for (const name of scriptNames) await writeFile(join(asked.out, `${name}.sql`), scripts[name], { mode: 0o600 });
  for (const problem of plan.problems) process.stderr.write(`left out: ${problem.finding}: ${problem.message}\n`);
  process.stderr.write(`${plan.steps.length} steps for ${chosen - plan.problems.length} findings: ${asked.out}\n`);
}
