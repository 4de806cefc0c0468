// The weights of the models for keys and for what is unique beside them. Fitted by `npm run bench:fit` on the tuning corpus
// (docs/benchmarks.md says how, and how well they hold on a schema left out); not edited by hand.

import type { KeyFeatureName } from './keyFeatures';
import type { Model } from './logit';

export type KeyModel = Model<KeyFeatureName>;

/** `primary` chooses one of a table's sets or none; `unique` says of each other set whether repeats would be wrong. */
export interface KeyModels {
  readonly primary: KeyModel;
  readonly unique: KeyModel;
}

/** What is expected before any data: the fit is pulled towards it. */
const expectedPrimary: KeyModel = {
  bias: -1.5,
  weights: {
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
    partNearly: -2,
    littleElse: 0.5,
    noChance: 1.5,
    byChance: -0.8,
    manyRows: 0,
    someEmpty: -0.5,
    inherited: -2,
    customary: 1,
  },
};

export const expectedKeys: KeyModels = {
  primary: expectedPrimary,
  unique: {
    bias: -3,
    weights: {
      ...expectedPrimary.weights,
      ownId: 1,
      fillsItself: -1,
      identifies: 2,
      named: 0.4,
      describes: -2.5,
      measures: -3,
      moment: -2.5,
      first: -0.5,
      behind: 0,
      leads: 0.5,
      onlyRefers: -1.6,
      manyRows: 1,
    },
  },
};

// fitted primary
const primary = {
  bias: -0.8,
  weights: {
    ownId: 2.31,
    fillsItself: 1.61,
    identifies: 1.56,
    named: 0.62,
    describes: -0.39,
    measures: -1.72,
    plainText: -2.58,
    moment: -2.44,
    date: -0.72,
    decimal: -1,
    wide: 0,
    hashed: -0.69,
    mandatory: 0.15,
    indexed: 0,
    first: 3.7,
    second: -0.23,
    behind: -1.5,
    leads: 4.05,
    cutsRun: -0.04,
    rising: 0.07,
    columns: -1.45,
    refers: -0.69,
    allRefer: 0.21,
    onlyRefers: -0.5,
    numbered: 1.01,
    ordinalAlone: -2,
    shared: 0.78,
    sharedAlone: -2.36,
    partUnique: -1.02,
    partNearly: -1.04,
    littleElse: 0.32,
    noChance: 2.64,
    byChance: -1.65,
    manyRows: -0.11,
    someEmpty: -0.5,
    inherited: -2,
    customary: 0.27,
  },
};
// end

// fitted unique
const unique = {
  bias: -2.3,
  weights: {
    ownId: 2.07,
    fillsItself: -1,
    identifies: 1.75,
    named: 0.73,
    describes: -2.5,
    measures: -3,
    plainText: -0.16,
    moment: -2.5,
    date: -0.87,
    decimal: -1,
    wide: -1.37,
    hashed: -1.85,
    mandatory: 0,
    indexed: 2,
    first: -0.67,
    second: 1.62,
    behind: -1.39,
    leads: 2.08,
    cutsRun: 1.23,
    rising: 0.4,
    columns: -1.34,
    refers: 2.04,
    allRefer: 0.89,
    onlyRefers: -1.6,
    numbered: 2.93,
    ordinalAlone: -2,
    shared: -0.24,
    sharedAlone: -2.5,
    partUnique: -0.51,
    partNearly: -2,
    littleElse: 1.21,
    noChance: 2.31,
    byChance: -2.01,
    manyRows: 0.79,
    someEmpty: -1.77,
    inherited: -2,
    customary: 0.51,
  },
};
// end

export let keyModels: KeyModels = { primary, unique };

/** For benches, which judge a schema by models that were fitted without it. */
export function judgeKeysBy(models: KeyModels): void {
  keyModels = models;
}
