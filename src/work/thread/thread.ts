// Long computations on a catalogue, made where they keep nobody waiting: in a thread that has read the catalogue for itself.

import { join } from 'node:path';
import { Worker } from 'node:worker_threads';
import type { Catalogue } from '../../core/catalogue/model';
import { type Dictionary, dictionaryOf } from '../../core/naming/dictionary';
import type { SurveyId } from '../../store/ids';
import { NotAllowed } from '../actor';
import { catalogueId } from '../catalogues';
import type { Room } from '../enter';
import type { Bringing, Brings, BroughtHere, CameOf } from './bringing';
import { type AskedOf, type ResultOf, type Task, type TaskName, tasks } from './tasks';

/** What a thread is asked: the catalogue by its number in the store; or a file is brought. */
export type Asked =
  | {
      readonly id: number;
      readonly catalogue: SurveyId;
      readonly dictionary: Dictionary;
      readonly task: TaskName;
      readonly asked: unknown;
    }
  | { readonly id: number; readonly brings: Brings };

/** For a file, in megabytes: of one that takes more the thread ends, and nothing else does. */
const mostMemory = 2_048;

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
  return ask(rooms[task], (id) => ({ id, catalogue: number, dictionary: dictionaryOf(catalogue), task, asked }));
}

/** Takes in a file that somebody brings, apart from the pages. Throws NotAllowed, and what is a bug. */
export async function bring({ office, actor, source }: Room, as: Bringing, bytes: Uint8Array): Promise<CameOf> {
  const brings: Brings = { source: source.id, actor, as, bytes };
  const { came, enqueued } = await ask<BroughtHere>('files', (id) => ({ id, brings })).catch((error: unknown) => {
    if ((error as { code?: unknown }).code !== 'ERR_WORKER_OUT_OF_MEMORY') throw error;
    const problem = `The file takes more than the ${mostMemory / 1024} GB of memory that Pawl gives to one. Bring a part of it: fewer schemas, or fewer tables.`;
    return { came: { problem }, enqueued: [] } satisfies BroughtHere;
  });
  for (const [job, id] of enqueued) await office.enqueue(job, id);
  if ('notAllowed' in came) throw new NotAllowed(came.notAllowed, came.right);
  return came;
}

function ask<T>(room: string, asked: (id: number) => Asked): Promise<T> {
  return new Promise((resolve, reject) => {
    const id = ++last;
    const worker = threads.get(room) ?? startThread(room);
    waiting.set(id, { worker, resolve: resolve as (result: unknown) => void, reject });
    worker.postMessage(asked(id));
  });
}

// From its source, as the server's own bundle has no other files.
function startThread(room: string): Worker {
  const worker = new Worker(join(process.cwd(), 'src/work/thread/start.mjs'), {
    execArgv: [],
    ...(room === 'files' && { resourceLimits: { maxOldGenerationSizeMb: mostMemory } }),
  });
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
