// Column sets of a table, beside its key, that ought to be unique: columns named as identifiers of the
// thing itself (call_sign), a parent with an ordinal (line_no within a manifest), and sets in which so
// many repeats were to be expected that none at all is no chance.

import { joined } from '../records';
import { declaredUniques, includesColumns, primaryKeyOf, sameColumnSet } from '../catalogue/lookups';
import type { Catalogue, Table } from '../catalogue/model';
import { type Evidence, sampleOf } from './evidence';
import { keyFeatureNames, type KeyFeatures, keyFeaturesOf, keyFeatureWords } from './keyFeatures';
import { bestKey, lacksPrimaryKey } from './keys';
import { type Role, rolesOf, uniqueSets, withReferences } from './keySets';
import { keyModels } from './keyWeights';
import { logOddsOf, partsOf } from './logit';
import { referencesFrom, weighReferences } from './references/weigh';
import {
  expectedElsewhere,
  fewestRows,
  shapeFeatureNames,
  type ShapeFeatures,
  shapeFeaturesOf,
  shapeFeatureWords,
  type Shapes,
  shapesOf,
} from './shapes';
import { once } from '../once';

export const uniqueFeatureNames = [...keyFeatureNames, ...shapeFeatureNames] as const;
export type UniqueFeatures = KeyFeatures & ShapeFeatures;

const uniqueFeatureWords = { ...keyFeatureWords, ...shapeFeatureWords };

export interface UniqueCandidate {
  readonly columns: readonly string[];
  readonly features: UniqueFeatures;
}

export interface PlausibleUnique {
  readonly columns: readonly string[];
  /** How likely it is that repeats would be wrong, 0 to 1, given that there are none. */
  readonly likelihood: number;
  readonly reasons: readonly string[];
}

const widest = 4;
const verifiedPerTable = 8;
const believed = 0.2;

/** Sets that never repeat in the sample and are worth verifying, likeliest first. */
export function plausibleUniques(catalogue: Catalogue, table: Table, evidence: Evidence): readonly PlausibleUnique[] {
  const weighed = uniqueCandidates(catalogue, table, evidence).map((one) => ({
    ...one,
    odds: Math.exp(logOddsOf(uniqueFeatureNames, keyModels.unique, one.features)),
  }));
  // A table has one such set as a rule, or none: they are weighed against each other.
  const all = weighed.reduce((sum, { odds }) => sum + odds, 1);
  return weighed
    .map(({ columns, features, odds }) => ({
      columns,
      likelihood: odds / all,
      reasons: [repeatsInWords(features, columns), ...reasonsOf(features)],
    }))
    .filter((set) => set.likelihood >= believed)
    .sort((a, b) => b.likelihood - a.likelihood)
    .slice(0, verifiedPerTable);
}

/** All sets of a table, beside its key, that do not repeat: what the model is fitted on. */
export function uniqueCandidates(catalogue: Catalogue, table: Table, evidence: Evidence): readonly UniqueCandidate[] {
  const sample = sampleOf(evidence, table.id);
  if (!sample || sample.result.rows < fewestRows) return [];
  const key =
    primaryKeyOf(table)?.columns ?? (lacksPrimaryKey(table) ? bestKey(catalogue, table, evidence)?.columns : null) ?? [];
  const { roles: rolesIn, shapes } = surroundingsOf(catalogue, evidence);
  const roles = rolesIn(table);
  return uniqueSets(catalogue, table, sample.result, roles)
    .filter((columns) => columns.length <= widest && !sameColumnSet(columns, key))
    .filter((columns) => key.length === 0 || !includesColumns(columns, key))
    .filter((columns) => !declaredUniques(table).some((unique) => includesColumns(columns, unique)))
    .map((columns) => ({
      columns,
      features: joined(
        keyFeaturesOf(catalogue, table, columns, {
          sample: sample.result,
          roles,
          expectedElsewhere: expectedElsewhere(shapes.elsewhere(table, columns)),
        }),
        shapeFeaturesOf(shapes, table, columns, sample.result),
      ),
    }));
}

interface Surroundings {
  readonly roles: (table: Table) => ReadonlyMap<string, Role>;
  readonly shapes: Shapes;
}

const surroundingsOf = once((catalogue: Catalogue, evidence: Evidence): Surroundings => {
  const roles = once((table: Table) => rolesWithReferences(catalogue, table, evidence));
  return { roles, shapes: shapesOf(catalogue, evidence, roles) };
});

function rolesWithReferences(catalogue: Catalogue, table: Table, evidence: Evidence): ReadonlyMap<string, Role> {
  const referring = referencesFrom(weighReferences(catalogue, evidence), table.id)
    .filter((reference) => reference.confidence >= 0.5)
    .flatMap((reference) => reference.columns);
  return withReferences(rolesOf(catalogue, table), new Set(referring));
}

const leastSaid = 0.3;

function reasonsOf(features: UniqueFeatures): readonly string[] {
  return partsOf(uniqueFeatureNames, keyModels.unique, features, leastSaid).map(({ feature }) => uniqueFeatureWords[feature]);
}

function repeatsInWords(features: KeyFeatures, columns: readonly string[]): string {
  return features.byChance > 0 || columns.length === 1 ? 'no repeat among its rows' : 'no repeat, where some were to be expected';
}
