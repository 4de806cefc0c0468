// `npm run test:versions [MAJOR…]`: what depends on the audited server, on each version that is known to work: how it is
// read and measured, how it is mended, and the demo's journey from the terminal. PAWL_SEEDS asks for more schemas.

import { installNodeModules } from './packages.mjs';
import { serverOf, servers } from './servers.mjs';
import { runSuites } from './suites.mjs';

await installNodeModules();
const known = [...Object.keys(servers), '15'].sort((a, b) => a - b);
const asked = process.argv.slice(2);
const failed = [];
for (const major of asked.length > 0 ? asked : known) {
  if (!known.includes(major)) {
    process.stderr.write(`There is no PostgreSQL ${major} to test on. Known are ${known.join(', ')}.\n`);
    process.exit(2);
  }
  process.stdout.write(`\n── PostgreSQL ${major}\n`);
  serverOf(major);
  const suites = [
    'test/contract/any-schema.test.ts',
    'test/contract/mending.test.ts',
    'test/contract/operations.test.ts',
    'src/sources/postgresql/postgresql.test.ts',
    'src/sources/postgresql/measure.test.ts',
    'src/sources/postgresql/notNull.test.ts',
    'demo/terminal.test.ts',
  ];
  const passed = runSuites(suites, { PAWL_TEST_SERVER: major, PAWL_TEST_ENGINE: 'postgresql' });
  process.stdout.write(`── PostgreSQL ${major}: ${passed ? 'passed' : 'FAILED'}\n`);
  if (!passed) failed.push(major);
}
if (failed.length > 0) process.stdout.write(`\nFailed on PostgreSQL ${failed.join(', ')}\n`);
process.exit(failed.length === 0 ? 0 : 1);
