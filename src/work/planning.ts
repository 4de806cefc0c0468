// Plans, made where they keep nobody waiting: small ones at once, large ones in a thread that has read the catalogue for
// itself. What is planned on the same ground is the same, so the last plans are kept.

import { join } from 'node:path';
import { Worker } from 'node:worker_threads';
import type { Catalogue } from '../core/catalogue/model';
import type { Adopted } from '../core/naming/style';
import type { Mode } from '../core/plan/cost';
import { type DecidedFinding, type Plan, planFor } from '../core/plan/plan';
import { catalogueId } from './catalogues';
import { digestOf } from './digest';
import type { SurveyId } from '../store/ids';

export interface ToPlan {
  readonly decided: readonly DecidedFinding[];
  readonly label: string;
  readonly mode: Mode;
  readonly adopted: Adopted;
}

/** What is asked of the thread: the catalogue by its number in the store. */
export interface Asked extends ToPlan {
  readonly id: number;
  readonly catalogue: SurveyId;
}

export type Answered =
  | { readonly id: number; readonly plan: Plan }
  | { readonly id: number; readonly bug: { readonly message: string; readonly stack: string } };

/** Below, planning takes some ten milliseconds. */
const findingsAtOnce = 60;
const keptPlans = 8;
const kept = new Map<string, Promise<Plan>>();

/** The plan of what was decided, on a catalogue that the store has. Throws what is a bug. */
export function makePlan(asked: ToPlan, catalogue: Catalogue): Promise<Plan> {
  const number = catalogueId(catalogue);
  if (number === null || asked.decided.length <= findingsAtOnce)
    return Promise.resolve().then(() => planFor(asked.decided, catalogue, asked));
  const key = digestOf([number, asked]);
  let plan = kept.get(key);
  if (!plan) {
    plan = inThread(asked, number);
    kept.set(key, plan);
    plan.catch(() => kept.delete(key));
    for (const oldest of [...kept.keys()].slice(0, Math.max(0, kept.size - keptPlans))) kept.delete(oldest);
  }
  return plan;
}

interface Waiting {
  readonly resolve: (plan: Plan) => void;
  readonly reject: (error: Error) => void;
}

let thread: Worker | null = null;
let last = 0;
const waiting = new Map<number, Waiting>();

function inThread(asked: ToPlan, catalogue: SurveyId): Promise<Plan> {
  return new Promise((resolve, reject) => {
    const id = ++last;
    waiting.set(id, { resolve, reject });
    thread ??= startThread();
    thread.postMessage({ ...asked, id, catalogue } satisfies Asked);
  });
}

// From its source, as the server's own bundle has no other files.
function startThread(): Worker {
  const worker = new Worker(join(process.cwd(), 'src/work/planningThread.mjs'), { execArgv: [] });
  worker.unref();
  worker.on('message', (answer: Answered) => {
    const asker = waiting.get(answer.id);
    waiting.delete(answer.id);
    if ('plan' in answer) asker?.resolve(answer.plan);
    else asker?.reject(Object.assign(new Error(answer.bug.message), { stack: answer.bug.stack }));
  });
  const end = (error: Error): void => {
    if (thread === worker) thread = null;
    for (const asker of waiting.values()) asker.reject(error);
    waiting.clear();
  };
  worker.on('error', end);
  worker.on('exit', () => end(new Error('The thread that plans dockets has ended. Load the page again.')));
  return worker;
}
