// The weights of the models for keys and for what is unique beside them. Fitted by `npm run bench:fit-keys` on the tuning corpus
// (docs/benchmarks.md says how, and how well they hold on a schema left out); not edited by hand.

import { type KeyFeatureName, keyFeatureNames, type KeyFeatures } from './keyFeatures';

export interface KeyModel {
  readonly bias: number;
  readonly weights: Readonly<Record<KeyFeatureName, number>>;
}

/** `primary` chooses one of a table's sets or none; `unique` says of each other set whether repeats would be wrong. */
export interface KeyModels {
  readonly primary: KeyModel;
  readonly unique: KeyModel;
}

/** What is expected before any data: the fit is pulled towards it. */
export const expectedKeys: KeyModels = {
  primary: { bias: -1.5, weights: {
    ownId: 3,
    fillsItself: 3,
    identifies: 1,
    named: 0.6,
    describes: -1.5,
    measures: -1.5,
    plainText: -0.5,
    moment: -1.5,
    date: -0.5,
    decimal: -1,
    wide: -1,
    hashed: -1,
    mandatory: 0.5,
    indexed: 2,
    first: 1,
    second: 0.2,
    behind: -1,
    leads: 1.5,
    cutsRun: -1.5,
    rising: 0.4,
    columns: -1.5,
    refers: 1,
    allRefer: 1.5,
    onlyRefers: -0.5,
    numbered: 1.5,
    ordinalAlone: -2,
    shared: 1,
    sharedAlone: -2,
    partUnique: -1.5,
    littleElse: 0.5,
    noChance: 1.5,
    byChance: -0.8,
    manyRows: 0,
    someEmpty: -0.5,
    inherited: -2,
  } },
  unique: { bias: -3, weights: {
    ownId: 1,
    fillsItself: -1,
    identifies: 2,
    named: 0.4,
    describes: -1.5,
    measures: -1.5,
    plainText: -0.5,
    moment: -1.5,
    date: -0.5,
    decimal: -1,
    wide: -1,
    hashed: -1,
    mandatory: 0.5,
    indexed: 2,
    first: -0.5,
    second: 0.2,
    behind: 0,
    leads: 0.5,
    cutsRun: -1.5,
    rising: 0.4,
    columns: -1.5,
    refers: 1,
    allRefer: 1.5,
    onlyRefers: -0.5,
    numbered: 1.5,
    ordinalAlone: -2,
    shared: 1,
    sharedAlone: -2,
    partUnique: -1.5,
    littleElse: 0.5,
    noChance: 1.5,
    byChance: -0.8,
    manyRows: 1,
    someEmpty: -0.5,
    inherited: -2,
  } },
};

export let keyModels: KeyModels = expectedKeys;

/** For benches, which judge a schema by models that were fitted without it. */
export function judgeKeysBy(models: KeyModels): void {
  keyModels = models;
}

export function keyLogOdds({ bias, weights }: KeyModel, features: KeyFeatures): number {
  return keyFeatureNames.reduce((sum, name) => sum + weights[name] * features[name], bias);
}
