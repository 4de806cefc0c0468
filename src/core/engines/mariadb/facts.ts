import type { EngineFacts } from '../engineFacts';
import { names } from './names';
import { keepsTransactions } from './storage';
import { traits } from './traits';
import { types } from './types';

export const facts: EngineFacts = {
  title: 'MariaDB',
  traits,
  tried: ['10.5', '11.8'],
  names,
  types,
  databasesAreSchemas: true,
  keepsTransactions,
};
