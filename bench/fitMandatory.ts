// Fits the model for NOT NULL (src/core/evidence/mandatoryWeights.ts), as fit.ts does for references.
//
//   tsx bench/fitMandatory.ts                 writes new weights into that file
//   tsx bench/fitMandatory.ts --models FILE   writes models for each family of schemas, fitted without it

import { baseTables, foreignKeysOf } from '../src/core/catalogue/lookups';
import {
  type MandatoryFeatureName,
  mandatoryFeatureNames,
  identifyingColumns,
  mandatoryFeatures,
} from '../src/core/evidence/mandatory';
import { expectedMandatory, type MandatoryModel } from '../src/core/evidence/mandatoryWeights';
import { referencesFrom, weighReferences } from '../src/core/evidence/references/weigh';
import { truthOf } from './corpus';
import { type Case, familyOf, madeSchemas, realSchemas, surveyWith } from './examples';
import { fitLogit, type Group, install, leaveOut, weightOf } from './logit';

const signs: Readonly<Partial<Record<MandatoryFeatureName, 1 | -1>>> = {
  manyRows: 1,
  mandatoryName: 1,
  optionalName: -1,
  lastMoment: -1,
  siblingsMandatory: 1,
  siblingsNullable: -1,
  siblingsEmpty: -1,
  defaultNull: -1,
  defaultBlank: 1,
  tableFull: 1,
  kindFull: 1,
  inKey: 1,
};

/** Rows that are made up cannot teach what a name means. */
const given: readonly MandatoryFeatureName[] = ['optionalName', 'lastMoment', 'describes'];

interface Example {
  readonly family: string;
  readonly groups: readonly Group['choices'][];
}

const examples: Example[] = [];
for (const schema of [...realSchemas, ...madeSchemas])
  for (const loss of ['everything', 'half of everything'] as const)
    examples.push(exampleOf(await surveyWith(schema, loss, schema.length)));
const model = leaveOut(examples, ({ family }) => family, fit);
if (model) install('src/core/evidence/mandatoryWeights.ts', 'corpus', model);

function fit(all: readonly Example[]): MandatoryModel {
  const groups = all.flatMap(({ family, groups: own }) =>
    own.map((choices) => ({ choices, weight: weightOf(own.length, all.filter((e) => e.family === family).length, family) })),
  );
  return fitLogit(groups, { names: mandatoryFeatureNames, expected: expectedMandatory, signs, given });
}

function exampleOf({ schema, catalogue, evidence }: Case): Example {
  const truth = truthOf(schema).tables;
  const references = weighReferences(catalogue, evidence);
  const groups = baseTables(catalogue).flatMap((table) => {
    const known = truth[`${table.schema}.${table.name}`];
    const identifying = identifyingColumns(catalogue, table, evidence);
    const referring = new Set([
      ...foreignKeysOf(table).flatMap((key) => key.columns),
      ...referencesFrom(references, table.id).flatMap((one) => one.columns),
    ]);
    // What belongs to the key is NOT NULL by the key.
    return table.columns
      .filter((column) => column.nullable && !known?.pk?.includes(column.name))
      .flatMap((column) => {
        const features = mandatoryFeatures({ catalogue, evidence }, table, column, {
          refers: referring.has(column.name),
          inKey: identifying.has(column.name),
        });
        return features ? [[{ features, right: known?.notNull.includes(column.name) ?? false }]] : [];
      });
  });
  return { family: familyOf(schema), groups };
}
