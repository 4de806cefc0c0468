// The two ways to carry an operation out. Plain: its statements in one transaction. Quiet: constraints are
// added without a look at the rows and validated afterwards, indexes are built concurrently and only then made
// keys. Each stage can be repeated, and says what it leaves undone when it was interrupted.

import { tableNames, type TableId } from '../../../catalogue/identifiers';
import type { Catalogue } from '../../../catalogue/model';
import { findColumn, getTable } from '../../../catalogue/lookups';
import { todoOf, type Operation } from '../../../operations/index';
import type { Cost } from '../../../plan/cost';
import type { Stage } from '../../dialect';
import { quote, quoteTable } from '../quote';

export interface Writing<O> {
  /** All of it in one transaction. */
  statements(operation: O): readonly string[];
  cost(operation: O): Cost;
  /** The same beside users at work; as in one transaction when left out. */
  readonly quiet?: {
    stages(operation: O, whole: Stage): readonly Stage[];
    cost?(operation: O): Cost;
  };
  /** As of the dialect, where it is not so many times what the table holds. */
  bytesPassed?(operation: O, cost: Cost, catalogue: Catalogue): number | null;
}

// Manual, 13.3 "Explicit Locking", and "ALTER TABLE".
export const exclusive = (work: Cost['work'], blocks: Cost['blocks'] = 'everyone'): Cost => ({
  lock: 'ACCESS EXCLUSIVE',
  blocks,
  work,
});
export const moment = exclusive('catalogue only', 'others for a moment');
// Manual, "CREATE INDEX", section "Building Indexes Concurrently".
export const nobodyWaits: Cost = { lock: 'SHARE UPDATE EXCLUSIVE', blocks: 'nobody', work: 'catalogue only' };
export const changesRows: Cost = { lock: 'ROW EXCLUSIVE', blocks: 'nobody', work: 'changes rows' };

export function stage(statements: readonly string[], todo: Stage['todo'], cost: Cost): Stage {
  return { statements, todo, cost, alone: false };
}

/** Taken outside of a transaction only. */
export function alone(statement: string, todo: Stage['todo'], cost: Cost): Stage {
  return { statements: [statement], todo, cost, alone: true };
}

/** With something to do only after an interruption. */
export function cleansUp(of: Stage): Stage {
  return { ...of, role: 'cleans up' };
}

/** What does all of an operation. */
export function does(operation: Operation, statements: readonly string[], cost: Cost): Stage {
  return stage(statements, todoOf(operation), cost);
}

export function alter(table: TableId, ...clauses: readonly string[]): string {
  return [`alter table ${quoteTable(table)}`, ...clauses.map((clause) => `  ${clause}`)].join('\n');
}

export function dropConstraintOf(table: TableId, name: string): string {
  return alter(table, `drop constraint ${quote(name)}`);
}

export function inSchemaOf(table: TableId, name: string): string {
  return `${quote(tableNames(table).schema)}.${quote(name)}`;
}

/** Beside people at work an index is built in two passes, each of which waits for them. */
const buildingBeside = 2.6;
/** Texts are compared by their language when they are sorted. */
const sortingText = 2.7;

/** Of indexes over these columns. Fitted on 15 with a million rows (bench/times), as all weights here are. */
export function buildingIndexes(
  { table }: Operation,
  over: readonly (readonly string[])[],
  { blocks }: Cost,
  catalogue: Catalogue,
): number {
  const beside = blocks === 'others for a moment' || blocks === 'nobody' ? buildingBeside : 1;
  const sorting = over.map((columns) => (holdsText(table, columns, catalogue) ? sortingText : 1));
  return (
    (getTable(catalogue, table).bytes ?? 0) *
    passes['builds an index'] *
    beside *
    sorting.reduce((sum, weight) => sum + weight, 0)
  );
}

function holdsText(table: TableId, columns: readonly string[], catalogue: Catalogue): boolean {
  // A column that the plan makes is a number.
  return columns.some((name) => findColumn(catalogue, table, name)?.family === 'text');
}

/** Passes over the table that each kind of work is worth, where nothing else is said. */
export const passes: Readonly<Record<Cost['work'], number>> = {
  'catalogue only': 0,
  'reads every row': 0.7,
  'changes rows': 2,
  'builds an index': 1.7,
  'rewrites the table': 11,
};
