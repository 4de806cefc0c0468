import { engineNamesPrinted } from '../../core/engines/index';
import { AskArguments, readArguments } from '../arguments';
import { begin } from '../asked';

export const usage = `pawl ask --engine ${engineNamesPrinted.join('|')} [--rows] --out DIR`;
export const about =
  'Begins a survey of a database that cannot be reached from here: writes its open questions as a read-only script to be run there. --rows allows values of the rows to be written into the answers; without it only counts are, and less is found.';

export async function run(args: readonly string[]): Promise<void> {
  const { engine, rows, out } = await readArguments(
    AskArguments,
    args,
    { engine: { type: 'string' }, rows: { type: 'boolean' }, out: { type: 'string' } },
    (values) => values,
  );
  await begin(out, engine, rows);
}
