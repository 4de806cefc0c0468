// Carrying a plan out in a session that can change its database: on a source, or on a scratch copy of it.

import type { Catalogue } from '../../core/catalogue/model';
import { statementsOf } from '../../core/engines/dialect';
import { engineNamed } from '../../core/engines/index';
import { type Check, describeCheck } from '../../core/operations/check';
import { byItself, checksFor, inverseOf, type Operation, operationInWords } from '../../core/operations/index';
import { checksOfRights } from '../../core/plan/checks';
import { checksToEnd, checksToStart, type Direction, findingOf, findingOfCheck, operationsOf } from '../../core/plan/direction';
import { leaveOut } from '../../core/plan/plan';
import type { Plan } from '../../core/plan/shape';
import { entriesOf, type Entry, stayingBy } from '../../core/plan/record';
import { type FindingId, tableNames } from '../../core/catalogue/identifiers';
import type { FailedRemedy } from '../../core/plan/rehearsal';
import { SourceError } from '../SourceError';
import { countOf, type Outcome, perform, wholeTime } from './perform';
import type { Session } from './session';

export interface PlannedStep {
  readonly title: string;
  readonly statement: string;
}

/** Told of each step as it starts and ends; steps count from 1, as `plannedSteps` lists them. */
export interface StepListener {
  started?(step: number): Promise<void> | void;
  ended?(step: number, outcome: Outcome): Promise<void> | void;
  /** `finding`: whose remedy it is, where that can be said. */
  failed?(step: number, error: unknown, finding: FindingId | null): Promise<void> | void;
}

/** Something of the rows stands in the way. */
export class CheckFailed extends SourceError {
  constructor(
    message: string,
    readonly check: Check,
    readonly count: number,
  ) {
    super(message, 'refused');
  }
}

/** The steps as they will be taken: checks, every operation, checks. */
export function plannedSteps(plan: Plan, direction: Direction): readonly PlannedStep[] {
  const changes = operationsOf(plan, direction).map((operation) => ({
    title: operationInWords(operation),
    statement: statementOf(operation, plan),
  }));
  return [{ title: 'Checks before', statement: '' }, ...changes, { title: 'Checks after', statement: '' }];
}

function statementOf(operation: Operation, { engine, mode }: Plan): string {
  return statementsOf(engineNamed(engine).dialect, operation, mode).join(';\n');
}

export interface Carrying {
  /** The catalogue, when it was just read. */
  readonly current?: Catalogue | null;
  /** Whether no run of the plan has begun before: then what is there already stays when it is gone back. */
  readonly first?: boolean;
}

/** Takes every step that is not in force already. Throws SourceError at the first that fails, after telling of it. */
export async function carryOutPlan(
  session: Session,
  plan: Plan,
  direction: Direction,
  { current = null, first = false, ...listener }: StepListener & Carrying = {},
): Promise<void> {
  const operations = operationsOf(plan, direction);
  const stays = direction === 'back' ? stayingBy(plan) : () => null;
  const toStart = checksToStart(plan, direction, current ?? (await session.readCatalogue()));
  const work: readonly (() => Promise<Outcome>)[] = [
    async () => {
      const outcome = await checkAll(session, plan, toStart, 'Nothing was changed');
      if (direction === 'forward' && first) await noteFound(session, plan);
      return outcome;
    },
    ...operations.map((operation) => () => takeUnlessItStays(session, operation, plan, stays)),
    () => checkAll(session, plan, checksToEnd(plan, direction), 'The steps are done'),
  ];
  for (const [i, take] of work.entries()) {
    await listener.started?.(i + 1);
    let outcome;
    try {
      outcome = await take();
    } catch (error) {
      await listener.failed?.(i + 1, error, direction === 'forward' ? whose(error, i) : null);
      throw error;
    }
    await listener.ended?.(i + 1, outcome);
  }
  if (direction !== 'forward') await forgetFound(session, plan);

  function whose(error: unknown, at: number): FindingId | null {
    return at === 0 && error instanceof CheckFailed ? findingOfCheck(plan, error.check) : findingOf(plan, at - 1);
  }
}

/** Writes down what a plan would make and is there already, for the way back to leave it. Nothing is written where nothing is. */
export async function noteFound(session: Session, plan: Plan): Promise<void> {
  const { record } = plan;
  if (!record || (await countOf(session, { kind: 'tableMissing', table: record.table }, plan)) === 0) return;
  const found: Entry[] = [];
  for (const entry of entriesOf(plan)) if ((await countOf(session, entry.todo, plan)) === 0) found.push(entry);
  if (found.length === 0) return;
  await change(session, engineNamed(plan.engine).dialect.makesRecord(record.table, found));
}

async function forgetFound(session: Session, plan: Plan): Promise<void> {
  const { record } = plan;
  if (!record || (await countOf(session, { kind: 'tablePresent', table: record.table }, plan)) === 0) return;
  await perform(session, { kind: 'dropKept', table: record.table, sideTable: tableNames(record.table).table }, plan);
}

async function change(session: Session, statements: readonly string[]): Promise<void> {
  await session.transaction.begin();
  try {
    for (const statement of statements) await session.run(statement, wholeTime);
    await session.transaction.commit();
  } catch (error) {
    await session.transaction.rollback();
    throw session.problemOf(error, 'Noting what is there already');
  }
}

async function takeUnlessItStays(
  session: Session,
  operation: Operation,
  plan: Plan,
  stays: (back: Operation) => Check | null,
): Promise<Outcome> {
  const isFound = async (one: Operation): Promise<boolean> => {
    const check = stays(one);
    return check !== null && (await countOf(session, check, plan)) === 0;
  };
  if (await isFound(operation)) return { words: 'left: it was there before', changed: false, locks: [] };
  for (const other of operation.also ?? []) if (await isFound(other)) return perform(session, byItself(operation), plan);
  return perform(session, operation, plan);
}

async function checkAll(session: Session, plan: Plan, checks: readonly Check[], otherwise: string): Promise<Outcome> {
  for (const check of checks) {
    const count = await countOf(session, check, plan);
    if (count !== 0) throw new CheckFailed(`${otherwise}, but a check failed: ${foundInWords(check, count)}.`, check, count);
  }
  const words = checks.length === 0 ? 'nothing to check' : `${checks.length} checks, all zero`;
  return { words, changed: false, locks: [] };
}

function foundInWords(check: Check, count: number): string {
  return `${count.toLocaleString('en-GB')} × ${describeCheck(check)}`;
}

export interface WhatHeld {
  /** What is left: all that went through. */
  readonly plan: Plan;
  readonly failed: readonly FailedRemedy[];
}

/**
 * Takes the way forward past what fails: a remedy of which a step is refused is undone and left out, with those that rest
 * on it, and the rest goes on. Throws SourceError when the connection is lost or the work cancelled, and when all that is
 * left does not hold together. For copies only.
 */
export async function carryOutWhatHolds(session: Session, plan: Plan, listener: StepListener = {}): Promise<WhatHeld> {
  return new PastFailures(session, plan, listener, await session.readCatalogue()).carryOut();
}

class PastFailures {
  private readonly failed: FailedRemedy[] = [];
  private readonly out = new Set<FindingId>();
  private readonly taken: Step[] = [];
  private left: Plan;

  constructor(
    private readonly session: Session,
    private readonly plan: Plan,
    private readonly listener: StepListener,
    private readonly catalogue: Catalogue,
  ) {
    this.left = plan;
  }

  async carryOut(): Promise<WhatHeld> {
    const { session, plan } = this;
    const rights = checksOfRights(operationsOf(plan, 'forward'));
    await this.step(1, () => checkAll(session, plan, rights, 'Nothing was changed'));
    await noteFound(session, plan);
    await this.fail(await this.againstTheStart());
    for (const [i, step] of plan.steps.entries()) await this.take(i + 2, step);
    const end = checksToEnd(this.left, 'forward');
    await this.step(plan.steps.length + 2, () => checkAll(session, plan, end, 'The steps are done'));
    return { plan: this.left, failed: this.failed };
  }

  private async step(at: number, take: () => Promise<Outcome>): Promise<void> {
    await this.listener.started?.(at);
    try {
      await this.listener.ended?.(at, await take());
    } catch (error) {
      await this.listener.failed?.(at, error, null);
      throw error;
    }
  }

  private async take(at: number, { finding, operation: planned }: Step): Promise<void> {
    const { session, plan, listener } = this;
    await listener.started?.(at);
    const operation = planned.also ? this.withoutThoseLeftOut(at - 2) : planned;
    if (this.out.has(finding)) return listener.ended?.(at, { words: 'left out', changed: false, locks: [] });
    try {
      const outcome = await perform(session, operation, plan);
      this.taken.push({ finding, operation }, ...this.carriedBy(operation));
      await listener.ended?.(at, outcome);
    } catch (error) {
      if (!(error instanceof SourceError) || error.reason === 'cancelled' || error.reason === 'lost') throw error;
      await listener.failed?.(at, error, finding);
      const against = await this.countAgainst(operation);
      const statement = statementOf(operation, plan);
      const says = inFull(error.message, against);
      const step = operationInWords(operation);
      await this.fail([{ finding, tried: true, step, statement, says, rows: against?.count ?? null }]);
    }
  }

  /** A step that others are done with, as it is now: what is left are the same steps, less those of remedies that are out. */
  private withoutThoseLeftOut(at: number): Operation {
    const before = this.plan.steps.slice(0, at).filter(({ finding }) => !this.out.has(finding)).length;
    const { operation } = (this.left.steps[before] ?? this.plan.steps[at]) as Step;
    return operation;
  }

  private carriedBy({ also = [] }: Operation): readonly Step[] {
    const carried = new Set(also.map((operation) => JSON.stringify(operation)));
    return carried.size === 0 ? [] : this.left.steps.filter(({ operation }) => carried.has(JSON.stringify(byItself(operation))));
  }

  private async againstTheStart(): Promise<readonly FailedRemedy[]> {
    const { session, plan, catalogue } = this;
    const found = new Map<FindingId, FailedRemedy>();
    for (const check of checksToStart(plan, 'forward', catalogue).filter(({ kind }) => kind !== 'notAllowed')) {
      const count = await countOf(session, check, plan);
      const finding = count === 0 ? null : findingOfCheck(plan, check);
      if (finding === null || found.has(finding)) continue;
      const says = `${foundInWords(check, count)}.`;
      found.set(finding, { finding, tried: true, step: 'Checks before', statement: '', says, rows: count });
    }
    return [...found.values()];
  }

  private async fail(remedies: readonly FailedRemedy[]): Promise<void> {
    if (remedies.length === 0) return;
    const lost = new Set(remedies.map(({ finding }) => finding));
    const { plan: next, resting } = leaveOut(this.left, lost, this.catalogue);
    const idle = resting.map(({ finding, message }): FailedRemedy => {
      const says = `It rests on what failed: ${message}`;
      return { finding, tried: false, step: remedies[0]?.step ?? '', statement: '', says, rows: null };
    });
    this.failed.push(...remedies, ...idle);
    for (const { finding } of [...remedies, ...idle]) this.out.add(finding);
    this.left = next;
    await this.undo();
  }

  // Half a remedy would stand in the way of others, and of the way back.
  private async undo(): Promise<void> {
    for (let at = this.taken.length - 1; at >= 0; at--) {
      const { finding, operation } = this.taken[at] as Step;
      if (!this.out.has(finding)) continue;
      this.taken.splice(at, 1);
      for (const inverse of inverseOf(operation)) await perform(this.session, inverse, this.plan);
    }
  }

  private async countAgainst(operation: Operation): Promise<{ readonly check: Check; readonly count: number } | null> {
    for (const check of checksFor(operation)) {
      // What the server refused may be refused to a check as well.
      const count = await countOf(this.session, check, this.plan).catch(() => 0);
      if (count > 0) return { check, count };
    }
    return null;
  }
}

type Step = Pick<Plan['steps'][number], 'finding' | 'operation'>;

function inFull(message: string, against: { readonly check: Check; readonly count: number } | null): string {
  return against ? `${message} ${foundInWords(against.check, against.count)}.` : message;
}
