import { writeFile } from 'node:fs/promises';
import { noDictionary } from '../../core/naming/dictionary';
import { houseStyleOf } from '../../core/naming/document';
import { noPolicies } from '../../core/rules/policy';
import { type Convention, inferConventions } from '../../core/naming/infer';
import { settledStyle } from '../../core/naming/style';
import { styledInWords } from '../../core/naming/styled';
import { visible } from '../../core/naming/visible';
import { readArguments, StyleArguments } from '../arguments';
import { surveyIn } from '../planOfFile';

export const usage = 'pawl style infer FILE [--json] [--exceptions N] [--out FILE]';
export const about =
  'Says which conventions the names of a survey file follow, kind by kind: the template, how many names it explains, and those that it does not. --out writes it as a house style.';

/** Writes what the names of a survey file follow. */
export async function run(args: readonly string[]): Promise<void> {
  const { file, json, exceptions, out } = await readArguments(
    StyleArguments,
    args,
    { json: { type: 'boolean' }, exceptions: { type: 'string' }, out: { type: 'string' } },
    ({ exceptions: most, ...values }, [what, given]) => ({
      ...values,
      what,
      file: given,
      ...(most !== undefined && { exceptions: Number(most) }),
    }),
  );
  const { catalogue } = await surveyIn(file);
  const conventions = inferConventions(catalogue);
  if (out !== undefined) {
    await writeFile(
      out,
      `${JSON.stringify(houseStyleOf({ templates: settledStyle(conventions), policies: noPolicies, dictionary: noDictionary }), null, 1)}\n`,
    );
  }
  process.stdout.write(
    json ? `${JSON.stringify(conventions, null, 1)}\n` : conventions.map((one) => inWords(one, exceptions)).join('\n'),
  );
}

/** `91 % of foreign keys read fk_{table}_{parent}; 14 do not:` and some of those. */
function inWords({ kind, template, names, follow, exceptions }: Convention, most: number): string {
  const all = names === 1 ? `one ${kind}` : `${names.toLocaleString('en-GB')} ${styledInWords[kind]}`;
  if (template === null) return `No two of ${all} are made alike.\n`;
  const share = `${Math.round((100 * follow) / names)} % of ${all} read ${template}`;
  if (exceptions.length === 0) return `${share}.\n`;
  const shown = exceptions.slice(0, most).map(({ table, name, wouldBe }) => `  ${visible(`${name} of ${table}: ${wouldBe}`)}\n`);
  const more = exceptions.length - shown.length;
  return `${share}; ${exceptions.length} ${exceptions.length === 1 ? 'does' : 'do'} not:\n${shown.join('')}${more > 0 ? `  and ${more} more\n` : ''}`;
}
