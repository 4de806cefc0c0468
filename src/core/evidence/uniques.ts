// Column sets of a table, beside its key, that ought to be unique: columns named as identifiers of the
// thing itself (call_sign), a parent with an ordinal (line_no within a manifest), and sets in which so
// many repeats were to be expected that none at all is no chance.

import { declaredUniques, includesColumns, primaryKeyOf, sameColumnSet } from '../catalogue/lookups';
import type { Catalogue, Table } from '../catalogue/model';
import { type Evidence, sampleOf } from './evidence';
import { keyFeatureNames, type KeyFeatures, keyFeaturesOf } from './keyFeatures';
import { bestKey, lacksPrimaryKey, reasonsOf } from './keys';
import { rolesOf, uniqueSets, withReferences } from './keySets';
import { keyModels } from './keyWeights';
import { logOddsOf } from './logit';
import { referencesFrom, weighReferences } from './references/weigh';

export interface UniqueCandidate {
  readonly columns: readonly string[];
  readonly features: KeyFeatures;
}

export interface PlausibleUnique {
  readonly columns: readonly string[];
  /** How likely it is that repeats would be wrong, 0 to 1, given that there are none. */
  readonly likelihood: number;
  readonly reasons: readonly string[];
}

const fewestRows = 8;
const widest = 4;
const verifiedPerTable = 8;
const believed = 0.2;

/** Sets that never repeat in the sample and are worth verifying, likeliest first. */
export function plausibleUniques(catalogue: Catalogue, table: Table, evidence: Evidence): readonly PlausibleUnique[] {
  const weighed = uniqueCandidates(catalogue, table, evidence).map((one) => ({
    ...one,
    odds: Math.exp(logOddsOf(keyFeatureNames, keyModels.unique, one.features)),
  }));
  // A table has one such set as a rule, or none: they are weighed against each other.
  const all = weighed.reduce((sum, { odds }) => sum + odds, 1);
  return weighed
    .map(({ columns, features, odds }) => ({
      columns,
      likelihood: odds / all,
      reasons: [repeatsInWords(features, columns), ...reasonsOf(features, keyModels.unique)],
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
  const referring = referencesFrom(weighReferences(catalogue, evidence), table.id)
    .filter((reference) => reference.confidence >= 0.5)
    .flatMap((reference) => reference.columns);
  const roles = withReferences(rolesOf(catalogue, table), new Set(referring));
  return uniqueSets(catalogue, table, sample.result, roles)
    .filter((columns) => columns.length <= widest && !sameColumnSet(columns, key))
    .filter((columns) => key.length === 0 || !includesColumns(columns, key))
    .filter((columns) => !declaredUniques(table).some((unique) => includesColumns(columns, unique)))
    .map((columns) => ({ columns, features: keyFeaturesOf(catalogue, table, columns, sample.result, roles) }));
}

function repeatsInWords(features: KeyFeatures, columns: readonly string[]): string {
  return features.byChance > 0 || columns.length === 1 ? 'no repeat among its rows' : 'no repeat, where some were to be expected';
}
