// `npm test`: on a machine with nothing but Node, everything that says whether Pawl works. With
// --screenshots it takes the pictures of docs/screenshots and nothing else.

import { spawn } from 'node:child_process';
import { existsSync, mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { hasMariadb } from './mariadb.mjs';
import { findPostgresBinaries, installNodeModules, installPackages, root, step } from './packages.mjs';

const bin = (name) => join(root, 'node_modules', '.bin', name);

const missing = [
  ...(findPostgresBinaries() ? [] : ['postgresql']),
  ...(hasMariadb() ? [] : ['mariadb-server']),
  ...(existsSync('/usr/bin/chromium') ? [] : ['chromium']),
];
if (missing.length > 0) await step(`Installing ${missing.join(' and ')} from Debian`, () => installPackages(missing));
await installNodeModules();

// Pictures show the demo with its past; journeys begin on its first day.
const pictures = process.argv.includes('--screenshots');
// Those of a line run at once.
const suites = pictures
  ? [[['Screenshots', bin('playwright'), ['test', 'screenshots']]]]
  : [
      [['Types of routes', bin('react-router'), ['typegen']]],
      [
        ['Types', bin('tsc'), []],
        ['Types of the core alone', bin('tsc'), ['-p', 'src/core']],
        ['Lint', bin('eslint'), ['.', '--max-warnings', '0']],
      ],
      [['Unit and integration tests', bin('vitest'), ['run']]],
      // A journey waits for most of its time: what the server does meanwhile costs it little.
      [
        ['PostgreSQL 18', process.execPath, ['scripts/versions.mjs', '18'], { VITEST_MAX_WORKERS: '1' }],
        ['Journeys in the browser', bin('playwright'), ['test', '--grep-invert', '@screenshots']],
      ],
    ];

const failed = [];
const folder = mkdtempSync(join(tmpdir(), 'pawl-failures-'));
const failures = join(folder, 'failures.txt');
for (const together of suites) await Promise.all(together.map((suite) => run(suite, together.length > 1)));
// Told once more at the end: the long way up is cut in many a log.
if (existsSync(failures)) process.stdout.write(`\n── What failed\n${readFileSync(failures, 'utf8')}`);
if (failed.length > 0) process.stdout.write(`\nFailed: ${failed.join(', ')}\n`);
rmSync(folder, { recursive: true });
process.exit(failed.length === 0 ? 0 : 1);

/** What several say at once is told one after the other. */
async function run([title, command, args, env = {}], quiet) {
  const started = Date.now();
  const said = [];
  if (!quiet) process.stdout.write(`\n── ${title}\n`);
  const child = spawn(command, args, {
    cwd: root,
    stdio: ['ignore', quiet ? 'pipe' : 'inherit', quiet ? 'pipe' : 'inherit'],
    env: { ...process.env, NODE_ENV: '', PAWL_FAILURES: failures, ...(pictures && { PAWL_DEMO_FRESH: '0' }), ...env },
  });
  for (const stream of [child.stdout, child.stderr]) stream?.on('data', (part) => said.push(part));
  const status = await new Promise((resolve) => child.on('close', resolve).on('error', () => resolve(1)));
  if (quiet) process.stdout.write(`\n── ${title}\n${Buffer.concat(said).toString()}`);
  process.stdout.write(`── ${title}: ${status === 0 ? 'passed' : 'FAILED'} in ${Math.round((Date.now() - started) / 1000)} s\n`);
  if (status !== 0) failed.push(title);
}
