// What a survey is written as for a pipeline, and whether it fails.

import { writeFile } from 'node:fs/promises';
import manifest from '../../package.json' with { type: 'json' };
import { type Against, type Failure, failing, heldAgainst, type Taken } from '../core/ratchet/against';
import { junitOf } from '../core/report/junit';
import { sarifOf } from '../core/report/sarif';
import { markdownOf, type Outcome, plainOf } from '../core/report/told';
import { type Finding, severities, type Severity } from '../core/rules/finding';
import type { TableId } from '../core/catalogue/identifiers';
import { surveyIn } from './planOfFile';
import { UsageError } from './arguments';

interface Pipeline {
  readonly against?: string;
  readonly failOn?: Failure;
  readonly sarif?: string;
  readonly junit?: string;
  readonly markdown?: string;
}

/** The baseline that is asked for, read before the survey begins: what is wrong with it is told at once. Throws UsageError, SurveyFileError. */
export async function baselineOf({ against, failOn }: Pipeline): Promise<Taken | null> {
  if (against !== undefined) return surveyIn(against);
  if (failOn === 'new' || failOn === 'slipped')
    throw new UsageError(`--fail-on ${failOn} needs a baseline: give one with --against FILE, or name a severity`);
  return null;
}

/** Writes what was asked for. The answer is the exit code: 1 where it is worse. `scope`: the tables that were surveyed. */
export async function report(
  asked: Pipeline,
  now: Taken,
  baseline: Taken | null,
  { database, scope }: { readonly database: string; readonly scope: ReadonlySet<TableId> | null },
): Promise<number> {
  const against = baseline && heldAgainst(baseline, now, scope);
  const failed = failedBy(asked.failOn, now, against);
  const outcome: Outcome = against ? { against } : { found: now.findings, takenAt: now.takenAt };
  if (asked.sarif !== undefined) {
    const sarif = sarifOf({ version: manifest.version, database, findings: now.findings, against });
    await write(asked.sarif, `${JSON.stringify(sarif, null, 1)}\n`);
  }
  if (asked.junit !== undefined) await write(asked.junit, junitOf(now.findings, new Set(failed), against));
  if (asked.markdown !== undefined) await write(asked.markdown, markdownOf(outcome));
  if (against) process.stdout.write(plainOf(outcome));
  return failed.length > 0 ? 1 : 0;
}

function failedBy(failOn: Failure | undefined, now: Taken, against: Against | null): readonly Finding[] {
  if (against) return failing(against, failOn ?? 'new');
  if (failOn === undefined) return [];
  const least = severities.indexOf(failOn as Severity);
  return now.findings.filter(({ severity }) => severities.indexOf(severity) <= least);
}

function write(file: string, text: string): Promise<void> {
  return writeFile(file, text, { mode: 0o600 });
}
