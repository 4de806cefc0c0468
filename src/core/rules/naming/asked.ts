import { askedRule } from '../../wishes/askedRule';

export const askedName = askedRule('Naming', ({ kind }) => kind === 'named');
