// A session with a login typed for one run: the only thing in Pawl that changes a source. What there is to run comes
// from the engine's dialect, how it is run is the same for all; a session only knows its driver.

import type { Catalogue } from '../../core/catalogue/model';
import type { SourceError } from '../SourceError';

/** A row as texts, as the server writes them. */
export type Row = readonly (string | null)[];

export interface Bounds {
  /** How long one statement may take; 0 for as long as it takes. */
  readonly statementMs: number;
  /** How long it may wait for a lock. */
  readonly lockMs: number;
}

export interface Ran {
  /** Rows that it changed; 0 of what changes no rows. */
  readonly changed: number;
}

export interface Session {
  readCatalogue(): Promise<Catalogue>;
  /** Reads in a transaction of its own that can only read, whatever functions of the database the query comes by. */
  read(query: string): Promise<readonly Row[]>;
  /** Reads as part of the transaction that is open. */
  readWithin(query: string): Promise<readonly Row[]>;
  /** Runs a statement. The bounds are set anew each time: code of the database may have changed them. */
  run(statement: string, bounds: Bounds): Promise<Ran>;
  /** As `run`, of what the server takes outside of a transaction only; tells which locks were seen to be held meanwhile. */
  runAlone(statement: string, bounds: Bounds, locks: Set<string>): Promise<Ran>;
  readonly transaction: {
    begin(): Promise<void>;
    /** Of the transaction, just before it ends, each table's strongest lock: `port.call: ACCESS EXCLUSIVE`. */
    locksHeld(): Promise<readonly string[]>;
    commit(): Promise<void>;
    /** Does nothing when none is open. */
    rollback(): Promise<void>;
  };
  /** What the server remarked since it was last asked. */
  remarks(): readonly string[];
  /** Why the server refused, of what `run` and `read` throw. */
  refusalOf(error: unknown): Refused;
  /** The same for people. */
  problemOf(error: unknown, doing: string): SourceError;
  /** Interrupts what is under way; the call that waits for it throws. */
  cancel(): Promise<void>;
  /** True once it was cancelled. */
  readonly cancelled: boolean;
  close(): Promise<void>;
}

export interface Refused {
  /** `busy`: somebody else holds a lock, or both waited for each other. */
  readonly kind: 'busy' | 'null' | 'repeat' | 'orphan' | 'check' | 'other';
  readonly constraint: string | null;
  readonly column: string | null;
  /** The database's own words, without values of rows. */
  readonly says: string;
  /** With them; null where they say no more. */
  readonly told: string | null;
}
