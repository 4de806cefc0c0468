// MySQL: of the same family as MariaDB, whose rooms say what both have in common.

import type { Engine } from '../engine';
import { dialectFor } from '../mariadb/dialect';
import { questionsOf } from '../mariadb/questions/index';
import { facts } from './facts';
import { prepared } from './prepared';
import { variant } from './variant';

const run = (file: string): string => `mysql --binary-mode --show-warnings DATABASE < ${file}`;
const asks = (file: string, answers: string): string =>
  `mysql --batch --skip-column-names --force DATABASE < ${file} > ${answers}`;

export const mysql: Engine = {
  ...facts,
  grammar: 'MySQL',
  client: { name: 'mysql', runs: run, asks },
  questions: questionsOf('mysql', variant),
  dialect: dialectFor(variant, { ...prepared, reserved: facts.names.reserved, run: run('FILE'), engine: 'mysql', asks }),
};
