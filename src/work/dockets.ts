// What people do with dockets: fill them, plan them, rehearse, sign and run them.

import { isDeepStrictEqual } from 'node:util';
import { sameColumnSet } from '../core/catalogue/lookups';
import type { Catalogue } from '../core/catalogue/model';
import type { Heading, ScriptForm, Scripts } from '../core/engines/dialect';
import { currentFormat } from '../core/formats/index';
import { engineOf, scriptsOf } from '../core/engines/index';
import type { Mode } from '../core/plan/cost';
import type { NeededKey } from '../core/operations/refusal';
import { questionsFor } from '../core/remedies/index';
import { type DecidedFinding, type Plan, takeOut } from '../core/plan/plan';
import { type Direction, operationsOf } from '../core/plan/direction';
import { requirementsFor, whyNotRun, whyNotSigned } from '../core/ratchet/permit';
import { changeableStates, nextState } from '../core/ratchet/states';
import { completeDecision, type Decision } from '../core/remedies/question';
import type { Right } from '../core/rights/rights';
import { plannedSteps } from '../sources/run/carryOut';
import { sourceKind } from '../sources/index';
import { SourceError } from '../sources/SourceError';
import type { Db } from '../store/db';
import {
  addAuthor,
  addBackup,
  addDocket,
  type DocketRow,
  dropItems,
  findDocketOf,
  findFrozen,
  freezeDocket,
  getSourceOf,
  keepCleared,
  listDockets,
  listItems,
  lockDocket,
  moveDocket,
  putItem,
  removeDocket,
  removeItem,
  renameDocket,
  setDocketMode,
  signDocket,
  unsignDocket,
} from '../store/dockets/dockets';
import { forgetRefusals } from '../store/dockets/refusals';
import { askForRehearsal, findLastRehearsal, findRehearsal, stopRehearsal } from '../store/dockets/rehearsals';
import { askForRun, finishRun, type RunRequest, type RunRow, steerRun } from '../store/dockets/runs';
import { coreFinding, type FindingRow, listByTable, listFindingsById, moveFindings } from '../store/findings/findings';
import { listSince } from '../store/journal/journal';
import { findRehearsalServer, keepRehearsalServer } from '../store/sources/rehearsalServer';
import { type Environment, lockSource, type SourceRow } from '../store/sources/sources';
import { type Actor, nameOf } from './actor';
import { latestCatalogue } from './catalogues';
import { digestOf } from './digest';
import type { Room } from './enter';
import type { Login } from './office';
import { done, type Outcome, perform } from './perform';
import { makePlan } from './planning';

/** Where others work, a docket goes the quiet way unless somebody decides otherwise. */
export function usualMode(environment: Environment): Mode {
  return environment === 'production' ? 'quiet' : 'plain';
}

/** How the journal calls a docket, whatever its name is. */
export function docketObject(id: number): string {
  return `docket ${id}`;
}

/** Puts findings into the draft that is open, or into a new docket; the answer is its id. */
export function addToDocket(room: Room, findings: readonly number[], chosen: Decision): Promise<Outcome<number>> {
  const { office, actor, source } = room;
  const act = { act: 'docket.add', right: 'plan', source, object: 'docket' } as const;
  return perform<number>(office, actor, act, async (store) => {
    // One after the other: two at once would both find no draft, and make one each.
    if (!(await lockSource(store, source.id))) return { problem: 'The source was removed.' };
    const catalogue = await latestCatalogue(store, source.id);
    const dockets = await listDockets(store, source.id);
    // A signed one is left as it was signed: what comes afterwards goes into another.
    const draft = dockets.find((docket) => docket.state === 'Draft' || docket.state === 'Rehearsed');
    const docket =
      draft?.id ?? (await addDocket(store, source.id, `Docket ${dockets.length + 1}`, usualMode(source.environment)));
    const rows = (await listFindingsById(store, source.id, findings)).filter(
      (row) => ['Open', 'Slipped', 'Docketed'].includes(row.state) && row.proposal.kind !== 'byHand',
    );
    const put: string[] = [];
    for (const row of rows) {
      const present = await findDocketOf(store, row.id);
      // A finding is in one docket at a time; there only its answers change.
      const where = row.state === 'Docketed' && present ? present.docketId : docket;
      if (row.state === 'Docketed' && present && !changeableStates.includes(present.state)) continue;
      await putItem(
        store,
        where,
        row.id,
        catalogue ? completeDecision(questionsFor(coreFinding(row), catalogue, chosen), chosen) : chosen,
      );
      await authored(store, where, actor);
      put.push(row.identity);
    }
    await moveFindings(
      store,
      rows
        .map((row) => ({ finding: row.id, from: row.state, to: nextState(row.state, 'docketed'), reason: null }))
        .filter((m) => m.from !== m.to),
      { docket },
    );
    return {
      problem: null,
      result: docket,
      object: docketObject(docket),
      after: { findings: put.slice(0, 200), decided: chosen },
    };
  });
}

async function authored(store: Db, docket: number, { person }: Actor): Promise<void> {
  if (person) await addAuthor(store, docket, person.id);
}

/** Open findings whose remedies would make a key that is needed: of those columns, or of a table without any. */
export async function findingsToMake({ store, source }: Room, { table, columns }: NeededKey): Promise<readonly FindingRow[]> {
  const rows = await listByTable(store, source.id, table);
  return rows
    .filter((row) => ['Open', 'Slipped', 'Docketed'].includes(row.state))
    .filter(
      ({ proposal }) =>
        ['primaryKey', 'unique', 'repeats', 'promote'].includes(proposal.kind) && sameColumnSet(proposal.columns, columns),
    )
    .slice(0, 1);
}

const runAlready = 'The docket has been run; what was done stays in it.';

/** Takes a finding out of the draft that it is in. */
export function takeFromDocket({ office, actor, source }: Room, finding: number): Promise<Outcome<null>> {
  const act = { act: 'docket.take', right: 'plan', source, object: `finding ${finding}` } as const;
  return perform(office, actor, act, async (store) => {
    const found = await findDocketOf(store, finding);
    const docket = found && (await lockDocket(store, source.id, found.docketId));
    if (!docket || !changeableStates.includes(docket.state)) return { problem: runAlready };
    const taken = await take(store, source.id, docket.id, [finding]);
    await authored(store, docket.id, actor);
    return { ...done, object: docketObject(docket.id), before: { findings: taken } };
  });
}

/**
 * Takes out of a docket what the database refused. One that has stopped goes on without it: what was done of it, and of
 * what rests on it, is undone first when somebody goes on.
 */
export function takeRefused(room: Room, id: number, findings: readonly number[], shown: Shown): Promise<Outcome<null>> {
  return onDocket(room, id, { act: 'docket.take', right: 'plan', shown }, async (store, docket, { rows, plan, catalogue }) => {
    const out = rows.filter((row) => findings.includes(row.id));
    if (out.length === 0) return { problem: 'None of it is in the docket any more.' };
    if (changeableStates.includes(docket.state)) {
      const taken = await take(store, room.source.id, id, findings);
      await authored(store, id, room.actor);
      return { ...done, before: { findings: taken } };
    }
    if (docket.state !== 'Stopped' || !plan || !catalogue) return { problem: runAlready };
    const thinned = takeOut(plan, new Set(out.map((row) => row.identity)), catalogue);
    const resting = new Set<string>(thinned.resting.map(({ finding }) => finding));
    const gone = rows.filter((row) => out.includes(row) || resting.has(row.identity));
    await freezeDocket(store, id, thinned.plan, catalogue);
    await dropItems(
      store,
      id,
      gone.map((row) => row.id),
    );
    await undocket(store, id, gone);
    await authored(store, id, room.actor);
    return { ...done, before: { findings: gone.map((row) => row.identity) }, after: { goesOnWithout: gone.length } };
  });
}

async function take(store: Db, source: number, docket: number, findings: readonly number[]): Promise<readonly string[]> {
  const rows = await listFindingsById(store, source, findings);
  for (const row of rows) await removeItem(store, docket, row.id);
  await undocket(store, docket, rows);
  return rows.map((row) => row.identity);
}

async function undocket(store: Db, docket: number, rows: readonly FindingRow[]): Promise<void> {
  const moves = rows
    .filter((row) => row.state === 'Docketed')
    .map((row) => ({ finding: row.id, from: row.state, to: nextState(row.state, 'undocketed'), reason: null }));
  await moveFindings(store, moves, { docket });
}

export interface PlannedDocket {
  readonly rows: readonly FindingRow[];
  readonly plan: Plan | null;
  /** Writes its scripts; null before the first survey. */
  readonly write: ((form: ScriptForm) => Partial<Scripts>) | null;
  readonly catalogue: Catalogue | null;
  /** SHA-256 of plan, scripts and decisions: what a signature is for, and what a form was shown for. */
  readonly digest: string;
}

/** The plan of a docket: frozen once it has run, made anew from the last survey before. */
export async function planDocket(store: Db, source: SourceRow, docket: DocketRow): Promise<PlannedDocket> {
  const items = await listItems(store, docket.id);
  const frozen = await findFrozen(store, docket.id);
  const rows = await listFindingsById(
    store,
    source.id,
    items.map((item) => item.findingId),
  );
  const catalogue = frozen?.catalogue ?? (await latestCatalogue(store, source.id));
  const decisions = items.map(({ findingId, decision }) => [findingId, decision]);
  if (!catalogue) return { rows, plan: null, write: null, catalogue: null, digest: digestOf([docket.name, decisions]) };
  const byId = new Map(rows.map((row) => [row.id, row]));
  const decided = items.flatMap((item): DecidedFinding[] => {
    const row = byId.get(item.findingId);
    return row ? [{ finding: coreFinding(row), decision: item.decision }] : [];
  });
  const plan = frozen?.plan ?? (await makePlan({ decided, label: `d${docket.id}`, mode: docket.mode }, catalogue));
  const heading = {
    title: docket.name,
    source: `${source.name} (${source.environment}), ${engineOf(catalogue).title} ${catalogue.engine.version}`,
    madeAt: docket.stateAt,
  };
  const write = (form: ScriptForm): Partial<Scripts> => scriptsOf(plan, heading, form);
  return { rows, plan, write, catalogue, digest: signedDigest(plan, heading, decisions) };
}

const digests = new WeakMap<Plan, Map<string, string>>();

// Of what a signature is for; but for the moment that the first lines of the scripts tell, which says nothing of what
// they do. A page that is looked at while something goes on asks for it again and again.
function signedDigest(plan: Plan, heading: Heading, decisions: unknown): string {
  const key = JSON.stringify([heading.title, heading.source, decisions]);
  const known = digests.get(plan) ?? new Map<string, string>();
  digests.set(plan, known);
  const digest = known.get(key) ?? digestOf([plan, scriptsOf(plan, { ...heading, madeAt: '' }, 'guarded'), decisions]);
  known.set(key, digest);
  return digest;
}

/** What a form was shown: the plan by its digest, and how far the journal went then. */
export interface Shown {
  readonly digest: string;
  readonly seen: number;
}

interface OnDocket {
  readonly act: string;
  readonly right: Right;
  /** Null where it is not about what the docket does: a pause, a stop. */
  readonly shown: Shown | null;
}

// Every act on a docket: it is held while it lasts, and it is the one that the person saw, or the act is refused.
export function onDocket<T>(
  { office, actor, source }: Room,
  id: number,
  { act, right, shown }: OnDocket,
  work: (store: Db, docket: DocketRow, planned: PlannedDocket) => Promise<Outcome<T>>,
): Promise<Outcome<T>> {
  return perform(office, actor, { act, right, source, object: docketObject(id) }, async (store) => {
    const docket = await lockDocket(store, source.id, id);
    if (!docket) return { problem: 'The docket was discarded.' };
    const planned = await planDocket(store, source, docket);
    if (shown !== null && planned.digest !== shown.digest)
      return {
        problem: `It is not what you were shown any more, so nothing was done. ${await changesSince(store, source.id, id, shown)}`,
      };
    return work(store, docket, planned);
  });
}

const inJournal: Readonly<Record<string, string>> = {
  'docket.add': 'put something in or decided otherwise',
  'docket.take': 'took something out',
  'docket.mode': 'chose another way',
  'docket.rename': 'renamed it',
  'docket.sign': 'signed it',
  'docket.unsign': 'took the signature back',
  'docket.run': 'ran it',
  'docket.back': 'ran it back',
};

/** `Since then Ines Okker took something out.` */
async function changesSince(store: Db, source: number, docket: number, { seen }: Shown): Promise<string> {
  const entries = await listSince(store, source, docketObject(docket), seen);
  const did = entries.flatMap(({ person, act }) => (inJournal[act] ? [`${person} ${inJournal[act]}`] : []));
  return did.length > 0
    ? `Since then ${[...new Set(did)].slice(0, 4).join('; ')}. Read it again below.`
    : 'A survey has found something else since then, or the docket was planned anew. Read it again below.';
}

export const nothing = 'There is nothing to do in this docket.';
const acts = { forward: 'docket.run', back: 'docket.back', clear: 'docket.clear' } as const;

/** Asks a worker to run a docket with a login that is handed over in memory. */
export async function runDocket(
  room: Room,
  id: number,
  { direction, login, shown }: { readonly direction: Direction; readonly login: Login; readonly shown: Shown },
): Promise<string | null> {
  const { office, actor, source } = room;
  const outcome = await onDocket<number>(
    room,
    id,
    { act: acts[direction], right: 'run', shown },
    async (store, docket, shownNow) => {
      const { plan, catalogue, digest } = shownNow;
      if (!plan || !catalogue || operationsOf(plan, direction).length === 0) return { problem: nothing };
      const { change } = sourceKind(source.kind);
      if (!change) return { problem: 'It cannot be reached from here. Download its scripts, and run them where it is.' };
      const open = requirementsFor(docket, source.environment).filter(({ met }) => !met);
      if (direction === 'forward' && docket.state !== 'Stopped' && open.length > 0)
        return { problem: `A production source still asks for this first: ${open.map(({ kind }) => kind).join(', ')}.` };
      const refusal = direction === 'forward' ? whyNotRun(docket, source, actor.person?.id ?? null) : null;
      if (refusal) return { problem: refusal };
      // The plan of a signed docket does not change; one that an earlier version signed was written down in another format.
      if (docket.state === 'Signed' && docket.signedFormat === currentFormat && docket.signedDigest !== digest)
        return { problem: 'It is not what was signed. Take the signature back, rehearse and sign it again.' };
      if (direction === 'back' && docket.clearedAt !== null && operationsOf(plan, 'clear').length > 0)
        return { problem: 'What its repairs kept has been dropped: there is no way back any more.' };
      if (!(await moveDocket(store, docket.id, startsFrom[direction], 'Running')))
        return { problem: `The docket is ${docket.state.toLowerCase()}; it cannot be run ${direction} now.` };
      await freezeDocket(store, docket.id, plan, catalogue);
      const steps = plannedSteps(plan, direction);
      const run = await askForRun(store, { docket: docket.id, direction, user: login.user, by: nameOf(actor), steps });
      if (!(await office.offerLogin(run, login))) return { problem: 'That login is too long to be handed to the worker.' };
      const on = change.wayOf(source.settings);
      return {
        problem: null,
        result: run,
        after: { run, direction, login: login.user, on: on.to, how: on.how, digest },
      };
    },
  ).catch(inAnother);
  if (outcome.problem === null) await office.enqueue('run', outcome.result);
  return outcome.problem;
}

// uq_docket_items_open: going back or on would put a finding into two dockets that are not through.
export function inAnother(error: unknown): { readonly problem: string } {
  if (typeof error === 'object' && error !== null && 'constraint' in error && error.constraint === 'uq_docket_items_open')
    return { problem: 'One of its findings is in another docket by now. Take it out there first.' };
  throw error;
}

/** Where a source’s dockets are rehearsed, and how that is named to people. */
export async function rehearsalPlace(
  store: Db,
  source: SourceRow,
): Promise<{ readonly chosen: object | null; readonly words: string }> {
  const chosen = await findRehearsalServer(store, source.id);
  const { scratch } = sourceKind(source.kind);
  return { chosen, words: chosen && scratch ? scratch.wordsFor(chosen) : 'Pawl’s own server' };
}

/** Asks a worker to carry the docket out on a scratch copy. `confirmed` is the place as the person was told it. */
export async function rehearseDocket(
  room: Room,
  id: number,
  { confirmed, shown }: { readonly confirmed: string; readonly shown: Shown },
): Promise<string | null> {
  const { office, actor, source } = room;
  const outcome = await onDocket<number>(
    room,
    id,
    { act: 'docket.rehearse', right: 'plan', shown },
    async (store, docket, { plan, catalogue }) => {
      if (!plan || !catalogue || plan.steps.length === 0) return { problem: nothing };
      const { scratch } = sourceKind(source.kind);
      if (!scratch) return { problem: 'No copy can be made of it from here: rehearse its scripts where it is.' };
      const refusal = await scratch.whyNot(catalogue.engine.version);
      if (refusal !== null) return { problem: refusal };
      const { words } = await rehearsalPlace(store, source);
      if (source.environment === 'production' && confirmed !== words)
        return { problem: `Rows of production are copied to ${words}. Confirm that first.` };
      const rehearsal = await askForRehearsal(store, docket.id, plan, { by: nameOf(actor), server: words });
      return rehearsal === null
        ? { problem: 'The docket is being rehearsed already.' }
        : { problem: null, result: rehearsal, after: { rehearsal, server: words } };
    },
  );
  if (outcome.problem === null) await office.enqueue('rehearsal', outcome.result);
  return outcome.problem;
}

export function stopRehearsing(room: Room, id: number): Promise<Outcome<null>> {
  return onDocket(room, id, { act: 'docket.stopRehearsal', right: 'plan', shown: null }, async (store) => {
    await stopRehearsal(store, id);
    return done;
  });
}

/** Has the dockets of a source rehearsed elsewhere than on Pawl's own server; an empty text takes that back. */
export function chooseRehearsalServer({ office, actor, source }: Room, url: string): Promise<Outcome<null>> {
  const act = { act: 'source.rehearsalServer', right: 'chooseRehearsalServer', source, object: source.name } as const;
  return perform(office, actor, act, async (store) => {
    const before = (await rehearsalPlace(store, source)).words;
    const server = url === '' ? null : serverIn(url, source);
    if (typeof server === 'string') return { problem: server };
    await keepRehearsalServer(store, source.id, server);
    return { ...done, before, after: (await rehearsalPlace(store, source)).words };
  });
}

/** The server that a text names for rehearsals, or what is wrong with it. */
function serverIn(text: string, { kind, settings, environment }: SourceRow): object | string {
  const { scratch } = sourceKind(kind);
  if (!scratch) return 'No copy can be made of it from here.';
  try {
    const server = scratch.serverFrom(text);
    return environment === 'production' ? scratch.forProduction(server, settings) : server;
  } catch (error) {
    if (error instanceof SourceError) return error.message;
    throw error;
  }
}

/** The states in which a docket can be run that way. */
export const startsFrom = {
  forward: ['Draft', 'Rehearsed', 'Signed', 'Stopped'],
  back: ['Done', 'Stopped'],
  clear: ['Done'],
} as const;

/** Signs a docket as it was shown: that plan, these scripts, those decisions. */
export function sign(room: Room, id: number, shown: Shown): Promise<Outcome<null>> {
  const { actor, source } = room;
  return onDocket(room, id, { act: 'docket.sign', right: 'sign', shown }, async (store, docket, shownNow) => {
    const { plan, catalogue, digest } = shownNow;
    const { person } = actor;
    if (!person) return { problem: 'Only a person signs.' };
    const refusal = whyNotSigned(docket, source, person.id);
    if (refusal) return { problem: refusal };
    if (source.environment === 'production' && docket.state !== 'Rehearsed')
      return { problem: 'Rehearse it first: a signature is for what was tried.' };
    if (!plan || !catalogue || plan.steps.length === 0) return { problem: nothing };
    const tried = await findLastRehearsal(store, docket.id);
    const rehearsed = tried && (await findRehearsal(store, tried.id));
    // A survey since then may have planned it anew.
    if (docket.state === 'Rehearsed' && !isDeepStrictEqual(rehearsed?.plan, JSON.parse(JSON.stringify(plan))))
      return {
        problem: 'Its plan is not the one that was rehearsed: the schema or its findings have changed since. Rehearse it again.',
      };
    const signature = { signer: { id: person.id, name: person.fullName }, digest };
    if (!(await signDocket(store, docket.id, signature, { plan, catalogue })))
      return { problem: `The docket is ${docket.state.toLowerCase()}; it cannot be signed now.` };
    return { ...done, after: { digest, authors: docket.authors } };
  });
}

/** Its signer may always; who plans may too, as what is changed loses its signature anyway. */
export function unsign(room: Room, id: number): Promise<Outcome<null>> {
  return onDocket(room, id, { act: 'docket.unsign', right: 'sign', shown: null }, async (store, docket) => {
    await unsignDocket(store, id);
    return { ...done, before: { signedBy: docket.signedBy, digest: docket.signedDigest } };
  });
}

/** Says when a backup was taken and where it is; what was said before stays on record. */
export function confirmBackup(
  room: Room,
  id: number,
  backup: { readonly at: string; readonly place: string; readonly shown: Shown },
): Promise<Outcome<null>> {
  const { actor } = room;
  return onDocket(room, id, { act: 'docket.backup', right: 'vouch', shown: backup.shown }, async (store, docket) => {
    const at = new Date(backup.at);
    if (at.getTime() > Date.now() + 60_000) return { problem: 'That backup is yet to be taken.' };
    if (!changeableStates.includes(docket.state)) return { problem: 'It has run: a backup said now was not taken before it.' };
    const { backupAt, backupWhere } = docket;
    await addBackup(store, id, { at: at.toISOString(), place: backup.place, by: nameOf(actor) });
    return {
      ...done,
      before: backupAt && { at: backupAt, place: backupWhere },
      after: { at: at.toISOString(), place: backup.place },
    };
  });
}

/** Pauses or stops a run under way; null lets it go on. */
export function steer(room: Room, id: number, asked: RunRequest | null): Promise<Outcome<null>> {
  const { office, actor, source } = room;
  // Not held: a run that is stopped must not wait for whoever looks at the docket.
  const act = { act: `docket.${asked ?? 'resume'}`, right: 'run', source, object: docketObject(id) } as const;
  return perform(office, actor, act, async (store) => {
    await steerRun(store, id, asked);
    return done;
  });
}

export function rename(room: Room, id: number, name: string, shown: Shown): Promise<Outcome<null>> {
  return onDocket(room, id, { act: 'docket.rename', right: 'plan', shown }, async (store, docket) => {
    if (docket.state === 'Signed' || docket.state === 'Running') return { problem: 'Its name is in what was signed.' };
    await renameDocket(store, id, name);
    return { ...done, before: docket.name, after: name };
  });
}

export function changeMode(room: Room, id: number, mode: Mode, shown: Shown): Promise<Outcome<null>> {
  return onDocket(room, id, { act: 'docket.mode', right: 'plan', shown }, async (store, docket) => {
    await setDocketMode(store, id, mode);
    await authored(store, id, room.actor);
    return { ...done, before: docket.mode, after: mode };
  });
}

export function discard(room: Room, id: number): Promise<Outcome<null>> {
  return onDocket(room, id, { act: 'docket.discard', right: 'plan', shown: null }, async (store, docket, { rows }) => {
    if (!changeableStates.includes(docket.state))
      return { problem: 'Only a draft can be discarded: what was run stays on record.' };
    const taken = await take(
      store,
      room.source.id,
      id,
      rows.map((row) => row.id),
    );
    await removeDocket(store, id);
    return { ...done, before: { name: docket.name, findings: taken } };
  });
}

/** Records a run that is through: the docket's state, and what it means for its findings. */
export async function settleRun(db: Db, row: Pick<RunRow, 'id' | 'docketId' | 'direction'>, plan: Plan): Promise<void> {
  await finishRun(db, row.id, 'done');
  await forgetRefusals(db, row.docketId);
  await moveDocket(db, row.docketId, ['Running'], row.direction === 'back' ? 'Backed out' : 'Done');
  if (row.direction === 'clear') return keepCleared(db, row.docketId);
  const source = await getSourceOf(db, row.docketId);
  const items = await listItems(db, row.docketId);
  const carried = new Set(plan.steps.map((s) => s.finding));
  const findings = (
    await listFindingsById(
      db,
      source,
      items.map((i) => i.findingId),
    )
  ).filter((f) => carried.has(f.identity));
  const event = row.direction === 'forward' ? 'applied' : 'backedOut';
  const reason = row.direction === 'forward' ? null : 'Its docket was backed out.';
  await moveFindings(
    db,
    findings.map((f) => ({ finding: f.id, from: f.state, to: nextState(f.state, event), reason })),
    { docket: row.docketId },
  );
}
