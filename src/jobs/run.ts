import { driftOf } from '../core/catalogue/drift';
import type { Catalogue } from '../core/catalogue/model';
import type { Plan } from '../core/plan/shape';
import { operationsOf } from '../core/plan/direction';
import { isInForce, tablesNeeded, tablesTouched } from '../core/operations/index';
import { type Carrying, carryOutPlan, CheckFailed, plannedSteps, type StepListener } from '../sources/run/carryOut';
import { sourceKind } from '../sources/index';
import { provePlan } from '../sources/run/prove';
import type { Session } from '../sources/run/session';
import { SourceError } from '../sources/SourceError';
import { type Db, inTransaction, storeUrl } from '../store/db';
import { findFrozen, getSourceOf, moveDocket, thawDocket } from '../store/dockets/dockets';
import { keepRefusals } from '../store/dockets/refusals';
import {
  findRequest,
  findRun,
  finishRun,
  finishStep,
  hasBegun,
  keepPaused,
  keepProof,
  listUnfinishedRuns,
  type RunRow,
  startRun,
  startStep,
} from '../store/dockets/runs';
import { findSource, getConnection } from '../store/sources/sources';
import { askForSurvey } from '../store/surveys/surveys';
import { pawlItself } from '../work/actor';
import { docketObject } from '../work/dockets/planned';
import { settleRun } from '../work/dockets/running';
import { write } from '../work/perform';
import { listAsPlanned } from '../work/renamed';
import type { Job, JobContext } from './job';
import { askForLogin } from './loginHandover';
import { whileOwning } from './ownership';
import { messageOf } from './survey';
import type { DocketId, RunId, SourceId } from '../store/ids';

const steerPollMs = 400;

export const runJob: Job = {
  name: 'run',

  async run(id: RunId, context) {
    const row = await findRun(context.store, id);
    if (!row) return;
    await whileOwning(context.store, 'docket', row.docketId, async (lost) => {
      if (await startRun(context.store, id)) await carryOut(row, context, lost);
    });
  },

  // A run whose worker died stops; its login died with it, so a person has to go on with it.
  async recover({ store, enqueue }) {
    for (const { id, docketId, state, waitedLong } of await listUnfinishedRuns(store)) {
      await whileOwning(store, 'docket', docketId, async () => {
        if (state !== 'queued')
          await stop(store, id, docketId, 'The worker was interrupted. What was done is kept; go on by typing the login again.');
        else if (waitedLong) await enqueue('run', id);
      });
    }
  },
};

async function carryOut(row: RunRow, context: JobContext, lost: AbortSignal): Promise<void> {
  const { store } = context;
  try {
    const login = await askForLogin(storeUrl(), store, row.id);
    if (!login) throw new SourceError('The login was no longer at hand. Type it again to go on.', 'notAllowed');
    const source = await getSourceOf(store, row.docketId);
    const { plan, catalogue } = (await findFrozen(store, row.docketId)) ?? {};
    if (!plan || !catalogue) throw new Error('The docket has no plan. Open it and run it again.');
    const { kind, settings, secret } = await getConnection(store, source);
    const keepsValues = (await findSource(store, source))?.sensitive === false;
    const { change } = sourceKind(kind);
    if (!change) throw new SourceError('It cannot be reached from here: its scripts are run where it is.', 'refused');
    const session = await change.open(settings, secret, login);
    const steering = steer(session, row.id, store, lost);
    try {
      const current = row.direction === 'forward' ? await session.readCatalogue() : null;
      const first = current !== null && !(await hasBegun(store, row.docketId));
      if (current && first) refuseDrift(plan, catalogue, current);
      await runSteps({ session, plan, row, store, keepsValues }, { current, first }, steering);
      if (row.direction === 'forward') await runProofs({ session, plan, row, store, keepsValues }, source);
    } finally {
      steering.end();
      await session.close().catch(() => undefined);
    }
    await inTransaction(async (db) => {
      await settleRun(db, row, plan);
      await write(db, pawlItself('worker'), await endOf(db, row), {
        outcome: 'done',
        after: { run: row.id, direction: row.direction },
      });
    }, store);
    if (row.direction === 'clear') return;
    await context.enqueue(
      'survey',
      await askForSurvey(store, {
        source,
        depth: 'exact',
        scope: [...tablesTouched(operationsOf(plan, row.direction))],
        docket: row.docketId,
      }),
    );
  } catch (error) {
    if (lost.aborted) return;
    await stop(store, row.id, row.docketId, messageOf(error));
    if (error instanceof Drifted) await thawDocket(store, row.docketId);
  }
}

interface Steering {
  /** Waits while somebody wants it paused; throws when somebody wants it stopped. */
  beforeStep(): Promise<void>;
  end(): void;
}

// A stop interrupts the statement that is under way, which is rolled back; a pause lets the step come to its end.
function steer(session: Session, run: RunId, store: Db, lost: AbortSignal): Steering {
  let stopped = false;
  // Nobody holds the docket any more: nothing goes on that is not on record.
  lost.addEventListener('abort', () => void session.cancel().catch(() => undefined), { once: true });
  const watch = setInterval(() => {
    findRequest(store, run)
      .then(async (asked) => {
        if (asked !== 'stop' || stopped) return;
        stopped = true;
        await session.cancel();
      })
      .catch(() => undefined);
  }, steerPollMs);
  return {
    async beforeStep() {
      let paused = false;
      for (let asked = await findRequest(store, run); asked !== null; asked = await findRequest(store, run)) {
        if (asked === 'stop') throw new SourceError('It was stopped on request. What was done is kept.', 'cancelled');
        if (!paused) await keepPaused(store, run, (paused = true));
        await new Promise((resolve) => setTimeout(resolve, steerPollMs));
      }
      if (paused) await keepPaused(store, run, false);
    },
    end: () => clearInterval(watch),
  };
}

class Drifted extends SourceError {}

// Before the first step only: afterwards the schema differs by what the docket did itself.
function refuseDrift(plan: Plan, planned: Catalogue, current: Catalogue): void {
  const operations = operationsOf(plan, 'forward');
  // Somebody may have run the script by hand in part.
  if (operations.some((operation) => isInForce(operation, current))) return;
  const drift = driftOf(planned, current, tablesNeeded(operations));
  if (drift.length === 0) return;
  const more = drift.length > 5 ? `, and ${drift.length - 5} more` : '';
  throw new Drifted(
    `The schema has changed since this docket was planned, so nothing was done. ${drift.slice(0, 5).join('; ')}${more}. Survey again: the docket is planned anew.`,
    'refused',
  );
}

interface UnderWay {
  readonly session: Session;
  readonly plan: Plan;
  readonly row: RunRow;
  readonly store: Db;
  /** Of what the database says, values of rows are kept for who may see them; of a sensitive source nowhere. */
  readonly keepsValues: boolean;
}

async function runSteps(
  { session, plan, row: { id, docketId, direction }, store, keepsValues }: UnderWay,
  carrying: Carrying,
  steering: Steering,
): Promise<void> {
  const listener: StepListener = {
    started: async (step) => {
      await steering.beforeStep();
      await startStep(store, id, step);
    },
    ended: (step, { words }) => finishStep(store, id, step, { state: 'done', outcome: words }),
    failed: async (step, error, finding) => {
      await finishStep(store, id, step, {
        state: 'failed',
        outcome: messageOf(error),
        told: keepsValues && error instanceof SourceError ? error.told : null,
      });
      const stopped = error instanceof SourceError && (error.reason === 'cancelled' || error.reason === 'lost');
      if (finding === null || stopped) return;
      const { title = '', statement = '' } = plannedSteps(plan, direction)[step - 1] ?? {};
      const rows = error instanceof CheckFailed ? error.count : null;
      const says = messageOf(error);
      await keepRefusals(store, docketId, 'run', [{ finding, step: title, statement, says, rows, tried: true }]);
    },
  };
  await carryOutPlan(session, plan, direction, { ...listener, ...carrying });
}

async function runProofs({ session, plan, row, store, keepsValues }: UnderWay, source: SourceId): Promise<void> {
  const planned = await listAsPlanned(store, source, row.docketId, new Set(plan.steps.map((step) => step.finding)));
  const findings = new Map(planned.map((f) => [f.identity as string, f.id]));
  for await (const { finding, ...proof } of provePlan(session, plan)) {
    const findingId = findings.get(finding);
    if (findingId !== undefined)
      await keepProof(store, row.id, { findingId, ...proof, told: keepsValues ? (proof.told ?? null) : null });
  }
}

async function stop(store: JobContext['store'], run: RunId, docket: DocketId, problem: string): Promise<void> {
  await inTransaction(async (db) => {
    await finishRun(db, run, 'stopped', problem);
    await moveDocket(db, docket, ['Running'], 'Stopped');
    await write(db, pawlItself('worker'), await endOf(db, { docketId: docket }), { outcome: 'failed', after: { run, problem } });
  }, store);
}

async function endOf(db: Db, { docketId }: Pick<RunRow, 'docketId'>) {
  const id = await getSourceOf(db, docketId);
  const source = await findSource(db, id);
  return { act: 'run.end' as const, source: { id, name: source?.name ?? '' }, object: docketObject(docketId) };
}
