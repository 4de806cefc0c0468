// The weights of the logistic model for references. Fitted by `npm run bench:fit` on the tuning corpus
// (docs/benchmarks.md says how, and how well they hold on a schema left out); not edited by hand.

import type { FeatureName } from './features';

export const bias = -3.32;

export const weights: Readonly<Record<FeatureName, number>> = {
  likeness: 3.82,
  namesWell: 0.1,
  namesFully: 0,
  outdone: -6.16,
  contested: -2.12,
  orphans: -1.32,
  manyOrphans: -3.2,
  surprise: 1.5,
  unreached: -2.15,
  coverage: 1.73,
  primary: 1.11,
  indexed: 0.06,
  unindexed: -0.57,
  ownKey: -0.98,
  ownId: -1.73,
  identifier: 0.44,
  measure: -0.95,
  sameDomain: 1.5,
  sameType: 0.38,
  siblings: 2,
  joined: 2.5,
  composite: 0.64,
  self: -0.2,
  empty: -0.8,
  unmeasured: -0.8,
  parentRefers: -3.58,
  parentTiny: 0,
  byValueOnly: 0,
};
