// One plan over the remedies of a docket, in an order that works: repairs, then keys, then indexes,
// then references, then NOT NULL, then names. The plan is tried in memory before anybody sees it:
// what does not fit together is a problem in words, never a script that fails half way.

import { apply, applyAll } from '../catalogue/apply';
import { declaredUniques, getTable, sameColumnSet } from '../catalogue/lookups';
import type { Catalogue } from '../catalogue/model';
import { inferStyle } from '../naming/style';
import { operationsFor, startNaming } from '../remedies/operations';
import type { Decision } from '../remedies/questions';
import type { Finding, FindingId } from '../rules/rule';
import { type Check, checksAfter, checksBefore } from './checks';
import { type Cost, costOf, type Mode } from './locks';
import { inverseOf, type Operation } from './operations';
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
}

const ranks: Readonly<Record<Operation['kind'], number>> = {
  setAsideOrphans: 0,
  addIdentityColumn: 1,
  addPrimaryKey: 2,
  addUnique: 2,
  createIndex: 3,
  addForeignKey: 4,
  validateConstraint: 5,
  setNotNull: 6,
  renameConstraint: 7,
  forgetValidation: 8,
  dropColumn: 8,
  dropConstraint: 8,
  dropIndex: 8,
  dropNotNull: 8,
  bringBackOrphans: 8,
};

/** `label` tells this plan's side tables from those of others. */
export function planFor(decided: readonly DecidedFinding[], catalogue: Catalogue, label: string, mode: Mode): Plan {
  const naming = startNaming(catalogue, inferStyle(catalogue), label);
  const problems: Problem[] = [];
  const candidates: { readonly finding: FindingId; readonly operation: Operation }[] = [];
  for (const { finding, decision } of decided) {
    try {
      candidates.push(...operationsFor(finding, decision, naming).map((operation) => ({ finding: finding.id, operation })));
    } catch (error) {
      problems.push({ finding: finding.id, message: reasonOf(error) });
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
    back: operations.toReversed().flatMap(inverseOf),
    before: checksBefore(operations),
    after: checksAfter(operations),
    problems,
  };
}

/** The catalogue after all steps of a plan. */
export function afterPlan(plan: Plan, catalogue: Catalogue): Catalogue {
  return applyAll(
    plan.steps.map((step) => step.operation),
    catalogue,
  );
}

interface Candidate {
  readonly finding: FindingId;
  readonly operation: Operation;
}

// A remedy is carried out whole or not at all: when one of its operations does not fit, the others go too.
function keepWhatFits(candidates: readonly Candidate[], catalogue: Catalogue, problems: Problem[]): readonly Candidate[] {
  let current = catalogue;
  for (const { finding, operation } of candidates) {
    try {
      refuseEmptied(operation, candidates);
      refuseUnheldParent(operation, current);
      refuseRepetition(operation, current);
      current = apply(operation, current);
    } catch (error) {
      problems.push({ finding, message: reasonOf(error) });
      return keepWhatFits(
        candidates.filter((c) => c.finding !== finding),
        catalogue,
        problems,
      );
    }
  }
  return candidates;
}

function refuseUnheldParent(operation: Operation, catalogue: Catalogue): void {
  if (operation.kind !== 'addForeignKey') return;
  const parent = getTable(catalogue, operation.parent);
  if (declaredUniques(parent).some((unique) => sameColumnSet(unique, operation.parentColumns))) return;
  throw new Error(
    `A reference to ${parent.id} needs its ${operation.parentColumns.join(', ')} to be a key. Add the remedy for the missing key of ${parent.id} to this docket.`,
  );
}

// What one remedy empties, another cannot make mandatory.
function refuseEmptied(operation: Operation, candidates: readonly Candidate[]): void {
  const columns =
    operation.kind === 'setNotNull' ? [operation.column] : operation.kind === 'addPrimaryKey' ? operation.columns : [];
  for (const { operation: repair } of candidates) {
    if (repair.kind !== 'setAsideOrphans' || repair.how !== 'empty' || repair.table !== operation.table) continue;
    const emptied = columns.find((column) => repair.reference.columns.includes(column));
    if (emptied !== undefined)
      throw new Error(
        `${operation.table}.${emptied} cannot be made never empty: another remedy of this docket empties it in its orphans. Remove the orphans instead, or leave it nullable.`,
      );
  }
}

function refuseRepetition(operation: Operation, catalogue: Catalogue): void {
  const table = getTable(catalogue, operation.table);
  if (operation.kind === 'addPrimaryKey' && table.constraints.some((c) => c.kind === 'primary key')) {
    throw new Error(`${table.id} has a primary key already. Survey again.`);
  }
  if (operation.kind === 'setNotNull' && table.columns.some((c) => c.name === operation.column && !c.nullable)) {
    throw new Error(`${table.id}.${operation.column} is NOT NULL already, or another remedy of this docket makes it so.`);
  }
  if (operation.kind === 'addUnique' && declaredUniques(table).some((unique) => sameColumnSet(unique, operation.columns))) {
    throw new Error(
      `${operation.columns.join(', ')} of ${table.id} is unique already, or another remedy of this docket makes it so.`,
    );
  }
}

function reasonOf(error: unknown): string {
  return error instanceof Error ? error.message : String(error);
}
