// What speaks for and against a reference, as numbers: what a logistic model weighs (weights.ts). Each
// is between 0 and about 1 where it can be, so that the weights can be read.

import { groupBy } from '../../grouping';
import type { TableId } from '../../catalogue/identifiers';
import { foreignKeysOf, getTable, sameColumns } from '../../catalogue/lookups';
import type { Catalogue, Column, Table } from '../../catalogue/model';
import { namesADescription, namesAMeasure, namesAnIdentifier, namesAnOrdinal } from '../../naming/meaning';
import { vocabularyOf } from '../../naming/vocabulary';
import { type Evidence, findFact, profileOf, sampleOf, uniquenessOf } from '../evidence';
import { isOwnId } from '../keys';
import { inclusionRequestOf, type ReferenceCandidate } from './candidates';

export const featureNames = [
  'likeness',
  'namesWell',
  'namesFully',
  'outdone',
  'contested',
  'orphans',
  'manyOrphans',
  'surprise',
  'unreached',
  'coverage',
  'primary',
  'indexed',
  'unindexed',
  'ownKey',
  'ownId',
  'identifier',
  'measure',
  'sameDomain',
  'sameType',
  'siblings',
  'joined',
  'composite',
  'self',
  'empty',
  'unmeasured',
  'parentRefers',
  'parentTiny',
  'byValueOnly',
] as const;
export type FeatureName = (typeof featureNames)[number];
export type Features = Readonly<Record<FeatureName, number>>;

/** In words, for the dossier: what a feature says when it speaks for a reference, and when against. */
export const featureWords: Readonly<Record<FeatureName, string>> = {
  likeness: 'how well the names fit',
  namesWell: 'the names fit well',
  namesFully: 'the name says it in full',
  outdone: 'another table fits the name better',
  contested: 'several tables fit the name alike',
  orphans: 'values without a parent',
  manyOrphans: 'many values without a parent',
  surprise: 'that all values are keys of the parent is no chance',
  unreached: 'part of the parent’s range that no value reaches',
  coverage: 'share of the parents that are referred to',
  primary: 'the parent’s primary key',
  indexed: 'an index on the column',
  unindexed: 'no index on the column, where others have one',
  ownKey: 'the column is a key of its own table',
  ownId: 'the column is named as its own table’s identifier',
  identifier: 'the name ends as an identifier does',
  measure: 'the name measures or describes',
  sameDomain: 'the same domain as the parent’s key',
  sameType: 'exactly the parent’s type',
  siblings: 'other tables declare the same reference',
  joined: 'views join the two columns',
  composite: 'several columns together',
  self: 'a reference within the same table',
  empty: 'no value to compare',
  unmeasured: 'not measured',
  parentRefers: 'the parent’s key is itself a reference',
  parentTiny: 'a parent of a few rows',
  byValueOnly: 'only the values speak for it',
};

export interface Surroundings {
  readonly catalogue: Catalogue;
  readonly evidence: Evidence;
  /** Candidates for the same child columns, this one included. */
  readonly rivals: readonly ReferenceCandidate[];
  /** Columns that themselves refer elsewhere with a good name. */
  readonly referring: ReadonlySet<string>;
}

export function featuresOf(candidate: ReferenceCandidate, around: Surroundings): Features {
  const { catalogue, evidence } = around;
  const child = getTable(catalogue, candidate.child);
  const parent = getTable(catalogue, candidate.parent);
  const columns = columnsNamed(child, candidate.columns);
  const targets = columnsNamed(parent, candidate.parentColumns);
  const single = columns.length === 1 ? columns[0] : undefined;
  const target = targets[0];
  const numbers = single && target ? spread(evidence, child.id, single, parent.id, target) : null;
  const orphanShare = orphanShareOf(candidate, evidence);
  const indexesAround = knownOf(catalogue).plainIndexes;
  const isIndexed = child.indexes.some((index) => candidate.columns.every((column, i) => index.columns[i] === column));
  const likeness = candidate.likeness;
  return {
    likeness,
    namesWell: likeness >= 0.6 ? 1 : 0,
    namesFully: likeness >= 0.85 ? 1 : 0,
    outdone: Math.max(0, candidate.rival - likeness),
    contested: Math.min(
      1,
      around.rivals.filter((r) => r !== candidate && r.parent !== candidate.parent && r.likeness >= likeness - 0.025).length / 3,
    ),
    orphans: orphanShare !== null && orphanShare > 0 ? 1 : 0,
    manyOrphans: Math.min(1, (orphanShare ?? 0) * 5),
    surprise: numbers?.surprise ?? (columns.length > 1 ? 0.5 : 0),
    unreached: numbers?.unreached ?? 0,
    coverage: numbers?.coverage ?? 0.5,
    primary: candidate.primary ? 1 : 0,
    indexed: indexesAround && isIndexed ? 1 : 0,
    unindexed: indexesAround && !isIndexed ? 1 : 0,
    ownKey: isOwnKey(child, candidate.columns, evidence) ? 1 : 0,
    ownId: single && isOwnId(vocabularyOf(catalogue), child, single.name) && child !== parent ? 1 : 0,
    identifier: single && namesAnIdentifier(single.name) ? 1 : 0,
    measure:
      single &&
      !namesAnIdentifier(single.name) &&
      (namesAMeasure(single.name) || namesADescription(single.name) || namesAnOrdinal(single.name)) &&
      likeness < 0.85
        ? 1
        : 0,
    sameDomain: columns.some((column, i) => column.domain !== null && column.domain === targets[i]?.domain) ? 1 : 0,
    sameType: columns.every((column, i) => column.declaredType === targets[i]?.declaredType) ? 1 : 0,
    siblings: declaredElsewhere(catalogue, candidate) ? 1 : 0,
    joined: single && target && knownOf(catalogue).joins.has(`${single.id} ${target.id}`) ? 1 : 0,
    composite: columns.length > 1 ? 1 : 0,
    self: child === parent ? 1 : 0,
    empty: isEmpty(candidate, evidence) ? 1 : 0,
    unmeasured: orphanShare === null ? 1 : 0,
    parentRefers:
      candidate.parentColumns.length === 1 && around.referring.has(`${parent.id} ${candidate.parentColumns[0]}`) ? 1 : 0,
    parentTiny: (profileOf(evidence, parent.id)?.result.rows ?? 100) < 5 ? 1 : 0,
    byValueOnly: likeness === 0 ? 1 : 0,
  };
}

/** The share of rows without a parent, or half the share of values when that is larger; null when not measured or when there is nothing to share. */
export function orphanShareOf(candidate: ReferenceCandidate, evidence: Evidence): number | null {
  const fact = findFact(evidence, inclusionRequestOf(candidate));
  if (!fact) return null;
  const { rows, nullRows, orphanRows, orphanValues } = fact.result;
  const [only] = candidate.columns;
  const distinct =
    candidate.columns.length === 1 ? (sampleOf(evidence, candidate.child)?.result.columns[only ?? '']?.distinct ?? 0) : 0;
  const referring = rows - nullRows;
  if (referring === 0) return 0;
  // One value that is no key, among many that are, stands for "none" (0, -1).
  if (orphanValues === 1 && distinct > 5) return Math.min(orphanRows / referring, 0.03);
  return Math.max(orphanRows / referring, distinct > 0 ? Math.min(1, orphanValues / distinct) / 2 : 0);
}

function isEmpty(candidate: ReferenceCandidate, evidence: Evidence): boolean {
  const fact = findFact(evidence, inclusionRequestOf(candidate));
  return fact !== null && fact.result.rows - fact.result.nullRows === 0;
}

/** How the child's values lie over the parent's: chance, reach and coverage, each 0 to 1. */
function spread(evidence: Evidence, child: TableId, column: Column, parent: TableId, target: Column) {
  const seen = sampleOf(evidence, child)?.result.columns[column.name];
  const rows = profileOf(evidence, parent)?.result.rows ?? 0;
  const distinct = seen?.distinct ?? 0;
  if (!seen || rows === 0 || distinct === 0) return null;
  const own = boundsOf(evidence, child, column.name);
  const theirs = boundsOf(evidence, parent, target.name);
  const coverage = Math.min(1, distinct / rows);
  if (!own || !theirs) return { surprise: distinct >= 3 ? 1 : 0.5, unreached: 0, coverage };
  const density = Math.min(1, rows / (theirs.max - theirs.min + 1));
  const surprise = -distinct * Math.log(density);
  const range = Math.max(1, theirs.max - theirs.min);
  // With few values nobody can tell how far they would reach.
  const unreached = distinct < 4 ? 0 : Math.min(1, Math.max(0, (theirs.max - own.max) / range));
  return { surprise: Math.min(1, surprise / 20), unreached, coverage };
}

function boundsOf(evidence: Evidence, table: TableId, column: string): { readonly min: number; readonly max: number } | null {
  const bounds = profileOf(evidence, table)?.result.columns[column];
  if (!bounds || bounds.min === null || bounds.max === null || !/^-?\d+$/.test(bounds.min) || !/^-?\d+$/.test(bounds.max))
    return null;
  return { min: Number(bounds.min), max: Number(bounds.max) };
}

function isOwnKey(child: Table, columns: readonly string[], evidence: Evidence): boolean {
  return (
    columns.length === 1 &&
    uniquenessOf(evidence, child.id, columns).kind === 'unique' &&
    (sampleOf(evidence, child.id)?.result.rows ?? 0) > 10
  );
}

function declaredElsewhere(catalogue: Catalogue, { child, columns, parent, parentColumns }: ReferenceCandidate): boolean {
  return (knownOf(catalogue).declared.get(parent) ?? []).some(
    (other) => other.child !== child && sameColumns(other.columns, columns) && sameColumns(other.parentColumns, parentColumns),
  );
}

interface Declared {
  readonly child: TableId;
  readonly columns: readonly string[];
  readonly parent: TableId;
  readonly parentColumns: readonly string[];
}

interface Known {
  readonly declared: ReadonlyMap<string, readonly Declared[]>;
  readonly joins: ReadonlySet<string>;
  readonly plainIndexes: boolean;
}

const kept = new WeakMap<Catalogue, Known>();

function knownOf(catalogue: Catalogue): Known {
  let known = kept.get(catalogue);
  if (!known) {
    const declared = catalogue.tables.flatMap((table) =>
      foreignKeysOf(table).map((key): Declared => ({ child: table.id, ...key })),
    );
    known = {
      declared: groupBy(declared, (key) => key.parent as string),
      joins: new Set(catalogue.joins.flatMap(({ left, right }) => [`${left} ${right}`, `${right} ${left}`])),
      plainIndexes: catalogue.tables.some((table) => table.indexes.some((index) => !index.unique)),
    };
    kept.set(catalogue, known);
  }
  return known;
}

function columnsNamed(table: Table, names: readonly string[]): readonly Column[] {
  return names.flatMap((name) => table.columns.find((column) => column.name === name) ?? []);
}
