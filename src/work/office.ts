// What use cases work with: the store, the queue to the workers, and the desk that hands logins over. Who runs them
// (web server, worker, terminal) brings it.

import type pg from 'pg';
import type { RunId } from '../store/ids';

/** As somebody typed it for one run. */
export interface Login {
  readonly user: string;
  readonly password: string;
}

export interface Office {
  readonly store: pg.Pool;
  readonly enqueue: (job: 'survey' | 'rehearsal' | 'run', id: number) => Promise<void>;
  /** Keeps a typed login ready for the worker that takes the run; false when it is too long. */
  readonly offerLogin: (run: RunId, login: Login) => Promise<boolean>;
}
