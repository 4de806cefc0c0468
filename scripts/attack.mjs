// `npm run test:attack`: the attacks and the faults over and over, drawn anew each time, for half an hour. PAWL_ATTACK_MINUTES asks
// for another time, PAWL_ATTACK_SEED for one round with a seed that a round has told.

import { randomInt } from 'node:crypto';
import { readdirSync } from 'node:fs';
import { join } from 'node:path';
import { installNodeModules, root } from './packages.mjs';
import { runSuites } from './suites.mjs';

await installNodeModules();
const suites = ['test/attack', 'test/faults'].flatMap((folder) =>
  readdirSync(join(root, folder))
    .filter((file) => file.endsWith('.test.ts'))
    .map((file) => `${folder}/${file}`),
);
const until = Date.now() + Number(process.env.PAWL_ATTACK_MINUTES ?? 30) * 60_000;
const asked = process.env.PAWL_ATTACK_SEED;
const failed = [];
let rounds = 0;
do {
  const seed = asked ?? String(randomInt(2 ** 30));
  process.stdout.write(`\n── Round ${++rounds}, PAWL_ATTACK_SEED=${seed}\n`);
  if (!runSuites(suites, { PAWL_ATTACK_SEED: seed })) failed.push(seed);
} while (asked === undefined && Date.now() < until);
process.stdout.write(
  failed.length === 0 ? `\n${rounds} rounds held.\n` : `\nFailed with PAWL_ATTACK_SEED=${failed.join(', ')}\n`,
);
process.exit(failed.length === 0 ? 0 : 1);
