// Makes the demo: the harbour database, its source in Pawl, and a first exact survey of it. What is
// there already stays as it is, unless --fresh is given.

import { isNewDatabaseNeeded } from './harbour/exists';
import { auditor, createHarbour } from './harbour/create';
import { makePast } from './past';
import { jobs } from '../src/jobs/index';
import { openQueue } from '../src/jobs/queue';
import { db, storeUrl } from '../src/store/db';
import { addSource, findSourceNamed } from '../src/store/sources/sources';
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
  if (process.env['PAWL_DEMO_FRESH'] !== '1') await makePast(db(), source, new Date());
  const queue = await openQueue(
    storeUrl(),
    jobs.map((job) => job.name),
    'sender',
  );
  await queue.enqueue('survey', await askForSurvey(db(), { source, depth: 'exact' }));
  await queue.stop();
}
await db().end();
