// What to measure, as data. The core asks; a source reader answers with its own SQL. The same request
// could be printed as a query for someone to run by hand.

import type { Reference } from '../catalogue/model';
import { columnsId, type TableId } from '../catalogue/identifiers';
import { type Claim, keyOfClaim } from './claims';

export type Depth = 'catalogue' | 'sampled' | 'exact';

export type EvidenceRequest =
  ProfileRequest | SampleRequest | RepeatsRequest | ProbeRequest | InclusionRequest | ViolationsRequest;

/** Rows of a table, and for each column how many are null or blank, and its bounds. One pass for all. */
export interface ProfileRequest {
  readonly kind: 'profile';
  readonly table: TableId;
}

/** About 25,000 rows looked at closely: distinct and frequent values, forms, column sets that never repeat. */
export interface SampleRequest {
  readonly kind: 'sample';
  readonly table: TableId;
}

/** How often the values of a column set repeat. Rows with a null among them are counted apart. */
export interface RepeatsRequest {
  readonly kind: 'repeats';
  readonly table: TableId;
  readonly columns: readonly string[];
  /** True to take values for alike that differ only in case or outer spaces. */
  readonly folded?: boolean;
  /** Count only rows where this column is null or false: those not deleted softly. */
  readonly live?: string;
}

/** Whether some values of a column are found in the keys of several tables: most that are no parent fall here. */
export interface ProbeRequest {
  readonly kind: 'probe';
  readonly table: TableId;
  readonly column: string;
  readonly parents: readonly ProbedParent[];
}

export interface ProbedParent {
  readonly table: TableId;
  readonly column: string;
  /** As many values as leave no doubt when all of them are keys: fewer where keys have many gaps. */
  readonly enough?: number;
}

export function probeRequestOf(table: TableId, column: string, parents: readonly ProbedParent[]): ProbeRequest {
  return { kind: 'probe', table, column, parents };
}

/** How many rows of the child have no parent. Rows with a null in the reference are counted apart. */
export interface InclusionRequest extends Reference {
  readonly kind: 'inclusion';
  readonly table: TableId;
}

/** How many rows break a claim about their values. */
export interface ViolationsRequest {
  readonly kind: 'violations';
  readonly table: TableId;
  readonly claim: Claim;
}

/** The same request always has the same key; different ones never share one. */
export function keyOf(request: EvidenceRequest): string {
  switch (request.kind) {
    case 'profile':
    case 'sample':
      return `${request.kind} ${request.table}`;
    case 'repeats':
      return `repeats ${columnsId(request.table, request.columns)}${request.folded ? ' folded' : ''}${request.live === undefined ? '' : ` live ${JSON.stringify(request.live)}`}`;
    case 'probe':
      return `probe ${columnsId(request.table, [request.column])}`;
    case 'inclusion':
      return `inclusion ${columnsId(request.table, request.columns)} in ${columnsId(request.parent, request.parentColumns)}`;
    case 'violations':
      return `violations ${request.table} ${keyOfClaim(request.claim)}`;
  }
}
