import { writeFile } from 'node:fs/promises';
import { policiesUnder } from '../../core/naming/document';
import { noPolicies } from '../../core/rules/policy';
import { documentOf } from '../../core/survey/document';
import { noDictionary } from '../../core/naming/dictionary';
import { notTriedInWords } from '../../core/engines/facts';
import { hiddenInWords, risksInWords } from '../../core/survey/login';
import { type Progress, survey } from '../../sources/survey';
import { tableId } from '../../core/catalogue/identifiers';
import type { Taken } from '../../core/ratchet/against';
import { gather, readArguments, SurveyArguments, UsageError } from '../arguments';
import { baselineOf, report } from '../pipeline';
import { styleIn } from '../houseStyle';
import { connectionFrom, connectionUsage, openNamed } from '../connection';

export const usage = `pawl survey ${connectionUsage} [--depth catalogue|sampled|exact] [--schema S…] [--style FILE] [--against BASELINE] [--fail-on new|slipped|SEVERITY] [--json FILE] [--sarif FILE] [--junit FILE] [--markdown FILE]`;
export const about =
  'Audits a database, reading only, and writes what it found as files. Against a baseline (a survey file, or what `pawl baseline` wrote) it says what is worse, and exits with 1 when something is.';

/** Audits a database and writes the survey as a file. Progress goes to standard error. */
export async function run(args: readonly string[]): Promise<number> {
  const { url, json, depth, schema, style, ...pipeline } = await readArguments(
    SurveyArguments,
    gather(args, '--schema'),
    {
      depth: { type: 'string' },
      schema: { type: 'string', multiple: true },
      json: { type: 'string' },
      style: { type: 'string' },
      against: { type: 'string' },
      'fail-on': { type: 'string' },
      sarif: { type: 'string' },
      junit: { type: 'string' },
      markdown: { type: 'string' },
    },
    ({ 'fail-on': failOn, ...values }, [first]) => ({ ...values, ...(failOn !== undefined && { failOn }), url: first }),
  );
  if ([json, pipeline.against, pipeline.sarif, pipeline.junit, pipeline.markdown].every((asked) => asked === undefined))
    throw new UsageError('nothing is asked for: give --json FILE, or hold it against a baseline with --against FILE');
  const baseline = await baselineOf(pipeline);
  const house = style === undefined ? null : await styleIn(style);
  const source = await openNamed(await connectionFrom(url));
  try {
    const login = await source.login();
    const warning = risksInWords(login);
    if (warning !== null) process.stderr.write(`${warning} This would make one:\n\n${login.fitting}\n`);
    const hidden = hiddenInWords(login);
    if (hidden !== null) process.stderr.write(`${hidden}\n`);
    const result = await survey(source, {
      depth,
      schemas: schema,
      onProgress: tell,
      ...(house && {
        adopted: house.templates,
        dictionary: house.dictionary ?? noDictionary,
        policies: policiesUnder(house, noPolicies),
      }),
    });
    const untried = notTriedInWords(result.catalogue.engine);
    if (untried !== null) process.stderr.write(`${untried}\n`);
    const document = documentOf({ ...result, depth });
    if (json !== undefined) await writeFile(json, `${JSON.stringify(document, null, 1)}\n`, { mode: 0o600 });
    tell({ phase: 'judging', doing: 'Done', done: 1, total: 1 });
    process.stderr.write(
      `\n${document.tables.length} tables, ${document.findings.length} findings${notMeasured(document.notMeasured.length)}${json === undefined ? '' : `: ${json}`}\n`,
    );
    const now: Taken = {
      ...{ takenAt: result.takenAt, depth, catalogue: result.catalogue, findings: result.findings, held: [] },
      notMeasured: document.notMeasured.map((table) => tableId(table.schema, table.table)),
    };
    return await report(pipeline, now, baseline, { database: document.source.database, scope: result.scope });
  } finally {
    await source.close();
  }
}

function tell({ doing, done, total }: Progress): void {
  const share = total > 0 ? `${String(Math.floor((100 * done) / total)).padStart(3)} % ` : '      ';
  const line = `${share}${doing}`;
  process.stderr.write(process.stderr.isTTY ? `\r\x1b[K${line.slice(0, (process.stderr.columns || 80) - 1)}` : `${line}\n`);
}

function notMeasured(count: number): string {
  return count === 0 ? '' : `, ${count} tables not measured`;
}
