// What a plan is, as data: what scripts are written of and runs carry out.

import type { FindingId, TableId } from '../catalogue/identifiers';
import type { EngineName } from '../engines/name';
import type { Check } from '../operations/check';
import type { Operation } from '../operations/index';
import type { Proof } from '../operations/proof';
import type { NeededKey } from '../operations/refusal';
import type { Cost, Mode } from './cost';

export interface Plan {
  readonly engine: EngineName;
  readonly mode: Mode;
  readonly steps: readonly Step[];
  /** Undoes all steps, last first. */
  readonly back: readonly Operation[];
  readonly before: readonly Check[];
  readonly after: readonly Check[];
  /** Why parts of the docket cannot be carried out as they are; those parts are not in the steps. */
  readonly problems: readonly Problem[];
  /** Undoes what was done of remedies that were taken out after a run had stopped; before all else, whichever way it goes. */
  readonly undo?: readonly Operation[];
  /** What its side tables are told by; left out by older versions. */
  readonly label?: string;
  /** Where it is written down what was there before the first run; left out where nothing of it could be. */
  readonly record?: Record;
}

export interface Step {
  readonly operation: Operation;
  readonly finding: FindingId;
  readonly cost: Cost;
  readonly proofs: readonly Proof[];
}

export interface Problem {
  readonly finding: FindingId;
  readonly message: string;
  /** The key that another remedy would have to make first. */
  readonly needs: NeededKey | null;
}

/** Where a plan writes down what was there before its first run, and of which of its steps: those that had something to do when it was made. */
export interface Record {
  readonly table: TableId;
  readonly steps: readonly number[];
}
