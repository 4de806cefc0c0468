import { once } from 'node:events';
import { createWriteStream, rmSync } from 'node:fs';
import { finished } from 'node:stream/promises';
import { IsIn, IsOptional, IsString, MaxLength, MinLength } from 'class-validator';
import { linesOf } from '../../input/lines';
import { headOf, SourceFileError } from '../../input/sourceFile';
import { findSourceNamed } from '../../store/sources/sources';
import { pawlItself } from '../../work/actor';
import { moveIn, moveOut, MovingError, shortestPhrase } from '../../work/moving';
import type { Office } from '../../work/office';
import { readArguments, UsageError } from '../arguments';
import { atTheTerminal } from '../connection';
import { withStore } from '../store';

export const usage = 'pawl source out NAME --out FILE | in FILE [--name NAME]';
export const about =
  'Moves a source to another Pawl with all that was recorded of it: surveys, findings and their histories, dockets, waivers, drift. A phrase that both sides know (PAWL_PHRASE, or asked for) says that the file is what was written.';

class SourceArguments {
  @IsIn(['out', 'in']) what!: 'out' | 'in';
  /** A source, or a file. */
  @IsString() @MinLength(1) which!: string;
  @IsOptional() @IsString() @MinLength(1) out?: string;
  @IsOptional() @IsString() @MinLength(1) @MaxLength(80) name?: string;
}

export async function run(args: readonly string[]): Promise<void> {
  const asked = await readArguments(
    SourceArguments,
    args,
    { out: { type: 'string' }, name: { type: 'string' } },
    (values, [what, which]) => ({ ...values, what, which }),
  );
  const phrase = process.env['PAWL_PHRASE'] ?? (await atTheTerminal.secret('Phrase of the file: '));
  if (phrase.length < shortestPhrase)
    throw new UsageError(`Give a phrase of ${shortestPhrase} signs at least, in PAWL_PHRASE or when it is asked for.`);
  await withStore((office) => (asked.what === 'out' ? out(office, asked, phrase) : come(office, asked, phrase)));
}

async function out(office: Office, { which, out: file }: SourceArguments, phrase: string): Promise<void> {
  if (file === undefined) throw new UsageError('Say where to: --out FILE.');
  const source = await findSourceNamed(office.store, which);
  if (!source) throw new UsageError(`There is no source ${which}.`);
  const stream = createWriteStream(file, { mode: 0o600, flags: 'wx' });
  await once(stream, 'open');
  try {
    const put = async (text: string): Promise<void> => {
      if (!stream.write(text)) await once(stream, 'drain');
    };
    const problem = await moveOut(office, pawlItself('terminal'), source, { phrase, put });
    if (problem !== null) throw new UsageError(problem);
    stream.end();
    await finished(stream);
  } catch (error) {
    stream.destroy();
    rmSync(file, { force: true });
    throw error;
  }
  process.stderr.write(`${source.name}: ${file}, ${(stream.bytesWritten / 1_048_576).toFixed(1)} MB\n`);
}

async function come(office: Office, { which, name }: SourceArguments, phrase: string): Promise<void> {
  try {
    const moved = await moveIn(office, pawlItself('terminal'), {
      lines: () => linesOf(which),
      phrase,
      headOf,
      name: name ?? null,
    });
    if (moved.problem !== null) throw new UsageError(moved.problem);
    process.stderr.write(
      `${moved.result.name} is here, with ${moved.result.rows} records. Type its password before the next survey; its schedules are switched off, and who hears of it is settled here anew.\n`,
    );
  } catch (error) {
    if (error instanceof MovingError || error instanceof SourceFileError)
      throw new UsageError(`${which} was not taken in. ${error.message}`);
    throw error;
  }
}
