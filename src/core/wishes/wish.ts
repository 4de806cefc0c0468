// What is known of each kind of wish, in one place: what it means for a catalogue, what has to be counted for it, and what
// would carry it out. Each kind has a file of its own; `index` lists them.

import type { TableId } from '../catalogue/identifiers';
import type { Catalogue, Table } from '../catalogue/model';
import type { Evidence, How } from '../evidence/evidence';
import type { EvidenceRequest } from '../evidence/requests';
import type { RowsQuestion } from '../evidence/rows';
import type { Proposal } from '../remedies/index';

/** A part of every wish. */
export interface OnTable {
  readonly table: TableId;
}

/** The table of a wish, and all that it can refer to. */
export interface Ground {
  readonly table: Table;
  readonly catalogue: Catalogue;
}

export interface WishKind<W extends OnTable> {
  /** The type of its wishes, for the union to be read off; never set. */
  readonly of?: W;
  /** What is asked of whatever was chosen: `never repeats`. */
  readonly title: string;
  /** The columns that it speaks of; `table` is null where it is not known. */
  columns(wish: W, table: Table | null): readonly string[];
  /** What tells it from others of its kind: two of one mark are the same. */
  mark(wish: W): string;
  /** `badge_no never repeats`, for lists and records. */
  words(wish: W): string;
  isGranted(wish: W, on: Ground): boolean;
  /** Why it cannot be asked for, in words; null when it can. Its columns are there, and it is not so already. */
  problem(wish: W, on: Ground): string | null;
  /** What would carry it out. All that the wish speaks of is there. */
  proposal(wish: W, on: Ground, counted: Counted): Proposal;
  /** The constraint, index or trigger that it is about. */
  object?(wish: W): string | undefined;
  /** What is counted of it; left out of wishes that bind no row. */
  readonly measured?: {
    asks(wish: W): readonly EvidenceRequest[];
    count(wish: W, evidence: Evidence): Counted;
    rows(wish: W): RowsQuestion;
  };
}

export interface AskedFor<W = OnTable> {
  readonly wish: W;
  /** Why, in the words of whoever asked. */
  readonly reason: string;
  readonly by: string;
}

/** What has been counted of a wish; null where nobody has. */
export interface Counted {
  readonly rows: number | null;
  /** Rows that speak against it. */
  readonly against: number | null;
  readonly how: How | null;
}
