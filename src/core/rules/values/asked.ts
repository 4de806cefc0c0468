import { askedRule } from '../../wishes/askedRule';

export const askedValues = askedRule('Values', ({ kind }) => kind === 'oneOf' || kind === 'default' || kind === 'switched');
