// `npm run test:mariadb [VERSION…]`: what every engine has to keep, and what is MariaDB's own, on the oldest version that Pawl knows and on
// the newest that Debian has; the one between is the one that all other tests run on. PAWL_SEEDS asks for more schemas.

import { join } from 'node:path';
import { installNodeModules, root } from './packages.mjs';
import { runSuites } from './suites.mjs';
import { unpack } from './unpacked.mjs';

const versions = {
  10.5: { release: 'bullseye', packages: ['mariadb-server-core-10.5', 'mariadb-server-10.5', 'mariadb-client-10.5'] },
  11.8: { release: 'trixie', packages: ['mariadb-server-core', 'mariadb-server', 'mariadb-client'] },
};
const programs = [
  'usr/sbin/mariadbd',
  'usr/bin/mariadb',
  'usr/bin/mariadb-dump',
  'usr/bin/my_print_defaults',
  'usr/bin/resolveip',
];
const suites = [
  ...['session', 'operations', 'proofs', 'evidence', 'by-files'].map((name) => `test/contract/${name}.test.ts`),
  ...['login', 'catalogue', 'columns', 'programs', 'rebuilds', 'mending', 'crash'].map(
    (name) => `src/sources/mariadb/${name}.test.ts`,
  ),
];

await installNodeModules();
const asked = process.argv.slice(2);
const failed = [];
for (const version of asked.length > 0 ? asked : Object.keys(versions)) {
  const of = versions[version];
  if (!of) {
    process.stderr.write(`There is no MariaDB ${version} to test on. Known are ${Object.keys(versions).join(', ')}.\n`);
    process.exit(2);
  }
  process.stdout.write(`\n── MariaDB ${version}\n`);
  const home = join(root, `node_modules/.cache/pawl-mariadb-${version}`);
  await unpack({ title: `MariaDB ${version}`, ...of, programs, home });
  const passed = runSuites(suites, {
    PAWL_MARIADB_HOME: home,
    PAWL_TEST_ENGINE: 'mariadb',
    PATH: `${join(home, 'usr/bin')}:${process.env.PATH}`,
  });
  process.stdout.write(`── MariaDB ${version}: ${passed ? 'passed' : 'FAILED'}\n`);
  if (!passed) failed.push(version);
}
if (failed.length > 0) process.stdout.write(`\nFailed on MariaDB ${failed.join(', ')}\n`);
process.exit(failed.length === 0 ? 0 : 1);
