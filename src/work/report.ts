// The last survey of a source as a page for people who do not use Pawl, with what the record knows beside it.

import { engineNamed } from '../core/engines/index';
import type { KnownFinding } from '../core/ratchet/against';
import { openStates } from '../core/ratchet/states';
import { surveyPage } from '../core/report/surveyReport';
import { coreFinding, type FindingRow, listStanding } from '../store/findings/findings';
import { listStandings } from '../store/ratchet/standings';
import { listTables } from '../store/surveys/surveyedTables';
import { findLatestCatalogueId, findSurvey } from '../store/surveys/surveys';
import { latestCatalogue } from './catalogues';
import type { Room } from './enter';

const mostStandings = 400;

/** Null before the first survey. */
export async function reportOf({ store, source }: Room): Promise<string | null> {
  const [catalogue, id] = [await latestCatalogue(store, source.id), await findLatestCatalogueId(store, source.id)];
  const survey = id === null ? null : await findSurvey(store, id);
  if (!catalogue || !survey) return null;
  const [rows, tables, standings] = await Promise.all([
    listStanding(store, source.id),
    listTables(store, source.id),
    listStandings(store, source.id, mostStandings),
  ]);
  const those = (states: readonly string[]): readonly FindingRow[] => rows.filter(({ state }) => states.includes(state));
  const known = (some: readonly FindingRow[]): readonly KnownFinding[] => some.map(coreFinding);
  const told = (some: readonly FindingRow[]) => some.map((row) => ({ finding: coreFinding(row), reason: row.reason }));
  const unmeasured = tables.filter((table) => table.notMeasured !== null);
  const counts = new Map(tables.map((table) => [table.id, table.rows]));
  return surveyPage({
    database: source.name,
    engine: `${engineNamed(catalogue.engine.name).title} ${catalogue.engine.version}`,
    taken: {
      takenAt: survey.finishedAt ?? survey.askedAt,
      depth: survey.depth,
      // Rows as they were counted, where they were.
      catalogue: {
        ...catalogue,
        tables: catalogue.tables.map((table) => ({ ...table, estimatedRows: counts.get(table.id) ?? table.estimatedRows })),
      },
      findings: known(those(openStates)),
      held: [],
      notMeasured: unmeasured.map((table) => table.id),
    },
    reasons: new Map(unmeasured.map((table) => [table.id, table.notMeasured ?? ''])),
    against: null,
    before: null,
    trend: standings.slice(0, -1).map(({ at, soundness }) => ({ at, share: soundness?.share ?? null })),
    record: { slipped: told(those(['Slipped'])), held: known(those(['Held'])), waived: told(those(['Waived'])) },
  });
}
