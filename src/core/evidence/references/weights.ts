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
    orphans: -1,
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
  bias: -4.77,
  weights: {
    likeness: 3.66,
    namesFully: 0.57,
    measure: -1.66,
    ownId: -1.78,
    within: 1.09,
    byValueOnly: 0.6,
    orphans: -1,
    manyOrphans: -3,
    surprise: 0.77,
    narrower: -2.88,
    unreached: -2.58,
    uneven: -2.38,
    coverage: 1.63,
    fewValues: -0.72,
    empty: -0.8,
    unmeasured: -2.35,
    primary: 0.74,
    selfFilling: 0,
    parentRefers: -1.01,
    indexed: 0.08,
    unindexed: -0.66,
    ownKey: -1.89,
    fillsItself: -3.12,
    inherited: -2,
    sameDomain: 1.5,
    sameType: 1.44,
    joined: 2.5,
    composite: 0.58,
    partsRefer: -1.96,
    self: 0.21,
    siblings: 2.17,
    siblingsDiffer: -1.66,
    sameRole: 1.63,
    customary: 3.04,
    popular: 1.05,
  },
};
// end

/** The model that references are judged by. */
export let fitted: Model = corpus;

/** For benches, which judge a schema by a model that was fitted without it. */
export function judgeBy(model: Model): void {
  fitted = model;
}
