// What the web server writes down of itself: a line of JSON each, with the request that it belongs to, and never what
// lets somebody in.

import { randomUUID } from 'node:crypto';
import pino from 'pino';
import { pinoHttp } from 'pino-http';

export const log = pino({
  level: process.env['LOG_LEVEL'] ?? 'warn',
  redact: { paths: ['req.headers', 'res.headers', '*.password', '*.token', '*.connectionString'], remove: true },
});

export const requestLog = pinoHttp({
  logger: log,
  genReqId: () => randomUUID(),
  autoLogging: process.env['LOG_HTTP'] === '1',
  serializers: {
    // No query: a search, a key of a row or an answer of somebody's sign-in may stand in it.
    req: ({ id, method, url }: { readonly id: string; readonly method: string; readonly url: string }) => ({
      id,
      method,
      path: url.split('?')[0]?.replace(/(invitation\/)[\w-]+/, '$1…'),
    }),
    // A driver's error may carry what was sent along.
    err: (error: Error & { readonly code?: unknown }) => ({
      type: error.name,
      message: error.message,
      code: error.code,
      stack: error.stack,
    }),
  },
});
