import { writeFile } from 'node:fs/promises';
import { engineNamed } from '../../core/engines/index';
import { heldAgainst } from '../../core/ratchet/against';
import { surveyPage } from '../../core/report/surveyReport';
import { readArguments, ReportArguments } from '../arguments';
import { surveyIn } from '../planOfFile';

export const usage = 'pawl report FILE [--against BASELINE] --out FILE.html';
export const about =
  'Writes a survey file as one page for people who do not use Pawl: in sentences, without scripts or anything from outside, to be read or printed.';

/** One HTML file of a survey file. */
export async function run(args: readonly string[]): Promise<void> {
  const { file, against, out } = await readArguments(
    ReportArguments,
    args,
    { against: { type: 'string' }, out: { type: 'string' } },
    (values, [first]) => ({ ...values, file: first }),
  );
  const [taken, before] = [await surveyIn(file), against === undefined ? null : await surveyIn(against)];
  const page = surveyPage({
    database: taken.source.database,
    engine: `${engineNamed(taken.catalogue.engine.name).title} ${taken.source.version}`,
    taken,
    reasons: taken.reasons,
    against: before && heldAgainst(before, taken),
    before,
  });
  await writeFile(out, page, { mode: 0o600 });
  process.stderr.write(`${taken.findings.length} findings: ${out}\n`);
}
