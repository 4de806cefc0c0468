// One plan over the remedies of a docket, in an order that works: repairs, then keys, then indexes,
// then references, then NOT NULL, then names. The plan is tried in memory before anybody sees it:
// what does not fit together is a problem in words, never a script that fails half way.

import { Draft } from '../catalogue/draft';
import { foreignKeysOf, getTable } from '../catalogue/lookups';
import type { Catalogue } from '../catalogue/model';
import { engineOf } from '../engines/index';
import { groupBy } from '../grouping';
import { type Adopted, styleOf } from '../naming/style';
import { type AddForeignKey, asItIs } from '../operations/add-foreign-key';
import { Beside, type Candidate } from '../operations/beside';
import { applyAll, applyTo, inverseOf, kindOf, type Operation } from '../operations/index';
import { Refusal } from '../operations/refusal';
import { startNaming } from '../remedies/names';
import { operationsFor } from '../remedies/index';
import type { Decision } from '../remedies/question';
import type { Finding } from '../rules/finding';
import type { FindingId } from '../catalogue/identifiers';
import { checksAfter, checksBefore } from './checks';
import { conflictOf } from './conflicts';
import type { Mode } from './cost';
import { fitted, groundOf } from './fit';
import { inTurn } from './order';
import { recordFor } from './record';
import type { Plan, Problem } from './shape';

export interface DecidedFinding {
  readonly finding: Finding;
  readonly decision: Decision;
}

export interface PlanOptions {
  /** Tells this plan's side tables from those of others. */
  readonly label: string;
  readonly mode: Mode;
  /** The templates that new names follow. */
  readonly adopted?: Adopted;
}

export function planFor(decided: readonly DecidedFinding[], catalogue: Catalogue, { label, mode, adopted }: PlanOptions): Plan {
  const naming = startNaming(catalogue, styleOf(catalogue, adopted), label);
  const problems: Problem[] = [];
  const candidates: Candidate[] = [];
  for (const { finding, decision } of decided) {
    const operations = operationsFor(finding, decision, naming);
    if (operations instanceof Refusal) problems.push(problemOf(finding.id, operations));
    else candidates.push(...operations.map((operation) => ({ finding: finding.id, operation })));
  }
  return planOf(keepWhatFits(inTurn(candidates, catalogue, engineOf(catalogue).dialect.plans), catalogue, problems), catalogue, {
    mode,
    problems,
    label,
  });
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
  return { plan: planOf(fitting, catalogue, plan), resting };
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

function planOf(
  fitting: readonly Candidate[],
  catalogue: Catalogue,
  { mode, problems, label, record: former }: Pick<Plan, 'mode' | 'problems' | 'label' | 'record'>,
): Plan {
  const { dialect } = engineOf(catalogue);
  const together = (some: readonly Operation[]) => dialect.plans?.together(some) ?? some;
  const operations = together(fitting.map(({ operation }) => operation));
  const record = label === undefined ? null : recordFor(operations, catalogue, label);
  return {
    engine: catalogue.engine.name,
    mode,
    ...(label !== undefined && { label }),
    // What was written down before some of it was left out stands where it was.
    ...(record && { record: former ? { ...record, table: former.table } : record }),
    steps: operations.map((operation, at) => ({
      operation,
      finding: (fitting[at] as Candidate).finding,
      cost: dialect.cost(operation, mode),
      proofs: kindOf(operation).proofs?.(operation) ?? [],
    })),
    back: together(backOf(operations, catalogue)),
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
    .filter((o) => o.kind !== 'uncheckRows' || !loose.some((key) => key.table === o.table && key.name === o.name));
  const at = back.findIndex((o) => 'sideTable' in o);
  const drops = loose.map(({ table, name }) => ({ kind: 'dropConstraint', table, name, isKey: false }) as const);
  return at < 0 ? back : [...back.slice(0, at), ...drops, ...back.slice(at), ...loose];
}

function looseReferences(operations: readonly Operation[], catalogue: Catalogue): readonly AddForeignKey[] {
  const repairs = operations.flatMap((operation) => kindOf(operation).mends?.(operation) ?? []);
  return [...groupBy(repairs, ({ rowsOf }) => rowsOf)].flatMap(([id, own]) => {
    const table = getTable(catalogue, id);
    return foreignKeysOf(table)
      .filter((key) => !key.validated && own.some((mends) => mends.alters(key)))
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

// A remedy is carried out whole or not at all: when one of its operations does not fit, what was done of it is undone.
// What went between may have rested on it, so all that is left is tried once more, until nothing is refused.
function keepWhatFits(candidates: readonly Candidate[], catalogue: Catalogue, problems: Problem[]): readonly Candidate[] {
  const refused = new Set<FindingId>();
  const own = groupBy(candidates, ({ finding }) => finding);
  const beside = new Beside(candidates);
  const current = new Draft(catalogue);
  const ground = groundOf(catalogue, current);
  const { plans } = engineOf(catalogue).dialect;
  const applied = new Map<FindingId, Operation[]>();
  const fitting: Candidate[] = [];
  let undone = false;
  for (const candidate of candidates) {
    const { finding } = candidate;
    if (refused.has(finding)) continue;
    const done = applied.get(finding) ?? [];
    const operation = conflictOf(candidate, beside, catalogue, current) ?? fitted(candidate.operation, ground, plans);
    if (operation instanceof Refusal) {
      problems.push(problemOf(finding, operation));
      refused.add(finding);
      for (const other of own.get(finding) ?? []) beside.leaveOut(other);
      for (const undo of done.toReversed().flatMap(inverseOf)) applyTo(current, undo);
      undone ||= done.length > 0;
      continue;
    }
    applyTo(current, operation);
    fitting.push({ finding, operation });
    applied.set(finding, [...done, operation]);
  }
  const left = (some: readonly Candidate[]) => some.filter(({ finding }) => !refused.has(finding));
  return undone ? keepWhatFits(left(candidates), catalogue, problems) : left(fitting);
}

function problemOf(finding: FindingId, { message, needs }: Refusal): Problem {
  return { finding, message, needs };
}
