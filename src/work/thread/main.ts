// A thread for what would keep everybody waiting: reads a catalogue once and computes on it as often as it is asked, and takes in files.

import { parentPort } from 'node:worker_threads';
import { openStore, storeUrl } from '../../store/db';
import { readOnce, wordedBy } from '../catalogues';
import { bringHere } from './bringing';
import { type Task, tasks } from './tasks';
import type { Answered, Asked } from './thread';

const store = openStore(storeUrl());
let before: Promise<unknown> = Promise.resolve();

parentPort?.on('message', (asked: Asked) => {
  // One after the other: two large files at once would want twice the memory.
  const result = 'brings' in asked ? (before = before.then(() => bringHere(store, asked.brings))) : computed(asked);
  before = before.catch(() => undefined);
  void result
    .then((told): Answered => ({ id: asked.id, result: told }))
    .catch((error: unknown): Answered => {
      const { message, stack = '' } = error instanceof Error ? error : new Error(String(error));
      return { id: asked.id, bug: { message, stack } };
    })
    .then((answer) => parentPort?.postMessage(answer));
});

async function computed({ catalogue, dictionary, task, asked }: Exclude<Asked, { brings: unknown }>): Promise<unknown> {
  const read = await readOnce(store, catalogue);
  if (!read) throw new Error(`The catalogue ${catalogue} is not in the store any more. Load the page again.`);
  const compute = tasks[task] as Task;
  return compute(wordedBy(dictionary, read), asked);
}
