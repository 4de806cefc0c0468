import { AnswerArguments, readArguments } from '../arguments';
import { answer } from '../asked';

export const usage = 'pawl answer FILE [--in DIR] [--without-rest]';
export const about =
  'Takes what a script of open questions wrote, in the folder of its survey or in the one named: then there is another script, or the survey as a file. A script that was cut off stays open; --without-rest goes on all the same.';

export async function run(args: readonly string[]): Promise<void> {
  const { file, folder, withoutRest } = await readArguments(
    AnswerArguments,
    args,
    { in: { type: 'string' }, 'without-rest': { type: 'boolean' } },
    ({ in: folder, 'without-rest': withoutRest }, [file]) => ({
      file,
      ...(folder !== undefined && { folder }),
      ...(withoutRest !== undefined && { withoutRest }),
    }),
  );
  await answer(file, { folder, withoutRest });
}
