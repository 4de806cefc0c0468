import type { Catalogue } from '../core/catalogue/model';
import type { Db } from '../store/db';
import { type Dictionary, dictionaryOf, rememberDictionary } from '../core/naming/dictionary';
import { conventionsOf, rememberConventions } from '../core/naming/infer';
import { findDictionary } from '../store/sources/settings';
import { findCatalogue, findConventions, findLatestCatalogueId } from '../store/surveys/surveys';
import type { SourceId, SurveyId } from '../store/ids';

// Snapshots never change, so the last few read are kept: a large one takes seconds to read again.
const kept = new Map<number, Promise<Catalogue | null>>();
const numbers = new WeakMap<Catalogue, SurveyId>();
const most = 4;

/** The catalogue as last surveyed; null when no survey has finished yet. */
export async function latestCatalogue(store: Db, source: SourceId): Promise<Catalogue | null> {
  const id = await findLatestCatalogueId(store, source);
  if (id === null) return null;
  const catalogue = await readOnce(store, id);
  return catalogue && wordedBy(await findDictionary(store, source), catalogue);
}

const worded = new WeakMap<Catalogue, Catalogue>();

/** A catalogue whose names are read by the words of its house: the same one as long as these are. */
export function wordedBy(dictionary: Dictionary, catalogue: Catalogue): Catalogue {
  const before = worded.get(catalogue) ?? catalogue;
  if (JSON.stringify(dictionaryOf(before)) === JSON.stringify(dictionary)) return before;
  const now = { ...catalogue };
  rememberDictionary(now, dictionary);
  rememberConventions(now, conventionsOf(catalogue));
  const id = numbers.get(catalogue);
  if (id !== undefined) numbers.set(now, id);
  worded.set(catalogue, now);
  return now;
}

/** The catalogue of that number, read when it is not at hand, with what was learnt of it. */
export function readOnce(store: Db, id: SurveyId): Promise<Catalogue | null> {
  const known = kept.get(id);
  if (known) return known;
  const reading = readWhole(store, id);
  kept.set(id, reading);
  reading.then(
    (catalogue) => catalogue ?? kept.delete(id),
    () => kept.delete(id),
  );
  for (const oldest of [...kept.keys()].slice(0, Math.max(0, kept.size - most))) kept.delete(oldest);
  return reading;
}

async function readWhole(store: Db, id: SurveyId): Promise<Catalogue | null> {
  const catalogue = await findCatalogue(store, id);
  if (!catalogue) return null;
  numbers.set(catalogue, id);
  const learnt = await findConventions(store, id);
  if (learnt) rememberConventions(catalogue, learnt);
  return catalogue;
}

/** The number that a catalogue has in the store; null for one that is not of the store. */
export function catalogueId(catalogue: Catalogue): SurveyId | null {
  return numbers.get(catalogue) ?? null;
}
