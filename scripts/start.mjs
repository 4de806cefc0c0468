// `npm start` and `npm run demo`: from nothing to a running Pawl. Stops all that it started, and
// nothing else, when it is told to stop.

import { spawn } from 'node:child_process';
import { randomBytes } from 'node:crypto';
import { existsSync, mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { fail, installNodeModules, root, step } from './packages.mjs';
import { hasMariadb, installMariadb, startMariadb } from './mariadb.mjs';
import { freePort, startPostgres } from './postgres.mjs';
import { frugalHeap, program, stateOf } from './programs.mjs';
import { endWhenSilent } from './watch.mjs';

const flags = new Set(process.argv.slice(2));
const demo = flags.has('--demo');
const known = ['--demo', '--fresh'];
const unknown = [...flags].find((flag) => !known.includes(flag));
if (unknown) fail(`There is no option ${unknown}. Known: ${known.join(', ')}.`);

const home = process.env.PAWL_HOME ?? join(root, '.pawl');
const children = new Set();
let postgres = null;
let mariadb = null;
let stopping = false;

for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP']) process.on(signal, () => void stop(0));

process.stdout.write(`Pawl ${demo ? 'with the demo harbour' : ''}\n`);
mkdirSync(home, { recursive: true });
refuseSecondStart();
process.env.PAWL_KEY_FILE ??= join(home, 'key');
await installNodeModules();
// The boatyard's server comes up beside the record's.
const yard = demo ? openYardServer() : null;
const { store, owning } = await openStoreServer();
await step('Bringing the record up to date', async () => {
  await node(['--import', 'tsx', 'src/store/prepare.ts'], { DATABASE_URL: store, ...owning });
  await node(['--import', 'tsx', 'src/jobs/prepare.ts'], { DATABASE_URL: store, ...owning });
});
writeFileSync(join(home, 'store.url'), store, { mode: 0o600 });
if (newestSource() !== builtFrom()) await step('Building the screens', build);
const port = await freePort(Number(process.env.PAWL_PORT ?? 4610));
await yard;
const standIns = demo ? await standInsAt(port) : null;
if (demo)
  await step('Making sure of the demo harbour', () =>
    node(['--import', 'tsx', 'demo/main.ts', ...(flags.has('--fresh') ? ['--fresh'] : [])], {
      DATABASE_URL: store,
      DEMO_SERVER: postgres?.url() ?? store,
      ...(mariadb && { DEMO_YARD: mariadb.url() }),
      ...standIns,
      ...owning,
    }),
  );

const environment = { DATABASE_URL: store, PORT: String(port), NODE_ENV: 'production', ...(demo && { PAWL_DEMO: '1' }) };
if (standIns) {
  keepRunning('stand-ins', ['--import', 'tsx', 'demo/standIns.ts'], standIns);
  process.env.PAWL_SMTP_URL ??= `smtp://127.0.0.1:${standIns.PAWL_HEARD_SMTP_PORT}`;
  process.env.PAWL_SMTP_FROM ??= 'Pawl <pawl@harbour.example>';
  process.env.PAWL_LISTENER_LOOPBACK ??= '1';
}
const { PAWL_REHEARSAL_URL } = { ...process.env, ...owning };
keepRunning('worker', ['--enable-source-maps', ...frugalHeap, await program('worker')], {
  ...environment,
  ...(PAWL_REHEARSAL_URL && { PAWL_REHEARSAL_URL }),
  ...(mariadb && { PAWL_REHEARSAL_MARIADB_URL: mariadb.url() }),
});
keepRunning('web', ['src/app/server/main.mjs'], environment, `http://127.0.0.1:${port}/healthz`);
await answering(`http://127.0.0.1:${port}/healthz`);
const origin = process.env.PAWL_PUBLIC_URL ? new URL(process.env.PAWL_PUBLIC_URL).origin : `http://127.0.0.1:${port}`;
writeFileSync(join(home, 'web.url'), origin);
process.stdout.write(`\n  Open ${origin}\n`);
if (standIns) process.stdout.write(`  What it sends arrives at http://127.0.0.1:${standIns.PAWL_HEARD_PORT}\n`);
process.stdout.write('  Ctrl-C stops it.\n');
const first = (await node(['bin/pawl.js', 'person', 'first'], { DATABASE_URL: store, PAWL_ORIGIN: origin })).trim();
if (first !== '')
  process.stdout.write(
    `\n  Nobody is here yet. This makes you the administrator; it can be used once, within three days:\n  ${first}\n`,
  );
if (demo && !mariadb)
  process.stdout.write(
    '  Without the boatyard: MariaDB is not installed. sudo apt-get install -y mariadb-server, then start again.\n',
  );
if (postgres) watchServers();

/** Where the demo's stand-ins listen, and what messages to them are signed with. */
async function standInsAt(port) {
  return {
    PAWL_HEARD_PORT: String(await freePort(port + 10)),
    PAWL_HEARD_SMTP_PORT: String(await freePort(port + 11)),
    PAWL_HEARD_SECRET: secretIn('stand-ins.secret'),
  };
}

/** One Pawl for each home folder: a second would take the first one's server away from it. */
function refuseSecondStart() {
  const file = join(home, 'start.pid');
  const other = existsSync(file) ? Number(readFileSync(file, 'utf8')) : 0;
  if (other !== 0 && other !== process.pid && isOurs(other))
    fail(`Pawl already runs from this folder, as process ${other}. Stop it with Ctrl-C there, or: kill ${other}`);
  writeFileSync(file, String(process.pid));
}

// Process ids are used again: only one that runs this very script counts.
function isOurs(pid) {
  try {
    return readFileSync(`/proc/${pid}/cmdline`, 'utf8').includes('scripts/start.mjs');
  } catch {
    return false;
  }
}

/**
 * DATABASE_URL when it is given, else a private server whose data stays in the home folder: of that the web server and
 * the workers come in by roles of their own, and only what prepares it as its owner.
 */
async function openStoreServer() {
  if (process.env.DATABASE_URL) return { store: process.env.DATABASE_URL, owning: {} };
  const folder = join(home, 'postgres');
  const options = { folder, port: Number(process.env.PAWL_PG_PORT ?? 5610), durable: process.env.PAWL_QUICK !== '1' };
  postgres = await startPostgres(options);
  if (flags.has('--fresh')) {
    postgres.stop();
    postgres.remove();
    rmSync(process.env.PAWL_KEY_FILE, { force: true });
    postgres = await startPostgres(options);
  }
  const as = (role) => {
    const url = new URL(postgres.url());
    url.username = role;
    url.password = secretIn(`${role}.password`);
    return url.href;
  };
  return { store: as('pawl_app'), owning: { PAWL_OWNER_URL: postgres.url(), PAWL_REHEARSAL_URL: as('pawl_rehearsal') } };
}

function secretIn(name) {
  const file = join(home, name);
  if (!existsSync(file)) writeFileSync(file, randomBytes(18).toString('base64url'), { mode: 0o600 });
  return readFileSync(file, 'utf8').trim();
}

/** The demo's second server, where its programs are here or can be had; else the demo does without. */
async function openYardServer() {
  if (process.env.PAWL_DEMO_YARD === '0' || !(hasMariadb() || (await installMariadb()))) return false;
  const options = {
    folder: join(home, 'mariadb'),
    port: Number(process.env.PAWL_MARIADB_PORT ?? 5910),
    durable: process.env.PAWL_QUICK !== '1',
    // As it was for years.
    settings: ['--sql-mode=NO_ENGINE_SUBSTITUTION'],
    quiet: true,
  };
  mariadb = await startMariadb(options);
  if (flags.has('--fresh')) {
    await mariadb.stop();
    mariadb.remove();
    mariadb = await startMariadb(options);
  }
  writeFileSync(join(home, 'mariadb.port'), String(mariadb.port));
  return true;
}

/** Starts the private servers again when they die: everything else waits for them. */
function watchServers() {
  setInterval(() => {
    if (stopping || postgres.isRunning()) return;
    process.stderr.write('The private PostgreSQL ended and is started again.\n');
    postgres.start();
  }, 2000).unref();
  setInterval(() => {
    if (stopping || !mariadb || mariadb.isRunning()) return;
    process.stderr.write('The private MariaDB ended and is started again.\n');
    void mariadb.start();
  }, 2000).unref();
}

async function build() {
  await node([join(root, 'node_modules/@react-router/dev/bin.js'), 'build'], { NODE_ENV: 'production' });
  writeFileSync(join(root, 'build', 'built-from'), newestSource());
}

/** Changes whenever a file that the build reads does. */
function newestSource() {
  return stateOf('src', 'package-lock.json', 'vite.config.ts', 'react-router.config.ts');
}

function builtFrom() {
  const file = join(root, 'build', 'built-from');
  return existsSync(file) ? readFileSync(file, 'utf8') : '';
}

/** Runs a program to its end and returns what it printed; on failure shows what it said and stops. */
function node(args, extra) {
  return new Promise((resolve) => {
    const said = [];
    const printed = [];
    const child = spawn(process.execPath, args, {
      cwd: root,
      env: { ...process.env, ...extra },
      stdio: ['ignore', 'pipe', 'pipe'],
    });
    children.add(child);
    child.stdout.on('data', (text) => (said.push(text), printed.push(text)));
    child.stderr.on('data', (text) => said.push(text));
    child.on('exit', (code) => {
      children.delete(child);
      if (code === 0) return resolve(Buffer.concat(printed).toString());
      if (!stopping) process.stderr.write(`\n${Buffer.concat(said).toString()}\n`);
      void stop(1);
    });
  });
}

/** Starts a long-running child, and again when it dies by itself; one that should answer is ended when it does not. */
function keepRunning(name, args, extra, answers = null) {
  const child = spawn(process.execPath, args, {
    cwd: root,
    env: { ...process.env, ...extra },
    stdio: ['ignore', 'inherit', 'inherit'],
  });
  children.add(child);
  writeFileSync(join(home, `${name}.pid`), String(child.pid));
  if (answers)
    endWhenSilent(child, answers, { said: () => process.stderr.write(`The ${name} process answers no more, and is ended.\n`) });
  child.on('exit', (code, signal) => {
    children.delete(child);
    if (stopping) return;
    process.stderr.write(`The ${name} process ended (${signal ?? code}) and is started again.\n`);
    setTimeout(() => !stopping && keepRunning(name, args, extra, answers), 500);
  });
}

async function answering(url) {
  for (let tries = 0; tries < 300; tries++) {
    const answer = await fetch(url).catch(() => null);
    if (answer?.ok) return;
    await new Promise((resolve) => setTimeout(resolve, 100));
  }
  process.stderr.write('The web server does not answer.\n');
  await stop(1);
}

async function stop(code) {
  if (stopping) return;
  stopping = true;
  const ended = [...children].map((child) => new Promise((resolve) => child.once('exit', resolve)));
  for (const child of children) child.kill('SIGTERM');
  const patience = setTimeout(() => children.forEach((child) => child.kill('SIGKILL')), 8000);
  await Promise.all(ended);
  clearTimeout(patience);
  for (const name of ['worker', 'web', 'stand-ins', 'start']) rmSync(join(home, `${name}.pid`), { force: true });
  await mariadb?.stop();
  postgres?.stop();
  process.exit(code);
}
