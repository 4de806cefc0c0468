// All that a docket's page shows, put together from the record, the plan and the catalogue.

import { notFound } from '~/app/server/ids.server';
import type { Catalogue } from '~/core/catalogue/model';
import { notTriedInWords, traitsOf } from '~/core/engines/facts';
import { engineNamed, engineOf } from '~/core/engines/index';
import { visible } from '~/core/naming/visible';
import { operationInWords } from '~/core/operations/index';
import { operationsOf } from '~/core/plan/direction';
import type { Rehearsal } from '~/core/plan/rehearsal';
import type { Plan, Problem } from '~/core/plan/shape';
import { costInWords, type Speed, wholeTime } from '~/core/plan/times';
import { objectInWords } from '~/core/ratchet/mended';
import { may, type Right } from '~/core/rights/rights';
import { wordsOf } from '~/core/rules/audit';
import { sourceKind } from '~/sources/index';
import { type DocketRow, findDocket } from '~/store/dockets/dockets';
import { listOwed } from '~/store/dockets/owedRemovals';
import { listRefusals, type RefusalRow } from '~/store/dockets/refusals';
import { findLastRehearsal } from '~/store/dockets/rehearsals';
import { listProofsOfRun, listRuns, listSteps } from '~/store/dockets/runs';
import type { FindingRow } from '~/store/findings/findings';
import type { DocketId } from '~/store/ids';
import { lastEntryId } from '~/store/journal/journal';
import { listDocketEvents } from '~/store/ratchet/history';
import type { SourceRow } from '~/store/sources/sources';
import { findSpeed } from '~/store/surveys/surveys';
import { whoMay } from '~/work/actor';
import { findingsToMake } from '~/work/dockets/contents';
import { placeOf, planDocket } from '~/work/dockets/planned';
import { rehearsalPlace } from '~/work/dockets/rehearsing';
import { destinationOf } from '~/work/dockets/signing';
import { type Room, seesRows } from '~/work/enter';
import type { Instead } from './AsShown';

const dayMs = 24 * 3_600_000;

/** Throws a 404 page when there is no such docket. */
export async function docketPageOf(room: Room, id: DocketId) {
  const { source, store, actor } = room;
  // Before the docket is read: what is done meanwhile is told of rather once too often.
  const seen = await lastEntryId(store);
  const docket = await findDocket(store, source.id, id);
  if (!docket) throw notFound(`There is no docket ${id}`, 'It may have been discarded.');
  const [{ rows, plan, catalogue, digest }, speed, rehearsal, refusals, owed, run, events, instead] = await Promise.all([
    planDocket(store, source, docket),
    findSpeed(store, source.id),
    findLastRehearsal(store, id),
    listRefusals(store, id),
    listOwed(store, id),
    lastRun(room, id),
    listDocketEvents(store, id),
    insteadOf(room),
  ]);
  const byId = new Map(rows.map((row) => [row.id, row]));
  return {
    source,
    docket,
    you: actor.person?.id ?? null,
    shown: { digest, seen },
    instead,
    findings: rows.map(inList),
    ...whatComesOfIt(plan, catalogue, speed),
    leftOut: await Promise.all((plan?.problems ?? []).map((problem) => leftOut(room, problem, rows))),
    server: serverOf(catalogue),
    destination: { ...destinationOf(source), place: placeOf(source) },
    backupOld: docket.backupAt !== null && Date.now() - Date.parse(docket.backupAt) > dayMs,
    place: await copyPlace(room, catalogue),
    rehearsal: rehearsal && { ...rehearsal, report: rehearsal.report && asShown(rehearsal.report) },
    refusals: refusals.map((refusal) => refusedInWords(refusal, byId.get(refusal.findingId))),
    owed,
    ...elsewhere(source, docket),
    run,
    events,
  };
}

export type DocketPage = Awaited<ReturnType<typeof docketPageOf>>;

/** Who may do what the one who looks may not; null where they may themselves. */
async function insteadOf({ store, source, actor }: Room): Promise<Instead> {
  const others = async (right: Right): Promise<string | null> =>
    may(actor.bounds, right, source.id) ? null : whoMay(store, right, source.id);
  return {
    plan: await others('plan'),
    sign: await others('sign'),
    run: await others('run'),
    vouch: await others('vouch'),
    server: await others('chooseRehearsalServer'),
  };
}

function inList(row: FindingRow) {
  const { title, message } = wordsOf(row);
  return { id: row.id, severity: row.severity, state: row.state, title, message };
}

/** Its steps in words, what they take, and what its repairs leave. */
function whatComesOfIt(plan: Plan | null, catalogue: Catalogue | null, speed: Speed | null) {
  if (!plan || !catalogue) return { planned: false, steps: [], time: null, kept: [] };
  const { dialect } = engineOf(catalogue);
  return {
    // Something is to be done, if only undone.
    planned: operationsOf(plan, 'forward').length > 0,
    steps: plan.steps.map(({ operation, cost }) => ({
      title: visible(operationInWords(operation)),
      transaction: !dialect.stages(operation, plan.mode).some((stage) => stage.alone),
      ...costInWords(operation, cost, catalogue, speed),
    })),
    time: wholeTime(plan, catalogue, speed),
    kept: operationsOf(plan, 'clear').map((operation) => visible(operationInWords(operation))),
  };
}

/** A finding that the plan leaves out: why, and what it wants beside it. */
async function leftOut(room: Room, { finding, message, needs }: Problem, rows: readonly FindingRow[]) {
  const row = rows.find(({ identity }) => identity === finding);
  const needed = needs ? await findingsToMake(room, needs) : [];
  return {
    finding,
    title: row ? wordsOf(row).title : finding,
    message: visible(message),
    needed: needed.map((one) => ({ id: one.id, message: wordsOf(one).message })),
  };
}

/** What is to be known of the server before anything runs there. */
function serverOf(catalogue: Catalogue | null) {
  if (!catalogue) return { inTransaction: true, outlivesCrashes: true, notTried: null };
  const { transactionalDdl, outlivesCrashes } = traitsOf(catalogue);
  return { inTransaction: transactionalDdl, outlivesCrashes, notTried: notTriedInWords(catalogue.engine) };
}

/** Where it is rehearsed; null where no copy can be made. */
async function copyPlace({ store, source }: Room, catalogue: Catalogue | null) {
  const { scratch } = sourceKind(source.kind);
  if (!scratch) return null;
  return {
    server: (await rehearsalPlace(store, source)).words,
    example: scratch.example,
    confirm: source.environment === 'production',
    bytes: (catalogue?.tables ?? []).reduce((sum, table) => sum + (table.bytes ?? 0), 0),
  };
}

// Statements are looked at where something failed; those of thousands of steps that went well would weigh on every look.
function asShown(report: Rehearsal): Rehearsal {
  return {
    ...report,
    failed: [],
    parts: report.parts.map((part) => ({
      ...part,
      lines: part.lines.map((line) => (line.ok ? { ...line, statement: '' } : line)),
    })),
  };
}

function refusedInWords(refusal: RefusalRow, row: FindingRow | undefined) {
  return {
    ...refusal,
    step: visible(refusal.step),
    says: visible(refusal.says),
    title: row ? `${wordsOf(row).title}: ${objectInWords(row.object)}` : '',
  };
}

/** The way by which it is run from here, null where there is none; and its server's own client, for who runs it there. */
function elsewhere({ kind, settings }: SourceRow, { id }: DocketRow) {
  const { change, engineOf: engineAt } = sourceKind(kind);
  const { client } = engineNamed(engineAt(settings));
  const after = `docket-${id}-after`;
  return {
    way: change?.wayOf(settings) ?? null,
    client: { name: client.name, command: client.asks(`${after}.sql`, `${after}.txt`) },
  };
}

async function lastRun(room: Room, id: DocketId) {
  const { store } = room;
  const [last] = await listRuns(store, id);
  const sees = { rows: seesRows(room) };
  return last
    ? { ...last, steps: await listSteps(store, last.id, sees), proofs: await listProofsOfRun(store, last.id, sees) }
    : null;
}
