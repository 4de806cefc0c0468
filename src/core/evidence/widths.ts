// What is too long for an index: there no key, unique constraint or index under a reference can be.

import type { TableId } from '../catalogue/identifiers';
import { type Evidence, profileOf } from './evidence';

/** Bytes. Manual, 67.4.1 "B-Tree Structure": an entry takes a third of a page at most, 2,704 bytes with its header. */
export const widestIndexed = 2_690;
const overhead = 16;

/** True when some row has, or several together may have, values that an index over these columns does not take. */
export function isTooWide(evidence: Evidence, table: TableId, columns: readonly string[]): boolean {
  const profile = profileOf(evidence, table)?.result;
  const bytes = columns.reduce((sum, column) => sum + (profile?.columns[column]?.widest ?? 0) + overhead, 0);
  return bytes > widestIndexed;
}
