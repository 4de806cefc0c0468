// A web process that answers no more is ended, and one that works hard for a while is not.

import { type ChildProcess, type ChildProcessByStdio, spawn } from 'node:child_process';
import { once } from 'node:events';
import type { Readable } from 'node:stream';
import { expect, onTestFinished, test } from 'vitest';
// @ts-expect-error A script without types: it must run before there are any.
import { endWhenSilent } from '../../scripts/watch.mjs';

type Watch = (child: ChildProcess, address: string, options: object) => () => void;
const watch = endWhenSilent as Watch;

/** Answers, until it is asked to freeze for so many milliseconds. */
const program = `
  const server = require('node:http').createServer((request, response) => {
    response.end('ok');
    if (request.url === '/healthz') console.log('asked');
    const ms = Number(new URL(request.url, 'http://x').searchParams.get('freeze') ?? 0);
    if (ms > 0) setTimeout(() => { const until = Date.now() + ms; while (Date.now() < until); }, 10);
  });
  server.listen(0, '127.0.0.1', () => console.log(server.address().port));
`;

interface Served {
  readonly child: ChildProcessByStdio<null, Readable, null>;
  readonly address: string;
  readonly watched: string;
}

async function served(): Promise<Served> {
  const child = spawn(process.execPath, ['-e', program], { stdio: ['ignore', 'pipe', 'inherit'] });
  onTestFinished(() => void child.kill('SIGKILL'));
  const [port] = (await once(child.stdout, 'data')) as [Buffer];
  return {
    child,
    address: `http://127.0.0.1:${String(port).trim()}/`,
    watched: `http://127.0.0.1:${String(port).trim()}/healthz`,
  };
}

test('a process that is frozen is ended', async () => {
  const { child, address, watched } = await served();
  let told = 0;
  const ended = once(child, 'exit') as Promise<[number | null, string | null]>;
  watch(child, watched, { every: 100, most: 3, said: () => told++ });
  await untilAnswered(child);
  await fetch(`${address}?freeze=600000`);
  expect(await ended).toEqual([null, 'SIGKILL']);
  expect(told).toBe(1);
});

test('one that was silent for less than that is left alone', async () => {
  const { child, address, watched } = await served();
  const stop = watch(child, watched, { every: 300, most: 6 });
  await untilAnswered(child);
  await fetch(`${address}?freeze=700`);
  // Answered after it thawed.
  expect((await fetch(address)).status).toBe(200);
  expect(child.exitCode).toBeNull();
  stop();
  child.kill();
});

test('one that never answered is left to who starts it', async () => {
  const child = spawn(process.execPath, ['-e', 'setInterval(() => {}, 1000)'], { stdio: 'ignore' });
  let asked = 0;
  const nobody = spawn(process.execPath, [
    '-e',
    `let n = 0; require('node:net').createServer((s) => (s.destroy(), console.log(++n))).listen(0, '127.0.0.1', function () { console.log('at ' + this.address().port); });`,
  ]);
  const [first] = (await once(nobody.stdout, 'data')) as [Buffer];
  watch(child, `http://127.0.0.1:${String(first).trim().slice(3)}/`, { every: 30, most: 2 });
  for await (const _ of nobody.stdout) if (++asked > 5) break;
  expect([child.exitCode, child.signalCode]).toEqual([null, null]);
  child.kill();
  nobody.kill();
});

/** Asked a second time, it has answered the first. */
async function untilAnswered({ stdout }: Served['child']): Promise<void> {
  for (let asked = 0; asked < 2;) asked += String(((await once(stdout, 'data')) as [Buffer])[0]).split('asked').length - 1;
}
