import type { Engine } from '../engine';
import { writeCheck } from './checks';
import { withNullability } from './column-text';
import { names } from './names';
import { bytesPassed, costOf, stagesOf } from './operations/index';
import { whyNotTried, writeActionProof, writeProof } from './proofs';
import { questionsOf } from './questions/index';
import { writeScripts, writeStatementScripts } from './scripts';
import { traits } from './traits';
import { types } from './types';

export const mariadb: Engine = {
  title: 'MariaDB',
  grammar: 'MariaSQL',
  client: { name: 'mariadb', runs: (file) => `mariadb --abort-source-on-error --show-warnings DATABASE < ${file}` },
  traits,
  names,
  types,
  withNullability,
  questions: questionsOf('mariadb'),
  dialect: {
    stages: stagesOf,
    cost: costOf,
    bytesPassed,
    check: writeCheck,
    proof: writeProof,
    whyNotTried,
    allAtOnce: null,
    actionProof: writeActionProof,
    questions: null,
    scripts: writeScripts,
    statementScripts: writeStatementScripts,
  },
};
