// The boards of a source, as compact JSON that Pawl's own database writes and the browser reads: large
// ones have tens of thousands of lines.

import type { TableId } from '../catalogue/identifiers';
import type { FindingState } from '../ratchet/states';
import { type Concern, severities, type Severity } from '../rules/finding';

/** A finding as a line of the board. */
export interface FindingLine {
  readonly id: number;
  readonly rule: string;
  readonly concern: Concern;
  readonly severity: Severity;
  readonly confidence: number;
  readonly state: FindingState;
  readonly title: string;
  readonly measured: string;
  /** Whether there is a script that mends it. */
  readonly scripted: boolean;
  /** What it is about: `port.call(vessel_no)`. */
  readonly place: string;
  readonly table: string;
  /** Who sees to it. */
  readonly carer: string | null;
  /** Until which day, in ISO 8601. */
  readonly due: string | null;
  /** The number of the change elsewhere. */
  readonly change: string | null;
}

export interface SurveyedTable {
  readonly id: TableId;
  readonly schema: string;
  readonly name: string;
  readonly rows: number | null;
  readonly bytes: number;
  readonly notMeasured: string | null;
}

/** A cell of the coverage board: what is open and what is held for one table and concern. */
export interface CoverageCell {
  readonly tableId: string;
  readonly concern: Concern;
  readonly open: number;
  readonly held: number;
  readonly slipped: number;
  readonly worst: Severity | null;
}

export interface CoverageBoard {
  readonly tables: readonly SurveyedTable[];
  readonly cells: readonly CoverageCell[];
}

/** Worst first, then the surest. */
export function readFindings(board: string): readonly FindingLine[] {
  const rank = new Map(severities.map((severity, n) => [severity, n]));
  return linesOf<FindingLine>(board).toSorted(
    (a, b) =>
      (rank.get(a.severity) ?? 0) - (rank.get(b.severity) ?? 0) ||
      b.confidence - a.confidence ||
      compare(a.table, b.table) ||
      a.id - b.id,
  );
}

/** Tables by schema and name. */
export function readCoverage({ tables, cells }: { readonly tables: string; readonly cells: string }): CoverageBoard {
  return {
    tables: linesOf<SurveyedTable>(tables).toSorted((a, b) => compare(a.schema, b.schema) || compare(a.name, b.name)),
    cells: linesOf<CoverageCell>(cells),
  };
}

/** Lines out of an object of columns, each with its values line by line; null for a column without any. */
function linesOf<Line>(json: string): readonly Line[] {
  const columns = Object.entries(JSON.parse(json) as Record<string, readonly unknown[] | null>);
  const [first] = columns;
  return (first?.[1] ?? []).map((_, n) => {
    const line: Record<string, unknown> = {};
    for (const [name, values] of columns) line[name] = values?.[n];
    return line as Line;
  });
}

function compare(a: string, b: string): number {
  return a === b ? 0 : a < b ? -1 : 1;
}
