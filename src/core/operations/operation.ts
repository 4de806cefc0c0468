// What is known of each kind of operation, in one place: what it does to the catalogue, what undoes it, what has to be
// true before and after, how it can be tried, and what it does to the rows that other remedies count on. Each kind has
// a file of its own with its opposite beside it; `index` lists them.

import type { Draft } from '../catalogue/draft';
import type { TableId } from '../catalogue/identifiers';
import type { Traits } from '../engines/engineFacts';
import type { Catalogue, ForeignKey, Table } from '../catalogue/model';
import type { Check } from './check';
import type { Beside, Candidate } from './beside';
import type { Operation } from './index';
import type { Proof } from './proof';
import type { Refusal } from './refusal';

/** The role that a table belongs to, and so whatever is made beside it. What an operation has to know of its tables is added when it is planned. */
export type Owner = string;

export function ownerOf({ owner }: Pick<Table, 'owner'>): { readonly owner?: Owner } {
  return owner === null ? {} : { owner };
}

export interface Kind<O> {
  /** The type of its operations, for the union to be read off; never set. */
  readonly of?: O;
  /** Its place in a plan: lower ones go first. */
  readonly rank: number;
  /** What undoes it, in order; null of what is only ever a way back. */
  inverse(operation: O): readonly Operation[] | null;
  /** Changes the catalogue as the operation will change the database. Throws CatalogueError when it does not fit. */
  apply(operation: O, draft: Draft): void;
  /** Counts nothing once it is in force: the same question for a catalogue and for a server. */
  todo(operation: O): Check;
  /** What it does, in words. */
  words(operation: O): string;

  /** What must be true before it, whatever other operations do; nothing when left out. */
  before?(operation: O): readonly Check[];
  /** What must be true once all is done. */
  after?(operation: O): readonly Check[];
  /** How the rule that it makes can be tried. */
  proofs?(operation: O): readonly Proof[];

  /** Tables beside its own that it changes. */
  changesAlso?(operation: O): readonly TableId[];
  /** Tables that it only needs: parents, and children that are looked at. */
  reads?(operation: O): readonly TableId[];
  /** Tables whose keys it refers to: the login needs the right to. */
  refersTo?(operation: O): readonly TableId[];
  /** True when it makes an index or a table in the schema: the login needs the right to. */
  readonly makes?: true;

  /** The columns of each key and index that it makes, or that its engine may make for it. */
  indexed?(operation: O): readonly (readonly string[])[];

  /** The operation with what it has to know of its tables as they are when its turn comes. */
  fit?(operation: O, on: Ground): O | Refusal;
  /** Why it cannot be done to the catalogue as it is when its turn comes. */
  refuse?(operation: O, current: Draft): Refusal | null;
  /** Why it cannot be done beside others of the docket. `catalogue` is as surveyed. */
  refuseBeside?(candidate: Candidate<O>, beside: Beside, catalogue: Catalogue): Refusal | null;

  /** A column that it makes: nothing of it can be looked at before. */
  column?(operation: O): string;
  /** Columns that are never empty afterwards. */
  fills?(operation: O): readonly string[];
  /** Columns that its rule binds. */
  binds?(operation: O): Bound;
  /** Columns of its table that are empty in some rows afterwards. */
  leavesEmpty?(operation: O, catalogue: Catalogue): readonly string[];
  /** Columns of its table in which it writes what a rule over others may not allow. */
  writes?(operation: O, bound: Bound, catalogue: Catalogue): readonly string[];
  /** The rows that it mends. */
  mends?(operation: O): Mending;
  /** What drops what it kept for the way back. */
  clear?(operation: O): readonly Operation[];
}

/** The tables as they are when the turn of an operation comes, and what it has to know of their engine. */
export interface Ground {
  readonly current: Draft;
  /** A name as long as names may be. */
  readonly shorten: (name: string) => string;
  /** A name as the server writes it in expressions. */
  readonly spelt: (name: string) => string;
  readonly traits: Traits;
}

export interface Bound {
  readonly by: 'key' | 'reference' | 'check' | 'nothing';
  readonly columns: readonly string[];
}

export interface Mending {
  /** The table whose rows are mended. */
  readonly rowsOf: TableId;
  /** Whether what a check counts is what it does away with. */
  covers(check: Check): boolean;
  /** Whether it alters which rows a reference of that table holds for. */
  alters(key: ForeignKey): boolean;
}
