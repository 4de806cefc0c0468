// The weights of the logistic model for references. Fitted by `npm run bench:fit` on the tuning corpus
// (docs/benchmarks.md says how, and how well they hold on a schema left out); not edited by hand.

import type { FeatureName } from './features';

export const bias = -3.39;

export const weights: Readonly<Record<FeatureName, number>> = {
  likeness: 3.88,
  namesWell: 0.19,
  namesFully: 0,
  outdone: -6.01,
  contested: -1.92,
  orphans: -1.11,
  manyOrphans: -3.33,
  surprise: 1.5,
  unreached: -2.15,
  coverage: 1.62,
  primary: 1.11,
  indexed: 0.08,
  unindexed: -0.56,
  ownKey: -0.96,
  ownId: -1.69,
  identifier: 0.1,
  measure: -0.96,
  sameDomain: 1.5,
  sameType: 0.38,
  siblings: 2,
  joined: 2.5,
  composite: 0.64,
  self: -0.14,
  empty: -0.8,
  unmeasured: -0.8,
  parentRefers: -3.71,
  parentTiny: 0,
  byValueOnly: 1.2,
};
