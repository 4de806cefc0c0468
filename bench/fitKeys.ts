// Fits the models for keys and for what is unique beside them (src/core/evidence/keyWeights.ts), as fit.ts does for references.
//
//   tsx bench/fitKeys.ts                 writes new weights into that file
//   tsx bench/fitKeys.ts --models FILE   writes models for each family of schemas, fitted without it

import { baseTables, sameColumnSet } from '../src/core/catalogue/lookups';
import { sampleOf, uniquenessOf } from '../src/core/evidence/evidence';
import { keyFeatureNames, type KeyFeatureName, keyFeaturesOf } from '../src/core/evidence/keyFeatures';
import { lacksPrimaryKey } from '../src/core/evidence/keys';
import { uniqueSets } from '../src/core/evidence/keySets';
import { expectedKeys, judgeKeysBy, type KeyModels } from '../src/core/evidence/keyWeights';
import { uniqueCandidates, uniqueFeatureNames } from '../src/core/evidence/uniques';
import { groupBy } from '../src/core/grouping';
import { truthOf } from './corpus';
import { type Case, familyOf, madeSchemas, realSchemas, surveyWith } from './examples';
import { fitLogit, type Group, install, leaveOut, weightOf } from './logit';

const signs: Readonly<Partial<Record<KeyFeatureName, 1 | -1>>> = {
  describes: -1,
  measures: -1,
  moment: -1,
  decimal: -1,
  wide: -1,
  hashed: -1,
  mandatory: 1,
  indexed: 1,
  byChance: -1,
  noChance: 1,
  ordinalAlone: -1,
  sharedAlone: -1,
  inherited: -1,
  leads: 1,
  allRefer: 1,
  numbered: 1,
};
const signsUnique = {
  ...signs,
  shapeHolds: 1,
  shapeBreaks: -1,
  shapeNoChance: 1,
  shapeDeclared: 1,
  partBreaks: 1,
  another: -1,
} as const;
/** Rows that are made up cannot teach it: whether a reference happens to be one to one. */
const given: readonly KeyFeatureName[] = ['inherited', 'onlyRefers'];
const givenUnique = [...given, 'measures', 'describes', 'moment', 'partNearly', 'habit'] as const;

const cases: Case[] = [];
for (const schema of [...realSchemas, ...madeSchemas])
  for (const loss of ['everything', 'half of everything'] as const) cases.push(await surveyWith(schema, loss, schema.length));
const models = leaveOut(cases, ({ schema }) => familyOf(schema), fit);
if (models) {
  install('src/core/evidence/keyWeights.ts', 'primary', models.primary);
  install('src/core/evidence/keyWeights.ts', 'unique', models.unique);
}

function fit(all: readonly Case[]): KeyModels {
  const primary = fitLogit(
    all.flatMap((one) => weighed(one, all, keyGroups(one))),
    { names: keyFeatureNames, expected: expectedKeys.primary, signs, given },
  );
  // What is unique beside a key depends on the key that is believed.
  judgeKeysBy({ primary, unique: expectedKeys.unique });
  const unique = fitLogit(
    all.flatMap((one) => weighed(one, all, uniqueGroups(one))),
    { names: uniqueFeatureNames, expected: expectedKeys.unique, signs: signsUnique, given: givenUnique },
  );
  judgeKeysBy(expectedKeys);
  return { primary, unique };
}

function weighed({ schema }: Case, all: readonly Case[], groups: readonly Group['choices'][]): readonly Group[] {
  const family = familyOf(schema);
  const cases = groupBy(all, (c) => familyOf(c.schema)).get(family)?.length ?? 1;
  return groups.map((choices) => ({ choices, weight: weightOf(groups.length, cases, family) }));
}

function keyGroups({ schema, catalogue, evidence }: Case): readonly Group['choices'][] {
  const truth = truthOf(schema).tables;
  return baseTables(catalogue)
    .filter(lacksPrimaryKey)
    .flatMap((table) => {
      const sample = sampleOf(evidence, table.id)?.result;
      if (!sample || sample.rows < 2) return [];
      const right = truth[`${table.schema}.${table.name}`]?.pk ?? null;
      return [
        uniqueSets(catalogue, table, sample)
          .filter((columns) => {
            const known = uniquenessOf(evidence, table.id, columns);
            return known.kind === 'unique' && known.nullRows === 0;
          })
          .map((columns) => ({
            features: keyFeaturesOf(catalogue, table, columns, { sample }),
            right: right !== null && sameColumnSet(right, columns),
          })),
      ];
    });
}

// Of a table with several, each stands against all that are wrong.
function uniqueGroups({ schema, catalogue, evidence }: Case): readonly Group['choices'][] {
  const truth = truthOf(schema).tables;
  return baseTables(catalogue).flatMap((table) => {
    const uniques = truth[`${table.schema}.${table.name}`]?.uniques ?? [];
    const choices = uniqueCandidates(catalogue, table, evidence)
      .filter(({ columns }) => !uniques.some((one) => one.redundant && sameColumnSet(one.columns, columns)))
      .map(({ columns, features }) => ({ features, right: uniques.some((one) => sameColumnSet(one.columns, columns)) }));
    const wrong = choices.filter(({ right }) => !right);
    const right = choices.filter((choice) => choice.right);
    if (right.length > 0) return right.map((one) => [one, ...wrong]);
    return wrong.length > 0 ? [wrong] : [];
  });
}
