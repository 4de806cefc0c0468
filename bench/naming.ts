// House style, on schemas that nobody here made: for each kind of name the template learned, how many names it brings back,
// and what the rules on names say of the schema (read the list: each is either right or accuses something sound). Prints
// tables. `npm run bench:naming [SCHEMA…]`, after `shared/corpus/build.sh all`.

import { readdirSync } from 'node:fs';
import { join } from 'node:path';
import { groupBy } from '../src/core/grouping';
import { inferConventions } from '../src/core/naming/infer';
import { audit, wordsOf } from '../src/core/rules/audit';
import { parseConnectionString } from '../src/sources/postgresql/connectionString';
import { openSource } from '../src/sources/postgresql/reader';
import { corpusFolder, urlOf } from './corpus';

const shownOfEach = Number(process.env['SHOWN'] ?? 5);
const wanted = process.argv.slice(2);
const schemas = readdirSync(join(corpusFolder, 'truth'))
  .map((file) => file.replace(/\.json$/, ''))
  .filter((name) => !name.endsWith('_my') && (wanted.length === 0 || wanted.includes(name)));

for (const schema of schemas) {
  const source = await openSource(parseConnectionString(urlOf(`truth_${schema}`)));
  const catalogue = await source.readCatalogue();
  await source.close();
  const started = performance.now();
  const conventions = inferConventions(catalogue);
  const ms = performance.now() - started;
  const [names, follow] = [conventions.reduce((n, c) => n + c.names, 0), conventions.reduce((n, c) => n + c.follow, 0)];
  console.log(
    `\n## ${schema}: ${follow} of ${names} names brought back (${Math.round((100 * follow) / names)} %), ${Math.round(ms)} ms`,
  );
  for (const { kind, template, names: n, follow: f, exceptions } of conventions) {
    console.log(`  ${kind.padEnd(12)} ${String(f).padStart(4)} of ${String(n).padEnd(4)} ${template ?? '-'}`);
    for (const { name, wouldBe } of exceptions.slice(0, shownOfEach)) console.log(`      ${name}  would be  ${wouldBe}`);
  }
  const findings = audit(catalogue, {}, { at: new Date().toISOString() }).filter(({ concern }) => concern === 'Naming');
  for (const [rule, own] of groupBy(findings, (finding) => finding.rule)) {
    console.log(`  ${rule}: ${own.length}`);
    for (const finding of own.slice(0, shownOfEach)) console.log(`      ${wordsOf(finding).message}`);
  }
}
