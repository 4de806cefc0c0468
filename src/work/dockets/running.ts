// Dockets run, paused, stopped, and what a run that is through means for its findings.

import { currentFormat } from '../../core/formats/index';
import { type Direction, operationsOf } from '../../core/plan/direction';
import type { Plan } from '../../core/plan/shape';
import { requirementsFor, whyNotRun } from '../../core/ratchet/permit';
import { nextState } from '../../core/ratchet/states';
import { sourceKind } from '../../sources/index';
import { plannedSteps } from '../../sources/run/carryOut';
import type { Db } from '../../store/db';
import { type DocketRow, freezeDocket, getSourceOf, keepCleared, moveDocket } from '../../store/dockets/dockets';
import { forgetRefusals } from '../../store/dockets/refusals';
import { askForRun, finishRun, type RunRequest, type RunRow, steerRun } from '../../store/dockets/runs';
import { moveFindings } from '../../store/findings/findings';
import type { DocketId, RunId } from '../../store/ids';
import { nameOf } from '../actor';
import { listAsPlanned } from '../renamed';
import type { Room } from '../enter';
import type { Login } from '../office';
import { done, type Outcome, perform } from '../perform';
import { docketObject, nothing, onDocket, placeOf, type Shown } from './planned';
import { destinationOf } from './signing';

const acts = { forward: 'docket.run', back: 'docket.back', clear: 'docket.clear' } as const;

/** Asks a worker to run a docket with a login that is handed over in memory. */
export async function runDocket(
  room: Room,
  id: DocketId,
  { direction, login, shown }: { readonly direction: Direction; readonly login: Login; readonly shown: Shown },
): Promise<string | null> {
  const { office, actor, source } = room;
  const outcome = await onDocket<RunId>(
    room,
    id,
    { act: acts[direction], right: 'run', shown },
    async (store, docket, shownNow) => {
      const { plan, catalogue, digest } = shownNow;
      if (!plan || !catalogue || operationsOf(plan, direction).length === 0) return { problem: nothing };
      const { change } = sourceKind(source.kind);
      if (!change) return { problem: 'It cannot be reached from here. Download its scripts, and run them where it is.' };
      const open = requirementsFor(docket, destinationOf(source)).filter(({ met }) => !met);
      if (direction === 'forward' && docket.state !== 'Stopped' && open.length > 0)
        return { problem: `A production source still asks for this first: ${open.map(({ kind }) => kind).join(', ')}.` };
      const refusal = direction === 'forward' ? whyNotRun(docket, source, actor.person?.id ?? null) : null;
      if (refusal) return { problem: refusal };
      const asSigned = signedProblem(docket, { digest, place: placeOf(source) });
      if (asSigned) return { problem: asSigned };
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

/** Why a docket is not what somebody signed, or goes elsewhere; null where it is, or nobody did. */
function signedProblem(
  { state, signedDigest, signedFor, signedFormat }: DocketRow,
  { digest, place }: { readonly digest: string; readonly place: string },
): string | null {
  if (signedFor !== null && signedFor !== place)
    return `It was signed for ${signedFor}, and would go to ${place} now. Take the signature back, look at it again, and sign it for there.`;
  // The plan of a signed docket does not change.
  if (state === 'Signed' && (signedDigest !== digest || signedFormat !== currentFormat))
    return 'It is not what was signed. Take the signature back, rehearse and sign it again.';
  return null;
}

// uq_docket_items_open: going back or on would put a finding into two dockets that are not through.
export function inAnother(error: unknown): { readonly problem: string } {
  if (typeof error === 'object' && error !== null && 'constraint' in error && error.constraint === 'uq_docket_items_open')
    return { problem: 'One of its findings is in another docket by now. Take it out there first.' };
  throw error;
}

/** The states in which a docket can be run that way. */
export const startsFrom = {
  forward: ['Draft', 'Rehearsed', 'Signed', 'Stopped'],
  back: ['Done', 'Stopped'],
  clear: ['Done'],
} as const;

/** Pauses or stops a run under way; null lets it go on. */
export function steer(room: Room, id: DocketId, asked: RunRequest | null): Promise<Outcome<null>> {
  const { office, actor, source } = room;
  // Not held: a run that is stopped must not wait for whoever looks at the docket.
  const act = { act: `docket.${asked ?? 'resume'}`, right: 'run', source, object: docketObject(id) } as const;
  return perform(office, actor, act, async (store) => {
    const steered = await steerRun(store, { source: source.id, docket: id, asked });
    return steered ? done : { problem: `There is no run of docket ${id} under way here.` };
  });
}

/** Records a run that is through: the docket's state, and what it means for its findings. */
export async function settleRun(db: Db, row: Pick<RunRow, 'id' | 'docketId' | 'direction'>, plan: Plan): Promise<void> {
  await finishRun(db, row.id, 'done');
  await forgetRefusals(db, row.docketId);
  await moveDocket(db, row.docketId, ['Running'], row.direction === 'back' ? 'Backed out' : 'Done');
  if (row.direction === 'clear') return keepCleared(db, row.docketId);
  const source = await getSourceOf(db, row.docketId);
  const carried = new Set<string>(plan.steps.map((s) => s.finding));
  const findings = (await listAsPlanned(db, source, row.docketId, carried)).filter((f) => carried.has(f.identity));
  const event = row.direction === 'forward' ? 'applied' : 'backedOut';
  const reason = row.direction === 'forward' ? null : 'Its docket was backed out.';
  await moveFindings(
    db,
    findings.map((f) => ({ finding: f.id, from: f.state, to: nextState(f.state, event), reason })),
    { docket: row.docketId },
  );
}
