// Plans: small ones are made at once, large ones apart. What is planned on the same ground is the same, so the last are kept.

import type { Catalogue } from '../core/catalogue/model';
import { dictionaryOf } from '../core/naming/dictionary';
import type { Plan } from '../core/plan/shape';
import { catalogueId } from './catalogues';
import { digestOf } from './digest';
import type { ToPlan } from './thread/tasks';
import { compute } from './thread/thread';

/** Below, planning takes some ten milliseconds. */
const findingsAtOnce = 60;
const keptPlans = 8;
const kept = new Map<string, Promise<Plan>>();

/** The plan of what was decided, on a catalogue that the store has. Throws what is a bug. */
export function makePlan(asked: ToPlan, catalogue: Catalogue): Promise<Plan> {
  const number = catalogueId(catalogue);
  if (number === null || asked.decided.length <= findingsAtOnce) return compute('plan', catalogue, asked, true);
  const key = digestOf([number, dictionaryOf(catalogue), asked]);
  let plan = kept.get(key);
  if (!plan) {
    plan = compute('plan', catalogue, asked, false);
    kept.set(key, plan);
    plan.catch(() => kept.delete(key));
    for (const oldest of [...kept.keys()].slice(0, Math.max(0, kept.size - keptPlans))) kept.delete(oldest);
  }
  return plan;
}
