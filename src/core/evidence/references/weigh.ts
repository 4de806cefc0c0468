// From candidates to references: each weighed by a logistic model over what is known of it, so that its
// confidence is a probability, then one parent chosen for each reference over the whole schema, not the
// first that fits.

import { groupBy } from '../../grouping';
import type { TableId } from '../../catalogue/identifiers';
import { foreignKeysOf, getTable } from '../../catalogue/lookups';
import type { Catalogue } from '../../catalogue/model';
import { vocabularyOf } from '../../naming/vocabulary';
import { joined } from '../../records';
import { type Evidence, findFact, type How, type Inclusion, profileOf, strengthOf, wasAsked } from '../evidence';
import { logOddsOf, type Part, partsOf, probabilityOf } from '../logit';
import type { InclusionRequest } from '../requests';
import { inclusionRequestOf, type ReferenceCandidate, referenceCandidates } from './candidates';
import {
  type FeatureName,
  featureNames,
  type Features,
  featuresOf,
  orphanShareOf,
  ownFeaturesOf,
  referringColumns,
} from './features';
import { declaredLessons, learn, type Learned } from './learned';
import { fitted, type ReferenceModel } from './weights';
import { once } from '../../once';

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

export type ConfidencePart = Part<FeatureName>;

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
const leastSaid = 0.05;
/** How often the schema's surest references are learned from before the last word. */
const rounds = 2;
const sureEnough = 0.5;

/** What the data does not rule out, by child columns, each with the features that it has by itself. */
export interface Weighable {
  readonly candidate: ReferenceCandidate;
  readonly own: Features;
}

/** Every candidate that the data does not rule out: what the model is fitted on. */
export function weighableCandidates(catalogue: Catalogue, evidence: Evidence): readonly Weighable[] {
  const candidates = referenceCandidates(catalogue, evidence).filter(
    (c) => (orphanShareOf(c, evidence) ?? 0) <= orphansTolerated,
  );
  const referring = referringColumns(catalogue, candidates);
  const byColumns = groupBy(candidates, childKey);
  return candidates.map((candidate) => ({
    candidate,
    own: ownFeaturesOf(candidate, { catalogue, evidence, referring, rivals: byColumns.get(childKey(candidate)) ?? [] }),
  }));
}

/** Log-odds that no other reference can teach away: what all learned features together can add, and what is worth weighing at all. */
const hopeless = -12;

/** Without what has no chance whatever the schema teaches: of many tables that is most. */
function hopeful(weighable: readonly Weighable[]): readonly Weighable[] {
  return weighable.filter(({ own }) => logOddsOf(featureNames, fitted, own) > hopeless);
}

export interface Judged extends LabelledFeatures {
  readonly logOdds: number;
  /** The probability that this parent is meant, beside the others of the same columns and beside none of them. */
  readonly probability: number;
}

/**
 * Each candidate's probability. Of several parents of the same columns at most one is meant: a conditional logit with "none of them" as
 * a choice of its own (McFadden, "Conditional logit analysis of qualitative choice behavior", 1974). What is believed of one round
 * teaches the next.
 */
export function judge(catalogue: Catalogue, weighable: readonly Weighable[], model: ReferenceModel = fitted): readonly Judged[] {
  const declared = declaredLessons(catalogue);
  let judged = judgedBy(model, weighable, learn(catalogue, declared));
  for (let round = 0; round < rounds; round++) {
    const sure = judged.flatMap(({ candidate: { child, columns, parent }, probability }) =>
      probability >= sureEnough && columns.length === 1 ? [{ child, column: columns[0] ?? '', parent, belief: probability }] : [],
    );
    judged = judgedBy(model, weighable, learn(catalogue, [...declared, ...sure]));
  }
  return judged;
}

function judgedBy(model: ReferenceModel, weighable: readonly Weighable[], learned: Learned): readonly Judged[] {
  const scored = weighable.map(({ candidate, own }) => {
    const features = featuresOf(candidate, own, learned);
    return { candidate, features, logOdds: logOddsOf(featureNames, model, features) };
  });
  const totals = new Map<string, number>();
  for (const { candidate, logOdds } of scored) {
    const key = childKey(candidate);
    totals.set(key, (totals.get(key) ?? 1) + Math.exp(logOdds));
  }
  return scored.map(({ candidate, features, logOdds }) => ({
    candidate,
    features,
    logOdds,
    probability: Math.exp(logOdds) / (totals.get(childKey(candidate)) ?? 1),
  }));
}

const judgedFor = once((catalogue: Catalogue, evidence: Evidence): readonly Judged[] =>
  judge(catalogue, hopeful(weighableCandidates(catalogue, evidence))),
);

/** The references that evidence and names support together: one parent for each child column. */
export const weighReferences = once((catalogue: Catalogue, evidence: Evidence): readonly WeighedReference[] =>
  choose(catalogue, weighAll(catalogue, evidence)),
);

const worthVerifying = 0.25;

/** What has to be counted before anything is said: the likely parents of each child that nobody has looked at yet. */
export function unverified(catalogue: Catalogue, evidence: Evidence): readonly InclusionRequest[] {
  return judgedFor(catalogue, evidence)
    .filter(({ probability }) => probability >= worthVerifying)
    .map(({ candidate }) => inclusionRequestOf(candidate))
    .filter((request) => !wasAsked(evidence, request));
}

function weighAll(catalogue: Catalogue, evidence: Evidence): readonly WeighedReference[] {
  return judgedFor(catalogue, evidence)
    .map(({ candidate, features, probability }): WeighedReference => {
      const fact = findFact(evidence, inclusionRequestOf(candidate));
      const parts = partsOf(featureNames, fitted, features, leastSaid);
      const believed = Math.min(surest, calibrated(probability)) * (fact ? strengthOf(fact.how) : 1);
      // Where everything was counted, what was not is not believed.
      const isVerified = fact !== null || profileOf(evidence, candidate.child)?.how.kind !== 'exact';
      const confidence = isVerified ? believed : Math.min(believed, mostUnverified);
      return joined(candidate, {
        inclusion: fact?.result ?? null,
        how: fact?.how ?? null,
        confidence: Math.round(confidence * 100) / 100,
        parts,
        rivals: [],
      });
    })
    .filter((reference) => reference.confidence >= worthWeighing);
}

function calibrated(probability: number): number {
  const { slope, shift } = fitted.calibration;
  return probabilityOf(slope * Math.log(probability / (1 - probability)) + shift);
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

interface Directions {
  readonly from: ReadonlyMap<TableId, readonly WeighedReference[]>;
  readonly on: ReadonlyMap<TableId, readonly WeighedReference[]>;
}

const directionsOf = once((references: readonly WeighedReference[]): Directions => ({
  from: groupBy(references, (r) => r.child),
  on: groupBy(references, (r) => r.parent),
}));

/** Those of a child. */
export function referencesFrom(references: readonly WeighedReference[], child: TableId): readonly WeighedReference[] {
  return directionsOf(references).from.get(child) ?? [];
}

/** Those to a parent. */
export function referencesOn(references: readonly WeighedReference[], parent: TableId): readonly WeighedReference[] {
  return directionsOf(references).on.get(parent) ?? [];
}
