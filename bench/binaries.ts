// @ts-expect-error A script without types: it must run before there are any.
import { findPostgresBinaries as find } from '../scripts/packages.mjs';

/** The folder of PostgreSQL's programs. Throws when there is none. */
export function findPostgresBinaries(): string {
  const folder = (find as () => string | null)();
  if (!folder) throw new Error('PostgreSQL is not installed. Run npm test once, which installs it.');
  return folder;
}
