// The gate before every page, attacked over real HTTP.

import { createServer, request as httpRequest, type IncomingHttpHeaders, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import express from 'express';
import { afterAll, beforeAll, describe, expect, test } from 'vitest';
import { gate, largestBody, passedOf } from '../../src/app/server/gate';
import { localAddress } from '../../src/app/server/entry.server';
import type { Actor } from '../../src/work/actor';

const somebody: Actor = { person: null, via: 'browser', address: 'x', bounds: { grants: [] } };
let server: Server;
let port: number;
let served = 0;
let release: () => void = () => undefined;
let busy: Promise<void> = Promise.resolve();

beforeAll(async () => {
  const app = express();
  server = createServer(app);
  await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve));
  ({ port } = server.address() as AddressInfo);
  app.use(
    ...(gate({
      hosts: [`127.0.0.1:${port}`, `localhost:${port}`],
      secure: false,
      behindProxy: false,
      actorOfSession: (token) => Promise.resolve(token === 'mine' ? somebody : null),
      actorOfToken: (token) => Promise.resolve(token === 'pawl_good' ? somebody : null),
    }) as [express.RequestHandler]),
  );
  app.use((request, response) => {
    served++;
    const body: unknown = request.body;
    const answer = JSON.stringify({ in: passedOf(response).actor !== null, bytes: Buffer.isBuffer(body) ? body.length : 0 });
    if (/\/(slow|changes)$/.test(request.path)) void busy.then(() => response.send(answer));
    else response.send(answer);
  });
});
afterAll(() => {
  server.closeAllConnections();
  return new Promise((resolve) => server.close(resolve));
});

interface Answer {
  readonly status: number;
  readonly headers: IncomingHttpHeaders;
  readonly body: string;
}

/** Sends just what it is told: no client puts a header right. */
function send(
  path: string,
  {
    method = 'GET',
    headers = {},
    body,
  }: { method?: string; headers?: Record<string, string>; body?: string | Iterable<Buffer> } = {},
): Promise<Answer> {
  return new Promise((resolve, reject) => {
    const request = httpRequest(
      { host: '127.0.0.1', port, path, method, headers: { host: `127.0.0.1:${port}`, ...headers }, setHost: false },
      (response) => {
        let text = '';
        response.setEncoding('utf8').on('data', (part: string) => (text += part));
        response.on('end', () => resolve({ status: response.statusCode ?? 0, headers: response.headers, body: text }));
      },
    );
    request.on('error', (error: NodeJS.ErrnoException) =>
      error.code === 'ECONNRESET' || error.code === 'EPIPE' ? resolve({ status: -1, headers: {}, body: '' }) : reject(error),
    );
    if (typeof body === 'string') request.end(body);
    else if (body) void pour(body, request);
    else request.end();
  });
}

async function pour(parts: Iterable<Buffer>, request: ReturnType<typeof httpRequest>): Promise<void> {
  for (const part of parts) {
    if (request.destroyed) return;
    if (!request.write(part)) await new Promise((resolve) => (request.once('drain', resolve), request.once('close', resolve)));
  }
  request.end();
}

const mine = { cookie: 'pawl_session=mine' };

test.each(['evil.example', `evil.example:4610`, '', '127.0.0.1', '127.0.0.1:1', '169.254.169.254', 'localhost.evil.example'])(
  'a page whose name was made to lead here gets nothing: Host %j',
  async (host) => {
    expect((await send('/healthz', { headers: { host, ...mine } })).status).toBe(421);
    expect((await send('/s/1/coverage', { headers: { host, origin: `http://${host}`, ...mine } })).status).toBe(421);
  },
);

describe('who has not signed in', () => {
  test.each([
    '/',
    '/sources',
    '/s/1/coverage',
    '/s/1/findings/1/rows?page=1',
    '/s/1/coverage.data',
    '/_root.data',
    '/s/1/dockets/1/forward.sql',
    '/journal/export?as=csv',
    '/sign-in/../sources',
    '/sign-in/%2e%2e/sources',
    '//sources',
    '/sign-in.data/../s/1/coverage.data',
    '/SIGN-IN/x/y',
    '/invitation',
  ])('is led to the sign-in from %s', async (path) => {
    const before = served;
    const { status, headers } = await send(path);
    expect(status).toBe(303);
    expect(headers.location).toMatch(/^\/sign-in\?to=/);
    expect(served).toBe(before);
  });

  test.each([
    '/sign-in',
    '/sign-in.data',
    '/sign-in/elsewhere',
    '/sign-in/return?code=x',
    '/invitation/abc_-1',
    '/invitation/abc.data',
  ])('gets %s', async (path) => {
    expect(await send(path)).toMatchObject({ status: 200, body: '{"in":false,"bytes":0}' });
  });

  test('does not get in by a session or token that is none', async () => {
    expect((await send('/sources', { headers: { cookie: 'pawl_session=other' } })).status).toBe(303);
    expect((await send('/sources', { headers: { authorization: 'Bearer pawl_bad' } })).status).toBe(401);
    // A good session beside it does not help a bad token.
    expect((await send('/sources', { headers: { authorization: 'Bearer pawl_bad', ...mine } })).status).toBe(401);
  });
});

test('who has signed in is let in, and nothing of it is kept in a cache', async () => {
  const { status, headers, body } = await send('/s/1/coverage', { headers: mine });
  expect([status, body, headers['cache-control']]).toEqual([200, '{"in":true,"bytes":0}', 'no-store']);
  expect((await send('/sources', { headers: { authorization: 'Bearer pawl_good' } })).status).toBe(200);
});

describe('another site', () => {
  const page = { 'sec-fetch-mode': 'navigate', 'sec-fetch-dest': 'document' };
  test.each([
    ['reads', 'GET', { 'sec-fetch-site': 'cross-site', 'sec-fetch-mode': 'no-cors' }],
    ['reads from another port', 'GET', { 'sec-fetch-site': 'same-site', 'sec-fetch-mode': 'cors' }],
    ['posts', 'POST', { 'sec-fetch-site': 'cross-site', ...page }],
    ['posts without saying from where', 'POST', { origin: 'null' }],
    ['posts as itself', 'POST', { origin: 'http://evil.example' }],
    ['posts from another port', 'POST', { origin: 'http://127.0.0.1:1' }],
    ['frames', 'GET', { 'sec-fetch-site': 'cross-site', 'sec-fetch-mode': 'navigate', 'sec-fetch-dest': 'iframe' }],
  ])('that %s is refused', async (_, method, headers) => {
    const before = served;
    expect((await send('/s/1/surveys', { method, headers: { ...mine, ...headers } })).status).toBe(403);
    expect((await send('/sign-in', { method: 'POST', headers: { ...headers, 'sec-fetch-site': 'cross-site' } })).status).toBe(
      403,
    );
    expect(served).toBe(before);
  });

  test('that links here leads by the sign-in page', async () => {
    const { status, headers } = await send('/s/1/findings/3?show=all', {
      headers: { ...mine, 'sec-fetch-site': 'cross-site', ...page },
    });
    expect([status, headers.location]).toEqual([303, '/sign-in?to=%2Fs%2F1%2Ffindings%2F3%3Fshow%3Dall']);
    expect((await send('/sign-in', { headers: { 'sec-fetch-site': 'cross-site', ...page } })).status).toBe(200);
  });

  test('our own pages are not refused', async () => {
    const own = { 'sec-fetch-site': 'same-origin', origin: `http://127.0.0.1:${port}`, ...mine };
    expect((await send('/s/1/surveys', { method: 'POST', headers: own, body: 'depth=exact' })).status).toBe(200);
    expect((await send('/s/1/surveys', { headers: { 'sec-fetch-site': 'none', ...page, ...mine } })).status).toBe(200);
  });
});

test.each([
  '//evil.example',
  '/\\evil.example',
  'http://evil.example',
  'javascript:alert(1)',
  '',
  null,
  '/\t/evil.example',
  '/sign-in?to=/sign-in',
])('a sign-in leads nowhere but to our own pages: %j', (to) => {
  expect(localAddress(to)).toBe('/');
});

test.each([
  ['PUT', '/sources', 405],
  ['DELETE', '/s/1', 405],
  ['TRACE', '/', 405],
  ['GET', '/s/1/findings?q=%00', 400],
  ['GET', '/s/%E0%A4%A/coverage', 400],
])('%s %s is answered with %i', async (method, path, status) => {
  expect((await send(path, { method, headers: mine })).status).toBe(status);
});

describe('a body', () => {
  const part = Buffer.alloc(65_536, 'a');
  function* parts(count: number): Iterable<Buffer> {
    for (let n = 0; n < count; n++) yield part;
  }

  test('is counted as it comes, whatever length it claims', async () => {
    const before = served;
    // A gigabyte, in chunks: it is broken off after the first megabyte.
    const { status } = await send('/x', {
      method: 'POST',
      headers: { ...mine, 'transfer-encoding': 'chunked' },
      body: parts(16_384),
    });
    expect([413, -1]).toContain(status);
    const claimed = await send('/x', {
      method: 'POST',
      headers: { ...mine, 'content-length': String(16 * 65_536) },
      body: parts(16),
    });
    expect([413, -1]).toContain(claimed.status);
    expect(served).toBe(before);
  });

  test('of a form arrives whole', async () => {
    expect((await send('/x', { method: 'POST', headers: mine, body: 'a'.repeat(largestBody) })).body).toContain(
      `"bytes":${largestBody}`,
    );
  });

  test.each([
    ['lines', 'application/x-www-form-urlencoded', 'a=1&'.repeat(50_000)],
    ['names', 'application/x-www-form-urlencoded', Array.from({ length: 50_000 }, (_, at) => `f${at}=1`).join('&')],
    ['parts', 'multipart/form-data; boundary=xy', `--xy\r\ncontent-disposition: form-data; name="a"\r\n\r\n\r\n`.repeat(15_000)],
    ['quoted', 'Multipart/Form-Data; charset=x; Boundary="x y"', `--x y\r\n\r\n\r\n`.repeat(50_000)],
  ])('of more fields than a form has is refused before anything is made of it: %s', async (_, type, body) => {
    const before = served;
    for (const [path, headers] of [
      ['/sign-in', {}],
      ['/invitation/abc', {}],
      ['/s/1/findings', mine],
    ] as const)
      expect((await send(path, { method: 'POST', headers: { ...headers, 'content-type': type }, body })).status).toBe(413);
    expect(served).toBe(before);
  });

  test('of as many findings as can be chosen comes in, and 200 fields of who has not signed in', async () => {
    const type = { 'content-type': 'application/x-www-form-urlencoded' };
    const form = (count: number) => ({ method: 'POST', body: Array(count).fill('finding=1234567').join('&') });
    expect((await send('/s/1/findings', { ...form(5_100), headers: { ...mine, ...type } })).status).toBe(200);
    expect((await send('/sign-in', { ...form(200), headers: type })).status).toBe(200);
    expect((await send('/sign-in', { ...form(201), headers: type })).status).toBe(413);
  });

  test('that is packed is not unpacked', async () => {
    expect((await send('/x', { method: 'POST', headers: { ...mine, 'content-encoding': 'gzip' }, body: 'x' })).status).toBe(415);
  });
});

test('who has not signed in keeps nobody waiting who has', async () => {
  busy = new Promise((resolve) => (release = resolve));
  const outside = Array.from({ length: 80 }, () => send('/sign-in/slow'));
  expect(await Promise.race(outside)).toMatchObject({ status: 503 });
  expect(await send('/s/1/coverage', { headers: mine })).toMatchObject({ status: 200 });
  release();
  await Promise.all(outside);
});

test('a body that never ends keeps no place', async () => {
  const sockets = Array.from({ length: 40 }, () => {
    const request = httpRequest({
      host: '127.0.0.1',
      port,
      path: '/sign-in',
      method: 'POST',
      headers: { 'content-length': '1000' },
    });
    request.on('error', () => undefined);
    request.write('name=');
    return request;
  });
  expect(await send('/sign-in')).toMatchObject({ status: 200 });
  for (const request of sockets) request.destroy();
});

test('who listens for changes takes no place from those at work', async () => {
  busy = new Promise((resolve) => (release = resolve));
  const ears = Array.from({ length: 40 }, () => send('/s/1/changes', { headers: mine }));
  expect((await send('/quick', { headers: mine })).status).toBe(200);
  release();
  expect((await Promise.all(ears)).map(({ status }) => status)).toEqual(Array(40).fill(200));
});

test('past a limit people are told to come again, and all who wait are served', async () => {
  busy = new Promise((resolve) => (release = resolve));
  const asked = Array.from({ length: 340 }, () => send('/slow', { headers: mine }));
  expect(await Promise.race(asked)).toMatchObject({ status: 503, headers: { 'retry-after': '3' } });
  let turnedAway = 0;
  await new Promise<void>((resolve) => {
    for (const answer of asked) void answer.then(({ status }) => status === 503 && ++turnedAway === 24 && resolve());
  });
  release();
  const statuses = (await Promise.all(asked)).map(({ status }) => status);
  expect(statuses.filter((status) => status === 503)).toHaveLength(340 - 16 - 300);
  expect(statuses.filter((status) => status === 200)).toHaveLength(316);
});
