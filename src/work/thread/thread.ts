// Long computations on a catalogue, made where they keep nobody waiting: in a thread that has read the catalogue for itself.

import { join } from 'node:path';
import { Worker } from 'node:worker_threads';
import type { Catalogue } from '../../core/catalogue/model';
import { type Dictionary, dictionaryOf } from '../../core/naming/dictionary';
import type { SurveyId } from '../../store/ids';
import { catalogueId } from '../catalogues';
import { type AskedOf, type ResultOf, type Task, type TaskName, tasks } from './tasks';

/** What a thread is asked: the catalogue by its number in the store. */
export interface Asked {
  readonly id: number;
  readonly catalogue: SurveyId;
  readonly dictionary: Dictionary;
  readonly task: TaskName;
  readonly asked: unknown;
}

export type Answered =
  | { readonly id: number; readonly result: unknown }
  | { readonly id: number; readonly bug: { readonly message: string; readonly stack: string } };

interface Waiting {
  readonly resolve: (result: unknown) => void;
  readonly reject: (error: Error) => void;
}

/** Who waits for a plan does not wait for names as well. */
const rooms: Readonly<Record<TaskName, 'plans' | 'names'>> = {
  plan: 'plans',
  conventions: 'names',
  names: 'names',
  words: 'names',
  onNames: 'names',
};
const threads = new Map<string, Worker>();
const waiting = new Map<number, Waiting & { readonly worker: Worker }>();
let last = 0;

/** `small`: it takes some ten milliseconds, and is done at once; so is what is not about a catalogue of the store. Throws what is a bug. */
export function compute<T extends TaskName>(
  task: T,
  catalogue: Catalogue,
  asked: AskedOf<T>,
  small: boolean,
): Promise<ResultOf<T>> {
  const number = catalogueId(catalogue);
  if (number === null || small) return Promise.resolve().then(() => (tasks[task] as Task)(catalogue, asked) as ResultOf<T>);
  return new Promise((resolve, reject) => {
    const id = ++last;
    const worker = threads.get(rooms[task]) ?? startThread(rooms[task]);
    waiting.set(id, { worker, resolve: resolve as (result: unknown) => void, reject });
    worker.postMessage({ id, catalogue: number, dictionary: dictionaryOf(catalogue), task, asked } satisfies Asked);
  });
}

// From its source, as the server's own bundle has no other files.
function startThread(room: string): Worker {
  const worker = new Worker(join(process.cwd(), 'src/work/thread/start.mjs'), { execArgv: [] });
  threads.set(room, worker);
  worker.unref();
  worker.on('message', (answer: Answered) => {
    const asker = waiting.get(answer.id);
    waiting.delete(answer.id);
    if ('result' in answer) asker?.resolve(answer.result);
    else asker?.reject(Object.assign(new Error(answer.bug.message), { stack: answer.bug.stack }));
  });
  const end = (error: Error): void => {
    if (threads.get(room) === worker) threads.delete(room);
    for (const [id, asker] of waiting) {
      if (asker.worker !== worker) continue;
      waiting.delete(id);
      asker.reject(error);
    }
  };
  worker.on('error', end);
  worker.on('exit', () => end(new Error('The thread that computed this has ended. Load the page again.')));
  return worker;
}
