// All that is on record of a docket, as one file.

import { visible } from '../../core/naming/visible';
import { engineOf } from '../../core/engines/index';
import { operationInWords } from '../../core/operations/index';
import { costInWords } from '../../core/plan/times';
import type { DocketRecord } from '../../core/report/docketRecord';
import { wordsOf } from '../../core/rules/audit';
import { type DocketRow, listBackups, listItems } from '../../store/dockets/dockets';
import { findLastRehearsal } from '../../store/dockets/rehearsals';
import { listProofsOfRun, listRuns, listSteps } from '../../store/dockets/runs';
import { listDocketEvents } from '../../store/ratchet/history';
import type { Room } from '../enter';
import { planDocket } from './planned';

export async function recordOf({ store, source }: Room, docket: DocketRow): Promise<DocketRecord> {
  const [{ rows, plan, write, catalogue, digest }, items, rehearsal, runs, backups, events] = await Promise.all([
    planDocket(store, source, docket),
    listItems(store, docket.id),
    findLastRehearsal(store, docket.id),
    listRuns(store, docket.id),
    listBackups(store, docket.id),
    listDocketEvents(store, docket.id),
  ]);
  const decisions = new Map(items.map(({ findingId, decision }) => [findingId, decision]));
  const engine = catalogue ? `${engineOf(catalogue).title} ${catalogue.engine.version}` : 'not surveyed';
  return {
    format: 'pawl-docket/1',
    source: { name: source.name, environment: source.environment, engine },
    docket: {
      ...{ number: docket.id, name: docket.name, state: docket.state, mode: docket.mode, made: docket.createdAt },
      ...{ stateSince: docket.stateAt, authors: docket.authors.map(({ name }) => name), digest },
      ...{ signedBy: docket.signedBy, signedAt: docket.signedAt },
    },
    backups,
    history: events.map(({ at, what, by, note }) => ({ at, what, by, note: note && visible(note) })),
    findings: rows.map((row) => {
      const { title, message, consequence, evidence } = wordsOf(row);
      const told = evidence.map(({ label, text }) => ({ label, text }));
      return {
        ...{ id: visible(row.identity), severity: row.severity, state: row.state, title, message, consequence },
        evidence: told,
        decision: decisions.get(row.id) ?? {},
      };
    }),
    steps:
      plan && catalogue
        ? plan.steps.map(({ operation, cost }) => {
            // By the speed of no survey: what it is measured by changes from day to day.
            const { work, lock } = costInWords(operation, cost, catalogue, null);
            return { title: visible(operationInWords(operation)), cost: `${lock}; ${work}` };
          })
        : [],
    leftOut: (plan?.problems ?? []).map(({ message }) => visible(message)),
    scripts: write ? write('guarded') : {},
    rehearsal: rehearsal && {
      ...{ at: rehearsal.finishedAt ?? rehearsal.askedAt, by: rehearsal.askedBy, state: rehearsal.problem ?? rehearsal.state },
      report: rehearsal.report,
    },
    runs: await Promise.all(
      runs.toReversed().map(async (run) => ({
        ...{ number: run.id, direction: run.direction, by: run.by, user: run.user, state: run.state, problem: run.problem },
        ...{ asked: run.askedAt, finished: run.finishedAt },
        steps: (await listSteps(store, run.id, { rows: false })).map(({ title, state, outcome, finishedAt }) => ({
          ...{ title: visible(title), state, outcome: outcome && visible(outcome), finished: finishedAt },
        })),
        proofs: (await listProofsOfRun(store, run.id, { rows: false })).map(({ title, statement, outcome, answer }) => ({
          ...{ title: visible(title), statement: visible(statement), outcome, answer: visible(answer) },
        })),
      })),
    ),
  };
}
