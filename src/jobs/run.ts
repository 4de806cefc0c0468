import { describeCheck } from '../core/plan/checks';
import type { Plan } from '../core/plan/plan';
import { describeProof } from '../core/plan/proofs';
import { checksToEnd, checksToStart, operationsOf } from '../core/plan/runnable';
import { postgresql } from '../core/dialects/postgresql/index';
import { operationInWords } from '../core/dialects/postgresql/scripts';
import { nextState } from '../core/ratchet/states';
import { tablesTouched } from '../core/remedies/operations';
import { openPostgresqlForChange } from '../sources/postgresql/changing';
import type { ChangingSession } from '../sources/source';
import { SourceError } from '../sources/SourceError';
import { type Db, inTransaction, storeUrl } from '../store/db';
import { findFrozen, getSourceOf, listItems, moveDocket } from '../store/dockets/dockets';
import {
  findRun,
  finishRun,
  finishStep,
  keepProof,
  listUnfinishedRuns,
  type RunRow,
  startRun,
  startStep,
} from '../store/dockets/runs';
import { listFindingsById, moveFindings } from '../store/findings/findings';
import { getConnection } from '../store/sources/sources';
import { askForSurvey } from '../store/surveys/surveys';
import type { Job, JobContext } from './job';
import { askForLogin } from './loginHandover';
import { whileOwning } from './ownership';
import { messageOf } from './survey';

export const runJob: Job = {
  name: 'run',

  async run(id, context) {
    const row = await findRun(context.store, id);
    if (!row) return;
    await whileOwning(context.store, 'docket', row.docketId, async () => {
      if (await startRun(context.store, id)) await carryOut(row, context);
    });
  },

  // A run whose worker died stops; its login died with it, so a person has to go on with it.
  async recover({ store, enqueue }) {
    for (const { id, docketId, state, waitedLong } of await listUnfinishedRuns(store)) {
      await whileOwning(store, 'docket', docketId, async () => {
        if (state === 'running')
          await stop(store, id, docketId, 'The worker was interrupted. What was done is kept; go on by typing the login again.');
        else if (waitedLong) await enqueue('run', id);
      });
    }
  },
};

/** The steps of a run as they are listed before it starts: checks, every operation, checks. */
export function stepsOf(
  plan: Plan,
  direction: RunRow['direction'],
): readonly { readonly title: string; readonly statement: string }[] {
  const changes = operationsOf(plan, direction).map((operation) => ({
    title: operationInWords(operation),
    statement: postgresql
      .stretches(operation, plan.mode)
      .flatMap((stretch) => stretch.statements)
      .join(';\n'),
  }));
  return [{ title: 'Checks before', statement: '' }, ...changes, { title: 'Checks after', statement: '' }];
}

async function carryOut(row: RunRow, context: JobContext): Promise<void> {
  const { store } = context;
  try {
    const login = await askForLogin(storeUrl(), row.id);
    if (!login) throw new SourceError('The login was no longer at hand. Type it again to go on.', 'notAllowed');
    const source = await getSourceOf(store, row.docketId);
    const { plan } = (await findFrozen(store, row.docketId)) ?? {};
    if (!plan) throw new Error('The docket has no plan. Open it and run it again.');
    const session = await openPostgresqlForChange({ ...(await getConnection(store, source)), ...login });
    try {
      await runSteps(session, plan, row, store);
      if (row.direction === 'forward') await runProofs(session, plan, row, source, store);
    } finally {
      await session.close().catch(() => undefined);
    }
    await settleRun(store, row, plan);
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
    await stop(store, row.id, row.docketId, messageOf(error));
  }
}

async function runSteps(session: ChangingSession, plan: Plan, { id, direction }: RunRow, store: Db): Promise<void> {
  const catalogue = await session.readCatalogue();
  const operations = operationsOf(plan, direction);
  await step(1, () => checkAll(session, checksToStart(plan, direction, catalogue), 'Nothing was changed'));
  for (const [i, operation] of operations.entries()) {
    await step(i + 2, () => session.carryOut(postgresql.stretches(operation, plan.mode), plan.mode));
  }
  await step(operations.length + 2, () => checkAll(session, checksToEnd(plan, direction), 'The steps are done'));

  async function step(position: number, work: () => Promise<string>): Promise<void> {
    await startStep(store, id, position);
    try {
      await finishStep(store, id, position, 'done', await work());
    } catch (error) {
      await finishStep(store, id, position, 'failed', messageOf(error));
      throw error;
    }
  }
}

async function checkAll(session: ChangingSession, checks: ReturnType<typeof checksToEnd>, otherwise: string): Promise<string> {
  for (const check of checks) {
    const count = await session.check(postgresql.check(check));
    if (count !== 0)
      throw new SourceError(
        `${otherwise}, but a check failed: ${count.toLocaleString('en-GB')} × ${describeCheck(check)}.`,
        'refused',
      );
  }
  return checks.length === 0 ? 'nothing to check' : `${checks.length} checks, all zero`;
}

async function runProofs(session: ChangingSession, plan: Plan, row: RunRow, source: number, store: Db): Promise<void> {
  const catalogue = await session.readCatalogue();
  const items = await listItems(store, row.docketId);
  const findings = new Map(
    (
      await listFindingsById(
        store,
        source,
        items.map((i) => i.findingId),
      )
    ).map((f) => [f.identity, f.id]),
  );
  for (const { finding, proofs } of plan.steps) {
    const findingId = findings.get(finding);
    if (findingId === undefined) continue;
    for (const proof of proofs) {
      const statement = postgresql.proof(proof, catalogue);
      const answer = await session.prove(proof, statement);
      await keepProof(store, row.id, { findingId, title: describeProof(proof), statement, ...answer });
    }
  }
}

/** Records a run that is through: the docket's state, and what it means for its findings. */
export async function settleRun(
  store: JobContext['store'],
  row: Pick<RunRow, 'id' | 'docketId' | 'direction'>,
  plan: Plan,
): Promise<void> {
  await inTransaction(async (db) => {
    await finishRun(db, row.id, 'done');
    await moveDocket(db, row.docketId, ['Running'], row.direction === 'forward' ? 'Done' : 'Backed out');
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
  }, store);
}

async function stop(store: JobContext['store'], run: number, docket: number, problem: string): Promise<void> {
  await inTransaction(async (db) => {
    await finishRun(db, run, 'stopped', problem);
    await moveDocket(db, docket, ['Running'], 'Stopped');
  }, store);
}
