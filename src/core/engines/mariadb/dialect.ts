// What is written for a server of the family.

import type { Check } from '../../operations/check';
import type { Dialect } from '../dialect';
import { writeCheck } from './checks';
import { planningFor } from './plans';
import { type Printing, printedFor } from './printed';
import { bytesPassed, spellingFor } from './operations/index';
import { whyNotTried, writeActionProof, writeProof } from './proofs';
import { makesRecord, type Scripting, scriptsBy } from './scripts';
import type { Variant } from './variant';

export function dialectFor(variant: Variant, client: Omit<Scripting, 'stages' | 'check'> & Printing): Dialect {
  const { servesToo, ...spelling } = spellingFor(variant);
  const check = (asked: Check): string => writeCheck(asked, variant);
  return {
    ...spelling,
    plans: planningFor(servesToo),
    bytesPassed,
    check,
    proof: writeProof,
    whyNotTried,
    makesRecord,
    allAtOnce: null,
    actionProof: writeActionProof,
    questions: printedFor(variant, client),
    ...scriptsBy({ ...client, stages: spelling.stages, check }),
  };
}
