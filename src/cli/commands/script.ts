import { mkdir, writeFile } from 'node:fs/promises';
import { basename, join } from 'node:path';
import { scriptNames } from '../../core/engines/dialect';
import { scriptsOf } from '../../core/engines/index';
import { gather, planOptions, planShape, planUsage, readArguments, ScriptArguments } from '../arguments';
import { planOfFile } from '../planOfFile';

export const usage = `pawl script FILE ${planUsage} [--form guarded|statements] --out DIR`;
export const about =
  'Writes forward.sql, back.sql, before.sql and after.sql for the findings of a survey file; only the first two, without guards, with --form statements.';

/** Writes the scripts for the findings of a survey file. */
export async function run(args: readonly string[]): Promise<void> {
  const asked = await readArguments(
    ScriptArguments,
    gather(args, '--only'),
    { ...planOptions, out: { type: 'string' }, form: { type: 'string' } },
    (values, [file]) => ({ ...planShape(values), file }),
  );
  const { plan, survey, chosen } = await planOfFile(asked);
  const { source, takenAt } = survey;
  const heading = {
    title: basename(asked.file),
    source: `${source.database} (${source.engine} ${source.version}) as surveyed ${takenAt}`,
    madeAt: new Date().toISOString(),
  };
  const scripts = scriptsOf(plan, heading, asked.form);
  await mkdir(asked.out, { recursive: true });
  for (const name of scriptNames) {
    const script = scripts[name];
    if (script !== undefined) await writeFile(join(asked.out, `${name}.sql`), script, { mode: 0o600 });
  }
  for (const problem of plan.problems) process.stderr.write(`left out: ${problem.finding}: ${problem.message}\n`);
  process.stderr.write(`${plan.steps.length} steps for ${chosen - plan.problems.length} findings: ${asked.out}\n`);
}
