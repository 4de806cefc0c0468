import { writeFile } from 'node:fs/promises';
import { visible } from '../../core/naming/visible';
import { differenceInWords, differencesBetween } from '../../core/ratchet/differences';
import { heldAgainst } from '../../core/ratchet/against';
import { plainOf } from '../../core/report/told';
import { documentFinding } from '../../core/survey/document';
import { CompareArguments, readArguments } from '../arguments';
import { surveyIn } from '../planOfFile';

export const usage = 'pawl compare A.json B.json [--json FILE]';
export const about =
  'Says what two survey files differ in: what is declared otherwise in B than in A, and which findings came and went. Exits with 1 when something differs.';

/** Exit code 1 when they differ. */
export async function run(args: readonly string[]): Promise<number> {
  const { before, after, json } = await readArguments(
    CompareArguments,
    args,
    { json: { type: 'string' } },
    (values, [first, second]) => ({ ...values, before: first, after: second }),
  );
  const [was, is] = [await surveyIn(before), await surveyIn(after)];
  const differences = differencesBetween(was.catalogue, is.catalogue);
  const against = heldAgainst(was, is);
  if (json !== undefined) {
    const { fresh, slipped, graver, mended, gone } = against;
    const findings = {
      new: fresh.map(documentFinding),
      slipped: slipped.map(documentFinding),
      graver: graver.map(({ finding, was: severity }) => ({ ...documentFinding(finding), was: severity })),
      mended: mended.map(documentFinding),
      gone: gone.map(documentFinding),
    };
    await writeFile(
      json,
      `${JSON.stringify({ format: 'pawl-comparison/1', before: was.takenAt, after: is.takenAt, differences, findings }, null, 1)}\n`,
      {
        mode: 0o600,
      },
    );
  }
  const told = differences.map((difference) => `  ${visible(differenceInWords(difference))}`);
  process.stdout.write(
    `${[told.length === 0 ? 'Declared alike.' : 'Declared otherwise:', ...told].join('\n')}\n\n${plainOf({ against })}`,
  );
  return differences.length > 0 || against.fresh.length + against.slipped.length + against.mended.length + against.gone.length > 0
    ? 1
    : 0;
}
