// What every dialect can write. A new kind of operation does not compile until each dialect can
// write it. Nothing outside a dialect writes SQL that changes an audited database.

import type { TableId } from '../catalogue/identifiers';
import type { Catalogue } from '../catalogue/model';
import type { Check } from '../operations/check';
import type { Operation } from '../operations/index';
import type { ActionProof, BreakingProof, Proof } from '../operations/proof';
import { DialectError } from './DialectError';
import type { Query } from './questions';
import type { Cost, Mode } from '../plan/cost';
import type { OwnPlanning } from '../plan/ownPlanning';
import type { Plan } from '../plan/shape';
import type { Entry } from '../plan/record';

export interface Dialect {
  /** What carries an operation out, in order. */
  readonly stages: (operation: Operation, mode: Mode) => readonly Stage[];
  /** What it costs in all. */
  readonly cost: (operation: Operation, mode: Mode) => Cost;
  /** How a docket is planned otherwise; left out where it is planned as everywhere. */
  readonly plans?: OwnPlanning;
  /** Bytes that its work passes over, those that are dear counted more than once; of an operation that is no affair of the catalogue alone. */
  readonly bytesPassed: (operation: Operation, cost: Cost, catalogue: Catalogue) => number;
  /** A query of one row and one column: a count that is zero when all is well. */
  readonly check: (check: Check) => string;
  /** A statement that breaks a rule, built from rows that are there. It changes no row when there are none to build it from. */
  readonly proof: (proof: BreakingProof, catalogue: Catalogue) => string;
  /** Makes the record of what was there before a first run, with these of its columns (see plan/record). */
  readonly makesRecord: (table: TableId, found: readonly Pick<Entry, 'column' | 'words'>[]) => readonly string[];
  /** What has constraints that are put off speak at once, within a transaction; null where there are none. */
  readonly allAtOnce: string | null;
  /** Why a rule is not tried on purpose, in words, where what was tried could stay; left out where nothing ever does. */
  readonly whyNotTried?: (proof: Proof, catalogue: Catalogue) => string | null;
  /** How to see what a reference does when a parent goes or changes. */
  readonly actionProof: (proof: ActionProof, catalogue: Catalogue) => ActionTry;
  /** To be run: each step looks whether it is done already, and what stands in the way is told before anything is changed. */
  readonly scripts: (plan: Plan, heading: Heading) => Scripts;
  /** Open questions as one read-only script for the engine's own client, which writes the answers to a file. */
  readonly questions: (printed: PrintedQuestions) => string;
  /** To be read, or put into a ticket or a migration: the bare statements in order, each under a line that says what it does. */
  readonly statementScripts: (plan: Plan, heading: Heading) => StatementScripts;
}

/** Statements that belong together, without their closing semicolons. */
export interface Stage {
  readonly statements: readonly string[];
  /** Counts nothing when there is nothing left to do here: then it is left out, so that all can be run again. */
  readonly todo: Check;
  readonly cost: Cost;
  /** True for a single statement that the server takes outside of a transaction only. */
  readonly alone: boolean;
  /** How it waits for a lock, where that is not as the mode has it. */
  readonly patience?: Patience;
  /** Left out of what does the work. `cleans up`: there is something to do only after an interruption; `waits`: for others. */
  readonly role?: 'cleans up' | 'waits';
}

/** How a stage waits for a lock: how long at a time, how often, and how long it lets others pass between. */
export interface Patience {
  readonly lockMs: number;
  readonly tries: number;
  readonly pauseMs: number;
}

/** Queries printed for somebody to run. Throws DialectError where a query waits for values. */
export function printedBy({ questions }: Dialect, printed: ToPrint): string {
  return questions({ ...printed, queries: printed.queries.map(({ id, query }) => ({ id, query: printable(query) })) });
}

/** The statements of an operation as they run when nothing was interrupted before: to be read, not to be run. */
export function statementsOf(dialect: Dialect, operation: Operation, mode: Mode): readonly string[] {
  return dialect.stages(operation, mode).flatMap(({ statements, role }) => (role ? [] : statements));
}

export interface ActionTry {
  /** A query for a parent that has children: its key as text, column by column. No row when there is none. */
  readonly pick: string;
  /** What is tried on the parent picked. */
  readonly statement: (key: readonly string[]) => string;
  /** A count of the children that still refer to the key as it was. */
  readonly left: (key: readonly string[]) => string;
}

/** A query as a whole: a client has nowhere to put values. */
export type Printable = Pick<Query, 'text' | 'columns' | 'runs'> & { readonly values?: never };

function printable({ text, columns, values, runs }: Query): Printable {
  if (values) throw new DialectError(`A question cannot be printed, as it waits for values: ${text.trim().slice(0, 80)} …`);
  return { text, columns, ...(runs && { runs }) };
}

type ToPrint = Omit<PrintedQuestions, 'queries'> & {
  readonly queries: readonly { readonly id: string; readonly query: Query }[];
};

export interface PrintedQuestions {
  /** What the answers name: a hash of the questions. */
  readonly script: string;
  /** What it is, for its first line: `open questions, round 2`. */
  readonly title: string;
  readonly queries: readonly { readonly id: string; readonly query: Printable }[];
  /** The name of the file that the answers are written to: letters, digits, dots and dashes. */
  readonly answers: string;
}

export interface Heading {
  /** What the scripts are called in their header: a docket or a survey file. */
  readonly title: string;
  readonly source: string;
  /** ISO 8601. */
  readonly madeAt: string;
}

export interface Scripts {
  readonly forward: string;
  readonly back: string;
  readonly before: string;
  readonly after: string;
}

export type StatementScripts = Pick<Scripts, 'forward' | 'back'>;

/** How a script is written: for people to read, or for the engine's own client to run. */
export const scriptForms = ['statements', 'guarded'] as const;
export type ScriptForm = (typeof scriptForms)[number];

export const scriptNames = ['forward', 'back', 'before', 'after'] as const;
export type ScriptName = (typeof scriptNames)[number];
