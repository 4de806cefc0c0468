// One plan over the remedies of a docket, in an order that works: repairs, then keys, then indexes,
// then references, then NOT NULL, then names. The plan is tried in memory before anybody sees it:
// what does not fit together is a problem in words, never a script that fails half way.

import { apply, applyAll } from '../catalogue/apply';
import { foreignKeysOf, getTable } from '../catalogue/lookups';
import type { Catalogue, ForeignKey } from '../catalogue/model';
import { inferStyle } from '../naming/style';
import { startNaming } from '../remedies/names';
import { asItIs, operationsFor } from '../remedies/operations';
import type { Decision } from '../remedies/question';
import type { Finding, FindingId } from '../rules/rule';
import { type Check, checksAfter, checksBefore } from './checks';
import { type Candidate, changes, KeyMissing, type NeededKey, refuseConflict } from './conflicts';
import { type Cost, costOf, type Mode } from './locks';
import { type AddForeignKey, inverseOf, isRepair, type Operation } from './operations';
import { type Proof, proofsOf } from './proofs';

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
  const ordered = candidates.sort((a, b) => ranks[a.operation.kind] - ranks[b.operation.kind]);
  const fitting = keepWhatFits(ordered, catalogue, problems);
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
  const repairs = operations.filter((operation) => operation.kind === 'setAside' || operation.kind === 'addParents');
  const tables = new Set(repairs.map((repair) => (repair.kind === 'setAside' ? repair.table : repair.child)));
  return [...tables].flatMap((id) => {
    const table = getTable(catalogue, id);
    const isTouched = (key: ForeignKey): boolean =>
      repairs.some((repair) =>
        repair.kind === 'setAside'
          ? repair.table === id && changes(repair, key.columns)
          : repair.child === id && repair.table === key.parent,
      );
    return foreignKeysOf(table)
      .filter((key) => !key.validated && isTouched(key))
      .flatMap((key) => asItIs(table, key.name) ?? []);
  });
}

/** The catalogue after all steps of a plan. */
export function afterPlan(plan: Plan, catalogue: Catalogue): Catalogue {
  return applyAll(
    plan.steps.map((step) => step.operation),
    catalogue,
  );
}

// A remedy is carried out whole or not at all: when one of its operations does not fit, the others go too.
function keepWhatFits(candidates: readonly Candidate[], catalogue: Catalogue, problems: Problem[]): readonly Candidate[] {
  let current = catalogue;
  for (const { finding, operation } of candidates) {
    try {
      refuseConflict({ finding, operation }, candidates, catalogue, current);
      current = apply(operation, current);
    } catch (error) {
      problems.push(problemOf(finding, error));
      return keepWhatFits(
        candidates.filter((c) => c.finding !== finding),
        catalogue,
        problems,
      );
    }
  }
  return candidates;
}

function problemOf(finding: FindingId, error: unknown): Problem {
  const message = error instanceof Error ? error.message : String(error);
  return { finding, message, needs: error instanceof KeyMissing ? error.needs : null };
}
