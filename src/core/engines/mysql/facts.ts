import type { EngineFacts } from '../engineFacts';
import { names } from '../mariadb/names';
import { keepsTransactions } from '../mariadb/storage';
import { traits } from '../mariadb/traits';
import { typesBy } from '../mariadb/types';
import { reserved } from './reserved';

export const facts: EngineFacts = {
  title: 'MySQL',
  // 9.7: 3959.
  traits: () => ({ ...traits(), renamesCheckedColumns: false }),
  tried: ['9.7', '9.7'],
  names: {
    ...names,
    reserved,
    // Manual, "CHECK Constraints".
    templates: { ...names.templates, check: '{table}_chk_{n}' },
    checkOfSeveral: '{table}_chk_{n}',
  },
  // Whole numbers have no width any more (manual, "Numeric Type Attributes").
  types: typesBy({}),
  databasesAreSchemas: true,
  keepsTransactions,
};
