// MySQL: of the same family as MariaDB, whose rooms say what both have in common.

import type { Engine } from '../engine';
import { withNullability } from '../mariadb/column-text';
import { dialectFor } from '../mariadb/dialect';
import { names } from '../mariadb/names';
import { questionsOf } from '../mariadb/questions/index';
import { traits } from '../mariadb/traits';
import { types } from '../mariadb/types';
import { prepared } from './prepared';
import { reserved } from './reserved';
import { variant } from './variant';

const run = (file: string): string => `mysql --binary-mode --show-warnings DATABASE < ${file}`;

export const mysql: Engine = {
  title: 'MySQL',
  grammar: 'MySQL',
  client: { name: 'mysql', runs: run },
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
  types: { ...types, numbering: 'bigint' },
  withNullability,
  questions: questionsOf('mysql', variant),
  dialect: dialectFor(variant, { ...prepared, run: run('FILE') }),
};
