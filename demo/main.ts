// Makes the demo: the harbour database, its source in Pawl, and a first exact survey of it. What is
// there already stays as it is, unless --fresh is given.

import { createSlipway, isNewSlipwayNeeded, yardAuditor, yardDatabases } from './slipway/create';
import { isNewDatabaseNeeded } from './harbour/exists';
import { auditor, createHarbour } from './harbour/create';
import { makePast } from './past';
import { parseConnectionString } from '../src/sources/mariadb/connectionString';
import { jobs } from '../src/jobs/index';
import { openQueue } from '../src/jobs/queue';
import { db, storeUrl } from '../src/store/db';
import { addListener } from '../src/store/sources/listeners';
import { addSource, findSourceNamed } from '../src/store/sources/sources';
import { mailAddress } from '../src/work/send/byMail';
import { addDemoPeople } from '../src/work/people';
import { askForSurvey } from '../src/store/surveys/surveys';

const server = process.env['DEMO_SERVER'] ?? storeUrl();
if (process.argv.includes('--fresh') || (await isNewDatabaseNeeded(server, 'harbour'))) await createHarbour(server);

await addDemoPeople({ store: db() });
if (!(await findSourceNamed(db(), 'harbour'))) {
  const { hostname, port } = new URL(server);
  const source = await addSource(db(), {
    name: 'harbour',
    environment: 'production',
    kind: 'postgresql',
    settings: {
      host: hostname,
      port: Number(port || 5432),
      database: 'harbour',
      user: auditor.user,
      tls: 'prefer',
      weakPassword: false,
    },
    secret: auditor.password,
  });
  // Where the demo is to begin on its first day, as journeys have it.
  if (process.env['PAWL_DEMO_FRESH'] !== '1') {
    await makePast(db(), source, new Date());
    const { PAWL_HEARD_PORT, PAWL_HEARD_SECRET = null } = process.env;
    const address = `http://127.0.0.1:${PAWL_HEARD_PORT}/`;
    const heard = { hears: 'every', keptBy: 'Ada Holm' } as const;
    if (PAWL_HEARD_PORT) await addListener(db(), source, { ...heard, address, secret: PAWL_HEARD_SECRET });
    if (PAWL_HEARD_PORT) await addListener(db(), source, { ...heard, address: mailAddress('dba@harbour.example'), secret: null });
  }
  await askedFor(source);
}
await addYard();
await db().end();

/** The boatyard, where there is a server for it. */
async function addYard(): Promise<void> {
  const yard = process.env['DEMO_YARD'];
  if (!yard) return;
  if (process.argv.includes('--fresh') || (await isNewSlipwayNeeded(yard))) await createSlipway(yard);
  if (await findSourceNamed(db(), 'slipway')) return;
  const { host, port } = parseConnectionString(yard);
  const source = await addSource(db(), {
    name: 'slipway',
    environment: 'production',
    kind: 'mariadb',
    settings: { host, port, databases: yardDatabases.join(','), user: yardAuditor.user, tls: 'prefer' },
    secret: yardAuditor.password,
  });
  await askedFor(source);
}

async function askedFor(source: Awaited<ReturnType<typeof addSource>>): Promise<void> {
  const queue = await openQueue(
    storeUrl(),
    jobs.map((job) => job.name),
    'sender',
  );
  await queue.enqueue('survey', await askForSurvey(db(), { source, depth: 'exact' }));
  await queue.stop();
}
