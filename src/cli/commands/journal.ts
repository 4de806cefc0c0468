import { IsIn, IsOptional, Matches } from 'class-validator';
import { verifyJournal } from '../../store/journal/journal';
import { readArguments } from '../arguments';
import { withStore } from '../store';

export const usage = 'pawl journal verify [--head HASH]';
export const about =
  'Goes through the journal of acts and says whether its chain of hashes holds, up to a head that was kept elsewhere.';

class JournalArguments {
  @IsIn(['verify']) what!: 'verify';
  /** The head that an earlier verification printed: it must still be in the chain. */
  @IsOptional() @Matches(/^[0-9a-f]{64}$/) head?: string;
}

/** Computes the chain of the journal anew. Answers 0 when it is whole, 1 when an entry was changed, removed or cut off. */
export async function run(args: readonly string[]): Promise<number> {
  const { head } = await readArguments(JournalArguments, args, { head: { type: 'string' } }, (values, [what]) => ({
    ...values,
    what,
  }));
  const verified = await withStore(({ store }) => verifyJournal(store, head ?? null));
  if (verified.broken !== null) {
    process.stdout.write(
      `The journal does not hold: entry ${verified.broken} is not as it was written, or the one before it is missing.\n`,
    );
    return 1;
  }
  if (!verified.knowsHead) {
    process.stdout.write(`The journal was cut off: the head ${head} is not in it any more.\n`);
    return 1;
  }
  process.stdout.write(`${verified.entries} entries, unbroken. Head: ${verified.head || 'none yet'}\n`);
  return 0;
}
