// Carrying a plan out in a session that can change its database: on a source, or on a scratch copy of it.

import { postgresql } from '../core/dialects/postgresql/index';
import type { Catalogue } from '../core/catalogue/model';
import { operationInWords } from '../core/plan/inWords';
import { type Check, describeCheck } from '../core/plan/checks';
import type { Plan } from '../core/plan/plan';
import { describeProof, triggersFired } from '../core/plan/proofs';
import { checksToEnd, checksToStart, type Direction, operationsOf } from '../core/plan/runnable';
import type { ChangingSession, Outcome, ProofAnswer } from './source';
import { SourceError } from './SourceError';

export interface PlannedStep {
  readonly title: string;
  readonly statement: string;
}

/** Told of each step as it starts and ends; steps count from 1, as `plannedSteps` lists them. */
export interface StepListener {
  started?(step: number): Promise<void> | void;
  ended?(step: number, outcome: Outcome): Promise<void> | void;
  failed?(step: number, error: unknown): Promise<void> | void;
}

/** The steps as they will be taken: checks, every operation, checks. */
export function plannedSteps(plan: Plan, direction: Direction): readonly PlannedStep[] {
  const changes = operationsOf(plan, direction).map((operation) => ({
    title: operationInWords(operation),
    statement: postgresql.statements(operation, plan.mode).join(';\n'),
  }));
  return [{ title: 'Checks before', statement: '' }, ...changes, { title: 'Checks after', statement: '' }];
}

/** Takes every step that is not in force already. `known`: the catalogue, when it was just read. Throws SourceError at the first that fails, after telling of it. */
export async function carryOutPlan(
  session: ChangingSession,
  plan: Plan,
  direction: Direction,
  listener: StepListener = {},
  known: Catalogue | null = null,
): Promise<void> {
  const operations = operationsOf(plan, direction);
  const toStart = checksToStart(plan, direction, known ?? (await session.readCatalogue()));
  const work: readonly (() => Promise<Outcome>)[] = [
    () => checkAll(session, toStart, 'Nothing was changed'),
    ...operations.map((operation) => () => session.carryOut(postgresql.stretches(operation, plan.mode), plan.mode)),
    () => checkAll(session, checksToEnd(plan, direction), 'The steps are done'),
  ];
  for (const [i, take] of work.entries()) {
    await listener.started?.(i + 1);
    let outcome;
    try {
      outcome = await take();
    } catch (error) {
      await listener.failed?.(i + 1, error);
      throw error;
    }
    await listener.ended?.(i + 1, outcome);
  }
}

async function checkAll(session: ChangingSession, checks: readonly Check[], otherwise: string): Promise<Outcome> {
  for (const check of checks) {
    const count = await session.check(postgresql.check(check));
    if (count !== 0)
      throw new SourceError(
        `${otherwise}, but a check failed: ${count.toLocaleString('en-GB')} × ${describeCheck(check)}.`,
        'refused',
      );
  }
  const words = checks.length === 0 ? 'nothing to check' : `${checks.length} checks, all zero`;
  return { words, changed: false, locks: [] };
}

export interface Proven extends ProofAnswer {
  readonly finding: string;
  readonly title: string;
  readonly statement: string;
}

/** Tries to break every new rule of a plan that was carried out; nothing of it stays. */
export async function* provePlan(session: ChangingSession, plan: Plan): AsyncGenerator<Proven> {
  const catalogue = await session.readCatalogue();
  for (const { finding, proofs } of plan.steps) {
    for (const proof of proofs) {
      const fired = triggersFired(proof, catalogue);
      const title = `${describeProof(proof)}${fired.length > 0 ? `, firing ${fired.join(', ')}` : ''}`;
      if (proof.kind === 'action') {
        yield { finding, title, ...(await session.proveAction(proof, postgresql.actionProof(proof, catalogue))) };
      } else {
        const statement = postgresql.proof(proof, catalogue);
        yield { finding, title, statement, ...(await session.prove(proof, statement)) };
      }
    }
  }
}
