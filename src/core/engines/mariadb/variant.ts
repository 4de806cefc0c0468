// Where the servers of this family differ: one of these each. What is said here nobody else asks a server's name for.

import type { TableId } from '../../catalogue/identifiers';

/** How an ALTER TABLE works, by what it does. */
export type Way =
  | 'changes the catalogue'
  | 'changes references and names'
  | 'builds an index'
  | 'rebuilds'
  | 'fills by an expression'
  | 'numbers'
  | 'copies';

/** As the server is told (manual, "ALTER TABLE: ALGORITHM, LOCK"). */
export interface Told {
  readonly algorithm: 'instant' | 'nocopy' | 'inplace' | 'copy';
  /** Null where the server lets nobody say so. */
  readonly lock: 'none' | 'shared' | 'exclusive' | null;
}

/** Bytes that a query may have to keep a set of keys in. */
export const memory = 64 * 1024 * 1024;

export interface Variant {
  readonly ways: Readonly<Record<Way, Told>>;
  /** A statement that references are not looked at for (manual, "foreign_key_checks"): whatever it lets through has to be counted. */
  unlooked(statement: string): readonly string[];
  /** A statement that leaves a table without a primary key, also on a server that wants one of every table, if the login may say so. */
  keyless(statement: string): readonly string[];
  /** Changes nothing: it is done when every transaction has ended that touched the table before, and has it opened anew. */
  opensAnew(table: TableId): string;
  /** A query that keeps a set of keys in memory: with what is usual the server puts it on disk, and takes three times as long. */
  withMemory(this: void, query: string): string;
  /** Counts the orphans of a reference that is there under the name of a moment; where there are any, drops it and says so. */
  refuseOrphans(refusing: Refusing): readonly string[];
  /** Keeps rows and changes as many, or changes nothing. */
  asManyAs(counted: CountedChange): readonly string[];
  /** Statements that the server takes as one and answers one after the other; null where it takes them one by one. */
  readonly inOneRound: ((statements: readonly string[]) => string) | null;
  /** How a client is told to run each statement that a query gives, and to count them into @pawl_rows. */
  runEach(this: void, each: RunEach): readonly string[];
  /** As many as it can be told to run at once. */
  readonly mostRun: number;
  /** How long a statement may take, as a setting. */
  boundedBy(this: void, ms: number): string;
  /** A query of one row when a check of that name is declared for a table. */
  checkNamed(table: TableId, name: string): string;
  /** True, in the catalogue's columns, of the default that is spelt so; null for none. */
  defaultIs(expression: string | null): string;
  /** What a reference does where its line says nothing of it. */
  readonly unsaidAction: 'restrict' | 'no action';
  /** The right that shows programs which one may not run: on a schema, or on all where it is empty. */
  readonly showsPrograms: { readonly privilege: string; readonly schema: string; readonly words: string };
  /** True where no role is switched on, whose rights are told to nobody. */
  readonly hasNoRole: string;
}

export interface Refusing {
  /** The query that counts, and the statement that takes the reference away. */
  readonly count: string;
  readonly drop: string;
  /** As a person reads it. */
  readonly says: string;
}

export interface CountedChange {
  readonly keep: readonly string[];
  /** The first changes as many rows as the last of `keep` did. */
  readonly change: readonly string[];
  /** How many, where not as many as were kept. */
  readonly expected?: string;
}

/** A query of names and statements, and what is printed before and after each of these. */
export interface RunEach {
  readonly query: string;
  readonly before: (name: string) => string;
  readonly after: string;
}
