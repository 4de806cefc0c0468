// The web server process. Plain JavaScript, so that Node runs it as it is; the rest is built.

import { app } from '../../../build/server/index.js';

const host = '127.0.0.1';
const port = Number(process.env.PORT ?? 4610);

const listening = app.listen(port, host);
// Headers that never end keep nobody's place.
listening.headersTimeout = 15_000;
listening.requestTimeout = 60_000;
for (const signal of ['SIGINT', 'SIGTERM']) {
  process.once(signal, () => {
    listening.close(() => process.exit(0));
    listening.closeAllConnections();
    setTimeout(() => process.exit(0), 2000).unref();
  });
}
