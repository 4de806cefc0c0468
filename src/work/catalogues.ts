import type { Catalogue } from '../core/catalogue/model';
import type { Db } from '../store/db';
import { findCatalogue, findLatestCatalogueId } from '../store/surveys/surveys';

// Snapshots never change, so the last few read are kept: a large one takes seconds to read again.
const kept = new Map<number, Catalogue>();
const most = 4;

/** The catalogue as last surveyed; null when no survey has finished yet. */
export async function latestCatalogue(store: Db, source: number): Promise<Catalogue | null> {
  const id = await findLatestCatalogueId(store, source);
  if (id === null) return null;
  const known = kept.get(id);
  if (known) return known;
  const catalogue = await findCatalogue(store, id);
  if (catalogue) kept.set(id, catalogue);
  for (const oldest of [...kept.keys()].slice(0, Math.max(0, kept.size - most))) kept.delete(oldest);
  return catalogue;
}
