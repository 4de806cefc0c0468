import { redirect } from 'react-router';
import { db } from '~/store/db';
import { listSources } from '~/store/sources/sources';

/** Straight to work: the first source, or the place to add one. */
export async function loader() {
  const [first] = await listSources(db());
  return redirect(first ? `/s/${first.id}/coverage` : '/sources');
}
