// The weights of the logistic model for references. Fitted by `npm run bench:fit` on the tuning corpus
// (docs/benchmarks.md says how, and how well they hold on a schema left out); not edited by hand.

import type { Model } from '../logit';
import type { FeatureName } from './features';

export type ReferenceModel = Model<FeatureName>;

/** What is expected before any data, and what rare features keep: the fit is pulled towards it. */
export const expected: ReferenceModel = {
  bias: -4.5,
  weights: {
    likeness: 4,
    namesFully: 0.8,
    measure: -2.2,
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
  bias: -5.11,
  weights: {
    likeness: 3.58,
    namesFully: 0.53,
    measure: -2.2,
    ownId: -1.72,
    within: 1.1,
    byValueOnly: 0.54,
    orphans: -0.6,
    manyOrphans: -2.5,
    surprise: 1.5,
    narrower: -2.85,
    unreached: -2.57,
    uneven: -2.45,
    coverage: 1.51,
    fewValues: -0.69,
    empty: -0.8,
    unmeasured: -2.17,
    primary: 0.54,
    selfFilling: 0,
    parentRefers: -0.99,
    indexed: 0.13,
    unindexed: -0.68,
    ownKey: -1.99,
    fillsItself: -3.12,
    inherited: -2,
    sameDomain: 1.5,
    sameType: 1.69,
    joined: 2.5,
    composite: 0.55,
    partsRefer: -1.97,
    self: 0.23,
    siblings: 2.21,
    siblingsDiffer: -1.67,
    sameRole: 1.62,
    customary: 3.19,
    popular: 0.86,
  },
};
// end

/** The model that references are judged by. */
export let fitted: ReferenceModel = corpus;

/** For benches, which judge a schema by a model that was fitted without it. */
export function judgeBy(model: ReferenceModel): void {
  fitted = model;
}
