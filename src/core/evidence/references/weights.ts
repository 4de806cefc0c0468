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
    orphans: -0.6,
    manyOrphans: -2.5,
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
  bias: -5.16,
  weights: {
    likeness: 3.51,
    namesFully: 0.58,
    measure: -1.84,
    ownId: -1.72,
    within: 1.11,
    byValueOnly: 0.56,
    orphans: -0.6,
    manyOrphans: -2.5,
    surprise: 1.5,
    narrower: -2.85,
    unreached: -2.56,
    uneven: -2.4,
    coverage: 1.59,
    fewValues: -0.69,
    empty: -0.8,
    unmeasured: -2.38,
    primary: 0.49,
    selfFilling: 0,
    parentRefers: -1,
    indexed: 0.14,
    unindexed: -0.66,
    ownKey: -1.99,
    fillsItself: -3.13,
    inherited: -2,
    sameDomain: 1.5,
    sameType: 1.72,
    joined: 2.5,
    composite: 0.56,
    partsRefer: -1.97,
    self: 0.24,
    siblings: 2.21,
    siblingsDiffer: -1.66,
    sameRole: 1.59,
    customary: 3.18,
    popular: 0.87,
  },
};
// end

/** The model that references are judged by. */
export let fitted: Model = corpus;

/** For benches, which judge a schema by a model that was fitted without it. */
export function judgeBy(model: Model): void {
  fitted = model;
}
