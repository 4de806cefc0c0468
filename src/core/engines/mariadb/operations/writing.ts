// How operations are carried out here. Every ALTER TABLE commits by itself and is all or nothing, so each is a stage of its
// own; how it works and whom it keeps waiting is spelt, so that the server refuses where it would copy instead.

import { besideTable, type TableId } from '../../../catalogue/identifiers';
import type { Catalogue } from '../../../catalogue/model';
import { type Operation, todoOf } from '../../../operations/index';
import type { Cost } from '../../../plan/cost';
import type { Stage } from '../../dialect';
import { quote, quoteTable } from '../quote';

export interface Writing<O> {
  stages(operation: O, mode: 'plain' | 'quiet'): readonly Stage[];
  cost(operation: O, mode: 'plain' | 'quiet'): Cost;
  /** As of the dialect, where it is not so many times what the table holds. */
  bytesPassed?(operation: O, cost: Cost, catalogue: Catalogue): number | null;
}

/** How an ALTER TABLE works, as the server is told (manual, "ALTER TABLE: ALGORITHM, LOCK"). */
export interface Way {
  readonly algorithm: 'instant' | 'nocopy' | 'inplace' | 'copy';
  readonly lock: 'none' | 'shared' | 'exclusive';
}

export const instant: Way = { algorithm: 'instant', lock: 'none' };
export const building: Way = { algorithm: 'nocopy', lock: 'none' };
export const rebuilding: Way = { algorithm: 'inplace', lock: 'none' };
export const numbering: Way = { algorithm: 'inplace', lock: 'shared' };
export const copying: Way = { algorithm: 'copy', lock: 'shared' };

export function costAs(way: Way): Cost {
  const lock = `ALGORITHM=${way.algorithm}, LOCK=${way.lock}`.toUpperCase();
  if (way === instant) return { lock, blocks: 'others for a moment', work: 'catalogue only' };
  if (way === building) return { lock, blocks: 'others for a moment', work: 'builds an index' };
  return { lock, blocks: way.lock === 'none' ? 'others for a moment' : 'writers', work: 'rewrites the table' };
}

export const changesRows: Cost = { lock: 'ROW LOCKS', blocks: 'nobody', work: 'changes rows' };

// The metadata lock that each ALTER takes at its start or end has everybody wait behind whoever waits for it: a short one is asked
// for again and again, a build whose work would be lost waits longer.
const forMoment = { lockMs: 1_000, tries: 120, pauseMs: 500 } as const;
const forBuild = { lockMs: 5_000, tries: 6, pauseMs: 1_000 } as const;

export function alter(table: TableId, way: Way | null, ...clauses: readonly string[]): string {
  const how = way === null ? [] : [`algorithm=${way.algorithm}, lock=${way.lock}`];
  return [`alter table ${quoteTable(table)}`, [...clauses, ...how].map((clause) => `  ${clause}`).join(',\n')].join('\n');
}

/** Changes nothing: it is done when every transaction has ended that touched the table before, and has it opened anew. */
export function opensAnew(table: TableId): string {
  return `set statement sql_notes = 0 for ${alter(table, null, `alter index if exists ${quote('pawl_none')} not ignored`)}`;
}

/** One statement that commits by itself. */
export function alone(statement: string, todo: Stage['todo'], cost: Cost): Stage {
  return { statements: [statement], todo, cost, alone: true, patience: cost.work === 'catalogue only' ? forMoment : forBuild };
}

/** One ALTER TABLE. */
export function altering(table: TableId, way: Way, clauses: readonly string[], todo: Stage['todo']): Stage {
  return alone(alter(table, way, ...clauses), todo, costAs(way));
}

/** Rows changed in one transaction. */
export function changing(statements: readonly string[], todo: Stage['todo']): Stage {
  return { statements, todo, cost: changesRows, alone: false };
}

/** With something to do only after an interruption. */
export function cleansUp(of: Stage): Stage {
  return { ...of, role: 'cleans up' };
}

/** An operation that is one ALTER TABLE, whoever is at work. */
export function asOne<O extends Operation>(
  way: Way | ((operation: O) => Way),
  clauses: (operation: O) => readonly string[],
): Writing<O> {
  const wayOf = (operation: O): Way => (typeof way === 'function' ? way(operation) : way);
  return {
    stages: (operation) => [altering(operation.table, wayOf(operation), clauses(operation), todoOf(operation))],
    cost: (operation) => costAs(wayOf(operation)),
  };
}

export function beside(table: TableId, name: string): string {
  return quoteTable(besideTable(table, name));
}

/** Passes over the table that each kind of work is worth, where nothing else is said; measured on a million rows. */
export const passes: Readonly<Record<Cost['work'], number>> = {
  'catalogue only': 0,
  'reads every row': 1,
  'changes rows': 2,
  'builds an index': 3,
  'rewrites the table': 8,
};
