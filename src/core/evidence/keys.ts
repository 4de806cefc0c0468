// Candidate keys: the minimal column sets that identify a row. Falsified first by what is cheap
// (the profile's sample, as in Heise et al., "Scalable Discovery of Unique Column Combinations",
// PVLDB 7(4), 2013), the survivors verified by the database, then ranked as an administrator would.
// Looks at single columns, pairs, then triples, and only deeper when nothing above held.

import type { TableId } from '../catalogue/identifiers';
import { declaredUniques, foreignKeysOf, primaryKeyOf, sameColumnSet } from '../catalogue/lookups';
import type { Column, Table } from '../catalogue/model';
import { canIdentify, namesADescription, namesAMeasure, namesAnIdentifier, namesAnOrdinal } from '../naming/meaning';
import { wordsOf } from '../naming/words';
import { type Evidence, type How, profileOf, uniquenessOf, wasAsked } from './evidence';
import type { Depth, RepeatsRequest } from './requests';

export interface KeyCandidate {
  readonly columns: readonly string[];
  readonly how: How;
  /** Rows with a null in it: such a set can be unique, but not a primary key. */
  readonly nullRows: number;
  /** Larger is better; above zero it is worth proposing. */
  readonly score: number;
  /** What speaks for and against it, in words. */
  readonly reasons: readonly string[];
}

const verificationsPerTable = 6;
const widestSet = 3;

/** The column sets of a table without a primary key whose uniqueness should be verified next. */
export function keyQuestions(table: Table, evidence: Evidence, depth: Depth): readonly RepeatsRequest[] {
  for (let width = 1; width <= widestSet; width++) {
    const open = plausibleSets(table, evidence, width).filter((columns) => !settled(evidence, table.id, columns, depth));
    if (open.length > 0) return open.map((columns) => ({ kind: 'repeats', table: table.id, columns }));
    if (candidateKeys(table, evidence).some((key) => key.score > 0)) return [];
  }
  return [];
}

/** The candidate keys that the evidence supports, best first. */
export function candidateKeys(table: Table, evidence: Evidence): readonly KeyCandidate[] {
  const found: KeyCandidate[] = [];
  for (let width = 1; width <= widestSet; width++) {
    for (const columns of plausibleSets(table, evidence, width)) {
      const known = uniquenessOf(evidence, table.id, columns);
      if (known.kind !== 'unique') continue;
      if (found.some((key) => key.columns.every((column) => columns.includes(column)))) continue;
      found.push({ columns, how: known.how, nullRows: known.nullRows, ...rank(table, columns) });
    }
  }
  return found.sort((a, b) => b.score - a.score);
}

/** True when asking the database again would tell nothing new at this depth. */
export function settled(evidence: Evidence, table: TableId, columns: readonly string[], depth: Depth): boolean {
  if (wasAsked(evidence, { kind: 'repeats', table, columns })) return true;
  const known = uniquenessOf(evidence, table, columns);
  return known.kind === 'repeats' || (known.kind === 'unique' && (depth === 'sampled' || known.how.kind === 'exact'));
}

function plausibleSets(table: Table, evidence: Evidence, width: number): readonly (readonly string[])[] {
  const profile = profileOf(evidence, table.id);
  if (!profile || profile.result.rows < 2) return [];
  const rows = profile.result.rows;
  const parts = table.columns.filter((column) => canIdentify(column) && !hopeless(column) && !alwaysEmpty(column));
  const singles = new Set(parts.filter((c) => uniquenessOf(evidence, table.id, [c.name]).kind === 'unique').map((c) => c.name));
  if (width === 1) return best(parts.filter((c) => singles.has(c.name)).map((c) => [c.name]));
  const rest = parts.filter((column) => !singles.has(column.name) && speaksOfIdentity(table, column));
  const sets = combinations(
    rest.map((c) => c.name),
    width,
  ).filter((columns) => product(columns) >= rows && hasMinimalParts(columns));
  return best(sets);

  function alwaysEmpty(column: Column): boolean {
    const seen = profile?.result.columns[column.name];
    return seen !== undefined && seen.nulls >= rows;
  }
  function product(columns: readonly string[]): number {
    return columns.reduce((total, name) => total * Math.max(1, estimatedDistinct(name)), 1);
  }
  function estimatedDistinct(name: string): number {
    const seen = profile?.result.columns[name];
    if (!seen || seen.distinct === null) return 1;
    // A sample sees fewer values than the table has; leave room for the unseen.
    return seen.compared < rows ? (seen.distinct * rows) / Math.max(1, seen.compared) : seen.distinct;
  }
  function hasMinimalParts(columns: readonly string[]): boolean {
    return width < 3 || combinations(columns, 2).every((pair) => uniquenessOf(evidence, table.id, pair).kind !== 'unique');
  }
  function best(sets: readonly (readonly string[])[]): readonly (readonly string[])[] {
    return sets
      .map((columns) => ({ columns, score: rank(table, columns).score }))
      .sort((a, b) => b.score - a.score)
      .slice(0, verificationsPerTable)
      .map((set) => set.columns);
  }
}

function hopeless(column: Column): boolean {
  return namesADescription(column.name) || (namesAMeasure(column.name) && !namesAnIdentifier(column.name));
}

function speaksOfIdentity(table: Table, column: Column): boolean {
  return (
    namesAnIdentifier(column.name) ||
    namesAnOrdinal(column.name) ||
    column.family === 'date' ||
    column.family === 'timestamp' ||
    foreignKeysOf(table).some((key) => key.columns.includes(column.name))
  );
}

function rank(table: Table, columns: readonly string[]): { readonly score: number; readonly reasons: readonly string[] } {
  const reasons: string[] = [];
  let score = 0;
  const weigh = (weight: number, reason: string): void => {
    score += weight;
    reasons.push(reason);
  };
  if (declaredUniques(table).some((unique) => sameColumnSet(unique, columns))) weigh(3, 'a unique index stands behind it');
  if (columns.length > 1) weigh(-0.5 * (columns.length - 1), `${columns.length} columns wide`);
  columns.forEach((name) => {
    const column = table.columns.find((c) => c.name === name);
    if (!column) return;
    const share = 1 / columns.length;
    if (isOwnId(table, name)) weigh(2 * share, `${name} is named as the table's own identifier`);
    else if (namesAnIdentifier(name)) weigh(1.2 * share, `${name} is named as an identifier`);
    else if (namesAnOrdinal(name)) weigh(share, `${name} numbers rows within a group`);
    else if (foreignKeysOf(table).some((key) => key.columns.includes(name))) weigh(share, `${name} refers to a parent`);
    else if (column.family === 'text') weigh(-0.6 * share, `${name} is plain text`);
    if (column.family === 'timestamp') weigh(-0.6 * share, `${name} is a moment, unique perhaps by chance`);
    if (column.family === 'date') weigh(-0.1 * share, `${name} is a date`);
    if (!column.nullable) weigh(0.4 * share, `${name} is declared NOT NULL`);
    if ((column.length ?? 0) > 60) weigh(-0.8 * share, `${name} is wide`);
    if (table.columns.indexOf(column) < columns.length + 1) weigh(0.3 * share, `${name} stands first`);
  });
  return { score, reasons };
}

function isOwnId(table: Table, column: string): boolean {
  const words = wordsOf(column);
  const name = wordsOf(table.name);
  if (words.join(' ') === 'id') return true;
  const owner = words.slice(0, -1);
  return namesAnIdentifier(column) && owner.length > 0 && owner.every((word, i) => word === name[name.length - owner.length + i]);
}

/** All subsets of a size, in the order of the whole. */
export function combinations<T>(whole: readonly T[], size: number): readonly (readonly T[])[] {
  if (size === 0) return [[]];
  return whole.flatMap((first, i) => combinations(whole.slice(i + 1), size - 1).map((rest) => [first, ...rest]));
}

export function lacksPrimaryKey(table: Table): boolean {
  return table.kind !== 'foreign' && table.persistence !== 'temporary' && primaryKeyOf(table) === null;
}
