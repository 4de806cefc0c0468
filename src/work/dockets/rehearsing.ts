// Dockets rehearsed on a copy of their source, and where that is.

import { SourceError } from '../../sources/SourceError';
import { sourceKind } from '../../sources/index';
import type { Db } from '../../store/db';
import { askForRehearsal, stopRehearsal } from '../../store/dockets/rehearsals';
import type { DocketId, RehearsalId } from '../../store/ids';
import { findRehearsalServer, keepRehearsalServer } from '../../store/sources/rehearsalServer';
import type { SourceRow } from '../../store/sources/sources';
import { nameOf } from '../actor';
import type { Room } from '../enter';
import { done, type Outcome, perform } from '../perform';
import { nothing, onDocket, type Shown } from './planned';

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
  id: DocketId,
  { confirmed, shown }: { readonly confirmed: string; readonly shown: Shown },
): Promise<string | null> {
  const { office, actor, source } = room;
  const outcome = await onDocket<RehearsalId>(
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

export function stopRehearsing(room: Room, id: DocketId): Promise<Outcome<null>> {
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
