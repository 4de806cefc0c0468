// What to measure, as data. The core asks; a source reader answers with its own SQL.

import { columnsId, type TableId } from '../catalogue/identifiers';

export type Depth = 'catalogue' | 'sampled' | 'exact';

export type EvidenceRequest = ProfileRequest | RepeatsRequest | InclusionRequest;

/** Rows of a table, and for each column how many are null, blank, or alike. */
export interface ProfileRequest {
  readonly kind: 'profile';
  readonly table: TableId;
}

/** How often the values of a column set repeat. Rows with a null among them are counted apart. */
export interface RepeatsRequest {
  readonly kind: 'repeats';
  readonly table: TableId;
  readonly columns: readonly string[];
}

/** How many rows of the child have no parent. Rows with a null in the reference are counted apart. */
export interface InclusionRequest {
  readonly kind: 'inclusion';
  readonly table: TableId;
  readonly columns: readonly string[];
  readonly parent: TableId;
  readonly parentColumns: readonly string[];
}

/** The same request always has the same key; different ones never share one. */
export function keyOf(request: EvidenceRequest): string {
  switch (request.kind) {
    case 'profile':
      return `profile ${request.table}`;
    case 'repeats':
      return `repeats ${columnsId(request.table, request.columns)}`;
    case 'inclusion':
      return `inclusion ${columnsId(request.table, request.columns)} in ${columnsId(request.parent, request.parentColumns)}`;
  }
}
