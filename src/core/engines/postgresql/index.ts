import type { Engine } from '../engine';
import { writeCheck } from './checks';
import { facts } from './facts';
import { bytesPassed, costOf, stagesOf } from './operations/index';
import { printed } from './printed';
import { writeActionProof, writeProof } from './proofs';
import { questions } from './questions/index';
import { makesRecord } from './record';
import { writeScripts, writeStatementScripts } from './scripts';

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
    proof: writeProof,
    makesRecord,
    allAtOnce: 'set constraints all immediate',
    actionProof: writeActionProof,
    questions: printed,
    scripts: writeScripts,
    statementScripts: writeStatementScripts,
  },
};
