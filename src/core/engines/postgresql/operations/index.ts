import type { Catalogue } from '../../../catalogue/model';
import { findTable } from '../../../catalogue/lookups';
import type { Operation } from '../../../operations/index';
import type { Cost, Mode } from '../../../plan/cost';
import type { Stage } from '../../dialect';
import {
  addCheck,
  addForeignKey,
  changeConstraint,
  checkRows,
  dropConstraint,
  rename,
  renameColumn,
  uncheckRows,
} from './constraints';
import { createIndex, dropIndex, renameIndex } from './indexes';
import { buildAgain, declareAgain, removeConstraint, removeIndex } from './removing';
import { addPrimaryKey, addUnique, replaceKey, restoreKey } from './keys';
import { addReferring, dropLookup, fillAgain, letEmpty, lookUp, makeLookup } from './lookups';
import { dropNotNull, setNotNull } from './nullability';
import { dropColumn, numberItself, numberNoMore, numberRows } from './numbering';
import { retype } from './retyping';
import { renameTable } from './tables';
import { addParents, bringBack, dropKept, removeParents, setAside } from './repairs';
import { renameSequence, renameTrigger, setDefault, switchReference, switchTrigger } from './switching';
import { DialectError } from '../../DialectError';
import { does, moment, passes, type Writing } from './writing';

type Writings = { readonly [Kind in Operation['kind']]: Writing<Extract<Operation, { kind: Kind }>> };

/** What has no counterpart here: it is in no plan, as no table says how it is kept. */
const never: Writing<Operation> = {
  statements: ({ kind, table }) => {
    throw new DialectError(`${kind} on ${table} is nothing that this server can do.`);
  },
  cost: () => moment,
};

const writings: Writings = {
  ...{ setAside, bringBack, dropKept, addParents, removeParents },
  ...{ numberRows, dropColumn, numberItself, numberNoMore },
  ...{ addPrimaryKey, addUnique, replaceKey, restoreKey },
  ...{ createIndex, dropIndex, renameIndex },
  ...{ addForeignKey, addCheck, changeConstraint, checkRows, uncheckRows, dropConstraint, rename, renameColumn },
  ...{ setNotNull, dropNotNull, retype },
  keepBy: never,
  ...{ setDefault, switchTrigger, switchReference, renameSequence, renameTrigger, renameTable },
  ...{ removeConstraint, declareAgain, removeIndex, buildAgain },
  ...{ makeLookup, dropLookup, addReferring, lookUp, letEmpty, fillAgain },
};

function writingOf(operation: Operation): Writing<Operation> {
  return writings[operation.kind];
}

export function stagesOf(operation: Operation, mode: Mode): readonly Stage[] {
  const writing = writingOf(operation);
  const whole = does(operation, writing.statements(operation), costOf(operation, mode));
  return mode === 'quiet' && writing.quiet ? writing.quiet.stages(operation, whole) : [whole];
}

export function costOf(operation: Operation, mode: Mode): Cost {
  const writing = writingOf(operation);
  const plain = writing.cost(operation);
  if (mode === 'plain') return plain;
  if (writing.quiet?.cost) return writing.quiet.cost(operation);
  // What only says something new takes its lock for a moment, and gives up soon when it has to wait.
  return plain.work === 'catalogue only' && plain.blocks !== 'nobody' ? { ...plain, blocks: 'others for a moment' } : plain;
}

export function bytesPassed(operation: Operation, cost: Cost, catalogue: Catalogue): number {
  const own = writingOf(operation).bytesPassed?.(operation, cost, catalogue) ?? null;
  // On the way back one that was renamed goes by a name that the catalogue has not.
  return own ?? (findTable(catalogue, operation.table)?.bytes ?? 0) * passes[cost.work];
}
