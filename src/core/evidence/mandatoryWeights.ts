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
    defaultNull: -3,
    defaultBlank: 1.5,
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
  bias: -3.31,
  weights: {
    manyRows: 1.26,
    fewRows: -0.56,
    mandatoryName: 0.79,
    optionalName: -1.7,
    lastMoment: -1.6,
    describes: -0.5,
    identifies: -0.56,
    refers: -0.4,
    inKey: 1.06,
    hasDefault: 0.45,
    defaultNull: -3.6,
    defaultBlank: 1.63,
    boolean: 0.44,
    moment: 0.15,
    number: -0.42,
    longText: -0.42,
    blanks: 0.56,
    constant: 0.19,
    early: 1.49,
    late: -0.93,
    siblingsMandatory: 2.09,
    siblingsNullable: 0,
    siblingsEmpty: -2.7,
    tableFull: 3.1,
    kindFull: 3.41,
  },
};
// end

export let mandatoryModel: MandatoryModel = corpus;

/** For benches, which judge a schema by a model that was fitted without it. */
export function judgeMandatoryBy(model: MandatoryModel): void {
  mandatoryModel = model;
}
