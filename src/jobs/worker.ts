// The worker process: takes jobs from the queue until it is told to stop. Several can run at once.

import { hostname } from 'node:os';
import { db, storeUrl } from '../store/db';
import { noteWorker } from '../store/workers';
import { deliver } from '../work/announcing';
import { send } from '../work/send/index';
import { chores } from '../work/chores';
import { jobs } from './index';
import type { JobContext } from './job';
import { isOfQueue, openQueue } from './queue';

const recoverEveryMs = 2_000;

process.on('unhandledRejection', (error) => {
  if (!isOfQueue(error)) throw error;
  console.error('The queue could not note the end of a job: the store did not take it. The job goes by its own record.');
});

const stopping = new AbortController();
const name = `${hostname()} ${process.pid}`;
const queue = await openQueue(
  storeUrl(),
  jobs.map((job) => job.name),
  'worker',
);
const context: JobContext = { store: db(), enqueue: (job, id) => queue.enqueue(job, id), stopping: stopping.signal };

for (const job of jobs) {
  await queue.work(job.name, (id) => job.run(id, context));
}
console.log('worker ready');

const doChores = chores(context);
let delivering: Promise<void> | null = null;
let recovering = recoverAll();
const timer = setInterval(() => {
  recovering = recovering.then(recoverAll);
}, recoverEveryMs);

for (const signal of ['SIGINT', 'SIGTERM'] as const) process.once(signal, () => void stop());

async function recoverAll(): Promise<void> {
  await noteWorker(db(), name).catch(() => undefined);
  for (const job of jobs) {
    // The store may be away for a moment; the next round tries again.
    await job.recover(context).catch(() => undefined);
  }
  await doChores(new Date()).catch(() => undefined);
  // Whoever is slow to answer holds nobody up.
  delivering ??= deliver(context, () => new Date(), send)
    .catch(() => undefined)
    .finally(() => (delivering = null));
}

async function stop(): Promise<void> {
  if (stopping.signal.aborted) return;
  clearInterval(timer);
  stopping.abort();
  await recovering;
  await queue.stop().catch(() => undefined);
  await Promise.race([db().end(), new Promise((resolve) => setTimeout(resolve, 3_000))]);
  process.exit(0);
}
