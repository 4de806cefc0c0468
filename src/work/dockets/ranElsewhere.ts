// Dockets that somebody ran themselves, where Pawl does not reach or was not asked to: on their word, or by what the checks
// after it said.

import { engineOf } from '../../core/engines/index';
import { tablesTouched } from '../../core/operations/index';
import { type Direction, operationsOf } from '../../core/plan/direction';
import { afterPlan } from '../../core/plan/plan';
import type { Plan } from '../../core/plan/shape';
import { isMended } from '../../core/ratchet/mended';
import { requirementsFor } from '../../core/ratchet/permit';
import { nextState } from '../../core/ratchet/states';
import { AnswersError, decoded, readAnswers } from '../../sources/files/answers';
import { checksScript, foundAgainst } from '../../sources/files/checks';
import { sourceKind } from '../../sources/index';
import type { Db } from '../../store/db';
import { type DocketRow, freezeDocket, moveDocket } from '../../store/dockets/dockets';
import { askForRun } from '../../store/dockets/runs';
import { coreFinding, listFindingsById, moveFindings } from '../../store/findings/findings';
import type { SourceRow } from '../../store/sources/sources';
import { askForSurvey } from '../../store/surveys/surveys';
import { nameOf } from '../actor';
import { nothing, onDocket, type PlannedDocket, type Shown } from './planned';
import { inAnother, settleRun, startsFrom } from './running';
import { destinationOf } from './signing';
import type { Room } from '../enter';
import type { DocketId, SurveyId } from '../../store/ids';

export interface RanElsewhere {
  readonly direction: Exclude<Direction, 'clear'>;
  /** What after.sql wrote; null where only somebody's word is given. */
  readonly evidence: Uint8Array | null;
  readonly shown: Shown;
}

/**
 * Records that somebody ran the scripts themselves. Where the database can be reached, its objects are surveyed again; where
 * answers come by files, what after.sql wrote is the evidence. Returns what is wrong, or null.
 */
export async function ranElsewhere(
  room: Room,
  id: DocketId,
  { direction, evidence, shown }: RanElsewhere,
): Promise<string | null> {
  const { office, actor, source } = room;
  const outcome = await onDocket<SurveyId | null>(
    room,
    id,
    { act: 'docket.ranElsewhere', right: 'vouch', shown },
    async (store, docket, planned) => {
      const { plan, catalogue, digest } = planned;
      if (!plan || !catalogue || plan.steps.length === 0) return { problem: nothing };
      const against = evidence && saysAgainst(evidence, planned);
      if (against) return { problem: against };
      if (!(await moveDocket(store, docket.id, startsFrom[direction], 'Running')))
        return { problem: `The docket is ${docket.state.toLowerCase()}; it cannot be run ${direction} now.` };
      await freezeDocket(store, docket.id, plan, catalogue);
      const run = await askForRun(store, { docket: docket.id, direction, user: null, by: nameOf(actor), steps: [] });
      await settleRun(store, { id: run, docketId: docket.id, direction }, plan);
      if (evidence) await holdByEvidence(store, source, { docket, planned });
      const missing = requirementsFor(docket, destinationOf(source)).flatMap(({ kind, met }) => (met ? [] : [kind]));
      const after = { direction, digest, evidence: evidence !== null, withoutWhatProductionAsksFor: missing };
      const survey =
        evidence && sourceKind(source.kind).byFiles ? null : await askAgain(store, source, { docket, plan, direction });
      return { problem: null, result: survey, after };
    },
  ).catch(inAnother);
  if (outcome.problem === null && outcome.result !== null) await office.enqueue('survey', outcome.result);
  return outcome.problem;
}

/** after.sql of a docket, as one that writes what it finds to a file which Pawl takes back; null before there is a plan. */
export function evidenceScript({ name }: Pick<DocketRow, 'name'>, { plan, catalogue }: PlannedDocket): string | null {
  return plan && catalogue ? checksScript(catalogue.engine.name, plan.after, name) : null;
}

function saysAgainst(evidence: Uint8Array, { plan, catalogue }: PlannedDocket): string | null {
  if (!plan || !catalogue) return nothing;
  try {
    const { name: engine } = catalogue.engine;
    const { database } = catalogue;
    const found = foundAgainst(readAnswers(decoded(evidence)), { engine, database, checks: plan.after });
    if (found.length === 0) return null;
    const more = found.length > 3 ? `; and ${found.length - 3} more` : '';
    return `The checks after it speak against it: ${found.slice(0, 3).join('; ')}${more}. Nothing was recorded.`;
  } catch (error) {
    if (error instanceof AnswersError) return error.message;
    throw error;
  }
}

// Zero against each check means that the schema is as the plan leaves it.
async function holdByEvidence(
  store: Db,
  source: SourceRow,
  { docket, planned: { plan, catalogue, rows } }: { readonly docket: DocketRow; readonly planned: PlannedDocket },
): Promise<void> {
  if (!plan || !catalogue) return;
  const after = afterPlan(plan, catalogue);
  const now = await listFindingsById(
    store,
    source.id,
    rows.map(({ id }) => id),
  );
  const held = now.filter((row) => row.state === 'Applied' && isMended(coreFinding(row), after));
  const reason = `The checks after it, run elsewhere on ${engineOf(catalogue).title}, found nothing against it.`;
  await moveFindings(
    store,
    held.map(({ id, state }) => ({ finding: id, from: state, to: nextState(state, 'mended'), reason })),
    { docket: docket.id },
  );
}

interface Again {
  readonly docket: DocketRow;
  readonly plan: Plan;
  readonly direction: Direction;
}

function askAgain(store: Db, source: SourceRow, { docket, plan, direction }: Again): Promise<SurveyId> {
  const scope = [...tablesTouched(operationsOf(plan, direction))];
  return askForSurvey(store, { source: source.id, depth: 'exact', scope, docket: docket.id });
}
