import type { Engine } from '../engine';
import { writeCheck } from './checks';
import { facts } from './facts';
import { bytesPassed, costOf, stagesOf } from './operations/index';
import { printed } from './printed';
import { actionProof, proof } from './proofs';
import { questions } from './questions/index';
import { makesRecord } from './record';
import { scripts, statementScripts } from './scripts';

export const postgresql: Engine = {
  ...facts,
  grammar: 'PostgreSQL',
  client: { name: 'psql', runs: (file) => `psql -X -f ${file}`, asks: (file) => `psql -X -f ${file} -d DATABASE` },
  questions,
  dialect: {
    stages: stagesOf,
    cost: costOf,
    bytesPassed,
    check: writeCheck,
    proof,
    makesRecord,
    allAtOnce: 'set constraints all immediate',
    actionProof,
    questions: printed,
    scripts,
    statementScripts,
  },
};
