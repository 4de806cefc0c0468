// What is in a docket: findings put in, decided, taken out; its name and mode.

import { counted } from '../../core/naming/words';
import { sameColumnSet } from '../../core/catalogue/lookups';
import type { NeededKey } from '../../core/operations/refusal';
import type { Mode } from '../../core/plan/cost';
import { takeOut } from '../../core/plan/plan';
import { changeableStates, nextState } from '../../core/ratchet/states';
import { questionsFor, isScripted, remedyOf } from '../../core/remedies/index';
import { completeDecision, type Decision } from '../../core/remedies/question';
import type { Db } from '../../store/db';
import {
  addDocket,
  dropItems,
  findDocketOf,
  freezeDocket,
  listDockets,
  lockDocket,
  putItem,
  listItems,
  removeDocket,
  removeItem,
  renameDocket,
  setDocketMode,
} from '../../store/dockets/dockets';
import { coreFinding, type FindingRow, listByTable, listFindingsById, moveFindings } from '../../store/findings/findings';
import type { DocketId, FindingRowId, SourceId } from '../../store/ids';
import { lockSource } from '../../store/sources/sources';
import { latestCatalogue } from '../catalogues';
import type { Room } from '../enter';
import { done, type Outcome, perform } from '../perform';
import { authored, docketObject, onDocket, type Shown, usualMode } from './planned';

/** Puts findings into the draft that is open, or into a new docket; the answer is its id. */
export function addToDocket(room: Room, findings: readonly FindingRowId[], chosen: Decision): Promise<Outcome<DocketId>> {
  const { office, actor, source } = room;
  const act = { act: 'docket.add', right: 'plan', source, object: 'docket' } as const;
  return perform<DocketId>(office, actor, act, async (store) => {
    // One after the other: two at once would both find no draft, and make one each.
    if (!(await lockSource(store, source.id))) return { problem: 'The source was removed.' };
    const rows = (await listFindingsById(store, source.id, findings)).filter(
      (row) => ['Open', 'Slipped', 'Docketed'].includes(row.state) && isScripted(row.proposal),
    );
    if (rows.length === 0) return { problem: 'None of it is open and has a script that goes into a docket.' };
    const catalogue = await latestCatalogue(store, source.id);
    const dockets = await listDockets(store, source.id);
    // A signed one is left as it was signed: what comes afterwards goes into another.
    const draft = dockets.find((docket) => docket.state === 'Draft' || docket.state === 'Rehearsed');
    const docket =
      draft?.id ?? (await addDocket(store, source.id, `Docket ${dockets.length + 1}`, usualMode(source.environment)));
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

/** Open findings whose remedies would make a key that is needed: of those columns, or of a table without any. */
export async function findingsToMake({ store, source }: Room, { table, columns }: NeededKey): Promise<readonly FindingRow[]> {
  const rows = await listByTable(store, source.id, table);
  return rows
    .filter((row) => ['Open', 'Slipped', 'Docketed'].includes(row.state))
    .filter(({ proposal }) => {
      const made = remedyOf(proposal).makesKey?.(proposal);
      return made !== undefined && sameColumnSet(made, columns);
    })
    .slice(0, 1);
}

const runAlready = 'The docket has been run; what was done stays in it.';

/** Takes findings out of the drafts that they are in, all or none; those that are in none are passed over. */
export function takeFromDocket(
  { office, actor, source }: Room,
  findings: readonly FindingRowId[],
  emptied: 'stays' | 'goes' = 'stays',
): Promise<Outcome<null>> {
  const [only] = findings;
  const object = findings.length === 1 ? `finding ${only}` : counted(findings.length, 'finding');
  return perform(office, actor, { act: 'docket.take', right: 'plan', source, object }, async (store) => {
    const inDockets = new Map<DocketId, FindingRowId[]>();
    for (const finding of findings) {
      const found = await findDocketOf(store, finding);
      if (found) inDockets.set(found.docketId, [...(inDockets.get(found.docketId) ?? []), finding]);
    }
    if (inDockets.size === 0) return { problem: runAlready };
    const taken: string[] = [];
    for (const [id, own] of inDockets) {
      const docket = await lockDocket(store, source.id, id);
      if (!docket || !changeableStates.includes(docket.state)) return { problem: runAlready };
      taken.push(...(await take(store, source.id, id, own)));
      await authored(store, id, actor);
      if (emptied === 'goes' && (await listItems(store, id)).length === 0) await removeDocket(store, id);
    }
    const [first] = inDockets.keys();
    return { ...done, ...(first && { object: docketObject(first) }), before: { findings: taken } };
  });
}

/**
 * Takes out of a docket what the database refused. One that has stopped goes on without it: what was done of it, and of
 * what rests on it, is undone first when somebody goes on.
 */
export function takeRefused(room: Room, id: DocketId, findings: readonly FindingRowId[], shown: Shown): Promise<Outcome<null>> {
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

export async function take(
  store: Db,
  source: SourceId,
  docket: DocketId,
  findings: readonly FindingRowId[],
): Promise<readonly string[]> {
  const rows = await listFindingsById(store, source, findings);
  for (const row of rows) await removeItem(store, docket, row.id);
  await undocket(store, docket, rows);
  return rows.map((row) => row.identity);
}

async function undocket(store: Db, docket: DocketId, rows: readonly FindingRow[]): Promise<void> {
  const moves = rows
    .filter((row) => row.state === 'Docketed')
    .map((row) => ({ finding: row.id, from: row.state, to: nextState(row.state, 'undocketed'), reason: null }));
  await moveFindings(store, moves, { docket });
}

export function rename(room: Room, id: DocketId, name: string, shown: Shown): Promise<Outcome<null>> {
  return onDocket(room, id, { act: 'docket.rename', right: 'plan', shown }, async (store, docket) => {
    if (docket.state === 'Signed' || docket.state === 'Running') return { problem: 'Its name is in what was signed.' };
    await renameDocket(store, id, name);
    return { ...done, before: docket.name, after: name };
  });
}

export function changeMode(room: Room, id: DocketId, mode: Mode, shown: Shown): Promise<Outcome<null>> {
  return onDocket(room, id, { act: 'docket.mode', right: 'plan', shown }, async (store, docket) => {
    await setDocketMode(store, id, mode);
    await authored(store, id, room.actor);
    return { ...done, before: docket.mode, after: mode };
  });
}

export function discard(room: Room, id: DocketId): Promise<Outcome<null>> {
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
