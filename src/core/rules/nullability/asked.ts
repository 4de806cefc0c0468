import { askedRule } from '../asked';

export const askedFilled = askedRule('Nullability', ({ kind }) => kind === 'filled');
