// One plan over the remedies of a docket, in an order that works: repairs, then keys, then indexes,
// then references, then NOT NULL, then names. The plan is tried in memory before anybody sees it:
// what does not fit together is a problem in words, never a script that fails half way.

import { apply, applyAll } from '../catalogue/apply';
import { declaredUniques, foreignKeysOf, getTable, sameColumnSet } from '../catalogue/lookups';
import type { TableId } from '../catalogue/identifiers';
import type { Catalogue, ForeignKey } from '../catalogue/model';
import { columnsOfClaim } from '../evidence/claims';
import { inferStyle } from '../naming/style';
import { startNaming } from '../remedies/names';
import { asItIs, operationsFor } from '../remedies/operations';
import type { Decision } from '../remedies/question';
import type { Finding, FindingId } from '../rules/rule';
import { type Check, checksAfter, checksBefore } from './checks';
import { type Cost, costOf, type Mode } from './locks';
import { type AddForeignKey, inverseOf, isRepair, type Operation, type SetAside } from './operations';
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

export interface NeededKey {
  readonly table: TableId;
  readonly columns: readonly string[];
}

class KeyMissing extends Error {
  constructor(
    message: string,
    readonly needs: NeededKey,
  ) {
    super(message);
  }
}

const ranks: Readonly<Record<Operation['kind'], number>> = {
  dropNotNull: -1,
  setAside: 0,
  addParents: 0,
  addIdentityColumn: 1,
  addPrimaryKey: 2,
  addUnique: 2,
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

function changes({ change }: SetAside, columns: readonly string[]): boolean {
  return change.kind === 'remove' || change.columns.some(({ column }) => columns.includes(column));
}

// A check that holds for new rows only would refuse them too; what it says is not ours to write again.
function refuseLooseChecks(operation: Operation, catalogue: Catalogue): void {
  if (operation.kind !== 'setAside') return;
  const check = getTable(catalogue, operation.table).constraints.find(
    (c) => c.kind === 'check' && !c.validated && changes(operation, c.columns),
  );
  if (check)
    throw new Error(
      `The check ${check.name} of ${operation.table} was never validated, so the rows might not be let back in as they were. Validate or drop it first.`,
    );
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
      refuseEmptied(operation, candidates, catalogue);
      refuseFilled({ finding, operation }, candidates);
      refuseBereft({ finding, operation }, candidates);
      refuseLooseChecks(operation, catalogue);
      refuseUnheldParent(operation, current);
      refuseRepetition(operation, current);
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

function refuseUnheldParent(operation: Operation, catalogue: Catalogue): void {
  if (operation.kind !== 'addForeignKey') return;
  const parent = getTable(catalogue, operation.parent);
  if (declaredUniques(parent).some((unique) => sameColumnSet(unique, operation.parentColumns))) return;
  throw new KeyMissing(
    `A reference to ${parent.id} needs its ${operation.parentColumns.join(', ')} to be a key. Add the remedy for the missing key of ${parent.id} to this docket.`,
    { table: parent.id, columns: operation.parentColumns },
  );
}

// What one remedy empties, another cannot make mandatory.
function refuseEmptied(operation: Operation, candidates: readonly Candidate[], catalogue: Catalogue): void {
  const columns =
    operation.kind === 'setNotNull' ? [operation.column] : operation.kind === 'addPrimaryKey' ? operation.columns : [];
  for (const { operation: repair } of candidates) {
    const nulled = repair.table === operation.table ? columnsLeftEmpty(repair, catalogue) : [];
    const emptied = columns.find((column) => nulled.includes(column));
    if (emptied !== undefined)
      throw new Error(
        `${operation.table}.${emptied} cannot be made never empty: another remedy of this docket leaves it empty in some rows. Choose another repair there, or leave it nullable.`,
      );
  }
}

function columnsLeftEmpty(repair: Operation, catalogue: Catalogue): readonly string[] {
  if (repair.kind === 'setAside' && repair.change.kind === 'fill')
    return repair.change.columns.filter((filled) => filled.with.kind === 'null').map(({ column }) => column);
  if (repair.kind !== 'addParents') return [];
  return getTable(catalogue, repair.table)
    .columns.filter((c) => !repair.reference.parentColumns.includes(c.name) && c.default === null && c.identity === null)
    .map((c) => c.name);
}

// What one remedy writes into rows, another cannot bind: nobody has looked whether it keeps to the rule.
function refuseFilled({ finding, operation }: Candidate, candidates: readonly Candidate[]): void {
  const bound = columnsBound(operation);
  if (bound.length === 0) return;
  for (const { finding: other, operation: repair } of candidates) {
    if (other === finding || repair.kind !== 'setAside' || repair.table !== operation.table || repair.change.kind !== 'fill')
      continue;
    const filled = repair.change.columns.find(
      (f) => f.with.kind !== 'null' && f.with.kind !== 'kept' && bound.includes(f.column),
    );
    if (filled)
      throw new Error(
        `Another remedy of this docket writes ${filled.column} of ${operation.table} in some rows, and nobody has looked whether that keeps to this rule. Run that first, and survey again.`,
      );
  }
}

// What one remedy removes may be a parent that another's reference needs, and nobody has looked.
function refuseBereft({ finding, operation }: Candidate, candidates: readonly Candidate[]): void {
  if (operation.kind !== 'addForeignKey') return;
  for (const { finding: other, operation: repair } of candidates) {
    if (other === finding || repair.kind !== 'setAside' || repair.change.kind !== 'remove') continue;
    if (repair.table !== operation.parent || isFollowed(operation, repair, candidates)) continue;
    throw new Error(
      `Another remedy of this docket removes rows of ${operation.parent}, and nobody has looked whether ${operation.table} refers to them. Run that first, and survey again.`,
    );
  }
}

// Of rows that repeat one stays: who refers to them by what repeats, or is pointed to the kept one, loses nothing.
function isFollowed(reference: AddForeignKey, { rows }: SetAside, candidates: readonly Candidate[]): boolean {
  if (rows.kind !== 'repeats') return false;
  if (sameColumnSet(rows.columns, reference.parentColumns)) return true;
  return candidates.some(
    ({ operation: o }) =>
      o.kind === 'setAside' &&
      o.table === reference.table &&
      o.rows.kind === 'childrenOfRepeats' &&
      o.rows.reference.parent === reference.parent &&
      sameColumnSet(o.rows.reference.columns, reference.columns),
  );
}

function columnsBound(operation: Operation): readonly string[] {
  switch (operation.kind) {
    case 'addUnique':
    case 'addPrimaryKey':
    case 'addForeignKey':
      return operation.columns;
    case 'addCheck':
      return columnsOfClaim(operation.claim);
    default:
      return [];
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
  if ('index' in operation && operation.index !== null) {
    if (table.indexes.some((index) => index.name === operation.index && index.constraint === null)) return;
    throw new Error(`The index ${operation.index} of ${table.id} is made a key by another remedy of this docket already.`);
  }
  if (operation.kind === 'addUnique' && declaredUniques(table).some((unique) => sameColumnSet(unique, operation.columns))) {
    throw new Error(
      `${operation.columns.join(', ')} of ${table.id} is unique already, or another remedy of this docket makes it so.`,
    );
  }
}

function problemOf(finding: FindingId, error: unknown): Problem {
  const message = error instanceof Error ? error.message : String(error);
  return { finding, message, needs: error instanceof KeyMissing ? error.needs : null };
}
