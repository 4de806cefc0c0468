// The thread that plans: reads a catalogue once and plans on it as often as it is asked.

import { parentPort } from 'node:worker_threads';
import { planFor } from '../core/plan/plan';
import { openStore, storeUrl } from '../store/db';
import { findCatalogue } from '../store/surveys/surveys';
import { readOnce } from './catalogues';
import type { Answered, Asked } from './planning';

const store = openStore(storeUrl());

parentPort?.on('message', ({ id, catalogue, decided, ...options }: Asked) => {
  void readOnce(catalogue, () => findCatalogue(store, catalogue))
    .then((read): Answered => {
      if (!read) throw new Error(`The catalogue ${catalogue} is not in the store any more. Load the page again.`);
      return { id, plan: planFor(decided, read, options) };
    })
    .catch((error: unknown): Answered => {
      const { message, stack = '' } = error instanceof Error ? error : new Error(String(error));
      return { id, bug: { message, stack } };
    })
    .then((answer) => parentPort?.postMessage(answer));
});
