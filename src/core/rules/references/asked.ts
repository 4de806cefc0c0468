import { askedRule } from '../../wishes/askedRule';

export const askedReference = askedRule(
  'References',
  ({ kind }) => kind === 'reference' || kind === 'gone' || kind === 'changed',
);
