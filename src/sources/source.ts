// What every source can do. All reading is read-only, bounded in time, and gentle.

import type { TableId } from '../core/catalogue/identifiers';
import type { Catalogue } from '../core/catalogue/model';
import type { Fact } from '../core/evidence/evidence';
import type { Ddl, Dependent, MeasureOptions as Asked, NamedPart, Page, RowsPage } from '../core/engines/questions';
import type { EvidenceRequest } from '../core/evidence/requests';
import type { Reach, ReachQuestion } from '../core/plan/reach';
import type { RowsQuestion } from '../core/evidence/rows';
import type { LoginReport } from '../core/survey/login';

export interface Source {
  /** True where answers are brought by somebody: what is not there yet is thrown as Later. */
  readonly byFiles: boolean;
  /**
   * Throws SourceError when the catalogue cannot be read. `statistics`: with what the server believes of each column, which
   * costs; `joins`: with which columns views and functions compare, which is so unless it is false.
   */
  readCatalogue(options?: { readonly statistics?: boolean; readonly joins?: boolean }): Promise<Catalogue>;
  /** What the login may do beyond reading, and what would make a fitting one. Throws SourceError. */
  login(): Promise<LoginReport>;
  /**
   * Answers requests of one kind with its own SQL, about one table or, if they are probes, about many; in
   * one pass where it can: a fact for each, in order. What a table refuses (rights, time, locks) is a fact too: not measured, with the
   * reason. Throws SourceError only when the connection is lost or the work cancelled.
   */
  measure(requests: readonly EvidenceRequest[], catalogue: Catalogue, options: MeasureOptions): Promise<readonly Fact[]>;
  /** Rows that speak for a finding, a page at a time. */
  offenders(question: RowsQuestion, page: Page): Promise<RowsPage>;
  /** What deleting one row would do, counted exactly. Throws SourceError. */
  reach(question: ReachQuestion): Promise<Reach>;
  /** How a constraint or index of a table is dropped and made again; null when there is none of that name. Throws SourceError. */
  ddl(table: TableId, name: string): Promise<Ddl | null>;
  /** What names a constraint or rests on it, beside references. Throws SourceError. */
  dependents(table: TableId, part: NamedPart): Promise<readonly Dependent[]>;
  /** Stops what is running now; the call that waits for it throws SourceError `cancelled`. */
  cancel(): Promise<void>;
  close(): Promise<void>;
}

export interface MeasureOptions extends Asked {
  /** The longest that one statement may take; null for the source's own limit. */
  readonly timeoutMs?: number | null;
  /** Parallel workers that a statement may have beside its own process. */
  readonly workers?: number;
  /** Called after each statement with the time it took: the budget's rest. */
  readonly rest?: (tookMs: number) => Promise<void>;
}
