// What is too long for an index: there no key, unique constraint or index under a reference can be.

import type { TableId } from '../catalogue/identifiers';
import { getColumn } from '../catalogue/lookups';
import type { Catalogue } from '../catalogue/model';
import { factsOf } from '../engines/facts';
import { type Evidence, profileOf } from './evidence';

/** Bytes. */
const overhead = 16;

/** True when some row has, or several together may have, values that an index over these columns does not take. */
export function isTooWide(
  { catalogue, evidence }: { readonly catalogue: Catalogue; readonly evidence: Evidence },
  table: TableId,
  columns: readonly string[],
): boolean {
  const { indexedBytes, widestIndexed } = factsOf(catalogue).types;
  if (indexedBytes) {
    const declared = columns.map((name) => getColumn(catalogue, table, name));
    return declared.reduce((sum, column) => sum + indexedBytes(column), 0) > widestIndexed;
  }
  const profile = profileOf(evidence, table)?.result;
  const bytes = columns.reduce((sum, column) => sum + (profile?.columns[column]?.widest ?? 0) + overhead, 0);
  return bytes > widestIndexed;
}
