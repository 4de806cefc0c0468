// Servers of other releases of Debian, for tests: their packages are unpacked into a folder of ours, with the libraries that they want, and
// nothing is installed. Each program there is a script that finds its own libraries.

import { spawnSync } from 'node:child_process';
import { existsSync, mkdirSync, readFileSync, renameSync, rmSync, writeFileSync } from 'node:fs';
import { basename, join } from 'node:path';
import { step } from './packages.mjs';

const mirror = process.env.PAWL_DEBIAN_MIRROR ?? 'http://deb.debian.org/debian';
/** What programs of a server do without. */
const spared = new Set(['perl', 'debconf', 'adduser', 'passwd', 'init-system-helpers', 'psmisc']);

/** Fetches packages of a release, where they are not there yet. `programs`: paths in them. Throws where the mirror has none. */
export async function unpack({ title, release, packages, programs, home }) {
  if (existsSync(join(home, programs[0]))) return;
  await step(`Unpacking ${title} from Debian ${release}`, async () => {
    const making = `${home}.${process.pid}`;
    mkdirSync(making, { recursive: true });
    const list = join(making, 'Packages.xz');
    await fetched(`${mirror}/dists/${release}/main/binary-amd64/Packages.xz`, list);
    const text = spawnSync('xz', ['-dc', list], { encoding: 'utf8', maxBuffer: 2 ** 30 }).stdout;
    for (const file of filesOf(packagesIn(text), packages, release)) {
      const at = join(making, basename(file));
      await fetched(`${mirror}/${file}`, at);
      if (spawnSync('dpkg', ['-x', at, making]).status !== 0) throw new Error(`${basename(file)} could not be unpacked.`);
      rmSync(at);
    }
    rmSync(list);
    for (const program of programs) wrap(making, home, program);
    renameSync(making, home);
  });
}

async function fetched(url, to) {
  const response = await fetch(url);
  if (!response.ok) throw new Error(`${url} answered ${response.status}.`);
  writeFileSync(to, Buffer.from(await response.arrayBuffer()));
}

function packagesIn(text) {
  const packages = new Map();
  for (const block of text.split('\n\n')) {
    const fields = Object.fromEntries([...block.matchAll(/^([A-Za-z-]+): (.*)$/gm)].map(([, name, value]) => [name, value]));
    if (!fields.Package) continue;
    packages.set(fields.Package, fields);
    for (const provided of (fields.Provides ?? '').split(', '))
      if (provided && !packages.has(provided.split(' ')[0])) packages.set(provided.split(' ')[0], fields);
  }
  return packages;
}

function filesOf(packages, wanted, release) {
  const files = new Set();
  const walk = (name) => {
    const found = packages.get(name);
    if (spared.has(name) || !found || files.has(found.Filename)) return;
    files.add(found.Filename);
    for (const dependency of [found.Depends, found['Pre-Depends']].filter(Boolean).flatMap((list) => list.split(', ')))
      walk(dependency.split(' | ')[0].split(' ')[0].split(':')[0]);
  };
  for (const name of wanted) {
    if (!packages.has(name)) throw new Error(`Debian ${release} has no ${name} any more.`);
    walk(name);
  }
  return files;
}

// A program for this machine would look for its libraries in this machine's own.
function wrap(making, home, program) {
  const at = join(making, program);
  if (readFileSync(at).subarray(1, 4).toString() !== 'ELF') return;
  renameSync(at, `${at}.elf`);
  const libraries = ['lib/x86_64-linux-gnu', 'usr/lib/x86_64-linux-gnu', 'usr/lib/x86_64-linux-gnu/libgoogle-perftools'];
  const loader = ['usr/lib64/ld-linux-x86-64.so.2', 'lib/x86_64-linux-gnu/ld-linux-x86-64.so.2'].find((path) =>
    existsSync(join(making, path)),
  );
  const path = libraries.map((folder) => join(home, folder)).join(':');
  writeFileSync(at, `#!/bin/sh\nexec ${join(home, loader)} --library-path ${path} ${join(home, program)}.elf "$@"\n`, {
    mode: 0o755,
  });
}
