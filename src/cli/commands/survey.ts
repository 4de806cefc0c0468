import { writeFile } from 'node:fs/promises';
import { policiesUnder } from '../../core/naming/document';
import { noPolicies } from '../../core/rules/policy';
import { documentOf } from '../../core/survey/document';
import { noDictionary } from '../../core/naming/dictionary';
import { risksInWords } from '../../core/survey/login';
import { type Progress, survey } from '../../sources/survey';
import { gather, readArguments, SurveyArguments } from '../arguments';
import { styleIn } from '../houseStyle';
import { connectionFrom, connectionUsage, openNamed } from '../connection';

export const usage = `pawl survey ${connectionUsage} [--depth catalogue|sampled|exact] [--schema S…] [--style FILE] --json FILE`;
export const about = 'Audits a database, reading only, and writes what it found as a file.';

/** Audits a database and writes the survey as a file. Progress goes to standard error. */
export async function run(args: readonly string[]): Promise<void> {
  const { url, json, depth, schema, style } = await readArguments(
    SurveyArguments,
    gather(args, '--schema'),
    {
      depth: { type: 'string' },
      schema: { type: 'string', multiple: true },
      json: { type: 'string' },
      style: { type: 'string' },
    },
    (values, [first]) => ({ ...values, url: first }),
  );
  const house = style === undefined ? null : await styleIn(style);
  const source = await openNamed(await connectionFrom(url));
  try {
    const login = await source.login();
    const warning = risksInWords(login);
    if (warning !== null) process.stderr.write(`${warning} This would make one:\n\n${login.fitting}\n`);
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
    const document = documentOf({ ...result, depth });
    await writeFile(json, `${JSON.stringify(document, null, 1)}\n`, { mode: 0o600 });
    tell({ phase: 'judging', doing: 'Done', done: 1, total: 1 });
    process.stderr.write(
      `\n${document.tables.length} tables, ${document.findings.length} findings${notMeasured(document.notMeasured.length)}: ${json}\n`,
    );
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
