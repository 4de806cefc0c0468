import { askedRule } from '../asked';

export const askedUnique = askedRule('Uniqueness', ({ kind }) => kind === 'unique');
