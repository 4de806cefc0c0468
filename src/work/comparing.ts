// Two surveys of a source, or two sources, held against each other.

import type { Catalogue } from '../core/catalogue/model';
import { type Aligned, alignments } from '../core/ratchet/align';
import type { FindingState } from '../core/ratchet/states';
import { openStates } from '../core/ratchet/states';
import { listStanding } from '../store/findings/findings';
import type { SourceId, SurveyId } from '../store/ids';
import { type FindingChange, listChangesBetween } from '../store/ratchet/changes';
import { findLatestCatalogueId, findSurvey } from '../store/surveys/surveys';
import { readOnce } from './catalogues';
import { enterSource, type Room } from './enter';

/** One side: a survey of a source; null for its latest. */
export interface Side {
  readonly source: SourceId;
  readonly survey: SurveyId | null;
}

export interface Compared {
  readonly here: SurveyId;
  readonly there: SurveyId;
  /** Whether what differs can be asked for here: not of what is past. */
  readonly isNow: boolean;
  readonly aligned: readonly Aligned[];
  readonly findings: readonly FindingChange[];
}

/** What speaks against it, in words, where the two cannot be compared. */
export async function compare(room: Room, here: SurveyId | null, there: Side): Promise<Compared | { readonly problem: string }> {
  const { store, office, actor, source } = room;
  const other = there.source === source.id ? room : await enterSource(office, actor, there.source, 'seeFindings');
  if (!other) return { problem: 'The other source was removed.' };
  const [one, two] = [await catalogueOf(room, here), await catalogueOf(other, there.survey)];
  if (typeof one === 'string') return { problem: one };
  if (typeof two === 'string') return { problem: two };
  return {
    here: one.survey,
    there: two.survey,
    isNow: one.survey === (await findLatestCatalogueId(store, source.id)),
    aligned: alignments(one.catalogue, two.catalogue),
    findings:
      other === room
        ? await listChangesBetween(store, source.id, one.survey, two.survey)
        : await openInOneAlone(room, other.source.id),
  };
}

async function catalogueOf(
  { store, source }: Room,
  asked: SurveyId | null,
): Promise<{ readonly survey: SurveyId; readonly catalogue: Catalogue } | string> {
  const survey = asked ?? (await findLatestCatalogueId(store, source.id));
  const row = survey === null ? null : await findSurvey(store, survey);
  if (!row) return `${source.name} has not been surveyed yet.`;
  if (row.sourceId !== source.id) return `Survey ${row.id} is of another source.`;
  const catalogue = await readOnce(store, row.id);
  return catalogue ? { survey: row.id, catalogue } : `Survey ${row.id} has kept no catalogue: it failed, or is too long ago.`;
}

/** Of two sources, what is open in one of them and not in the other. */
async function openInOneAlone({ store, source }: Room, other: SourceId): Promise<readonly FindingChange[]> {
  const [own, others] = await Promise.all([listStanding(store, source.id), listStanding(store, other)]);
  const open = (rows: typeof own) =>
    new Map(rows.filter(({ state }) => openStates.includes(state)).map((row) => [row.identity, row]));
  const [mine, theirs] = [open(own), open(others)];
  const absent: FindingState | null = null;
  return [
    ...[...mine.values()]
      .filter(({ identity }) => !theirs.has(identity))
      .map((row) => ({ ...told(row), here: row.state, there: absent })),
    ...[...theirs.values()]
      .filter(({ identity }) => !mine.has(identity))
      .map((row) => ({ ...told(row), id: null, here: absent, there: row.state })),
  ];
}

function told({ id, rule, severity, identity }: Awaited<ReturnType<typeof listStanding>>[number]) {
  return { id, rule, severity, place: identity.slice(rule.length + 1) };
}
