import { engineNames } from '../../core/engines/name';
import { AskArguments, readArguments } from '../arguments';
import { begin } from '../asked';

export const usage = `pawl ask --engine ${engineNames.join('|')} [--database DB] [--rows] --out DIR`;
export const about =
  'Begins a survey of a database that cannot be reached from here: writes its open questions as a read-only script to be run there. --database names the one that is meant where a server has them side by side. --rows allows values of the rows to be written into the answers; without it only counts are, and less is found.';

export async function run(args: readonly string[]): Promise<void> {
  const { out, ...asked } = await readArguments(
    AskArguments,
    args,
    { engine: { type: 'string' }, database: { type: 'string' }, rows: { type: 'boolean' }, out: { type: 'string' } },
    (values) => values,
  );
  await begin(out, asked);
}
