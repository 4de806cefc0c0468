import { askedRule } from '../asked';

export const askedReference = askedRule('References', ({ kind }) => kind === 'reference' || kind === 'gone');
