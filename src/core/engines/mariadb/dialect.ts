// What is written for a server of the family.

import type { Check } from '../../operations/check';
import type { Dialect } from '../dialect';
import { writeCheck } from './checks';
import { planningFor } from './plans';
import { type Printing, printedFor } from './printed';
import { bytesPassed, spellingFor } from './operations/index';
import { actionProof, proof, whyNotTried } from './proofs';
import { makesRecord, type Client, scriptsFor } from './scripts';
import type { Variant } from './variant';

export function dialectFor(variant: Variant, client: Omit<Client, 'stages' | 'check' | 'variant'> & Printing): Dialect {
  const { servesToo, ...spelling } = spellingFor(variant);
  const check = (asked: Check): string => writeCheck(asked, variant);
  return {
    ...spelling,
    plans: planningFor(servesToo),
    bytesPassed,
    check,
    proof,
    whyNotTried,
    makesRecord,
    allAtOnce: null,
    actionProof,
    questions: printedFor(variant, client),
    ...scriptsFor({ ...client, variant, stages: spelling.stages, check }),
  };
}
