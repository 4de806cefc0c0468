import { askedRule } from '../../wishes/askedRule';

export const askedReference = askedRule('References', ({ kind }) => ['reference', 'listed', 'gone', 'changed'].includes(kind));
