// A plan as it is run: what is in force already is left out, so a run that stopped can go on, and
// going back undoes only what was done.

import type { Catalogue } from '../catalogue/model';
import type { Check } from '../operations/check';
import { checksFor, isInForce, kindOf, type Operation } from '../operations/index';
import type { FindingId } from '../catalogue/identifiers';
import { checksAfter, checksBefore, checksOfDefinition, checksOfRights } from './checks';
import type { Plan } from './shape';
import { spelt } from '../spelt';

/** `clear`: what repairs kept is dropped, once nobody wants to go back. */
export const directions = ['forward', 'back', 'clear'] as const;
export type Direction = (typeof directions)[number];

export function operationsOf(plan: Plan, direction: Direction): readonly Operation[] {
  switch (direction) {
    case 'forward':
      return [...(plan.undo ?? []), ...plan.steps.map((step) => step.operation)];
    case 'back':
      return [...(plan.undo ?? []), ...plan.back];
    case 'clear':
      return plan.steps.flatMap(({ operation }) => kindOf(operation).clear?.(operation) ?? []);
  }
}

/** The checks before what is still to do, given what the catalogue shows to be done. */
export function checksToStart(plan: Plan, direction: Direction, catalogue: Catalogue): readonly Check[] {
  const all = operationsOf(plan, direction);
  const open = all.filter((operation) => !isInForce(operation, catalogue));
  if (direction !== 'forward') return checksOfRights(open);
  const inForce = all.filter((operation) => !open.includes(operation));
  return [...checksOfDefinition(all).filter((check) => inForce.some((o) => o.table === check.table)), ...checksBefore(open)];
}

/** The remedy that a step of the way forward is of; null for one that undoes. */
export function findingOf(plan: Plan, step: number): FindingId | null {
  return plan.steps[step - (plan.undo?.length ?? 0)]?.finding ?? null;
}

/** The remedy that a check before the way forward is for. */
export function findingOfCheck(plan: Plan, check: Check): FindingId | null {
  const asked = spelt(check);
  return plan.steps.find(({ operation }) => checksFor(operation).some((own) => spelt(own) === asked))?.finding ?? null;
}

export function checksToEnd(plan: Plan, direction: Direction): readonly Check[] {
  return direction === 'forward' ? checksAfter(operationsOf(plan, direction)) : [];
}
