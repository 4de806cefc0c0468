// Run before anything else at every start: the store's migrations, the rights of the role that web server and workers come
// with, and the key that seals passwords. PAWL_OWNER_URL owns the store; without it DATABASE_URL does.

import { inTransaction, openStore, storeUrl } from './db';
import { migrate } from './migrate';
import { grantApplication, grantRehearsals } from './application';
import { seal } from './secrets';
import { upgradeSealed } from './sealed';

const owner = process.env['PAWL_OWNER_URL'] ?? storeUrl();
await migrate(owner);
if (process.env['PAWL_OWNER_URL']) await grantApplication(owner, roleIn(storeUrl()));
if (process.env['PAWL_REHEARSAL_URL']) await grantRehearsals(owner, roleIn(process.env['PAWL_REHEARSAL_URL']));
const pool = openStore(owner);
await seal(pool, 'the first key', '');
await inTransaction(upgradeSealed, pool);
await pool.end();

function roleIn(url: string): { readonly user: string; readonly password: string } {
  const { username, password } = new URL(url);
  return { user: decodeURIComponent(username), password: decodeURIComponent(password) };
}
