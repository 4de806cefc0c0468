import 'reflect-metadata';
import { randomBytes } from 'node:crypto';
import { createRequestHandler } from '@react-router/express';
import express, { type Response } from 'express';
import helmet from 'helmet';
import pino from 'pino';
import { RouterContextProvider } from 'react-router';
import { nonceContext } from './context.server';

const largestBody = 1_000_000;
const log = pino({ level: process.env['LOG_LEVEL'] ?? 'warn' });
const nonceOf = (_request: unknown, response: unknown): string => `'nonce-${(response as Response).locals['nonce'] as string}'`;

export const app: express.Express = express();
app.disable('x-powered-by');
app.use((request, response, next) => {
  if (Number(request.headers['content-length'] ?? 0) > largestBody)
    return void response.status(413).type('text/plain').send('That is more than Pawl takes at once.');
  response.locals['nonce'] = randomBytes(16).toString('base64');
  next();
});
app.use(
  helmet({
    // Only behind TLS, which is somebody else's to add: we listen on loopback.
    hsts: false,
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
const build = import('virtual:react-router/server-build');
app.use(
  createRequestHandler({
    build: () => build,
    getLoadContext(_request, response) {
      const context = new RouterContextProvider();
      context.set(nonceContext, response.locals['nonce'] as string);
      return context;
    },
  }),
);
app.use((error: unknown, _request: express.Request, response: Response, next: express.NextFunction) => {
  log.error(error);
  if (response.headersSent) return next(error);
  response.status(500).type('text/plain').send('Pawl could not answer. The server log says why; reload to try again.');
});
