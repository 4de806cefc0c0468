// A server that is not what it says: it asks for the password in clear, or as a hash that is as good as the password.

import { randomBytes } from 'node:crypto';
import { createServer, type Server, type Socket } from 'node:net';
import type { AddressInfo } from 'node:net';
import { afterAll, beforeAll, expect, test } from 'vitest';
import { openSource } from '../../src/sources/postgresql/reader';

const heard: Buffer[] = [];
let server: Server;
let port: number;
let asks: 'clear' | 'md5' = 'clear';

// PostgreSQL manual, 55.7: R with 3 asks for clear text, with 5 and a salt for md5.
function answer(socket: Socket): void {
  let started = false;
  socket.on('error', () => undefined);
  socket.on('data', (data) => {
    heard.push(data);
    if (started) return void socket.destroy();
    if (data.readInt32BE(4) === 80877103) return void socket.write('N');
    started = true;
    const body = asks === 'clear' ? Buffer.alloc(0) : randomBytes(4);
    const head = Buffer.alloc(9);
    head.write('R');
    head.writeInt32BE(8 + body.length, 1);
    head.writeInt32BE(asks === 'clear' ? 3 : 5, 5);
    socket.write(Buffer.concat([head, body]));
  });
}

beforeAll(async () => {
  server = createServer(answer);
  await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve));
  ({ port } = server.address() as AddressInfo);
});
afterAll(() => new Promise((resolve) => server.close(resolve)));

const details = (tls: 'off' | 'prefer') => ({
  host: '127.0.0.1',
  port,
  database: 'd',
  user: 'auditor',
  password: 'tell-nobody',
  tls,
});

test.each([
  ['clear', 'off', /in clear text, and it was not given/],
  ['clear', 'prefer', /in clear text, and it was not given/],
  ['md5', 'off', /hashed with md5, and it was not given/],
  ['md5', 'prefer', /hashed with md5, and it was not given/],
] as const)('who asks for the password %s, with TLS %s, does not get it', async (how, tls, words) => {
  asks = how;
  heard.length = 0;
  await expect(openSource(details(tls))).rejects.toMatchObject({
    reason: 'weakPassword',
    message: expect.stringMatching(words) as string,
  });
  // Nothing at all after the start-up message, and neither the password nor a hash of it in what came before.
  const said = Buffer.concat(heard).toString('latin1');
  expect(said).not.toContain('tell-nobody');
  expect(said).not.toMatch(/md5[0-9a-f]{32}/);
});

test.each(['clear', 'md5'] as const)('unless a person allowed it for this source: %s', async (how) => {
  asks = how;
  heard.length = 0;
  await expect(openSource({ ...details('off'), weakPassword: true })).rejects.toThrow();
  expect(Buffer.concat(heard).toString('latin1')).toMatch(how === 'clear' ? /tell-nobody/ : /md5[0-9a-f]{32}/);
});
