// A thread for what would keep everybody waiting: reads a catalogue once and computes on it as often as it is asked.

import { parentPort } from 'node:worker_threads';
import { openStore, storeUrl } from '../../store/db';
import { readOnce, wordedBy } from '../catalogues';
import { type Task, tasks } from './tasks';
import type { Answered, Asked } from './thread';

const store = openStore(storeUrl());

parentPort?.on('message', ({ id, catalogue, dictionary, task, asked }: Asked) => {
  void readOnce(store, catalogue)
    .then((read): Answered => {
      if (!read) throw new Error(`The catalogue ${catalogue} is not in the store any more. Load the page again.`);
      const compute = tasks[task] as Task;
      return { id, result: compute(wordedBy(dictionary, read), asked) };
    })
    .catch((error: unknown): Answered => {
      const { message, stack = '' } = error instanceof Error ? error : new Error(String(error));
      return { id, bug: { message, stack } };
    })
    .then((answer) => parentPort?.postMessage(answer));
});
