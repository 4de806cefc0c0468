import type { Dialect } from '../dialect';
import { writeCheck } from './checks';
import { writeActionProof, writeProof } from './proofs';
import { writeScripts, writeStatementScripts } from './scripts';
import { statementsOf, stretchesOf } from './stretches';

export const postgresql: Dialect = {
  stretches: stretchesOf,
  statements: statementsOf,
  check: writeCheck,
  proof: writeProof,
  actionProof: writeActionProof,
  scripts: writeScripts,
  statementScripts: writeStatementScripts,
};
