// What changes in a source without a docket: noticed by each survey, acknowledged by people.

import type { Catalogue } from '../core/catalogue/model';
import { counted } from '../core/naming/words';
import type { Operation } from '../core/operations/index';
import { driftBetween } from '../core/ratchet/drift';
import type { Db } from '../store/db';
import { findFrozen } from '../store/dockets/dockets';
import type { DocketId, DriftId, SourceId, SurveyId } from '../store/ids';
import { acknowledgeDrifts, keepDrifts, listRunsSince } from '../store/ratchet/drifts';
import { findCatalogue, findLatestCatalogueId } from '../store/surveys/surveys';
import { nameOf } from './actor';
import type { Room } from './enter';
import { done, type Outcome, perform } from './perform';

/** While the survey is not done yet: what it is held against is the one done before. */
export async function noteDrift(db: Db, source: SourceId, survey: SurveyId, catalogue: Catalogue): Promise<void> {
  const since = await findLatestCatalogueId(db, source);
  const before = since === null ? null : await findCatalogue(db, since);
  if (since === null || !before) return;
  const operations: Operation[] = [];
  for (const { docket, direction } of await listRunsSince(db, source, since)) {
    const plan = (await findFrozen(db, docket as DocketId))?.plan;
    if (!plan) continue;
    operations.push(...(plan.undo ?? []), ...(direction === 'back' ? plan.back : plan.steps.map(({ operation }) => operation)));
  }
  const differences = driftBetween(before, catalogue, operations);
  if (differences.length > 0) await keepDrifts(db, { source, survey, since }, differences);
}

/** Says that it is as it should be, and why. */
export function acknowledge(room: Room, ids: readonly DriftId[], reason: string): Promise<Outcome<null>> {
  const why = reason.trim();
  if (why === '') return Promise.resolve({ problem: 'Say why it is as it should be: the next one to look will ask.' });
  const { office, actor, source } = room;
  const act = { act: 'drift.acknowledge', right: 'care', source, object: counted(ids.length, 'change') } as const;
  return perform<null>(office, actor, act, async (db) => {
    const acknowledged = await acknowledgeDrifts(db, source.id, ids, { by: nameOf(actor), reason: why });
    if (acknowledged === 0) return { problem: 'Somebody acknowledged that already, or it is of another source.' };
    return { ...done, after: { reason: why, changes: ids } };
  });
}
