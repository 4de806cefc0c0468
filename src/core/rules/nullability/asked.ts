import { askedRule } from '../../wishes/askedRule';

export const askedFilled = askedRule('Nullability', ({ kind }) => kind === 'filled');
