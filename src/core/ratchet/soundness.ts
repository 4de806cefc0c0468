// One number that can be quoted. Each table that was measured counts once for each concern; it is sound there while nothing of
// Moderate or worse is open. Docs: docs/operations.md, "Soundness".

import { type Concern, concerns, severities, type Severity } from '../rules/finding';
import type { CoverageBoard, CoverageCell } from '../survey/boards';

export interface Soundness {
  /** Of tables and concerns those that are sound, from 0 to 1; null where nothing was measured. */
  readonly share: number | null;
  /** The same where a table counts by its rows, an empty one as if it had one. */
  readonly byRows: number | null;
  /** Tables and concerns that are not. */
  readonly broken: number;
  /** All tables and concerns that were measured. */
  readonly places: number;
  /** Tables of which nothing can be said. */
  readonly notMeasured: number;
}

const broken: ReadonlySet<Severity> = new Set(severities.slice(0, severities.indexOf('Moderate') + 1));

export function soundnessOf({ tables, cells }: CoverageBoard): Soundness {
  const measured = measuredRows(tables);
  const wrong = cells.filter((cell) => isBroken(cell) && measured.has(cell.tableId));
  const all = [...measured.values()].reduce((sum, rows) => sum + rows, 0) * concerns.length;
  const bad = wrong.reduce((sum, { tableId }) => sum + (measured.get(tableId) ?? 0), 0);
  return {
    share: measured.size === 0 ? null : 1 - wrong.length / (measured.size * concerns.length),
    byRows: measured.size === 0 ? null : 1 - bad / all,
    broken: wrong.length,
    places: measured.size * concerns.length,
    notMeasured: tables.length - measured.size,
  };
}

/** The cells of measured tables that are not sound: `port.call Keys`. */
export function brokenCells({ tables, cells }: CoverageBoard): readonly string[] {
  const measured = measuredRows(tables);
  return cells
    .filter((cell) => isBroken(cell) && measured.has(cell.tableId))
    .map(({ tableId, concern }) => cellName(tableId, concern));
}

export function cellName(table: string, concern: Concern): string {
  return `${table} ${concern}`;
}

function isBroken({ worst }: CoverageCell): boolean {
  return worst !== null && broken.has(worst);
}

function measuredRows(tables: CoverageBoard['tables']): ReadonlyMap<string, number> {
  return new Map(tables.filter((table) => table.notMeasured === null).map((table) => [table.id, Math.max(1, table.rows ?? 1)]));
}
