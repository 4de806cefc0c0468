import type { Engine } from '../engine';
import { blocks } from './blocks';
import { withNullability } from './column-text';
import { dialectFor } from './dialect';
import { variant } from './mariadb';
import { names } from './names';
import { questionsOf } from './questions/index';
import { traits } from './traits';
import { types } from './types';

const run = (file: string): string => `mariadb --abort-source-on-error --binary-mode --show-warnings DATABASE < ${file}`;

export const mariadb: Engine = {
  title: 'MariaDB',
  grammar: 'MariaSQL',
  client: { name: 'mariadb', runs: run },
  traits,
  tried: ['10.5', '11.8'],
  names,
  types,
  withNullability,
  questions: questionsOf('mariadb', variant),
  dialect: dialectFor(variant, { ...blocks, run: run('FILE') }),
};
