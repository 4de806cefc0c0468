// What the web server keeps open for its use cases: the store, the queue it sends work to, the desk that hands logins over.

import { jobs } from '~/jobs/index';
import { type LoginDesk, openLoginDesk } from '~/jobs/loginHandover';
import { openQueue, type Queue } from '~/jobs/queue';
import { db, storeUrl } from '~/store/db';
import { type Changes, openChanges } from '~/store/changes';
import type { Office } from '~/work/office';

let queue: Promise<Queue> | null = null;
let desk: LoginDesk | null = null;
let heard: Changes | null = null;
let made: Office | null = null;

export function office(): Office {
  return (made ??= {
    store: db(),
    enqueue,
    offerLogin: (run, login) => loginDesk().offer(run, login),
  });
}

async function enqueue(job: 'survey' | 'rehearsal' | 'run', id: number): Promise<void> {
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

/** What tells of changes to who looks. */
export function changes(): Changes {
  return (heard ??= openChanges(storeUrl()));
}

/** Opened at start, so that a run asked for right away finds it listening. */
export function loginDesk(): LoginDesk {
  return (desk ??= openLoginDesk(storeUrl(), db()));
}
