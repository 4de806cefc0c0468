// `npm run test:mysql`: what every engine has to keep, on a MySQL server, which no stable Debian has: it is unpacked from the unstable one
// where that can be reached. PAWL_SEEDS asks for more schemas.

import { installMysql } from './mysql.mjs';
import { installNodeModules } from './packages.mjs';
import { runSuites } from './suites.mjs';

await installNodeModules();
await installMysql();
const suites = [
  ...['session', 'operations', 'proofs', 'evidence', 'by-files'].map((name) => `test/contract/${name}.test.ts`),
  ...['mysql', 'keyless'].map((name) => `src/sources/mysql/${name}.test.ts`),
  'src/sources/mariadb/columns.test.ts',
  'src/sources/mariadb/crash.test.ts',
  'src/sources/mariadb/mending.test.ts',
];
process.exit(runSuites(suites, { PAWL_TEST_ENGINE: 'mysql' }) ? 0 : 1);
