// The programs that run beside the screens, as JavaScript: the terminal's, the worker's, and the thread for long computations. They are built
// from their sources when these have changed, in less than a second. Run from TypeScript as it is, a survey of many tables took a
// quarter longer: the loader names every inner function anew each time that it is made.

import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readdirSync, renameSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';

const root = join(import.meta.dirname, '..');
const folder = join(root, 'build', 'programs');
const programs = {
  terminal: 'src/cli/main.ts',
  worker: 'src/jobs/worker.ts',
  thread: 'src/work/thread/main.ts',
};

/**
 * For Node: collect when the heap has grown by three tenths, and young things in small steps. The catalogue of 10,000 tables takes a
 * fifth less memory so, for a twentieth more of Node's time.
 */
export const frugalHeap = ['--heap-growing-percent=30', '--max-semi-space-size=4'];

/** Where a program is, built from the sources as they are now. `name`: terminal, worker or thread. */
export async function program(name) {
  const now = stateOf('src', 'package-lock.json', 'scripts/programs.mjs');
  const home = join(folder, now);
  if (!existsSync(home)) await build(home);
  return join(home, `${name}.js`);
}

/** Changes whenever one of these files does. */
export function stateOf(...places) {
  const parts = [];
  for (const place of places) visit(join(root, place), parts);
  return createHash('sha256').update(parts.join('\n')).digest('hex').slice(0, 32);
}

function visit(path, parts) {
  const stat = statSync(path);
  if (!stat.isDirectory()) return void parts.push(`${path} ${stat.size} ${stat.mtimeMs}`);
  for (const name of readdirSync(path).sort()) visit(join(path, name), parts);
}

// Several may build at once: each for itself, and the first to be ready stays.
async function build(home) {
  const { build: bundle } = await import('esbuild');
  const own = `${home}.${process.pid}`;
  mkdirSync(own, { recursive: true });
  await bundle({
    absWorkingDir: root,
    entryPoints: programs,
    outdir: own,
    bundle: true,
    splitting: true,
    platform: 'node',
    format: 'esm',
    target: 'node20',
    packages: 'external',
    sourcemap: 'linked',
    logLevel: 'error',
  });
  writeFileSync(join(own, 'package.json'), '{ "type": "module" }\n');
  try {
    renameSync(own, home);
  } catch {
    rmSync(own, { recursive: true, force: true });
  }
  for (const other of readdirSync(folder)) if (isOld(other, home)) rmSync(join(folder, other), { recursive: true, force: true });
}

// Somebody may still run what was built from an hour ago.
function isOld(name, home) {
  const path = join(folder, name);
  return path !== home && Date.now() - statSync(path).mtimeMs > 86_400_000;
}
