import { askedRule } from '../asked';

export const askedValues = askedRule('Values', ({ kind }) => kind === 'oneOf');
