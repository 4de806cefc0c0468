import { AnswerArguments, readArguments } from '../arguments';
import { answer } from '../asked';

export const usage = 'pawl answer FILE [--in DIR]';
export const about =
  'Takes what a script of open questions wrote, in the folder of its survey or in the one named: then there is another script, or the survey as a file.';

export async function run(args: readonly string[]): Promise<void> {
  const { file, folder } = await readArguments(AnswerArguments, args, { in: { type: 'string' } }, ({ in: folder }, [file]) => ({
    file,
    ...(folder !== undefined && { folder }),
  }));
  await answer(file, folder);
}
