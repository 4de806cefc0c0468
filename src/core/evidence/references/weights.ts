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
    beyondChance: 2,
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
  calibration: { slope: 0.95, shift: 0.48 },
  bias: -4.21,
  weights: {
    likeness: 3.93,
    namesFully: 0.21,
    measure: -2.2,
    ownId: -1.97,
    within: 1.04,
    byValueOnly: 0.27,
    orphans: -0.6,
    manyOrphans: -2.5,
    surprise: 1.5,
    beyondChance: 2,
    narrower: -2.88,
    unreached: -2.58,
    uneven: -2.56,
    coverage: 1.14,
    fewValues: -0.77,
    empty: -0.8,
    unmeasured: -2.23,
    primary: 1.39,
    selfFilling: 0.41,
    parentRefers: -0.95,
    indexed: 0,
    unindexed: -0.6,
    ownKey: -1.99,
    fillsItself: -3.19,
    inherited: -2,
    sameDomain: 1.5,
    sameType: 0.75,
    joined: 2.5,
    composite: 0.53,
    partsRefer: -1.99,
    self: 0.09,
    siblings: 2.02,
    siblingsDiffer: -1.65,
    sameRole: 1.66,
    customary: 2.81,
    popular: 0.87,
  },
};
// end

/** The model that references are judged by. */
export let fitted: ReferenceModel = corpus;

/** For benches, which judge a schema by a model that was fitted without it. */
export function judgeBy(model: ReferenceModel): void {
  fitted = model;
}
