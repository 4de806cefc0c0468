import type { Catalogue } from '../catalogue/model';
import type { Candidate } from '../operations/beside';
import type { Operation } from '../operations/index';
import type { Ground } from '../operations/operation';
import type { Refusal } from '../operations/refusal';

/** What an engine does of itself, so that it is planned otherwise. */
export interface OwnPlanning {
  /** The operations of a docket as the engine does them: what comes with another is no step of its own, what would come unasked is one. */
  asItIsDone(candidates: readonly Candidate[], catalogue: Catalogue): readonly Candidate[];
  /** An operation, fitted to its tables, with what only this engine has to know of them; or why this engine does not do it there. */
  fit(operation: Operation, on: Ground): Operation | Refusal;
  /** The same operations in the same order, some of which carry others along. */
  together(operations: readonly Operation[]): readonly Operation[];
}
