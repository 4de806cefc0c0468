// The weights of the logistic model for references. Fitted by `npm run bench:fit` on the tuning corpus
// (docs/benchmarks.md says how, and how well they hold on a schema left out); not edited by hand.

import type { FeatureName } from './features';

export interface Model {
  readonly bias: number;
  readonly weights: Readonly<Record<FeatureName, number>>;
}

/** What is expected before any data, and what rare features keep: the fit is pulled towards it. */
export const expected: Model = {
  bias: -4.5,
  weights: {
    likeness: 4,
    namesFully: 0.8,
    measure: -1,
    ownId: -2,
    within: 0.8,
    byValueOnly: -0.5,
    orphans: -0.8,
    manyOrphans: -3,
    surprise: 1.5,
    narrower: -3,
    unreached: -2,
    uneven: -2,
    coverage: 0.8,
    fewValues: -0.8,
    empty: -0.8,
    unmeasured: -0.8,
    primary: 0.8,
    selfFilling: 0.5,
    parentRefers: -1.5,
    indexed: 0.5,
    unindexed: -0.5,
    ownKey: -0.8,
    fillsItself: -2,
    inherited: -2,
    sameDomain: 1.5,
    sameType: 0.3,
    joined: 2.5,
    composite: 0.5,
    partsRefer: -2,
    self: -0.2,
    siblings: 3,
    siblingsDiffer: -1.5,
    sameRole: 2,
    customary: 3,
    popular: 1,
  },
};

// fitted corpus
const corpus = {
  bias: -4.63,
  weights: {
    likeness: 3.51,
    namesFully: 0.84,
    measure: -1.43,
    ownId: -1.28,
    within: 1.03,
    byValueOnly: 0.7,
    orphans: -2.31,
    manyOrphans: -3.41,
    surprise: 1.1,
    narrower: -2.88,
    unreached: -2.57,
    uneven: -2.35,
    coverage: 1.96,
    fewValues: -0.9,
    empty: -0.8,
    unmeasured: -2.06,
    primary: 0.67,
    selfFilling: 0.12,
    parentRefers: -0.89,
    indexed: 0.09,
    unindexed: -0.75,
    ownKey: -1.17,
    fillsItself: -3.55,
    inherited: -2,
    sameDomain: 1.5,
    sameType: 0.88,
    joined: 2.5,
    composite: 0.6,
    partsRefer: -1.95,
    self: 0.34,
    siblings: 2.37,
    siblingsDiffer: -1.77,
    sameRole: 1.78,
    customary: 3.03,
    popular: 0.64,
  },
};
// end

/** The model that references are judged by. */
export let fitted: Model = corpus;

/** For benches, which judge a schema by a model that was fitted without it. */
export function judgeBy(model: Model): void {
  fitted = model;
}
