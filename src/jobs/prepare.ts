// Run at every start once the store is prepared: makes the queue as the role that will use it, which then needs no right to
// make anything else.

import { revokeCreate } from '../store/application';
import { storeUrl } from '../store/db';
import { jobs } from './index';
import { openQueue } from './queue';

const queue = await openQueue(
  storeUrl(),
  jobs.map((job) => job.name),
  'worker',
);
await queue.stop();
if (process.env['PAWL_OWNER_URL'])
  await revokeCreate(process.env['PAWL_OWNER_URL'], decodeURIComponent(new URL(storeUrl()).username));
