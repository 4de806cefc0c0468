// References that no name speaks of: a few values of a column are looked up among the keys of the
// tables whose bounds fit most snugly. Only keys whose values are not simply 1 to n are asked about:
// small numbers contain each other by chance, and that they do tells nothing (Rostin et al., "A
// Machine Learning Approach to Foreign Key Discovery", WebDB 2009; pruning by bounds and by lookups as
// in De Marchi et al., "Unary and n-ary inclusion dependency discovery", JIIS 32, 2009).

import { getTable, primaryKeyOf } from '../../catalogue/lookups';
import type { Catalogue, Column, Table } from '../../catalogue/model';
import { namesADescription, namesAMeasure, namesAnIdentifier } from '../../naming/meaning';
import { type Bounds, boundsOf, firstAtLeast } from '../bounds';
import { type Evidence, profileOf, sampleOf, uniquenessOf } from '../evidence';
import { type ProbedParent, type ProbeRequest, probeRequestOf } from '../requests';
import { canHold, freeColumns, parentKeys } from './candidates';

const parentsPerColumn = 40;
const fewestValues = 3;
const leastSurprise = 6;

/** What to look up for the columns of these tables. */
export function probeQuestions(catalogue: Catalogue, tables: readonly Table[], evidence: Evidence): readonly ProbeRequest[] {
  const parents = indexed(probeableParents(catalogue, evidence));
  if (parents.byMax.length + parents.byLength.length === 0) return [];
  return tables.flatMap((table) => {
    const profile = profileOf(evidence, table.id);
    if (!profile || profile.result.rows < fewestValues) return [];
    return freeColumns(table)
      .filter((column) => mayRefer(table, column, evidence))
      .flatMap((column): ProbeRequest[] => {
        const fitting = snuggest({ catalogue, evidence, parents }, table, column);
        return fitting.length === 0 ? [] : [probeRequestOf(table.id, column.name, fitting)];
      });
  });
}

interface Bounded {
  readonly asked: ProbedParent;
  readonly target: Column;
  readonly rows: number;
  /** Of whole numbers; null for all else. */
  readonly range: Bounds | null;
  readonly longest: number | null;
}

function probeableParents(catalogue: Catalogue, evidence: Evidence): readonly Bounded[] {
  return parentKeys(catalogue, evidence).flatMap(({ table, columns, primary }): Bounded[] => {
    const [name] = columns;
    const target = table.columns.find((column) => column.name === name);
    const profile = profileOf(evidence, table.id)?.result;
    // A text that is unique can be repeated elsewhere in place of its table's key.
    if (
      columns.length > 1 ||
      (!primary && target?.family !== 'text') ||
      !target ||
      !profile?.columns[target.name] ||
      profile.rows < 2
    )
      return [];
    const range = boundsOf(evidence, table.id, target.name);
    const dense = target.family === 'integer' && range !== null && range.max - range.min + 1 <= profile.rows;
    const longest = sampleOf(evidence, table.id)?.result.columns[target.name]?.longest ?? null;
    if (dense) return [];
    const asked = { table: table.id, column: target.name, enough: enoughFor(target, profile.rows, range) };
    return [{ asked, target, rows: profile.rows, range, longest }];
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

/** Parents in the order in which the snuggest for a column lie together. */
interface Parents {
  /** Of whole numbers, by their largest. */
  readonly byMax: readonly Bounded[];
  /** All others, by the length of their longest value. */
  readonly byLength: readonly Bounded[];
}

function indexed(parents: readonly Bounded[]): Parents {
  return {
    byMax: parents.filter(({ range }) => range !== null).sort((a, b) => largestOf(a) - largestOf(b)),
    byLength: parents.filter(({ range }) => range === null).sort((a, b) => lengthOf(a) - lengthOf(b)),
  };
}

/** Looked at before the snuggest of them are chosen. */
const near = 4 * parentsPerColumn;

// From where the column's own bounds would stand, outwards: the work does not grow with the schema.
function nearest({ byMax, byLength }: Parents, own: Bounds | null, longest: number | null): readonly Bounded[] {
  if (own) return byMax.slice(firstAtLeast(byMax, own.max, largestOf)).slice(0, near);
  const at = firstAtLeast(byLength, longest ?? 0, lengthOf);
  return byLength.slice(Math.max(0, at - near / 2), at + near / 2);
}

function largestOf({ range }: Bounded): number {
  return range?.max ?? 0;
}

function lengthOf({ longest }: Bounded): number {
  return longest ?? 0;
}

interface Among {
  readonly catalogue: Catalogue;
  readonly evidence: Evidence;
  readonly parents: Parents;
}

function snuggest({ catalogue, evidence, parents }: Among, table: Table, column: Column): readonly ProbedParent[] {
  const own = boundsOf(evidence, table.id, column.name);
  const seen = sampleOf(evidence, table.id)?.result.columns[column.name];
  const distinct = seen?.distinct ?? 0;
  return nearest(parents, own, seen?.longest ?? null)
    .filter(
      (parent) =>
        parent.asked.table !== table.id &&
        distinct <= parent.rows * 1.05 &&
        surpriseOf(parent.target, parent.rows, parent.range, distinct) >= leastSurprise &&
        canHold(catalogue, { table, column }, { table: getTable(catalogue, parent.asked.table), column: parent.target }),
    )
    .map((parent) => ({ parent, slack: slackOf(parent, own, seen?.longest ?? null) }))
    .filter(({ slack }) => slack !== null)
    .sort((a, b) => (a.slack ?? 0) - (b.slack ?? 0))
    .slice(0, parentsPerColumn)
    .map(({ parent }) => parent.asked);
}

const noDoubt = 12;
const fewestLookedUp = 12;

function enoughFor(target: Column, rows: number, range: Bounds | null): number {
  return Math.max(fewestLookedUp, Math.ceil(noDoubt / surpriseOf(target, rows, range, 1)));
}

/**
 * How unlikely it is, as a negative natural logarithm, that so many distinct values all happen to be
 * keys of a parent: keys that fill their range as far as they go surprise nobody.
 */
function surpriseOf(target: Column, rows: number, range: Bounds | null, distinct: number): number {
  if (target.family !== 'integer' || range === null) return distinct * 3;
  return -distinct * Math.log(Math.min(1, rows / (range.max - range.min + 1)));
}

// How much of the parent's range the child leaves unused; null when it reaches beyond. A few orphans may.
function slackOf({ range, longest }: Bounded, own: Bounds | null, ownLongest: number | null): number | null {
  if (!range || !own) return ownLongest !== null && longest !== null ? Math.abs(ownLongest - longest) : 0;
  if (own.min < range.min || own.max > range.max) return null;
  return (range.max - range.min - (own.max - own.min)) / Math.max(1, range.max - range.min);
}
