import { readFile, writeFile } from 'node:fs/promises';
import { heldAgainst, nextBaseline } from '../../core/ratchet/against';
import { summaryOf } from '../../core/report/told';
import { documentFinding, type SurveyDocument, surveyFormat } from '../../core/survey/document';
import { BaselineArguments, readArguments } from '../arguments';
import { surveyIn } from '../planOfFile';

export const usage = 'pawl baseline FILE [--before BASELINE] --out BASELINE';
export const about =
  'Writes a survey file as a baseline for `pawl survey … --against`. With the baseline before it, what was mended since stands in it, and must stay so.';

/** What is open now is known from here on; what was mended since the baseline before must not come back. */
export async function run(args: readonly string[]): Promise<void> {
  const { file, before, out } = await readArguments(
    BaselineArguments,
    args,
    { before: { type: 'string' }, out: { type: 'string' } },
    (values, [first]) => ({ ...values, file: first }),
  );
  const now = await surveyIn(file);
  const earlier = before === undefined ? null : await surveyIn(before);
  const next = nextBaseline(earlier, now);
  const whole = JSON.parse(await readFile(file, 'utf8')) as Partial<SurveyDocument>;
  const document = {
    format: surveyFormat,
    source: now.source,
    takenAt: now.takenAt,
    depth: now.depth,
    tables: whole.tables ?? [],
    notMeasured: whole.notMeasured ?? [],
    findings: next.findings.map(documentFinding),
    held: next.held.map(documentFinding),
    catalogue: now.catalogue,
  } satisfies SurveyDocument;
  await writeFile(out, `${JSON.stringify(document, null, 1)}\n`, { mode: 0o600 });
  const told = earlier ? ` ${summaryOf({ against: heldAgainst(earlier, now) })}` : '';
  process.stderr.write(`${document.findings.length} known, ${document.held.length} held: ${out}.${told}\n`);
}
