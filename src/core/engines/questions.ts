// The same question asked live or printed for somebody to run. A question is a generator: it gives out the queries that
// it can ask at once, and is handed their rows; what to ask next is a function of these alone. Whoever runs it decides how:
// over a connection, or from a file of answers that somebody brings later.

import type { TableId } from '../catalogue/identifiers';
import type { Catalogue } from '../catalogue/model';
import type { Fact } from '../evidence/evidence';
import type { Depth, EvidenceRequest } from '../evidence/requests';
import type { RowsQuestion } from '../evidence/rows';
import type { Reach, ReachQuestion } from '../plan/reach';
import type { LoginReport } from '../survey/login';

/** Every value as the text that the server writes. */
export type Row = readonly (string | null)[];

export interface Query {
  readonly text: string;
  /** How many columns a row has; 0 where nobody can tell before. */
  readonly columns: number;
  /** What $1, $2, … stand for; a list is an array of texts. */
  readonly values?: readonly (string | readonly string[])[];
  /** Is handed each row as it arrives; then the query gives none back. */
  readonly each?: (row: Row) => void;
  /** True when its rows are values of the audited tables, not counts. */
  readonly givesData?: boolean;
  /** True where what it is refused is handed back as its answer, and keeps no other from its own. */
  readonly mayFail?: boolean;
  /**
   * For a client alone: each row is a name and a statement, which is run as well. The answer has a row for each, of the name and of all
   * that the statement says, line by line and tab by tab.
   */
  readonly runs?: true;
}

export type Asking<T> = Generator<readonly Query[], T, readonly Answered[]>;

export interface Answered {
  readonly rows: readonly Row[];
  /** The names of the columns, as the server gives them. */
  readonly names: readonly string[];
  /** What kept it from an answer, where that may be. */
  readonly refused?: NotAnswered;
}

/** Why a query has no answer, thrown into the question that asked it. */
export class NotAnswered extends Error {
  override readonly name: string = 'NotAnswered';

  /** `last`: nothing else will be answered either. */
  constructor(
    message: string,
    readonly last: boolean,
    options?: ErrorOptions,
  ) {
    super(message, options);
  }
}

export interface Questions {
  /** `waits`: whether sizes may be asked for that wait for a lock which somebody else holds. All of it sees one snapshot. */
  catalogue(options: CatalogueOptions): Asking<Catalogue>;
  /** What views and functions say, for the joins in it to be found; so much and no more. */
  definitions(options: DefinitionsOptions): Asking<readonly string[]>;
  /**
   * Answers requests of one kind about one table or, if they are probes, about many; in one pass where it can: a fact for
   * each, in order. What is refused of it is thrown in and comes out again.
   */
  measure(requests: readonly EvidenceRequest[], catalogue: Catalogue, options: MeasureOptions): Asking<readonly Measured[]>;
  /** Rows that speak for a finding, a page at a time. */
  rows(question: RowsQuestion, page: Page): Asking<RowsPage>;
  /** How a constraint or index of a table is dropped and made again; null when there is none of that name. */
  ddl(table: TableId, name: string): Asking<Ddl | null>;
  /** What names a constraint or rests on it, beside references. */
  dependents(table: TableId, part: NamedPart): Asking<readonly Dependent[]>;
  /** What deleting one row would do, counted exactly, in one snapshot. */
  reach(question: ReachQuestion): Asking<Reach>;
  /** What a login may do beyond reading, what is hidden from it, and what would make a fitting one. */
  login(schemas?: readonly string[]): Asking<LoginReport>;
}

/** A fact before it is known when it was measured. */
export type Measured = { readonly [Part in 'request' | 'how' | 'result' | 'notMeasured']?: unknown } & Pick<Fact, 'request'>;

export interface CatalogueOptions {
  /** With what the server believes of each column, which costs. */
  readonly statistics: boolean;
  readonly sizes: 'exact' | 'estimated';
  /** Those that are meant, where a server has them of several databases side by side; all that the login sees when left out. */
  readonly schemas?: readonly string[];
  /** True when every answer has to be brought by somebody: then nothing waits for another answer that need not. */
  readonly atOnce?: boolean;
}

export interface DefinitionsOptions extends Pick<CatalogueOptions, 'schemas' | 'atOnce'> {
  readonly statements: boolean;
}

export interface MeasureOptions {
  readonly depth: Depth;
  /** What is measured already, so that it need not be counted again. */
  readonly known?: (request: EvidenceRequest) => Fact | null;
  /** True when every answer has to be brought by somebody: then more is asked at once. */
  readonly atOnce?: boolean;
  /** False when answers may hold counts only, no values of the tables. */
  readonly values?: boolean;
}

export interface Page {
  readonly offset: number;
  readonly limit: number;
}

export interface RowsPage {
  readonly caption: string;
  readonly columns: readonly string[];
  /** Every value as text, long ones cut. */
  readonly rows: readonly Row[];
  /** True when there are more rows after these. */
  readonly more: boolean;
}

/** A table, or a part of it, that may get another name. */
export interface NamedPart {
  readonly kind: 'table' | 'constraint' | 'column';
  readonly name: string;
}

export interface Dependent {
  readonly kind: 'function' | 'procedure' | 'view' | 'trigger' | 'policy' | 'generated column' | 'publication';
  /** As the server spells it, with its schema where that is needed. */
  readonly name: string;
  readonly how: 'names it' | 'rests on it';
}

/** Statements to be read and kept; Pawl runs none of them. */
export interface Ddl {
  readonly drop: string;
  readonly create: string;
}

/** The rows of one query. */
export function* rowsOf(query: Query): Asking<readonly Row[]> {
  const [answer] = yield [query];
  return answer?.rows ?? [];
}

/** The row of a query that always has one. Throws NotAnswered when it has none. */
export function* oneOf(query: Query): Asking<Row> {
  return rowOf({ rows: yield* rowsOf(query) });
}

/** The same of an answer. */
export function rowOf(answer: Pick<Answered, 'rows'> | undefined): Row {
  const [row] = answer?.rows ?? [];
  if (!row) throw new NotAnswered('The server answered a count with no row.', false);
  return row;
}

/** What kept us from a part of a question, in words; null when nothing did. Throws on when nothing else will be answered either. */
export function* attempt(part: Asking<void>): Asking<string | null> {
  try {
    yield* part;
    return null;
  } catch (error) {
    if (!(error instanceof NotAnswered) || error.last) throw error;
    return error.message;
  }
}

/** Several questions at once: each goes on with its own answers, and what one of them is refused the others do not hear of. */
export function* together(parts: readonly Asking<void>[]): Asking<void> {
  let open = parts.map((part) => ({ part, next: part.next() }));
  for (;;) {
    const asking = open.flatMap(({ part, next }) => (next.done ? [] : [{ part, queries: next.value }]));
    if (asking.length === 0) return;
    const answers = (yield asking.flatMap(({ queries }) => queries.map((query) => ({ ...query, mayFail: true })))).values();
    open = asking.map(({ part, queries }) => {
      const own = queries.map(() => answers.next().value ?? { rows: [], names: [] });
      const refused = own.find((answer, i) => answer.refused && !queries[i]?.mayFail)?.refused;
      return { part, next: refused ? part.throw(refused) : part.next(own) };
    });
  }
}

/** A question whose answer is kept elsewhere, to be one of several. */
export function* keeping<T>(asking: Asking<T>, keep: (answer: T) => void): Asking<void> {
  keep(yield* asking);
}
