// The shape of a background run: what the queue carries, and what a worker does with it.

import type pg from 'pg';

export interface Job {
  readonly name: string;
  /** Does the work of one row of ours, by its id. Throws only when something of ours is broken. */
  run(id: number, context: JobContext): Promise<void>;
  /** Finds work that its worker died over, or that the queue lost, and puts it right. */
  recover(context: JobContext): Promise<void>;
}

export interface JobContext {
  readonly store: pg.Pool;
  readonly enqueue: (job: string, id: number) => Promise<void>;
  /** Fires when the worker is told to stop: hand back what can go on elsewhere. */
  readonly stopping: AbortSignal;
}
