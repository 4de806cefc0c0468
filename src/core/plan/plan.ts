// One plan over the remedies of a docket, in an order that works: repairs, then keys, then indexes,
// then references, then NOT NULL, then names. The plan is tried in memory before anybody sees it:
// what does not fit together is a problem in words, never a script that fails half way.

import { applyAll, applyTo } from '../catalogue/apply';
import { Draft } from '../catalogue/edit';
import type { TableId } from '../catalogue/identifiers';
import { findConstraint, foreignKeysOf, getTable } from '../catalogue/lookups';
import { groupBy } from '../grouping';
import type { Catalogue, ForeignKey } from '../catalogue/model';
import { inferStyle } from '../naming/style';
import { startNaming } from '../remedies/names';
import { asItIs, operationsFor } from '../remedies/operations';
import type { Decision } from '../remedies/question';
import type { Finding, FindingId } from '../rules/rule';
import { type Check, checksAfter, checksBefore } from './checks';
import { Beside, type Candidate, changes, refuseConflict } from './conflicts';
import { fitted } from './fitted';
import { type Cost, costOf, type Mode } from './locks';
import { type AddForeignKey, inverseOf, isRepair, type Operation } from './operations';
import { type Proof, proofsOf } from './proofs';
import { type NeededKey, Refusal } from './refusal';

export interface DecidedFinding {
  readonly finding: Finding;
  readonly decision: Decision;
}

export interface Plan {
  readonly mode: Mode;
  readonly steps: readonly Step[];
  /** Undoes all steps, last first. */
  readonly back: readonly Operation[];
  readonly before: readonly Check[];
  readonly after: readonly Check[];
  /** Why parts of the docket cannot be carried out as they are; those parts are not in the steps. */
  readonly problems: readonly Problem[];
  /** Undoes what was done of remedies that were taken out after a run had stopped; before all else, whichever way it goes. */
  readonly undo?: readonly Operation[];
}

export interface Step {
  readonly operation: Operation;
  readonly finding: FindingId;
  readonly cost: Cost;
  readonly proofs: readonly Proof[];
}

export interface Problem {
  readonly finding: FindingId;
  readonly message: string;
  /** The key that another remedy would have to make first. */
  readonly needs: NeededKey | null;
}

const ranks: Readonly<Record<Operation['kind'], number>> = {
  dropNotNull: -1,
  setAside: 0,
  addParents: 0,
  addIdentityColumn: 1,
  addPrimaryKey: 2,
  addUnique: 2,
  replaceKey: 2.5,
  createIndex: 3,
  addForeignKey: 4,
  setNotNull: 6,
  addCheck: 6,
  validateConstraint: 6.5,
  renameConstraint: 7,
  forgetValidation: 8,
  dropColumn: 8,
  dropConstraint: 8,
  dropIndex: 8,
  bringBack: 8,
  removeParents: 8,
  dropKept: 9,
  restoreKey: 9,
};

/** `label` tells this plan's side tables from those of others. */
export function planFor(decided: readonly DecidedFinding[], catalogue: Catalogue, label: string, mode: Mode): Plan {
  const naming = startNaming(catalogue, inferStyle(catalogue), label);
  const problems: Problem[] = [];
  const candidates: Candidate[] = [];
  for (const { finding, decision } of decided) {
    try {
      candidates.push(...operationsFor(finding, decision, naming).map((operation) => ({ finding: finding.id, operation })));
    } catch (error) {
      problems.push(problemOf(finding.id, error));
    }
  }
  // Stable: what one remedy does keeps its order.
  const ordered = candidates.sort((a, b) => ranks[a.operation.kind] - ranks[b.operation.kind]);
  return planOf(keepWhatFits(ordered, catalogue, problems), catalogue, mode, problems);
}

/** What is left of a plan without some of its remedies, and those that cannot be carried out without them. */
export function leaveOut(
  plan: Plan,
  findings: ReadonlySet<FindingId>,
  catalogue: Catalogue,
): { readonly plan: Plan; readonly resting: readonly Problem[] } {
  const resting: Problem[] = [];
  const fitting = keepWhatFits(
    plan.steps.filter(({ finding }) => !findings.has(finding)),
    catalogue,
    resting,
  );
  return { plan: planOf(fitting, catalogue, plan.mode, plan.problems), resting };
}

/** As `leaveOut`, of a plan of which some steps have been taken: those of what is left out are undone first. */
export function takeOut(plan: Plan, findings: ReadonlySet<FindingId>, catalogue: Catalogue): ReturnType<typeof leaveOut> {
  const left = leaveOut(plan, findings, catalogue);
  const out = new Set([...findings, ...left.resting.map(({ finding }) => finding)]);
  const undo = [...undoOf(plan, out), ...(plan.undo ?? [])];
  return { ...left, plan: { ...left.plan, undo } };
}

/** What undoes the steps of some remedies of a plan, last first. */
export function undoOf({ steps }: Plan, findings: ReadonlySet<FindingId>): readonly Operation[] {
  return steps
    .filter(({ finding }) => findings.has(finding))
    .toReversed()
    .flatMap(({ operation }) => inverseOf(operation));
}

/** A plan for a copy on which everything belongs to one role. */
export function ownedBy(plan: Plan, owner: string): Plan {
  const owned = <Kind extends Operation>(operation: Kind): Kind => ('owner' in operation ? { ...operation, owner } : operation);
  return {
    ...plan,
    steps: plan.steps.map((step) => ({ ...step, operation: owned(step.operation) })),
    back: plan.back.map(owned),
  };
}

function planOf(fitting: readonly Candidate[], catalogue: Catalogue, mode: Mode, problems: readonly Problem[]): Plan {
  const operations = fitting.map(({ operation }) => operation);
  return {
    mode,
    steps: fitting.map(({ operation, finding }) => ({
      operation,
      finding,
      cost: costOf(operation, mode),
      proofs: proofsOf(operation),
    })),
    back: backOf(operations, catalogue),
    before: checksBefore(operations),
    after: checksAfter(operations),
    problems,
  };
}

// A reference that holds for new rows only would refuse what a repair took away: it is dropped while that is put back.
function backOf(operations: readonly Operation[], catalogue: Catalogue): readonly Operation[] {
  const loose = looseReferences(operations, catalogue);
  const back = operations
    .toReversed()
    .flatMap(inverseOf)
    .filter((o) => o.kind !== 'forgetValidation' || !loose.some((key) => key.table === o.table && key.name === o.name));
  const at = back.findIndex(isRepair);
  const drops = loose.map(({ table, name }) => ({ kind: 'dropConstraint', table, name, isKey: false }) as const);
  return at < 0 ? back : [...back.slice(0, at), ...drops, ...back.slice(at), ...loose];
}

function looseReferences(operations: readonly Operation[], catalogue: Catalogue): readonly AddForeignKey[] {
  const repairs = operations.flatMap((operation): readonly { readonly on: TableId; readonly touches: Touches }[] => {
    if (operation.kind === 'setAside') return [{ on: operation.table, touches: (key) => changes(operation, key.columns) }];
    if (operation.kind !== 'addParents') return [];
    return [{ on: operation.child, touches: (key) => key.parent === operation.table }];
  });
  return [...groupBy(repairs, ({ on }) => on)].flatMap(([id, own]) => {
    const table = getTable(catalogue, id);
    return foreignKeysOf(table)
      .filter((key) => !key.validated && own.some(({ touches }) => touches(key)))
      .flatMap((key) => asItIs(table, key.name) ?? []);
  });
}

type Touches = (key: ForeignKey) => boolean;

/** The catalogue after all steps of a plan. */
export function afterPlan(plan: Plan, catalogue: Catalogue): Catalogue {
  return applyAll(
    plan.steps.map((step) => step.operation),
    catalogue,
  );
}

// A remedy is carried out whole or not at all: when one of its operations does not fit, what was done of it is undone.
// What went between may have rested on it, so all that is left is tried once more, until nothing is refused.
function keepWhatFits(candidates: readonly Candidate[], catalogue: Catalogue, problems: Problem[]): readonly Candidate[] {
  const refused = new Set<FindingId>();
  const own = groupBy(candidates, ({ finding }) => finding);
  const beside = new Beside(candidates);
  const current = new Draft(catalogue);
  const applied = new Map<FindingId, Operation[]>();
  const fitting: Candidate[] = [];
  let undone = false;
  for (const candidate of candidates) {
    const { finding } = candidate;
    if (refused.has(finding)) continue;
    const done = applied.get(finding) ?? [];
    try {
      refuseConflict(candidate, beside, catalogue, current);
      const operation = fitted(candidate.operation, current);
      if (isValidated(operation, current)) continue;
      applyTo(current, operation);
      fitting.push({ finding, operation });
      applied.set(finding, [...done, operation]);
    } catch (error) {
      problems.push(problemOf(finding, error));
      refused.add(finding);
      for (const other of own.get(finding) ?? []) beside.leaveOut(other);
      for (const undo of done.toReversed().flatMap(inverseOf)) applyTo(current, undo);
      undone ||= done.length > 0;
    }
  }
  const left = (some: readonly Candidate[]) => some.filter(({ finding }) => !refused.has(finding));
  return undone ? keepWhatFits(left(candidates), catalogue, problems) : left(fitting);
}

// What was added with all rows checked needs no second look.
function isValidated(operation: Operation, current: Draft): boolean {
  if (operation.kind !== 'validateConstraint' || operation.before) return false;
  return findConstraint(current.get(operation.table), operation.name)?.validated === true;
}

/** Throws what is no refusal: that is a bug, and shows as one. */
function problemOf(finding: FindingId, error: unknown): Problem {
  if (!(error instanceof Refusal)) throw error;
  return { finding, message: error.message, needs: error.needs };
}
