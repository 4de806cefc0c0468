import type { Engine } from '../engine';
import { blocks } from './blocks';
import { dialectFor } from './dialect';
import { facts } from './facts';
import { variant } from './mariadb';
import { questionsOf } from './questions/index';

const run = (file: string): string => `mariadb --abort-source-on-error --binary-mode --show-warnings DATABASE < ${file}`;
const asks = (file: string, answers: string): string =>
  `mariadb --batch --skip-column-names --force DATABASE < ${file} > ${answers}`;

export const mariadb: Engine = {
  ...facts,
  grammar: 'MariaSQL',
  client: { name: 'mariadb', runs: run, asks },
  questions: questionsOf('mariadb', variant),
  dialect: dialectFor(variant, { ...blocks, reserved: facts.names.reserved, run: run('FILE'), engine: 'mariadb', asks }),
};
