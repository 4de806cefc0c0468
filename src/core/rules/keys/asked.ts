import { askedRule } from '../../wishes/askedRule';

export const askedKey = askedRule('Keys', ({ kind }) => kind === 'key');
