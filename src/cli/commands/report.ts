import { writeFile } from 'node:fs/promises';
import { engineNamed } from '../../core/engines/index';
import { heldAgainst } from '../../core/ratchet/against';
import { surveyPage, trendPoint, type TrendPoint } from '../../core/report/surveyReport';
import { gather, readArguments, ReportArguments } from '../arguments';
import { surveyIn } from '../planOfFile';

export const usage = 'pawl report FILE [--against BASELINE] [--earlier FILE…] --out FILE.html';
export const about =
  'Writes a survey file as one page for people who do not use Pawl: in sentences, without scripts or anything from outside, to be read or printed. With earlier surveys it draws how sound it was over time.';

/** One HTML file of a survey file. */
export async function run(args: readonly string[]): Promise<void> {
  const { file, against, earlier, out } = await readArguments(
    ReportArguments,
    gather(args, '--earlier'),
    { against: { type: 'string' }, earlier: { type: 'string', multiple: true }, out: { type: 'string' } },
    (values, [first]) => ({ ...values, file: first }),
  );
  const trend: TrendPoint[] = [];
  // One after the other: a large one is let go of before the next is read.
  for (const each of earlier) trend.push(trendPoint(await surveyIn(each)));
  const [taken, before] = [await surveyIn(file), against === undefined ? null : await surveyIn(against)];
  const page = surveyPage({
    database: taken.source.database,
    engine: `${engineNamed(taken.catalogue.engine.name).title} ${taken.source.version}`,
    taken,
    reasons: taken.reasons,
    against: before && heldAgainst(before, taken),
    before,
    trend: trend.toSorted((a, b) => a.at.localeCompare(b.at)),
    record: null,
  });
  await writeFile(out, page, { mode: 0o600 });
  process.stderr.write(`${taken.findings.length} findings: ${out}\n`);
}
