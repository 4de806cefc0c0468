import { askedRule } from '../asked';

export const askedKey = askedRule('Keys', ({ kind }) => kind === 'key');
