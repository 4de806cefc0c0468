import { usualCopyBytes } from '../core/plan/rehearsal';
import { sourceKind } from '../sources/index';
import type { Copying } from '../sources/kind';
import { rehearse } from '../sources/run/rehearse';
import { LeftBehind } from '../sources/run/scratch';
import { SourceError } from '../sources/SourceError';
import { inTransaction, storeUrl } from '../store/db';
import { getSourceOf, moveDocket } from '../store/dockets/dockets';
import {
  findRehearsal,
  finishRehearsal,
  isStopAsked,
  keepReport,
  listUnfinishedRehearsals,
  startRehearsal,
} from '../store/dockets/rehearsals';
import { addOwed, keepOwedProblem, settleOwed, takeOwed } from '../store/dockets/owedRemovals';
import { keepRefusals } from '../store/dockets/refusals';
import { codeOfInstallation } from '../store/installation';
import { findRehearsalServer } from '../store/sources/rehearsalServer';
import { findSource, getConnection } from '../store/sources/sources';
import { pawlItself } from '../work/actor';
import { docketObject } from '../work/dockets/planned';
import { write } from '../work/perform';
import type { Job, JobContext } from './job';
import { whileOwning } from './ownership';
import { messageOf } from './survey';
import type { RehearsalId, SourceId } from '../store/ids';

const stopPollMs = 1_000;

/** Carries a docket out on a copy of its source, on Pawl's own server. The source is only read. */
export const rehearsalJob: Job = {
  name: 'rehearsal',

  async run(id: RehearsalId, { store, stopping }) {
    const row = await findRehearsal(store, id);
    if (!row) return;
    await whileOwning(store, 'rehearsal', id, async (lost) => {
      if (await startRehearsal(store, id)) await carryOut(row, store, AbortSignal.any([stopping, lost]));
    });
  },

  async recover({ store, enqueue }) {
    await removeOwed(store);
    for (const { id, docketId, state, waitedLong } of await listUnfinishedRehearsals(store)) {
      await whileOwning(store, 'rehearsal', id, async () => {
        if (state === 'queued') {
          if (waitedLong) await enqueue('rehearsal', id);
          return;
        }
        const place = await copyPlace(store, await getSourceOf(store, docketId));
        const gone = await place.scratch.removeAll(place.server, await labelOf(store, id)).then(
          () => true,
          () => false,
        );
        if (!gone) await oweRemoval(store, id, place);
        await finishRehearsal(
          store,
          id,
          'failed',
          `The worker was interrupted. ${gone ? 'Its copy is removed' : owed}; rehearse again.`,
        );
      });
    }
  },
};

const owed = 'Its copy could not be removed yet and is tried again until it is gone';
const oweEveryMs = 60_000;

/** Notes that a copy is still there, with how to reach it: the source may name another server by the next time. */
async function oweRemoval(
  store: JobContext['store'],
  rehearsal: RehearsalId,
  { scratch, server }: CopyPlace,
  problem = 'Its server was away.',
): Promise<void> {
  const words = scratch.wordsFor(server);
  return addOwed(store, { rehearsal, server, words, label: await labelOf(store, rehearsal), problem });
}

async function removeOwed(store: JobContext['store']): Promise<void> {
  for (const { id, rehearsal, server, label, kind } of await takeOwed(store, oweEveryMs)) {
    const { scratch } = sourceKind(kind);
    if (!scratch) continue;
    await whileOwning(store, 'rehearsal', rehearsal, async () => {
      await scratch.removeAll(server, label).then(
        () => settleOwed(store, id),
        (error: unknown) => keepOwedProblem(store, id, messageOf(error)),
      );
    });
  }
}

type Row = NonNullable<Awaited<ReturnType<typeof findRehearsal>>>;

async function carryOut({ id, docketId, plan }: Row, store: JobContext['store'], stopping: AbortSignal): Promise<void> {
  const asked = new AbortController();
  const watch = setInterval(() => {
    isStopAsked(store, id).then(
      (stop) => stop && asked.abort(),
      () => undefined,
    );
  }, stopPollMs);
  try {
    const sourceId = await getSourceOf(store, docketId);
    const place = await copyPlace(store, sourceId);
    const { settings, secret } = await getConnection(store, sourceId);
    const report = await rehearse(plan, (options) => place.scratch.make(settings, secret, place.server, options), {
      onLeftBehind: (why) => oweRemoval(store, id, place, messageOf(why)),
      label: await labelOf(store, id),
      mostBytes: usualCopyBytes,
      signal: AbortSignal.any([asked.signal, stopping]),
      onProgress: (progress) => keepReport(store, id, progress),
    });
    await keepReport(store, id, report);
    await inTransaction(async (db) => {
      // Somebody who changed the docket meanwhile has asked for a stop: then another was rehearsed.
      const changed = await isStopAsked(db, id);
      if (report.holds && !changed) await moveDocket(db, docketId, ['Draft'], 'Rehearsed');
      if (!report.holds) await moveDocket(db, docketId, ['Rehearsed'], 'Draft');
      if (!changed) await keepRefusals(db, docketId, 'rehearsal', report.failed ?? []);
      await finishRehearsal(db, id, report.holds ? 'held' : 'failed', changed ? 'The docket has been changed since.' : null);
      const act = { act: 'rehearsal.end' as const, source: await findSource(db, sourceId), object: docketObject(docketId) };
      await write(db, pawlItself('worker'), act, { outcome: report.holds ? 'done' : 'failed', after: { rehearsal: id } });
    }, store);
  } catch (error) {
    const stopped = error instanceof SourceError && error.reason === 'cancelled';
    if (error instanceof LeftBehind) await oweRemoval(store, id, await copyPlace(store, await getSourceOf(store, docketId)));
    await finishRehearsal(store, id, 'failed', stopped ? 'It was stopped.' : messageOf(error));
  } finally {
    clearInterval(watch);
  }
}

interface CopyPlace {
  readonly scratch: Copying<object, object>;
  readonly server: object;
}

async function copyPlace(store: JobContext['store'], source: SourceId): Promise<CopyPlace> {
  const { scratch } = sourceKind((await getConnection(store, source)).kind);
  if (!scratch) throw new SourceError('No copy can be made of it from here.', 'refused');
  const chosen = await findRehearsalServer(store, source);
  if (chosen) return { scratch, server: chosen };
  const usual = scratch.usual(process.env, storeUrl());
  if (usual === null)
    throw new SourceError('Pawl has no server of this kind to rehearse on. Name one on the page of the docket.', 'refused');
  return { scratch, server: scratch.serverFrom(usual) };
}

async function labelOf(store: JobContext['store'], id: RehearsalId): Promise<string> {
  return `${await codeOfInstallation(store)}_r${id}`;
}
