import { askedRule } from '../../wishes/askedRule';

export const askedValues = askedRule('Values', ({ kind }) => ['oneOf', 'keeps', 'default', 'switched'].includes(kind));
