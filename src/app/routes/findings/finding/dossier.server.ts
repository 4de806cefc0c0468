// All that a finding's dossier shows, put together from the record and the catalogue.

import { visible } from '~/core/naming/visible';
import { getSettings } from '~/store/sources/settings';
import { findSpeed } from '~/store/surveys/surveys';
import { notFound } from '~/app/server/ids.server';
import { columnInWords, constraintInWords, indexInWords, referenceInWords } from '~/core/catalogue/inWords';
import { tableId } from '~/core/catalogue/identifiers';
import { findConstraint, findTable } from '~/core/catalogue/lookups';
import type { Catalogue, Table } from '~/core/catalogue/model';
import { engineOf } from '~/core/engines/index';
import { isProposable, type KeyCandidate } from '~/core/evidence/keys';
import { operationInWords } from '~/core/operations/index';
import type { Mode } from '~/core/plan/cost';
import { chosenReference } from '~/core/remedies/reference/parent';
import { isScripted, outcomeInWords, questionsFor, touchingOf } from '~/core/remedies/index';
import { type DecidedFinding, planFor } from '~/core/plan/plan';
import { costInWords } from '~/core/plan/times';
import { isGone } from '~/core/ratchet/mended';
import { completeDecision, type Decision } from '~/core/remedies/question';
import { rowsOf, tableOf, wordsOf } from '~/core/rules/audit';
import type { Finding } from '~/core/rules/finding';
import { findDocketOf } from '~/store/dockets/dockets';
import { findRefusal } from '~/store/dockets/refusals';
import { listProofsOfFinding } from '~/store/dockets/runs';
import { coreFinding, findFinding, type FindingRow, listAmounts, listEvents } from '~/store/findings/findings';
import { findTurn, listEarlierSelves } from '~/store/findings/sameness';
import { latestCatalogue } from '~/work/catalogues';
import { mostEarlier } from '~/work/sameness';
import { findingsToMake } from '~/work/dockets/contents';
import { usualMode } from '~/work/dockets/planned';
import { type Room, seesRows } from '~/work/enter';
import type { FindingRowId } from '~/store/ids';

/**
 * Throws a 404 page when there is no such finding. `answers` are those chosen in the address; null where nobody decides, and its
 * remedy is not planned.
 */
export async function dossierOf(room: Room, id: FindingRowId, answers: Decision | null) {
  const { source, store } = room;
  const row = await findFinding(store, source.id, id);
  if (!row) throw notFound(`There is no finding ${id}`, 'It may belong to another source.');
  const [catalogue, events, amounts, docket, proofs, refusal, earlier, turn] = await Promise.all([
    latestCatalogue(store, source.id),
    listEvents(store, id),
    listAmounts(store, id),
    findDocketOf(store, id),
    listProofsOfFinding(store, id, { rows: seesRows(room) }),
    findRefusal(store, id),
    listEarlierSelves(store, id, mostEarlier),
    findTurn(store, id),
  ]);
  const finding = coreFinding(row);
  const present = catalogue !== null && !isGone(finding, catalogue);
  const mendable = present && needsRemedy(row);
  return {
    id: row.id,
    rule: row.rule,
    severity: row.severity,
    confidence: row.confidence,
    state: row.state,
    reason: row.reason && visible(row.reason),
    firstSeenAt: row.firstSeenAt,
    stateAt: row.stateAt,
    table: row.tableId,
    source: source.id,
    proposal: row.proposal.kind,
    words: wordsOf(finding),
    declared: present ? declared(finding, catalogue) : [],
    inWords:
      present && finding.proposal.kind === 'foreignKey'
        ? visible(
            referenceInWords(catalogue, tableOf(finding.object), finding.proposal.columns, finding.proposal.references.table),
          )
        : null,
    hasRows: present && rowsOf(finding) !== null,
    candidates: candidatesOf(finding),
    byHand: !isScripted(finding.proposal),
    mendable,
    remedy:
      mendable && answers !== null
        ? await remedy(
            room,
            { finding, decision: { ...(docket?.decision ?? {}), ...answers } },
            catalogue,
            docket?.mode ?? usualMode(source.environment),
          )
        : null,
    docket: docket && { id: docket.docketId, name: docket.name, state: docket.state, decision: docket.decision },
    events: events.map((event) => ({ ...event, reason: event.reason && visible(event.reason) })),
    amounts,
    care: row.care,
    // Which it may have been once, and what it was before it went on as this.
    earlier: earlier.map((one) => ({ ...one, place: visible(one.place) })),
    formerly: turn && visible(turn.place),
    proofs,
    // What the database said of its remedy when it was last tried.
    refusal: refusal && { ...refusal, step: visible(refusal.step), says: visible(refusal.says) },
  };
}

function needsRemedy(row: FindingRow): boolean {
  return isScripted(row.proposal) && ['Open', 'Slipped', 'Docketed'].includes(row.state);
}

/** The candidate keys of a table without one, to be compared. */
function candidatesOf(finding: Finding) {
  if (finding.rule !== 'keys/missing') return [];
  // One that was brought tells of none.
  const { candidates = [] } = finding.facts as { readonly candidates?: readonly KeyCandidate[] };
  return candidates.map((key) => ({
    columns: key.columns.join(', '),
    unique: { exact: 'exactly', sample: 'in a sample', statistics: 'by statistics' }[key.how.kind],
    empty: key.nullRows,
    good: isProposable(key),
    score: key.score,
    reasons: key.reasons,
  }));
}

interface DeclaredLine {
  readonly label: string;
  readonly text: string;
  /** True for a constraint, whose statements can be asked for by its name. */
  readonly named?: boolean;
}

/** An index or a trigger of that name. */
function partOf({ indexes, triggers }: Table, name: string): readonly DeclaredLine[] | null {
  const index = indexes.find((one) => one.name === name);
  if (index) return [{ label: name, text: visible(indexInWords(index)), named: true }];
  const trigger = triggers.find((one) => one.name === name);
  return trigger
    ? [{ label: name, text: visible(`TRIGGER ${trigger.function}${trigger.enabled ? '' : ', switched off'}`) }]
    : null;
}

function declared(finding: Finding, catalogue: Catalogue): readonly DeclaredLine[] {
  const table = findTable(catalogue, tableOf(finding.object));
  if (!table) return [];
  const own = finding.object.columns.flatMap((name) => {
    const column = table.columns.find((c) => c.name === name);
    return column ? [{ label: name, text: visible(columnInWords(column, table)) }] : [];
  });
  if (finding.object.name !== undefined) {
    const constraint = findConstraint(table, finding.object.name);
    return constraint
      ? [{ label: constraint.name, text: visible(constraintInWords(constraint)), named: true }]
      : (partOf(table, finding.object.name) ?? own);
  }
  if (finding.proposal.kind === 'foreignKey') {
    const { schema, table: name, columns } = finding.proposal.references;
    const parent = findTable(catalogue, tableId(schema, name));
    const target = columns.flatMap((c) => parent?.columns.find((column) => column.name === c) ?? []);
    return [
      ...own.map((line) => ({ ...line, label: 'child', text: `${line.label} ${line.text}` })),
      ...target.map((column) => ({
        label: 'parent',
        text: `${schema}.${name}.${column.name} ${parent ? columnInWords(column, parent) : ''}`,
      })),
    ];
  }
  if (own.length > 0) return own;
  return [{ label: 'columns', text: table.columns.map((c) => c.name).join(', ') }];
}

async function remedy(room: Room, { finding, decision: chosen }: DecidedFinding, catalogue: Catalogue, mode: Mode) {
  const questions = questionsFor(finding, catalogue, chosen);
  const decision = completeDecision(questions, chosen);
  const { source, store } = room;
  const { templates: adopted } = await getSettings(store, source.id);
  const plan = planFor([{ finding, decision }], catalogue, { label: 'docket', mode, adopted });
  const speed = await findSpeed(store, source.id);
  const needed = await Promise.all(plan.problems.flatMap(({ needs }) => (needs ? [findingsToMake(room, needs)] : [])));
  const heading = { title: finding.rule, source: source.name, madeAt: catalogue.engine.version };
  const { dialect } = engineOf(catalogue);
  const touching = touchingOf(finding, catalogue);
  const statements = dialect.statementScripts(plan, heading);
  const guarded = dialect.scripts(plan, heading);
  return {
    questions,
    decision,
    parent: chosenReference(finding, catalogue, decision)?.references ?? null,
    outcome: outcomeInWords(finding, decision, catalogue),
    possible: plan.steps.length > 0,
    scripts: {
      statements: { forward: body(statements.forward), back: body(statements.back) },
      guarded: { forward: guarded.forward, back: guarded.back },
    },
    problems: plan.problems.map((problem) => problem.message),
    needed: needed.flat().map((row) => ({ id: row.id, message: wordsOf(row).message })),
    costs: plan.steps.map(({ operation, cost }) => ({
      step: operationInWords(operation),
      ...costInWords(operation, cost, catalogue, speed),
    })),
    touches: touching && { known: touching.known, resting: touching.resting },
  };
}

// What the page says above it need not stand in it.
function body(script: string): string {
  return script.split('\n\n').slice(1).join('\n\n').trimEnd();
}

export type Dossier = Awaited<ReturnType<typeof dossierOf>>;
