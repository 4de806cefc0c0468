// `npm run test:versions [MAJOR…]`: what depends on the audited server, on each version that is known to work: how it is
// read and measured, how it is mended, and the demo's journey from the terminal. PAWL_SEEDS asks for more schemas.

import { spawnSync } from 'node:child_process';
import { existsSync } from 'node:fs';
import { join } from 'node:path';
import { installNodeModules, root } from './packages.mjs';
import { serverOf, servers } from './servers.mjs';

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
  // A name that fits nothing would leave a suite out, and say nothing.
  const missing = suites.filter((suite) => !existsSync(join(root, suite)));
  if (missing.length > 0) throw new Error(`There is no ${missing.join(', ')}.`);
  const env = { ...process.env, NODE_ENV: '', PAWL_TEST_SERVER: major, PAWL_SEEDS: process.env.PAWL_SEEDS ?? '40' };
  const { status } = spawnSync(join(root, 'node_modules/.bin/vitest'), ['run', ...suites], { cwd: root, stdio: 'inherit', env });
  process.stdout.write(`── PostgreSQL ${major}: ${status === 0 ? 'passed' : 'FAILED'}\n`);
  if (status !== 0) failed.push(major);
}
if (failed.length > 0) process.stdout.write(`\nFailed on PostgreSQL ${failed.join(', ')}\n`);
process.exit(failed.length === 0 ? 0 : 1);
