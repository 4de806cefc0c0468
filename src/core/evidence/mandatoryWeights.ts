// The weights of the model for NOT NULL. Fitted by `npm run bench:fit` on the tuning corpus; not edited by hand.

import type { Model } from './logit';
import type { MandatoryFeatureName } from './mandatory';

export type MandatoryModel = Model<MandatoryFeatureName>;

/** What is expected before any data: the fit is pulled towards it. */
export const expectedMandatory: MandatoryModel = {
  bias: -1.5,
  weights: {
    manyRows: 2,
    fewRows: -0.5,
    mandatoryName: 0.8,
    optionalName: -1.7,
    lastMoment: -1.6,
    describes: -0.5,
    identifies: 0.4,
    refers: 0.3,
    inKey: 1,
    hasDefault: 0.5,
    boolean: 0.3,
    moment: -0.2,
    number: 0.2,
    longText: -0.5,
    blanks: 0.5,
    constant: 0,
    early: 0.5,
    late: -0.5,
    siblingsMandatory: 1.4,
    siblingsNullable: -1,
    siblingsEmpty: -2,
    tableFull: 1.5,
    kindFull: 1.5,
  },
};

// fitted corpus
const corpus = {
  bias: -3.27,
  weights: {
    manyRows: 1.16,
    fewRows: -0.55,
    mandatoryName: 0.74,
    optionalName: -1.7,
    lastMoment: -1.6,
    describes: -0.5,
    identifies: -0.56,
    refers: -0.55,
    inKey: 1.04,
    hasDefault: 0.05,
    boolean: 0.62,
    moment: 0.29,
    number: -0.17,
    longText: -0.23,
    blanks: 0.68,
    constant: 0.19,
    early: 1.55,
    late: -1,
    siblingsMandatory: 2.02,
    siblingsNullable: 0,
    siblingsEmpty: -2.67,
    tableFull: 3,
    kindFull: 3.49,
  },
};
// end

export let mandatoryModel: MandatoryModel = corpus;

/** For benches, which judge a schema by a model that was fitted without it. */
export function judgeMandatoryBy(model: MandatoryModel): void {
  mandatoryModel = model;
}
