import type { Dialect } from '../dialect';
import { writeCheck } from './checks';
import { writeOperation } from './operations';
import { writeProof } from './proofs';
import { writeScripts } from './scripts';

export const postgresql: Dialect = { operation: writeOperation, check: writeCheck, proof: writeProof, scripts: writeScripts };
