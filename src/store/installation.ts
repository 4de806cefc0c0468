import { type Db, getRow } from './db';

/** Six letters and digits that tell this Pawl from others. */
export async function codeOfInstallation(db: Db): Promise<string> {
  return (await getRow<{ code: string }>(db, 'select code from installation')).code;
}
