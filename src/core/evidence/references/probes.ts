// References that no name speaks of: a few values of a column are looked up among the keys of the
// tables whose bounds fit most snugly. Only keys whose values are not simply 1 to n are asked about:
// small numbers contain each other by chance, and that they do tells nothing (Rostin et al., "A
// Machine Learning Approach to Foreign Key Discovery", WebDB 2009; pruning by bounds and by lookups as
// in De Marchi et al., "Unary and n-ary inclusion dependency discovery", JIIS 32, 2009).

import type { TableId } from '../../catalogue/identifiers';
import { getTable, primaryKeyOf } from '../../catalogue/lookups';
import type { Catalogue, Column, Table } from '../../catalogue/model';
import { namesADescription, namesAMeasure, namesAnIdentifier } from '../../naming/meaning';
import { type Evidence, profileOf, sampleOf, uniquenessOf } from '../evidence';
import type { ProbedParent, ProbeRequest } from '../requests';
import { canHold, freeColumns, parentKeys } from './candidates';

const parentsPerColumn = 40;
const fewestValues = 3;
const leastSurprise = 6;

export function probeRequestOf(table: TableId, column: string, parents: readonly ProbedParent[]): ProbeRequest {
  return { kind: 'probe', table, column, parents };
}

/** What to look up for the columns of these tables. */
export function probeQuestions(catalogue: Catalogue, tables: readonly Table[], evidence: Evidence): readonly ProbeRequest[] {
  const parents = probeableParents(catalogue, evidence);
  if (parents.length === 0) return [];
  return tables.flatMap((table) => {
    const profile = profileOf(evidence, table.id);
    if (!profile || profile.result.rows < fewestValues) return [];
    return freeColumns(table)
      .filter((column) => mayRefer(table, column, evidence))
      .flatMap((column): ProbeRequest[] => {
        const fitting = snuggest(catalogue, table, column, parents, evidence);
        return fitting.length === 0 ? [] : [probeRequestOf(table.id, column.name, fitting)];
      });
  });
}

interface Bounded extends ProbedParent {
  readonly target: Column;
  readonly rows: number;
  readonly min: number | null;
  readonly max: number | null;
  readonly longest: number | null;
}

function probeableParents(catalogue: Catalogue, evidence: Evidence): readonly Bounded[] {
  return parentKeys(catalogue, evidence).flatMap(({ table, columns, primary }): Bounded[] => {
    const [name] = columns;
    const target = table.columns.find((column) => column.name === name);
    const profile = profileOf(evidence, table.id)?.result;
    const bounds = profile?.columns[name ?? ''];
    // A text that is unique can be repeated elsewhere in place of its table's key.
    if (columns.length > 1 || (!primary && target?.family !== 'text') || !target || !profile || !bounds || profile.rows < 2)
      return [];
    const min = numberOf(bounds.min);
    const max = numberOf(bounds.max);
    const dense = target.family === 'integer' && min !== null && max !== null && max - min + 1 <= profile.rows;
    const longest = sampleOf(evidence, table.id)?.result.columns[target.name]?.longest ?? null;
    return dense ? [] : [{ table: table.id, column: target.name, target, rows: profile.rows, min, max, longest }];
  });
}

function mayRefer(table: Table, column: Column, evidence: Evidence): boolean {
  const sample = sampleOf(evidence, table.id)?.result;
  const seen = sample?.columns[column.name];
  // A table's own identifiers are made, not taken from elsewhere.
  if (primaryKeyOf(table)?.columns.join() === column.name) return false;
  if (!seen || (seen.distinct ?? 0) < fewestValues || namesAMeasure(column.name) || namesADescription(column.name)) return false;
  if (column.family === 'text') return (seen.longest ?? 0) >= 2 && (seen.longest ?? 0) <= 64;
  if (column.family === 'uuid' || column.family === 'binary') return true;
  // A number that counts or measures is contained in many keys; one that identifies or is indexed may refer.
  return (
    (namesAnIdentifier(column.name) || isIndexed(table, column.name) || /^(ref|fk|id)/i.test(column.name)) &&
    !(seen.rising !== null && seen.rising > 0.98 && uniquenessOf(evidence, table.id, [column.name]).kind === 'unique')
  );
}

function isIndexed(table: Table, column: string): boolean {
  return table.indexes.some((index) => index.columns[0] === column);
}

function snuggest(
  catalogue: Catalogue,
  table: Table,
  column: Column,
  parents: readonly Bounded[],
  evidence: Evidence,
): readonly ProbedParent[] {
  const bounds = profileOf(evidence, table.id)?.result.columns[column.name];
  const seen = sampleOf(evidence, table.id)?.result.columns[column.name];
  const min = numberOf(bounds?.min ?? null);
  const max = numberOf(bounds?.max ?? null);
  const distinct = seen?.distinct ?? 0;
  return parents
    .filter(
      (parent) =>
        parent.table !== table.id &&
        canHold(catalogue, table, column, getTable(catalogue, parent.table), parent.target) &&
        distinct <= parent.rows * 1.05,
    )
    .filter((parent) => surpriseOf(parent, distinct) >= leastSurprise)
    .map((parent) => ({ parent, slack: slackOf(parent, min, max, seen?.longest ?? null) }))
    .filter(({ slack }) => slack !== null)
    .sort((a, b) => (a.slack ?? 0) - (b.slack ?? 0))
    .slice(0, parentsPerColumn)
    .map(({ parent }) => ({ table: parent.table, column: parent.column }));
}

/**
 * How unlikely it is, as a negative natural logarithm, that so many distinct values all happen to be
 * keys of a parent: keys that fill their range as far as they go surprise nobody.
 */
function surpriseOf({ target, rows, min, max }: Bounded, distinct: number): number {
  if (target.family !== 'integer' || min === null || max === null) return distinct * 3;
  return -distinct * Math.log(Math.min(1, rows / (max - min + 1)));
}

// How much of the parent's range the child leaves unused; null when it reaches beyond. A few orphans may.
function slackOf(parent: Bounded, min: number | null, max: number | null, longest: number | null): number | null {
  if (parent.min === null || parent.max === null || min === null || max === null) {
    return longest !== null && parent.longest !== null ? Math.abs(longest - parent.longest) : 0;
  }
  if (min < parent.min || max > parent.max) return null;
  return (parent.max - parent.min - (max - min)) / Math.max(1, parent.max - parent.min);
}

function numberOf(text: string | null): number | null {
  return text !== null && /^-?\d+$/.test(text) ? Number(text) : null;
}
