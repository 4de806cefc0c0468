import { writeFile } from 'node:fs/promises';
import { engineNamed } from '../../core/engines/index';
import { schemaPage } from '../../core/report/schemaPage';
import { DocsArguments, readArguments } from '../arguments';
import { surveyIn } from '../planOfFile';

export const usage = 'pawl docs FILE --out FILE.html';
export const about =
  'Writes the schema of a survey file as one page to read or print: each table with its columns, keys, comments and neighbours in words, and what is open about it.';

export async function run(args: readonly string[]): Promise<void> {
  const { file, out } = await readArguments(DocsArguments, args, { out: { type: 'string' } }, (values, [first]) => ({
    ...values,
    file: first,
  }));
  const { source, takenAt, catalogue, findings } = await surveyIn(file);
  const engine = `${engineNamed(catalogue.engine.name).title} ${source.version}`;
  await writeFile(out, schemaPage({ database: source.database, engine, takenAt, catalogue, findings }), { mode: 0o600 });
  process.stderr.write(`${catalogue.tables.length} tables: ${out}\n`);
}
