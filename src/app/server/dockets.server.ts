// What screens do with dockets: fill them, plan them, run them.

import { isDeepStrictEqual } from 'node:util';
import { latestCatalogue } from '~/app/server/catalogues.server';
import { loginDesk } from '~/app/server/work.server';
import { enqueue } from '~/app/server/work.server';
import { sameColumnSet } from '~/core/catalogue/lookups';
import type { Catalogue } from '~/core/catalogue/model';
import { postgresql } from '~/core/dialects/postgresql/index';
import type { Scripts } from '~/core/dialects/dialect';
import type { Mode } from '~/core/plan/locks';
import type { NeededKey } from '~/core/plan/conflicts';
import { type DecidedFinding, type Plan, planFor } from '~/core/plan/plan';
import { type Direction, operationsOf } from '~/core/plan/runnable';
import { requirementsFor, whyNotSigned } from '~/core/ratchet/permit';
import { changeableStates, nextState } from '~/core/ratchet/states';
import { completeDecision, type Decision } from '~/core/remedies/question';
import { questionsFor } from '~/core/remedies/questions';
import { tablesTouched } from '~/core/remedies/operations';
import type { Login } from '~/jobs/loginHandover';
import { settleRun } from '~/jobs/run';
import { plannedSteps } from '~/sources/carryOut';
import { parseConnectionString } from '~/sources/postgresql/connectionString';
import { SourceError } from '~/sources/SourceError';
import { keepRehearsalServer } from '~/store/sources/rehearsalServer';
import { db, inTransaction } from '~/store/db';
import {
  addDocket,
  type DocketRow,
  findDocketOf,
  findFrozen,
  freezeDocket,
  listDockets,
  listItems,
  moveDocket,
  putItem,
  removeItem,
  signDocket,
} from '~/store/dockets/dockets';
import { askForRehearsal, findLastRehearsal, findRehearsal } from '~/store/dockets/rehearsals';
import { askForRun } from '~/store/dockets/runs';
import { coreFinding, type FindingRow, listByTable, listFindingsById, moveFindings } from '~/store/findings/findings';
import type { Environment, SourceRow } from '~/store/sources/sources';
import { askForSurvey } from '~/store/surveys/surveys';

/** Where others work, a docket goes the quiet way unless somebody decides otherwise. */
export function usualMode(environment: Environment): Mode {
  return environment === 'production' ? 'quiet' : 'plain';
}

/** Puts findings into the draft that is open, or into a new docket. Returns its id. */
export async function addToDocket(
  { id: source, environment }: SourceRow,
  findings: readonly number[],
  chosen: Decision,
): Promise<number> {
  const catalogue = await latestCatalogue(source);
  return inTransaction(async (store) => {
    const dockets = await listDockets(store, source);
    // A signed one is left as it was signed: what comes afterwards goes into another.
    const draft = dockets.find((docket) => docket.state === 'Draft' || docket.state === 'Rehearsed');
    const docket = draft?.id ?? (await addDocket(store, source, `Docket ${dockets.length + 1}`, usualMode(environment)));
    const rows = (await listFindingsById(store, source, findings)).filter(
      (row) => ['Open', 'Slipped', 'Docketed'].includes(row.state) && row.proposal.kind !== 'byHand',
    );
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
    }
    await moveFindings(
      store,
      rows
        .map((row) => ({ finding: row.id, from: row.state, to: nextState(row.state, 'docketed'), reason: null }))
        .filter((m) => m.from !== m.to),
      { docket },
    );
    return docket;
  });
}

/** Open findings whose remedies would make a key that is needed: of those columns, or of a table without any. */
export async function findingsToMake(source: number, { table, columns }: NeededKey): Promise<readonly FindingRow[]> {
  const rows = await listByTable(db(), source, table);
  return rows
    .filter((row) => ['Open', 'Slipped', 'Docketed'].includes(row.state))
    .filter(
      ({ proposal }) =>
        ['primaryKey', 'unique', 'repeats', 'promote'].includes(proposal.kind) && sameColumnSet(proposal.columns, columns),
    )
    .slice(0, 1);
}

/** Takes a finding out of its draft again; false when its docket is a draft no more. */
export async function takeFromDocket(source: number, finding: number): Promise<boolean> {
  return inTransaction(async (store) => {
    const docket = await findDocketOf(store, finding);
    if (!docket || !changeableStates.includes(docket.state)) return false;
    const rows = await listFindingsById(store, source, [finding]);
    await removeItem(store, docket.docketId, finding);
    await moveFindings(
      store,
      rows
        .filter((r) => r.state === 'Docketed')
        .map((row) => ({ finding: row.id, from: row.state, to: nextState(row.state, 'undocketed'), reason: null })),
      { docket: docket.docketId },
    );
    return true;
  });
}

export interface PlannedDocket {
  readonly rows: readonly FindingRow[];
  readonly plan: Plan | null;
  readonly scripts: Scripts | null;
  readonly catalogue: Catalogue | null;
}

/** The plan of a docket: frozen once it has run, made anew from the last survey before. */
export async function planDocket(source: SourceRow, docket: DocketRow): Promise<PlannedDocket> {
  const [items, frozen, latest] = await Promise.all([
    listItems(db(), docket.id),
    findFrozen(db(), docket.id),
    latestCatalogue(source.id),
  ]);
  const rows = await listFindingsById(
    db(),
    source.id,
    items.map((item) => item.findingId),
  );
  const catalogue = frozen?.catalogue ?? latest;
  if (!catalogue) return { rows, plan: null, scripts: null, catalogue: null };
  const decided = items.flatMap((item): DecidedFinding[] => {
    const row = rows.find((r) => r.id === item.findingId);
    return row ? [{ finding: coreFinding(row), decision: item.decision }] : [];
  });
  const plan = frozen?.plan ?? planFor(decided, catalogue, `d${docket.id}`, docket.mode);
  const heading = {
    title: docket.name,
    source: `${source.name} (${source.environment}), PostgreSQL ${catalogue.engine.version}`,
    madeAt: docket.stateAt,
  };
  return { rows, plan, scripts: postgresql.scripts(plan, heading), catalogue };
}

/** Asks a worker to run a docket with a login that is handed over in memory. Returns what is wrong, or null. */
export async function runDocket(
  source: SourceRow,
  docket: DocketRow,
  direction: Direction,
  login: Login,
): Promise<string | null> {
  const planned = await planDocket(source, docket);
  if (!planned.plan || !planned.catalogue || planned.plan.steps.length === 0) return 'There is nothing to run in this docket.';
  const { plan, catalogue } = planned;
  const open = requirementsFor(docket, source.environment).filter(({ met }) => !met);
  if (direction === 'forward' && docket.state !== 'Stopped' && open.length > 0)
    return `A production source still asks for this first: ${open.map(({ kind }) => kind).join(', ')}.`;
  if (direction === 'back' && docket.clearedAt !== null && operationsOf(plan, 'clear').length > 0)
    return 'What its repairs kept has been dropped: there is no way back any more.';
  const run = await inTransaction(async (store) => {
    if (!(await moveDocket(store, docket.id, startsFrom[direction], 'Running'))) return null;
    await freezeDocket(store, docket.id, plan, catalogue);
    return askForRun(store, { docket: docket.id, direction, user: login.user, steps: plannedSteps(plan, direction) });
  });
  if (run === null) return `The docket is ${docket.state.toLowerCase()}; it cannot be run ${direction} now.`;
  loginDesk().offer(run, login);
  await enqueue('run', run);
  return null;
}

/** Asks a worker to carry the docket out on a scratch copy. Returns what is wrong, or null. */
export async function rehearseDocket(source: SourceRow, docket: DocketRow): Promise<string | null> {
  const { plan } = await planDocket(source, docket);
  if (!plan || plan.steps.length === 0) return 'There is nothing to rehearse in this docket.';
  const rehearsal = await askForRehearsal(db(), docket.id, plan);
  if (rehearsal === null) return 'The docket is being rehearsed already.';
  await enqueue('rehearsal', rehearsal);
  return null;
}

/** Has the dockets of a source rehearsed elsewhere than on Pawl's own server; an empty text takes that back. Returns what is wrong, or null. */
export async function chooseRehearsalServer(source: SourceRow, url: string): Promise<string | null> {
  if (url === '') {
    await keepRehearsalServer(db(), source.id, null);
    return null;
  }
  try {
    const server = parseConnectionString(url);
    if (server.host === source.host && server.port === source.port && source.environment === 'production')
      return 'That is the production server itself: a rehearsal there would weigh on it. Name another.';
    await keepRehearsalServer(db(), source.id, server);
    return null;
  } catch (error) {
    if (error instanceof SourceError) return error.message;
    throw error;
  }
}

/** Records that somebody ran the script themselves, and has the objects surveyed again. */
export async function ranElsewhere(source: SourceRow, docket: DocketRow, direction: Direction): Promise<string | null> {
  const { plan, catalogue } = await planDocket(source, docket);
  if (!plan || !catalogue || plan.steps.length === 0) return 'There is nothing to run in this docket.';
  const run = await inTransaction(async (store) => {
    if (!(await moveDocket(store, docket.id, startsFrom[direction], 'Running'))) return null;
    await freezeDocket(store, docket.id, plan, catalogue);
    return askForRun(store, { docket: docket.id, direction, user: null, steps: [] });
  });
  if (run === null) return `The docket is ${docket.state.toLowerCase()}; it cannot be run ${direction} now.`;
  await settleRun(db(), { id: run, docketId: docket.id, direction }, plan);
  await enqueue(
    'survey',
    await askForSurvey(db(), {
      source: source.id,
      depth: 'exact',
      scope: [...tablesTouched(operationsOf(plan, direction))],
      docket: docket.id,
    }),
  );
  return null;
}

const startsFrom = {
  forward: ['Draft', 'Rehearsed', 'Signed', 'Stopped'],
  back: ['Done', 'Stopped'],
  clear: ['Done'],
} as const;

/** Signs a docket as it is planned now. Returns what is wrong, or null. */
export async function signAs(source: SourceRow, docket: DocketRow, author: string, signer: string): Promise<string | null> {
  const refusal = whyNotSigned(author, signer);
  if (refusal) return refusal;
  if (source.environment === 'production' && docket.state !== 'Rehearsed')
    return 'Rehearse it first: a signature is for what was tried.';
  const { plan, catalogue } = await planDocket(source, docket);
  if (!plan || !catalogue || plan.steps.length === 0) return 'There is nothing to sign in this docket.';
  const tried = await findLastRehearsal(db(), docket.id);
  const rehearsed = tried && (await findRehearsal(db(), tried.id));
  // A survey since then may have planned it anew.
  if (docket.state === 'Rehearsed' && !isDeepStrictEqual(rehearsed?.plan, JSON.parse(JSON.stringify(plan))))
    return 'Its plan is not the one that was rehearsed: the schema or its findings have changed since. Rehearse it again.';
  const signed = await inTransaction((store) =>
    signDocket(store, docket.id, { author: author.trim(), signer: signer.trim() }, { plan, catalogue }),
  );
  return signed ? null : `The docket is ${docket.state.toLowerCase()}; it cannot be signed now.`;
}
