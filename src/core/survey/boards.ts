// The boards of a source, as compact JSON that Pawl's own database writes and the browser reads: large
// ones have tens of thousands of lines.

import type { TableId } from '../catalogue/identifiers';
import type { FindingState } from '../ratchet/states';
import type { Concern, Severity } from '../rules/rule';

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
  /** What it is about: `port.call(vessel_no)`. */
  readonly place: string;
  readonly table: string;
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

type Line = [number, string, Concern, Severity, number, FindingState, string, string, string, string];

export function readFindings(board: string): readonly FindingLine[] {
  return (JSON.parse(board) as Line[]).map(([id, rule, concern, severity, confidence, state, title, measured, place, table]) => ({
    id,
    rule,
    concern,
    severity,
    confidence,
    state,
    title,
    measured,
    place,
    table,
  }));
}

type TableLine = [TableId, string, string, number | null, number, string | null];
type CellLine = [string, Concern, number, number, number, Severity | null];

export function readCoverage({ tables, cells }: { readonly tables: string; readonly cells: string }): CoverageBoard {
  return {
    tables: (JSON.parse(tables) as TableLine[]).map(([id, schema, name, rows, bytes, notMeasured]) => ({
      id,
      schema,
      name,
      rows,
      bytes,
      notMeasured,
    })),
    cells: (JSON.parse(cells) as CellLine[]).map(([tableId, concern, open, held, slipped, worst]) => ({
      tableId,
      concern,
      open,
      held,
      slipped,
      worst,
    })),
  };
}
