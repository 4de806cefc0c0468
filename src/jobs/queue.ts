// The queue between the web server and the workers, kept in Pawl's own store. Only this file
// knows which package does it.

import PgBoss from 'pg-boss';

export interface Queue {
  enqueue(job: string, id: number): Promise<void>;
  /** Calls the handler for each id that is enqueued under the name, one at a time. */
  work(job: string, handler: (id: number) => Promise<void>): Promise<void>;
  stop(): Promise<void>;
}

const schema = 'pawl_queue';

/** `role`: a worker also keeps the queue in order; a sender only sends. Queues are made on first use. */
export async function openQueue(connectionString: string, jobs: readonly string[], role: 'sender' | 'worker'): Promise<Queue> {
  const boss = new PgBoss({
    connectionString,
    schema,
    supervise: role === 'worker',
    schedule: false,
    max: 3,
    maintenanceIntervalSeconds: 30,
    application_name: 'pawl queue',
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
    stop: () => boss.stop({ graceful: false, close: true }),
  };
}
