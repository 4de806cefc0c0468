// The queue between the web server and the workers, kept in Pawl's own store. Only this file
// knows which package does it.

import PgBoss from 'pg-boss';
import { openPool } from '../store/db';

export interface Queue {
  enqueue(job: string, id: number): Promise<void>;
  /** Calls the handler for each id that is enqueued under the name, one at a time. */
  work(job: string, handler: (id: number) => Promise<void>): Promise<void>;
  stop(): Promise<void>;
}

const schema = 'pawl_queue';

/** `role`: a worker also keeps the queue in order; a sender only sends. Queues are made on first use. */
export async function openQueue(connectionString: string, jobs: readonly string[], role: 'sender' | 'worker'): Promise<Queue> {
  const pool = openPool({ connectionString, max: 3, application_name: 'pawl queue' });
  const boss = new PgBoss({
    db: { executeSql: (text, values) => pool.query(text, values).catch(marked) },
    schema,
    supervise: role === 'worker',
    schedule: false,
    maintenanceIntervalSeconds: 30,
  });
  boss.on('error', () => undefined);
  await boss.start();
  for (const job of jobs) await boss.createQueue(job);
  return {
    enqueue: async (job, id) => void (await boss.send(job, { id }, { retryLimit: 0, expireInHours: 23 })),
    work: async (job, handler) =>
      void (await boss.work<{ id: number }>(job, { pollingIntervalSeconds: 0.5, batchSize: 1 }, async (batch) => {
        for (const { data } of batch) await handler(data.id);
      })),
    stop: async () => {
      await boss.stop({ graceful: false });
      await pool.end();
    },
  };
}

const ownErrors = new WeakSet<object>();

function marked(error: Error): never {
  ownErrors.add(error);
  throw error;
}

/**
 * Whether an error is the queue's own, of a statement that nobody waits for: it notes the end of a job that way, and were the
 * store away just then, the process would end. What was not noted is harmless: jobs know by their own rows whether they ended.
 */
export function isOfQueue(error: unknown): boolean {
  return typeof error === 'object' && error !== null && ownErrors.has(error);
}
