// From candidates to references: each weighed by a logistic model over what is known of it, so that its
// confidence is a probability, then one parent chosen for each reference over the whole schema, not the
// first that fits.

import { groupBy } from '../../grouping';
import type { TableId } from '../../catalogue/identifiers';
import { foreignKeysOf, getTable } from '../../catalogue/lookups';
import type { Catalogue } from '../../catalogue/model';
import { vocabularyOf } from '../../naming/vocabulary';
import { type Evidence, findFact, type How, type Inclusion, profileOf, strengthOf, wasAsked } from '../evidence';
import type { InclusionRequest } from '../requests';
import { inclusionRequestOf, type ReferenceCandidate, referenceCandidates } from './candidates';
import { type FeatureName, featureNames, type Features, featuresOf, orphanShareOf } from './features';
import { bias, weights } from './weights';

export interface WeighedReference extends ReferenceCandidate {
  /** The probability that the makers of the schema meant it, 0 to 1. */
  readonly confidence: number;
  /** Null when nothing was measured: then names alone speak. */
  readonly inclusion: Inclusion | null;
  readonly how: How | null;
  /** What made the confidence: each with the log-odds it adds, strongest first. */
  readonly parts: readonly ConfidencePart[];
  /** Other parents of the same columns that were weighed and are less likely, likeliest first. */
  readonly rivals: readonly Rival[];
}

export type Rival = Pick<WeighedReference, 'parent' | 'parentColumns' | 'columns' | 'confidence' | 'inclusion' | 'how'>;

export interface ConfidencePart {
  readonly feature: FeatureName;
  readonly logOdds: number;
}

export interface LabelledFeatures {
  readonly candidate: ReferenceCandidate;
  readonly features: Features;
}

/** A reference with more orphans than this is none: something else with similar values. */
export const orphansTolerated = 0.3;
const worthWeighing = 0.02;
const mostUnverified = 0.49;
const surest = 0.99;
const mostRivals = 3;

/** Every candidate that the data does not rule out, with its features: what the model is fitted on. */
export function weighableCandidates(catalogue: Catalogue, evidence: Evidence): readonly LabelledFeatures[] {
  const candidates = referenceCandidates(catalogue, evidence).filter(
    (c) => (orphanShareOf(c, evidence) ?? 0) <= orphansTolerated,
  );
  const byColumns = groupBy(candidates, childKey);
  const referring = referringColumns(catalogue, candidates);
  return candidates.map((candidate) => ({
    candidate,
    features: featuresOf(candidate, { catalogue, evidence, rivals: byColumns.get(childKey(candidate)) ?? [], referring }),
  }));
}

const kept = new WeakMap<Evidence, readonly WeighedReference[]>();

/** The references that evidence and names support together: one parent for each child column. */
export function weighReferences(catalogue: Catalogue, evidence: Evidence): readonly WeighedReference[] {
  let found = kept.get(evidence);
  if (!found) kept.set(evidence, (found = choose(catalogue, weighAll(catalogue, evidence))));
  return found;
}

/** What has to be counted before anything is said: the likeliest parent of each child that nobody has looked at yet. */
export function unverified(catalogue: Catalogue, evidence: Evidence): readonly InclusionRequest[] {
  const likely = weighableCandidates(catalogue, evidence).map(({ candidate, features }) => ({
    candidate,
    odds: logOddsOf(features),
  }));
  return [...groupBy(likely, ({ candidate }) => childKey(candidate)).values()].flatMap((alike) => {
    const [best] = alike.toSorted((a, b) => b.odds - a.odds);
    if (!best || best.odds < 0) return [];
    const request = inclusionRequestOf(best.candidate);
    return wasAsked(evidence, request) ? [] : [request];
  });
}

export function probabilityOf(logOdds: number): number {
  return 1 / (1 + Math.exp(-logOdds));
}

function logOddsOf(features: Features): number {
  return featureNames.reduce((sum, feature) => sum + weights[feature] * features[feature], bias);
}

function weighAll(catalogue: Catalogue, evidence: Evidence): readonly WeighedReference[] {
  return weighableCandidates(catalogue, evidence)
    .map(({ candidate, features }): WeighedReference => {
      const fact = findFact(evidence, inclusionRequestOf(candidate));
      const parts = featureNames
        .map((feature) => ({ feature, logOdds: weights[feature] * features[feature] }))
        .filter((part) => Math.abs(part.logOdds) >= 0.05)
        .sort((a, b) => Math.abs(b.logOdds) - Math.abs(a.logOdds));
      const logOdds = logOddsOf(features);
      const believed = Math.min(surest, probabilityOf(logOdds)) * (fact ? strengthOf(fact.how) : 1);
      // Where everything was counted, what was not is not believed.
      const isVerified = fact !== null || profileOf(evidence, candidate.child)?.how.kind !== 'exact';
      const confidence = isVerified ? believed : Math.min(believed, mostUnverified);
      return {
        ...candidate,
        inclusion: fact?.result ?? null,
        how: fact?.how ?? null,
        confidence: Math.round(confidence * 100) / 100,
        parts,
        rivals: [],
      };
    })
    .filter((reference) => reference.confidence >= worthWeighing);
}

/** The likeliest parent for each set of columns; and nothing that another reference says already. */
function choose(catalogue: Catalogue, weighed: readonly WeighedReference[]): readonly WeighedReference[] {
  const best = [...groupBy(weighed, childKey).values()].flatMap((alike) => {
    const [first, ...others] = alike.toSorted((a, b) => b.confidence - a.confidence || (a.parent < b.parent ? -1 : 1));
    return first ? [{ ...first, rivals: others.slice(0, mostRivals) }] : [];
  });
  const believed = best.filter((reference) => reference.confidence >= 0.5);
  const composites = believed.filter((reference) => reference.columns.length > 1);
  return best.filter(
    (reference) =>
      reference.columns.length > 1 || !composites.some((composite) => isImplied(catalogue, reference, composite, believed)),
  );
}

// (job_code, job_country) refers to a job, whose job_country refers to a country: that the child's does
// too follows from it, and its name says that it is the job's country.
function isImplied(
  catalogue: Catalogue,
  { child, columns, parent }: WeighedReference,
  composite: WeighedReference,
  believed: readonly WeighedReference[],
): boolean {
  const [column = ''] = columns;
  const at = composite.columns.indexOf(column);
  if (composite.child !== child || at < 0) return false;
  const through = composite.parentColumns[at] ?? '';
  const middle = getTable(catalogue, composite.parent);
  const leadsThere =
    foreignKeysOf(middle).some((key) => key.parent === parent && key.columns.includes(through)) ||
    believed.some((other) => other.child === middle.id && other.parent === parent && other.columns.includes(through));
  const vocabulary = vocabularyOf(catalogue);
  return leadsThere && vocabulary.columnWords(getTable(catalogue, child), column)[0] === vocabulary.tableWords(middle)[0];
}

function childKey(candidate: ReferenceCandidate): string {
  return `${candidate.child} ${[...candidate.columns].sort().join('\0')}`;
}

/** Columns that refer elsewhere by a foreign key or by a full name: a key among them is a subtype's. */
function referringColumns(catalogue: Catalogue, candidates: readonly ReferenceCandidate[]): ReadonlySet<string> {
  const declared = catalogue.tables.flatMap((table) =>
    foreignKeysOf(table).flatMap((key) => (key.columns.length === 1 ? [`${table.id} ${key.columns[0]}`] : [])),
  );
  const named = candidates
    .filter((c) => c.columns.length === 1 && c.likeness >= 0.9 && c.child !== c.parent)
    .map((c) => `${c.child} ${c.columns[0]}`);
  return new Set([...declared, ...named]);
}

interface Directions {
  readonly from: ReadonlyMap<TableId, readonly WeighedReference[]>;
  readonly on: ReadonlyMap<TableId, readonly WeighedReference[]>;
}

const directions = new WeakMap<readonly WeighedReference[], Directions>();

/** Those of a child. */
export function referencesFrom(references: readonly WeighedReference[], child: TableId): readonly WeighedReference[] {
  return directionsOf(references).from.get(child) ?? [];
}

/** Those to a parent. */
export function referencesOn(references: readonly WeighedReference[], parent: TableId): readonly WeighedReference[] {
  return directionsOf(references).on.get(parent) ?? [];
}

function directionsOf(references: readonly WeighedReference[]): Directions {
  let known = directions.get(references);
  if (!known) {
    known = { from: groupBy(references, (r) => r.child), on: groupBy(references, (r) => r.parent) };
    directions.set(references, known);
  }
  return known;
}
