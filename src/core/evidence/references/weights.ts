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

/** The model that references are judged by. */
export let fitted: Model = expected;

/** For benches, which judge a schema by a model that was fitted without it. */
export function judgeBy(model: Model): void {
  fitted = model;
}
