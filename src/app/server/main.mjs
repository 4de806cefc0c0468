// The web server process. Plain JavaScript, so that Node runs it as it is; the rest is built.

import compression from 'compression';
import express from 'express';

const host = '127.0.0.1';
const port = Number(process.env.PORT ?? 4610);

const server = express();
server.disable('x-powered-by');
server.use(compression());
server.get('/healthz', (_request, response) => response.type('text/plain').send('ok'));
server.use('/assets', express.static('build/client/assets', { immutable: true, maxAge: '1y' }));
server.use(express.static('build/client', { maxAge: '1h' }));
const { app } = await import('../../../build/server/index.js');
server.use(app);

const listening = server.listen(port, host);
for (const signal of ['SIGINT', 'SIGTERM']) {
  process.once(signal, () => {
    listening.close(() => process.exit(0));
    listening.closeAllConnections();
    setTimeout(() => process.exit(0), 2000).unref();
  });
}
