// The weights of the logistic model for references. Fitted by `npm run bench:fit` on the tuning corpus
// (docs/benchmarks.md says how, and how well they hold on a schema left out); not edited by hand.

import type { Model } from '../logit';
import type { FeatureName } from './features';

export interface ReferenceModel extends Model<FeatureName> {
  /**
   * From what the model says to how often it is right on schemas that it was fitted without, both as log-odds (Platt, "Probabilistic outputs
   * for support vector machines", 1999).
   */
  readonly calibration: Calibration;
}

export interface Calibration {
  readonly slope: number;
  readonly shift: number;
}

/** What is expected before any data, and what rare features keep: the fit is pulled towards it. */
export const expected: ReferenceModel = {
  calibration: { slope: 1, shift: 0 },
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
  calibration: { slope: 0.98, shift: 0.35 },
  bias: -4.17,
  weights: {
    likeness: 3.89,
    namesFully: 0.21,
    measure: -2.2,
    ownId: -1.91,
    within: 1.15,
    byValueOnly: 0.33,
    orphans: -0.6,
    manyOrphans: -2.5,
    surprise: 1.5,
    narrower: -2.86,
    unreached: -2.65,
    uneven: -2.62,
    coverage: 1.04,
    fewValues: -0.76,
    empty: -0.8,
    unmeasured: -1.97,
    primary: 1.42,
    selfFilling: 0.31,
    parentRefers: -0.82,
    indexed: 0,
    unindexed: -0.59,
    ownKey: -2.05,
    fillsItself: -3.27,
    inherited: -2,
    sameDomain: 1.5,
    sameType: 0.77,
    joined: 2.5,
    composite: 0.53,
    partsRefer: -1.99,
    self: 0.18,
    siblings: 1.99,
    siblingsDiffer: -1.66,
    sameRole: 1.56,
    customary: 2.8,
    popular: 0.85,
  },
};
// end

/** The model that references are judged by. */
export let fitted: ReferenceModel = corpus;

/** For benches, which judge a schema by a model that was fitted without it. */
export function judgeBy(model: ReferenceModel): void {
  fitted = model;
}
