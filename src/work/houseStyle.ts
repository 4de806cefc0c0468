// The house style of a source: what its names follow and how its rules are set, kept in versions. Each change makes one.

import type { Catalogue } from '../core/catalogue/model';
import { type HouseStyleDocument, houseStyleOf, policiesUnder } from '../core/naming/document';
import { type DictionaryList, entryProblem, noDictionary } from '../core/naming/dictionary';
import { parseFor, type StyledKind } from '../core/naming/styled';
import { isTemplateProblem } from '../core/naming/template';
import type { Db } from '../store/db';
import type { SourceId } from '../store/ids';
import { findStyle, keepStyle, lastStyle } from '../store/sources/houseStyles';
import { getSettings, keepDictionary, keepPolicies, keepTemplates } from '../store/sources/settings';
import { listWishes } from '../store/sources/wishes';
import { lockSource } from '../store/sources/sources';
import { findLatestCatalogueId } from '../store/surveys/surveys';
import { nameOf } from './actor';
import { latestCatalogue } from './catalogues';
import { enterSource, type Room } from './enter';
import { keepJudged } from './judged';
import { type Outcome, perform } from './perform';
import type { AskedOf, ResultOf, TaskName } from './thread/tasks';
import { compute } from './thread/thread';

/** What a source's style is today. */
export async function styleToday(db: Db, source: SourceId): Promise<HouseStyleDocument> {
  return houseStyleOf(await getSettings(db, source));
}

/** Writes down what a source's style is now as its next version, and says which that is. */
export async function keepAsVersion(db: Db, source: SourceId, remark: string, keptBy: string): Promise<number> {
  const version = (await lastStyle(db, source)) + 1;
  await keepStyle(db, source, { version, style: await styleToday(db, source), remark, keptBy });
  return version;
}

/** Names of a kind follow a template from now on; null leaves it to what most names do. `shown` is the version that the person saw. */
export function adopt(
  room: Room,
  shown: number,
  { kind, template }: { readonly kind: StyledKind; readonly template: string | null },
): Promise<Outcome<number>> {
  const parsed = template === null ? null : parseFor(kind, template);
  if (parsed && isTemplateProblem(parsed)) return Promise.resolve({ problem: `At ${parsed.at + 1}: ${parsed.says}` });
  return settle(room, shown, (style) => {
    const { [kind]: _, ...others } = style.templates;
    return {
      style: { ...style, templates: template === null ? others : { ...others, [kind]: template } },
      remark: template === null ? `no longer adopted for each ${kind}` : `${template} for each ${kind}`,
    };
  });
}

/** What a word stands for, or what many of it are called; null forgets it. */
export function say(
  room: Room,
  shown: number,
  { list, from, to }: { readonly list: DictionaryList; readonly from: string; readonly to: string | null },
): Promise<Outcome<number>> {
  const problem = to === null ? null : entryProblem(list, from, to);
  if (problem !== null) return Promise.resolve({ problem });
  return settle(room, shown, (style) => {
    const dictionary = style.dictionary ?? noDictionary;
    const others = Object.entries(dictionary[list]).filter(([word]) => word !== from);
    const entries = Object.fromEntries(
      [...others, ...(to === null ? [] : [[from, to] as const])].sort(([a], [b]) => (a < b ? -1 : 1)),
    );
    if (others.length >= mostEntries) return `A house has ${mostEntries.toLocaleString('en-GB')} words of its own at most.`;
    return {
      style: { ...style, dictionary: { ...dictionary, [list]: entries } },
      remark:
        to === null ? `nothing more said of ${from}` : list === 'short' ? `${from} stands for ${to}` : `many a ${from} are ${to}`,
    };
  });
}

/** A whole style takes the place of what there is: from a file, or from another source. */
export function bringStyle(room: Room, shown: number | null, style: HouseStyleDocument, from: string): Promise<Outcome<number>> {
  return settle(room, shown, () => ({ style, remark: `taken from ${from}` }));
}

export function restoreStyle(room: Room, shown: number, version: number): Promise<Outcome<number>> {
  return settle(room, shown, async (_, db) => {
    const kept = await findStyle(db, room.source.id, version);
    return kept
      ? { style: kept.style, remark: `version ${version} again` }
      : `There is no version ${version} of this house style.`;
  });
}

/** What a source's style is takes the place of another's. */
export async function copyStyle({ office, actor, store, source }: Room, target: SourceId): Promise<Outcome<number>> {
  const other = await enterSource(office, actor, target, 'keepRules');
  if (!other) return { problem: 'The other source was removed.' };
  return bringStyle(other, null, await styleToday(store, source.id), source.name);
}

/** Schemas of fewer tables are looked through in some ten milliseconds. */
const fewTables = 60;

/** Looks at the names of a catalogue: apart from the pages where there are many. */
export function onNamesOf<T extends Exclude<TaskName, 'plan'>>(
  task: T,
  catalogue: Catalogue,
  asked: AskedOf<T>,
): Promise<ResultOf<T>> {
  return compute(task, catalogue, asked, catalogue.tables.length <= fewTables);
}

// Names are judged by the catalogue alone: what follows and what does not is known at once, without another survey.
async function judgeNames(db: Db, source: SourceId): Promise<void> {
  const survey = await findLatestCatalogueId(db, source);
  const catalogue = await latestCatalogue(db, source);
  if (survey === null || !catalogue) return;
  const { templates, policies } = await getSettings(db, source);
  await keepJudged(db, {
    source,
    survey,
    findings: await onNamesOf('onNames', catalogue, {
      ...{ policies, templates },
      at: new Date().toISOString(),
      wishes: await listWishes(db, source),
    }),
    seen: { catalogue, depth: 'exact', scope: null, notMeasured: new Set(), policies },
    // What was run is for the survey after it to judge.
    among: ({ concern, state }) => concern === 'Naming' && state !== 'Applied',
  });
}

const mostEntries = 2_000;

interface Settled {
  readonly style: HouseStyleDocument;
  readonly remark: string;
}

function settle(
  { office, actor, source }: Room,
  shown: number | null,
  change: (before: HouseStyleDocument, db: Db) => Settled | string | Promise<Settled | string>,
): Promise<Outcome<number>> {
  return perform<number>(
    office,
    actor,
    { act: 'style.settle', right: 'keepRules', source, object: 'house style' },
    async (db) => {
      if (!(await lockSource(db, source.id))) return { problem: 'The source was removed.' };
      if (shown !== null && (await lastStyle(db, source.id)) !== shown)
        return { problem: 'Somebody changed the house style while you had it open. Look at it again, then make your change.' };
      const before = await styleToday(db, source.id);
      const settled = await change(before, db);
      if (typeof settled === 'string') return { problem: settled };
      const { style, remark } = settled;
      const { policies } = await getSettings(db, source.id);
      await keepTemplates(db, source.id, style.templates);
      await keepDictionary(db, source.id, style.dictionary ?? noDictionary);
      await keepPolicies(db, source.id, policiesUnder(style, policies));
      await judgeNames(db, source.id);
      const version = await keepAsVersion(db, source.id, remark, nameOf(actor));
      return { problem: null, result: version, object: `house style ${version}`, before, after: style };
    },
  );
}
