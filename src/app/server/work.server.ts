// What the web server keeps open: the queue it sends work to, and the desk that hands logins over.

import { jobs } from '~/jobs/index';
import { type LoginDesk, openLoginDesk } from '~/jobs/loginHandover';
import { openQueue, type Queue } from '~/jobs/queue';
import { storeUrl } from '~/store/db';

let queue: Promise<Queue> | null = null;
let desk: LoginDesk | null = null;

export async function enqueue(job: 'survey' | 'rehearsal' | 'run', id: number): Promise<void> {
  queue ??= openQueue(
    storeUrl(),
    jobs.map((j) => j.name),
    'sender',
  );
  try {
    await (await queue).enqueue(job, id);
  } catch (error) {
    // The next try opens it anew; the row is kept, and a worker picks it up all the same.
    queue = null;
    throw error;
  }
}

/** Opened at start, so that a run asked for right away finds it listening. */
export function loginDesk(): LoginDesk {
  return (desk ??= openLoginDesk(storeUrl()));
}
