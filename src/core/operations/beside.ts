import type { FindingId, TableId } from '../catalogue/identifiers';
import { kindOf, type Operation } from './index';
import { says } from './says';

/** An operation and the finding that it mends. */
export interface Candidate<O = Operation> {
  readonly finding: FindingId;
  readonly operation: O;
}

/** The operations of a docket by the table they change, so that each is held against those of its own tables only. */
export class Beside {
  private readonly byTable = new Map<TableId, Set<Candidate>>();
  private readonly byParent = new Map<TableId, Set<Candidate>>();

  constructor(candidates: readonly Candidate[]) {
    for (const candidate of candidates) {
      const own = this.byTable.get(candidate.operation.table) ?? new Set<Candidate>();
      this.byTable.set(candidate.operation.table, own.add(candidate));
      for (const parent of kindOf(candidate.operation).refersTo?.(candidate.operation) ?? [])
        this.byParent.set(parent, (this.byParent.get(parent) ?? new Set<Candidate>()).add(candidate));
    }
  }

  on(table: TableId): Iterable<Candidate> {
    return this.byTable.get(table) ?? [];
  }

  /** Those on a table that other findings call for. */
  othersOn(table: TableId, { finding }: Candidate<unknown>): readonly Operation[] {
    return [...this.on(table)].filter((other) => other.finding !== finding).map(({ operation }) => operation);
  }

  /** Those that refer to a table, and that other findings call for. */
  referringTo(table: TableId, { finding }: Candidate<unknown>): readonly Operation[] {
    return [...(this.byParent.get(table) ?? [])].filter((other) => other.finding !== finding).map(({ operation }) => operation);
  }

  /** Whether what another finding calls for says the name of a table anywhere: its checks and proofs will look for it. */
  speaksOf(table: TableId, { finding }: Candidate<unknown>): boolean {
    return [...this.byTable.values()].some((candidates) =>
      [...candidates].some((other) => other.finding !== finding && says(other.operation, table)),
    );
  }

  leaveOut(candidate: Candidate): void {
    for (const candidates of this.byParent.values()) candidates.delete(candidate);

    this.byTable.get(candidate.operation.table)?.delete(candidate);
  }
}
