import { spawnSync } from 'node:child_process';
import { existsSync } from 'node:fs';
import { join } from 'node:path';
import { root } from './packages.mjs';

/** Runs suites, each by its file, under further variables; true when all passed. */
export function runSuites(suites, variables) {
  // A name that fits nothing would leave a suite out, and say nothing.
  const missing = suites.filter((suite) => !existsSync(join(root, suite)));
  if (missing.length > 0) throw new Error(`There is no ${missing.join(', ')}.`);
  const env = { ...process.env, NODE_ENV: '', PAWL_SEEDS: process.env.PAWL_SEEDS ?? '40', ...variables };
  return spawnSync(join(root, 'node_modules/.bin/vitest'), ['run', ...suites], { cwd: root, stdio: 'inherit', env }).status === 0;
}
