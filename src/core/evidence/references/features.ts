// What speaks for and against a reference, as numbers: what a logistic model weighs (weights.ts). Each
// is between 0 and about 1, so that the weights can be read.

import { columnId, type ColumnId, type TableId } from '../../catalogue/identifiers';
import { declaredUniques, foreignKeysOf, getTable, isInherited, sameColumns } from '../../catalogue/lookups';
import type { Catalogue, Column, Table } from '../../catalogue/model';
import { namesADescription, namesAMeasure, namesAnIdentifier, namesAnOrdinal } from '../../naming/meaning';
import { vocabularyOf } from '../../naming/vocabulary';
import { type Bounds, boundsOf } from '../bounds';
import { type Evidence, findFact, profileOf, sampleOf, uniquenessOf } from '../evidence';
import { isOwnId } from '../keyNames';
import { flag } from '../logit';
import type { SampledColumn } from '../sample';
import { inclusionRequestOf, type ReferenceCandidate } from './candidates';
import { type Learned, speaksOf } from './learned';
import { once } from '../../once';

const named = ['likeness', 'namesFully', 'measure', 'ownId', 'within', 'byValueOnly'] as const;
const measured = [
  'orphans',
  'manyOrphans',
  'surprise',
  'beyondChance',
  'narrower',
  'unreached',
  'uneven',
  'coverage',
  'fewValues',
  'empty',
  'unmeasured',
] as const;
const declared = [
  'primary',
  'selfFilling',
  'parentRefers',
  'indexed',
  'unindexed',
  'ownKey',
  'fillsItself',
  'inherited',
  'sameDomain',
  'sameType',
  'joined',
  'composite',
  'partsRefer',
  'self',
] as const;
const learnedNames = ['siblings', 'siblingsDiffer', 'sameRole', 'customary', 'popular'] as const;

export const featureNames = [...named, ...measured, ...declared, ...learnedNames] as const;
export type FeatureName = (typeof featureNames)[number];
export type Features = Readonly<Record<FeatureName, number>>;

/** In words, for the dossier: what a feature says when it speaks for a reference, and when against. */
export const featureWords: Readonly<Record<FeatureName, string>> = {
  likeness: 'how well the names fit',
  namesFully: 'the name says it in full',
  measure: 'the name measures or describes',
  ownId: 'the column is named as its own table’s identifier',
  within: 'the table’s own name begins with the parent’s',
  byValueOnly: 'no name speaks for it',
  orphans: 'values without a parent',
  manyOrphans: 'many values without a parent',
  surprise: 'that all values are keys of the parent is no chance',
  beyondChance: 'so many values are keys, and keys so often missing, that nothing else explains it',
  narrower: 'all values lie within another table that shares the parent’s key',
  unreached: 'part of the parent’s range that no value reaches',
  uneven: 'the values do not lie as a choice among the parent’s keys would',
  coverage: 'share of the parents that are referred to',
  fewValues: 'a few different values only',
  empty: 'no value to compare',
  unmeasured: 'not measured',
  primary: 'the parent’s primary key',
  selfFilling: 'the parent’s key fills itself',
  parentRefers: 'the parent’s key is itself a reference',
  indexed: 'an index on the column',
  unindexed: 'no index on the column, where others have one',
  ownKey: 'the column is a key of its own table',
  fillsItself: 'the column is a key that fills itself',
  inherited: 'the column is inherited',
  sameDomain: 'the same domain as the parent’s key',
  sameType: 'exactly the parent’s type',
  joined: 'views join the two columns',
  composite: 'several columns together',
  partsRefer: 'its columns refer elsewhere, each for itself',
  self: 'a reference within the same table',
  siblings: 'columns of this name refer to it in other tables',
  siblingsDiffer: 'columns of this name refer to other tables',
  sameRole: 'others who play this part are found there',
  customary: 'how many columns named in this way are references',
  popular: 'other columns that refer to the parent',
};

export interface Surroundings {
  readonly catalogue: Catalogue;
  readonly evidence: Evidence;
  /** Columns that refer to another table's by a foreign key or by a full name, with what they refer to. */
  readonly referring: ReadonlyMap<ColumnId, ReadonlySet<ColumnId>>;
  /** Candidates for the same child columns, this one included. */
  readonly rivals: readonly ReferenceCandidate[];
}

/** What a candidate says by itself: what other references teach is zero. */
export function ownFeaturesOf(candidate: ReferenceCandidate, around: Surroundings): Features {
  const { catalogue, evidence, referring } = around;
  const child = getTable(catalogue, candidate.child);
  const parent = getTable(catalogue, candidate.parent);
  const columns = columnsNamed(child, candidate.columns);
  const targets = columnsNamed(parent, candidate.parentColumns);
  const single = columns.length === 1 ? columns[0] : undefined;
  const target = targets[0];
  const orphanShare = orphanShareOf(candidate, evidence);
  const indexesAround = knownOf(catalogue).plainIndexes;
  const isIndexed = child.indexes.some((index) => candidate.columns.every((column, i) => index.columns[i] === column));
  const { likeness } = candidate;
  const ownKey = isOwnKey(child, candidate.columns, evidence);
  const { surprise, beyondChance, unreached, uneven, coverage, fewValues } = spreadOf(evidence, candidate, single, target);
  // All in one literal: thousands of them share one hidden class.
  return {
    likeness,
    namesFully: flag(likeness >= 0.85),
    measure: flag(single && likeness < 0.85 && namesNoIdentifier(single.name)),
    ownId: flag(single && child !== parent && isOwnId(vocabularyOf(catalogue), child, single.name)),
    within: flag(speaksOf(catalogue, child.id, parent.id)),
    byValueOnly: flag(likeness === 0),
    orphans: flag((orphanShare ?? 0) > 0),
    manyOrphans: Math.min(1, (orphanShare ?? 0) * 5),
    surprise,
    beyondChance,
    unreached,
    uneven,
    coverage,
    fewValues,
    narrower: narrowerOf(candidate, around),
    empty: flag(isEmpty(candidate, evidence)),
    unmeasured: flag(orphanShare === null),
    primary: flag(candidate.primary),
    selfFilling: flag(targets.length === 1 && target && target.fillsItself),
    parentRefers: flag(targets.length === 1 && target && referring.has(target.id)),
    indexed: flag(indexesAround && isIndexed),
    unindexed: flag(indexesAround && !isIndexed),
    ownKey: flag(ownKey),
    fillsItself: flag(ownKey && single && single.fillsItself),
    inherited: flag(candidate.columns.some((column) => isInherited(catalogue, child, column))),
    sameDomain: flag(columns.some((column, i) => column.domain !== null && column.domain === targets[i]?.domain)),
    sameType: flag(columns.every((column, i) => column.declaredType === targets[i]?.declaredType)),
    joined: flag(single && target && knownOf(catalogue).joins.has(`${single.id} ${target.id}`)),
    composite: flag(columns.length > 1),
    partsRefer: columns.length > 1 ? columns.filter((column) => referring.has(column.id)).length / columns.length : 0,
    self: flag(child === parent),
    siblings: 0,
    siblingsDiffer: 0,
    sameRole: 0,
    customary: 0,
    popular: 0,
  };
}

/** With what the schema's other references teach. */
export function featuresOf(candidate: ReferenceCandidate, own: Features, learned: Learned): Features {
  const { child, parent, columns } = candidate;
  const [column] = columns;
  // Copied and then set: a literal that adds to a copy would give each a hidden class of its own, larger than itself.
  const features: Record<FeatureName, number> = { ...own };
  if (column === undefined || columns.length > 1) features.customary = 0.5;
  else {
    const siblings = learned.siblings(child, column, parent);
    features.siblings = siblings.agree;
    features.siblingsDiffer = siblings.differ;
    features.sameRole = learned.sameRole(child, column, parent);
    features.customary = learned.customary(child, column);
    features.popular = Math.min(1, Math.log2(1 + learned.children(parent, child, column)) / 5);
  }
  return features;
}

function namesNoIdentifier(name: string): boolean {
  return !namesAnIdentifier(name) && (namesAMeasure(name) || namesADescription(name) || namesAnOrdinal(name));
}

/**
 * Where another table's key is taken from this parent's, and all values lie within that other one, how unlikely that would be of values
 * that were meant for the whole of the parent.
 */
function narrowerOf(
  { child, columns, parent, parentColumns }: ReferenceCandidate,
  { evidence, referring, rivals }: Surroundings,
): number {
  const key = columnId(parent, parentColumns[0] ?? '');
  const distinct = sampleOf(evidence, child)?.result.columns[columns[0] ?? '']?.distinct ?? 0;
  const rows = profileOf(evidence, parent)?.result.rows ?? 0;
  if (columns.length > 1 || rows === 0) return 0;
  const shares = rivals
    .filter(
      (other) =>
        other.parent !== parent &&
        other.likeness > 0 &&
        referring.get(columnId(other.parent, other.parentColumns[0] ?? ''))?.has(key) &&
        orphanShareOf(other, evidence) === 0,
    )
    .map((other) => (profileOf(evidence, other.parent)?.result.rows ?? rows) / rows);
  return shares.length === 0 ? 0 : surpriseOf(distinct, Math.min(1, ...shares));
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

type Spread = Pick<Features, 'surprise' | 'beyondChance' | 'unreached' | 'uneven' | 'coverage' | 'fewValues'>;

const unknownSpread: Spread = { surprise: 0, beyondChance: 0, unreached: 0, uneven: 0, coverage: 0.5, fewValues: 0 };
/** Natural logarithms of a chance that leave no doubt, and of one that nobody would call chance. */
const noChance = 20;
const notEver = 400;

/**
 * How the child's values lie over the parent's keys. The surprise is how unlikely it is that as many different values
 * all happen to be keys, where these have gaps. The unevenness is how much they differ from a random choice among the
 * keys: the test of Zhang et al., "On Multi-Column Foreign Key Discovery", PVLDB 3(1), 2010, with the distance of
 * Kolmogorov and Smirnov over tenths in place of the earth mover's.
 */
function spreadOf(evidence: Evidence, candidate: ReferenceCandidate, single?: Column, target?: Column): Spread {
  const { child, columns, parent, parentColumns } = candidate;
  const seen = sampleOf(evidence, child)?.result;
  const theirs = sampleOf(evidence, parent)?.result;
  const rows = profileOf(evidence, parent)?.result.rows ?? 0;
  const distinct = Math.max(0, ...columns.map((column) => seen?.columns[column]?.distinct ?? 0));
  if (!seen || rows === 0 || distinct === 0) return unknownSpread;
  if (!single || !target) {
    const combinations = parentColumns.reduce((product, column) => product * (theirs?.columns[column]?.distinct ?? 1), 1);
    return { ...unknownSpread, surprise: surpriseOf(distinct, rows / Math.max(1, combinations)) };
  }
  const coverage = Math.min(1, distinct / rows);
  const fewValues = Math.max(0, 1 - distinct / 8);
  const own = boundsOf(evidence, child, single.name) ?? sampledBounds(single, seen.columns[single.name]);
  const keys = boundsOf(evidence, parent, target.name);
  if (!own || !keys) return { ...unknownSpread, surprise: distinct >= 3 ? 1 : 0.5, coverage, fewValues };
  const range = Math.max(1, keys.max - keys.min);
  const chance = chanceOf(distinct, rows / (range + 1), shareFound(evidence, candidate, distinct));
  return {
    surprise: Math.min(1, chance / noChance),
    beyondChance: Math.min(1, chance / notEver),
    // With few values nobody can tell how far they would reach.
    unreached: distinct < 4 ? 0 : Math.min(1, Math.max(0, (keys.max - own.max) / range)),
    uneven: distanceOf(seen.columns[single.name]?.tenths, theirs?.columns[target.name]?.tenths, keys, distinct),
    coverage,
    fewValues,
  };
}

// The profile has no bounds of numbers that are no key and not named as one.
function sampledBounds({ family }: Column, seen: SampledColumn | undefined): Bounds | null {
  if (family !== 'integer' || !seen) return null;
  const values = [...seen.frequent.map(([value]) => Number(value)), ...(seen.tenths ?? [])];
  return values.length === 0 ? null : { min: Math.min(...values), max: Math.max(...values) };
}

function surpriseOf(distinct: number, density: number): number {
  return Math.min(1, chanceOf(distinct, density) / noChance);
}

/**
 * How unlikely it is, as a negative natural logarithm, that at least this share of so many different values happen to be keys, where keys
 * fill `density` of their range: Chernoff's bound for the binomial distribution. No more than chance finds is no surprise at all.
 */
function chanceOf(distinct: number, density: number, share = 1): number {
  const filled = Math.min(1, Math.max(density, Number.MIN_VALUE));
  if (share <= filled) return 0;
  const missing = share < 1 ? (1 - share) * Math.log((1 - share) / (1 - filled)) : 0;
  return distinct * (share * Math.log(share / filled) + missing);
}

function shareFound(evidence: Evidence, candidate: ReferenceCandidate, distinct: number): number {
  const fact = findFact(evidence, inclusionRequestOf(candidate));
  return fact ? Math.max(0, 1 - fact.result.orphanValues / Math.max(1, distinct)) : 1;
}

// What so few values would differ by in any case is taken off.
function distanceOf(
  own: readonly number[] | undefined,
  theirs: readonly number[] | undefined,
  keys: Bounds,
  distinct: number,
): number {
  if (!own || !theirs) return 0;
  const marks = [keys.min, ...theirs, keys.max];
  const shareBelow = (value: number): number => {
    const at = marks.findIndex((mark) => value < mark);
    if (at <= 0) return at === 0 ? 0 : 1;
    const low = marks[at - 1] ?? 0;
    const high = marks[at] ?? 0;
    return (at - 1 + (value - low) / Math.max(1, high - low)) / (marks.length - 1);
  };
  const distance = Math.max(...own.map((value, i) => Math.abs(shareBelow(value) - (i + 1) / 10)));
  return Math.max(0, Math.min(1, distance - 1 / Math.sqrt(distinct)));
}

function isOwnKey(child: Table, columns: readonly string[], evidence: Evidence): boolean {
  if (columns.length > 1) return false;
  return (
    declaredUniques(child).some((unique) => sameColumns(unique, columns)) ||
    (uniquenessOf(evidence, child.id, columns).kind === 'unique' && (sampleOf(evidence, child.id)?.result.rows ?? 0) > 10)
  );
}

interface Known {
  readonly joins: ReadonlySet<string>;
  readonly plainIndexes: boolean;
}

const knownOf = once(({ joins, tables }: Catalogue): Known => ({
  joins: new Set(joins.flatMap(({ left, right }) => [`${left} ${right}`, `${right} ${left}`])),
  plainIndexes: tables.some((table) => table.indexes.some((index) => !index.unique)),
}));

/** Columns that refer elsewhere by a foreign key or by a full name, with what they refer to: a key among them is a subtype's. */
export function referringColumns(
  catalogue: Catalogue,
  candidates: readonly ReferenceCandidate[],
): ReadonlyMap<ColumnId, ReadonlySet<ColumnId>> {
  const found = new Map<ColumnId, Set<ColumnId>>();
  const add = (child: TableId, column: string, parent: TableId, key: string): void => {
    const own = columnId(child, column);
    found.set(own, (found.get(own) ?? new Set<ColumnId>()).add(columnId(parent, key)));
  };
  for (const table of catalogue.tables)
    for (const { columns, parent, parentColumns } of foreignKeysOf(table))
      if (columns.length === 1) add(table.id, columns[0] ?? '', parent, parentColumns[0] ?? '');
  for (const { child, columns, parent, parentColumns, likeness } of candidates)
    if (columns.length === 1 && likeness >= 0.9 && child !== parent) add(child, columns[0] ?? '', parent, parentColumns[0] ?? '');
  return found;
}

function columnsNamed(table: Table, names: readonly string[]): readonly Column[] {
  return names.flatMap((name) => table.columns.find((column) => column.name === name) ?? []);
}
