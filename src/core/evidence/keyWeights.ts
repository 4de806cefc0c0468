// The weights of the models for keys and for what is unique beside them. Fitted by `npm run bench:fit` on the tuning corpus
// (docs/benchmarks.md says how, and how well they hold on a schema left out); not edited by hand.

import type { KeyFeatureName } from './keyFeatures';
import type { Model } from './logit';
import type { ShapeFeatureName } from './shapes';

export type KeyModel = Model<KeyFeatureName>;

/** `primary` chooses one of a table's sets or none; `unique` says of each other set whether repeats would be wrong. */
export interface KeyModels {
  readonly primary: KeyModel;
  readonly unique: Model<KeyFeatureName | ShapeFeatureName>;
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
      shapeHolds: 1,
      shapeBreaks: -2,
      shapeNoChance: 3,
      shapeDeclared: 4,
      partBreaks: 2,
      habit: 5,
      another: -1,
    },
  },
};

// fitted primary
const primary = {
  bias: -0.78,
  weights: {
    ownId: 2.2,
    fillsItself: 1.61,
    identifies: 1.54,
    named: 0.61,
    describes: -0.42,
    measures: -1.73,
    plainText: -2.64,
    moment: -2.44,
    date: -0.71,
    decimal: -1,
    wide: 0,
    hashed: -0.67,
    mandatory: 0.12,
    indexed: 0,
    first: 3.68,
    second: -0.23,
    behind: -1.5,
    leads: 4.06,
    cutsRun: 0.01,
    rising: 0.09,
    columns: -1.45,
    refers: -0.6,
    allRefer: 0.15,
    onlyRefers: -0.5,
    numbered: 1.02,
    ordinalAlone: -2,
    shared: 0.75,
    sharedAlone: -2.36,
    partUnique: -1.02,
    partNearly: -0.94,
    littleElse: 0.32,
    noChance: 2.64,
    byChance: -1.61,
    manyRows: -0.14,
    someEmpty: -0.5,
    inherited: -2,
    customary: 0.29,
  },
};
// end

// fitted unique
const unique = {
  bias: -2.71,
  weights: {
    ownId: 2.23,
    fillsItself: -1,
    identifies: 1.99,
    named: 0.8,
    describes: -2.5,
    measures: -3,
    plainText: 0.01,
    moment: -2.5,
    date: -0.79,
    decimal: -1,
    wide: -1.27,
    hashed: -1.23,
    mandatory: 0,
    indexed: 2,
    first: -0.58,
    second: 1.51,
    behind: -1.25,
    leads: 2.42,
    cutsRun: 1.04,
    rising: 0.4,
    columns: -2.22,
    refers: 1,
    allRefer: 0.8,
    onlyRefers: -1.6,
    numbered: 1.11,
    ordinalAlone: -2,
    shared: -0.29,
    sharedAlone: -2.17,
    partUnique: -0.34,
    partNearly: -2,
    littleElse: 1.16,
    noChance: 1.73,
    byChance: -1.3,
    manyRows: 0.51,
    someEmpty: -1.68,
    inherited: -2,
    customary: -0.01,
    shapeHolds: 0,
    shapeBreaks: 0,
    shapeNoChance: 1.11,
    shapeDeclared: 3.63,
    partBreaks: 0.92,
    habit: 5,
    another: -1.97,
  },
};
// end

export let keyModels: KeyModels = { primary, unique };

/** For benches, which judge a schema by models that were fitted without it. */
export function judgeKeysBy(models: KeyModels): void {
  keyModels = models;
}
