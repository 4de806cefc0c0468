import { randomBytes } from 'node:crypto';
import { Readable } from 'node:stream';
import { createRequestHandler } from '@react-router/express';
import compression from 'compression';
import express, { type NextFunction, type Request, type Response } from 'express';
import helmet from 'helmet';
import { RouterContextProvider } from 'react-router';
import { db } from '~/store/db';
import { countWorkers } from '~/store/workers';
import { actorOfSession, actorOfToken } from '~/work/people';
import { nonceContext, passedContext } from './context.server';
import { gate, passedOf } from './gate';
import { log, requestLog } from './log.server';
import { loginDesk } from './office.server';
import { reached } from './settings.server';

const nonceOf = (_request: unknown, response: unknown): string => `'nonce-${(response as Response).locals['nonce'] as string}'`;
const readyMs = 2_000;

export const app: express.Express = express();
app.disable('x-powered-by');
app.use(requestLog);
const [host, ...rest] = gate({
  ...reached,
  actorOfSession: (token, address) => actorOfSession({ store: db() }, token, address),
  actorOfToken: (token, address) => actorOfToken({ store: db() }, token, address),
});
// Before anything else: what is not asked for by our own name gets nothing.
app.use(host as express.RequestHandler);
app.get('/healthz', (_request, response) => void response.type('text/plain').send('ok'));
app.get('/readyz', (_request, response) => void answerReady(response));
app.use(compression());
app.use((_request, response, next) => {
  response.locals['nonce'] = randomBytes(16).toString('base64');
  next();
});
app.use(
  helmet({
    // Only where people come by TLS.
    hsts: reached.secure,
    contentSecurityPolicy: {
      useDefaults: false,
      directives: {
        defaultSrc: ["'self'"],
        baseUri: ["'none'"],
        objectSrc: ["'none'"],
        frameAncestors: ["'none'"],
        formAction: ["'self'"],
        imgSrc: ["'self'", 'data:'],
        fontSrc: ["'self'"],
        connectSrc: ["'self'"],
        scriptSrc: ["'self'", nonceOf],
        styleSrcElem: ["'self'", nonceOf],
        // style="" attributes of server-rendered virtual rows and MUI papers.
        styleSrcAttr: ["'unsafe-inline'"],
      },
    },
  }),
);
// Our own code and pictures: what the sign-in page is made of.
app.use('/assets', express.static('build/client/assets', { immutable: true, maxAge: '1y' }));
app.use(express.static('build/client', { maxAge: '1h' }));
app.use(...(rest as [express.RequestHandler]));

const build = import('virtual:react-router/server-build');
const pages = createRequestHandler({
  build: () => build,
  getLoadContext(_request, response) {
    const context = new RouterContextProvider();
    context.set(nonceContext, response.locals['nonce'] as string);
    context.set(passedContext, passedOf(response));
    return context;
  },
});
app.use((request, response, next) => void pages(withBody(request), response, next));
app.use((error: unknown, request: Request, response: Response, next: NextFunction) => {
  request.log.error(error);
  if (response.headersSent) return next(error);
  response.status(500).type('text/plain').send('Pawl could not answer. The server log says why; reload to try again.');
});
loginDesk();

// The gate has read the body, counting it; the pages read it again from memory.
function withBody(request: Request): Request {
  if (request.method !== 'POST') return request;
  const body: unknown = request.body;
  const { app: owner, hostname, protocol, originalUrl, headers, method } = request;
  return Object.assign(Readable.from(Buffer.isBuffer(body) ? [body] : []), {
    app: owner,
    get: request.get.bind(request),
    hostname,
    protocol,
    originalUrl,
    headers,
    method,
  }) as unknown as Request;
}

async function answerReady(response: Response): Promise<void> {
  const late = new Promise<never>((_, reject) => setTimeout(() => reject(new Error('the store does not answer')), readyMs));
  try {
    const workers = await Promise.race([countWorkers(db()), late]);
    if (workers === 0) return void response.status(503).type('text/plain').send('no worker');
    response.type('text/plain').send('ready');
  } catch (error) {
    log.warn(error);
    response.status(503).type('text/plain').send('no store');
  }
}
