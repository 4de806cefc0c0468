import type { Engine } from '../engine';
import { writeCheck } from './checks';
import { names } from './names';
import { bytesPassed, costOf, stagesOf } from './operations/index';
import { printed } from './printed';
import { writeActionProof, writeProof } from './proofs';
import { questions } from './questions/index';
import { makesRecord } from './record';
import { writeScripts, writeStatementScripts } from './scripts';
import { traits } from './traits';
import { types } from './types';

export const postgresql: Engine = {
  title: 'PostgreSQL',
  grammar: 'PostgreSQL',
  client: { name: 'psql', runs: (file) => `psql -X -f ${file}` },
  traits,
  tried: ['12', '18'],
  names,
  types,
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
