import { askedRule } from '../../wishes/askedRule';

export const askedUnique = askedRule('Uniqueness', ({ kind }) => kind === 'unique');
