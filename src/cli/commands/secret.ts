import { IsIn } from 'class-validator';
import { inTransaction } from '../../store/db';
import { addKey, dropOldKeys } from '../../store/secrets';
import { sealAnew } from '../../store/sealed';
import { pawlItself } from '../../work/actor';
import { write } from '../../work/perform';
import { readArguments } from '../arguments';
import { withStore } from '../store';

export const usage = 'pawl secret rotate';
export const about = 'Seals every password that is kept with a new key, made of PAWL_SECRET and a new salt.';

class SecretArguments {
  @IsIn(['rotate']) what!: 'rotate';
}

/**
 * Makes a new key, seals everything under it, and forgets the old one. With PAWL_SECRET: give it its new value, and
 * PAWL_OLD_SECRET the present one; web server and workers take the new value at their next start.
 */
export async function run(args: readonly string[]): Promise<void> {
  await readArguments(SecretArguments, args, {}, (_, [what]) => ({ what }));
  const count = await withStore(async ({ store }) => {
    await addKey(store);
    const sealed = await inTransaction(async (db) => {
      const values = await sealAnew(db);
      await write(
        db,
        pawlItself('terminal'),
        { act: 'secret.rotate', source: null, object: 'keys' },
        { outcome: 'done', after: { values } },
      );
      return values;
    }, store);
    await dropOldKeys(store);
    return sealed;
  });
  process.stdout.write(`${count} values are sealed under a new key.\n`);
}
